import { describe, expect, test } from "vitest";
import { boxesOf, computePlan, readPlanFile, type PlanFile, type PlanResult } from "@gepack/core";
import { EXAMPLE_PLANS } from "./generate/examples/index.ts";

const opened = new Map(
  EXAMPLE_PLANS.map((made): [string, { file: PlanFile; result: PlanResult }] => {
    const { value, problems } = readPlanFile(structuredClone(made));
    expect(problems).toEqual([]);
    return [value!.plan.id, { file: value!, result: computePlan(value!.plan, value!.tracks) }];
  }),
);
const of = (id: string) => opened.get(id)!;

describe("examples", () => {
  test.each([...opened.keys()])("%s is walked without a blocker, and is made up", (id) => {
    const { file, result } = of(id);
    expect(result.checks.filter(({ severity }) => severity === "blocker")).toEqual([]);
    expect(result.settled).toBe(true);
    expect(file.plan.trip.fictional).toBe(true);
  });

  test("six lights: six days of seventy kilometres, a third of the hours in the dark, a bed each night", () => {
    const { result } = of("six-lights");
    expect(result.days).toHaveLength(6);
    const dark = result.days.reduce(
      (sum, { startClockH, endClockH, sunriseH, sunsetH }) =>
        sum + Math.max(0, sunriseH - startClockH) + Math.max(0, endClockH - sunsetH),
      0,
    );
    const all = result.days.reduce((sum, { startClockH, endClockH }) => sum + endClockH - startClockH, 0);
    expect(dark / all).toBeGreaterThan(0.33);
    const lowest = result.power!.stores[0]!.legs.map(({ lowestFraction }) => lowestFraction);
    expect(Math.min(...lowest)).toBeLessThan(0.7);
    expect(result.legs.reduce((sum, { campNights }) => sum + campNights, 0)).toBe(0);
  });

  test("the towpath: four weeks, the child within four kilograms", () => {
    const { result, file } = of("towpath");
    expect(result.days.length + result.zeroDays).toBeGreaterThanOrEqual(27);
    const child = file.plan.hikers.findIndex(({ id }) => id === "child");
    expect(Math.max(...result.legs.map((leg) => leg.hikers[child]!.heaviestKg))).toBeLessThan(4);
  });

  test("pans and dunes: three weeks, more than eight litres at a time, and no night of frost in the mean", () => {
    const { result } = of("pans-and-dunes");
    expect(result.walkDays).toBeGreaterThanOrEqual(18);
    expect(Math.max(...result.legs[0]!.hikers[0]!.carries.map(({ litres }) => litres))).toBeGreaterThan(8);
    expect(Math.min(...result.days.map(({ lowC }) => lowC))).toBeGreaterThan(0);
  });

  test("into the frost: August to November, each month colder, all food in boxes of one post", () => {
    const { result, file } = of("into-the-frost");
    expect(result.finishDate.slice(0, 7)).toBe("2027-11");
    const nights = result.legs.map(({ coldNightC }) => coldNightC);
    expect(nights.at(-1)!).toBeLessThan(nights[0]! - 10);
    expect(boxesOf(file.plan, result).filter(({ foodG }) => foodG > 0)).toHaveLength(11);
  });

  test("two halves: the lower half first, fords judged, and spikes that wait on the snow", () => {
    const { result, file } = of("two-halves");
    expect(result.legs.map(({ fromStopId }) => fromStopId)).toEqual(["mid", "north-hut", "mid", "south-hut"]);
    expect(result.fords.length).toBe(3);
    expect(file.plan.decisions[0]!.condition?.of).toBe("snow-over");
    expect(Math.max(...result.legs.map(({ snowM }) => snowM))).toBeGreaterThan(500);
  });
});
