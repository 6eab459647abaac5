/** What a hiker reads at a source: how far to the next one, and where the nights are. */
import { expect, test } from "vitest";
import { hikerOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../session/session.ts";
import { legSheet } from "./sheet.ts";

const tracks = [trackNorth({ lengthM: 120_000, heightM: (m) => 600 + 50 * Math.sin(m / 700) })];
const plan = planOf({
  hikers: [hikerOf({})],
  stops: [stopOf("mill", 40_000, { name: "Mill" }), stopOf("pass", 70_000, { name: "Passed by", use: false })],
  sources: [
    sourceOf("a", 52_000, { name: "Spring A" }),
    sourceOf("b", 60_000, { name: "Tank B", kind: "tank", reliable: false }),
    sourceOf("c", 90_000, { name: "Spring C" }),
  ],
  camps: [{ id: "c", name: "Alder camp", trackM: 62_000 }],
  climate: { stations: [stationOf(8, 18)] },
});

test("places of the leg alone, from its start, each with the way to the next water that counts", () => {
  const result = computePlan(plan, tracks);
  const { places } = legSheet(plan, result, 1);
  const shown = places.map(({ row, fromStartM, toWaterM }) => [
    row.name,
    Math.round(fromStartM / 1000),
    toWaterM === undefined ? undefined : Math.round(toWaterM / 1000),
  ]);
  expect(shown).toEqual([
    ["Mill", 0, 12],
    ["Spring A", 12, 38],
    ["Tank B", 20, 30],
    ["Alder camp", 22, 28],
    ["Passed by", 30, 20],
    ["Spring C", 50, 30],
  ]);
});

test("its nights by date, each where the day ends and as cold as the plan says", () => {
  const camped = { ...plan, dayRules: { ...plan.dayRules, sleepAt: "camps" as const } };
  const result = computePlan(camped, tracks);
  const { nights } = legSheet(camped, result, 1);
  const days = result.days.filter((day) => day.legIndex === 1 && day.night === "camp");
  expect(nights.map(({ date }) => date)).toEqual(days.map(({ date }) => date));
  expect(nights.length).toBeGreaterThan(1);
  expect(nights.map(({ coldNightC }) => coldNightC)).toEqual(days.map(({ coldNightC }) => coldNightC));
  const at = nights.map(({ fromStartM }) => fromStartM);
  expect([...at].sort((a, b) => a - b)).toEqual(at);
  for (const night of nights)
    expect(night.campName).toBe(Math.abs(night.fromStartM - 22_000) < 150 ? "Alder camp" : undefined);
  expect(nights.some(({ campName }) => campName === "Alder camp")).toBe(true);
  expect(() => legSheet(plan, result, 9)).toThrow(RangeError);
});
