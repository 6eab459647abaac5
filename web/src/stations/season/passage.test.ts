/** Steps of the lanes: end to end along the walk, the days' own figures, and the nights that the kit does not stand. */
import { legConditions } from "@gepack/core";
import { expect, test } from "vitest";
import { demo } from "../../../test/plans.ts";
import { stepsOf } from "./passage.ts";

const { plan, result } = demo();
const rows = legConditions(plan, result);
const steps = stepsOf(result, rows);
const { legs, days, profile } = result;

test.each(["night", "day", "snow", "wet", "light"] as const)("%s: a step a day, one after the other", (lane) => {
  let at = 0;
  for (const { fromM, toM } of steps[lane]) {
    expect(fromM).toBeCloseTo(at, 6);
    expect(toM).toBeGreaterThan(fromM);
    at = toM;
  }
  expect(at).toBeCloseTo(profile.lengthM, 6);
});

test("extremes are those of the days, snow is a share that adds up to the legs'", () => {
  const walked = days.filter(({ fromNode, toNode }) => toNode > fromNode);
  expect(Math.min(...steps.night.map(({ value }) => value))).toBe(Math.min(...walked.map((day) => day.coldNightC)));
  expect(Math.max(...steps.day.map(({ value }) => value))).toBe(Math.max(...walked.map((day) => day.hotDayC)));
  const snowM = steps.snow.reduce((sum, { fromM, toM, value }) => sum + value * (toM - fromM), 0);
  expect(snowM).toBeCloseTo(
    legs.reduce((sum, leg) => sum + leg.snowM, 0),
    3,
  );
});

test("nights are marked where one sleeps outside and the kit does not stand them, and nowhere else", () => {
  const bad = steps.night.filter((step) => step.bad);
  expect(bad.length).toBeGreaterThan(0);
  for (const { fromM, value } of bad) {
    const row = rows.find(({ legIndex }) => fromM >= legs[legIndex]!.fromM && fromM < legs[legIndex]!.toM)!;
    expect(value).toBeLessThan(row.standsC!);
  }
  const cold = new Set(
    rows.filter(({ coldNightC, standsC }) => coldNightC < (standsC ?? -Infinity)).map((row) => row.legIndex),
  );
  expect(new Set(bad.map(({ fromM }) => legs.findIndex((leg) => fromM >= leg.fromM && fromM < leg.toM)))).toEqual(cold);
});
