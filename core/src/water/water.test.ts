import { describe, expect, test } from "vitest";
import { hikerOf, planOf, sourceOf, stationOf, trackNorth } from "../../test/fixtures.ts";
import { filterMinutes } from "../models/treatment.ts";
import { computePlan } from "../session/session.ts";
import { passages } from "./passage.ts";
import { isTreated, treatedLegs } from "./treat.ts";

const tracks = [trackNorth({ lengthM: 90_000 })];
const planWith = (water: Record<string, unknown>, overrides: Record<string, unknown> = {}) =>
  planOf({
    trip: { name: "t", startDate: "2027-05-01" },
    sources: [10, 30, 55, 80].map((km) => sourceOf(`w${km}`, km * 1000)),
    hikers: [hikerOf({ water })],
    climate: { stations: [stationOf(6, 18)] },
    ...overrides,
  });

describe("treating", () => {
  test("litres are what is drunk and cooked from untreated water, and minutes the filter's", () => {
    const plan = planWith({ treatment: { method: "filter", flowLpm: 1, murk: "silty" } });
    const result = computePlan(plan, tracks);
    const carries = result.legs[0]!.hikers[0]!.carries.filter((carry) => isTreated(carry, plan));
    expect(carries).toHaveLength(4);
    const litres = carries.map(({ walkingL, campL }) => walkingL + campL);
    const [leg] = treatedLegs(plan, result, 0);
    expect(leg!.litres).toBeCloseTo(litres.reduce((a, b) => a + b));
    expect(leg!.minutes).toBeCloseTo(litres.reduce((sum, one) => sum + filterMinutes(one, 1, "silty").minutes, 0));
    expect(leg).toMatchObject({ renewed: false, litresSoFar: leg!.litres });
  });

  test("taps and what came in a cache are not treated, and nothing is without a way", () => {
    const sources = [sourceOf("t", 10_000, { kind: "tap" }), sourceOf("c", 40_000, { kind: "cache" })];
    const plan = planWith({}, { sources });
    expect(treatedLegs(plan, computePlan(plan, tracks), 0)[0]).toMatchObject({ litres: 0, minutes: 0 });
    const none = planWith({ treatment: { method: "none" } });
    expect(treatedLegs(none, computePlan(none, tracks), 0)[0]).toMatchObject({ litres: 0, minutes: 0 });
  });

  test("what would not last the leg is renewed where it begins, and said", () => {
    const plan = planWith({ treatment: { lifeL: 50, usedL: 48 } });
    const result = computePlan(plan, tracks);
    const [leg] = treatedLegs(plan, result, 0);
    expect(leg!.renewed).toBe(true);
    expect(leg!.litresSoFar).toBeCloseTo(leg!.litres);
    expect(result.checks.find(({ code }) => code === "treatment-used-up")).toMatchObject({ legIndex: 0, limit: 50 });
    const fresh = planWith({ treatment: { lifeL: 50, usedL: 0 } });
    expect(computePlan(fresh, tracks).checks.some(({ code }) => code === "treatment-used-up")).toBe(false);
  });

  test("contaminated water is treated in two ways, and one way alone gives a caution", () => {
    const sources = [sourceOf("mill", 10_000, { contaminated: true }), sourceOf("spring", 50_000)];
    const withMethods = (treatment: Record<string, unknown>) => {
      const plan = planWith({ treatment }, { sources });
      const result = computePlan(plan, tracks);
      const found = result.checks.find(({ code }) => code === "contaminated-water");
      return { leg: treatedLegs(plan, result, 0)[0]!, told: found };
    };
    const one = withMethods({ method: "filter" });
    expect(one.told).toMatchObject({ severity: "caution", source: "mill", method: "filter" });
    expect(one.leg.secondL).toBe(0);
    const both = withMethods({ method: "filter", second: "dioxide" });
    expect(both.told).toBeUndefined();
    expect(both.leg.secondL).toBeGreaterThan(1);
    expect(both.leg.secondL).toBeLessThan(both.leg.litres);
    // The drops work while one walks: half an hour and more, and no minute at the water.
    expect(both.leg.minutes).toBeGreaterThan(one.leg.minutes + 29);
    expect(both.leg.handsOnMinutes).toBeCloseTo(one.leg.handsOnMinutes, 9);
    expect(withMethods({ method: "boil", second: "boil" }).told).toMatchObject({ method: "boil" });
  });

  test("standing at the water longer than the breaks is noted", () => {
    const of = (flowLpm: number) => {
      const plan = planWith({ treatment: { method: "filter", flowLpm, murk: "silty" } });
      return computePlan(plan, tracks).checks.find(({ code }) => code === "treating-long");
    };
    expect(of(0.05)).toMatchObject({ severity: "note", legIndex: 0, hikerId: "a" });
    expect(of(1.5)).toBeUndefined();
  });

  test("a wet filter in frost is told, other ways are not", () => {
    const cold = { climate: { stations: [stationOf(-6, 8)] } };
    const frost = (method: string) =>
      computePlan(planWith({ treatment: { method: method } }, cold), tracks).checks.find(
        ({ code }) => code === "filter-frost",
      );
    expect(frost("filter")).toMatchObject({ severity: "note", legIndex: 0 });
    expect(frost("lamp")).toBeUndefined();
  });
});

test("a cache that holds less than is taken from it is told", () => {
  const withLitres = (litres: number) =>
    computePlan(planWith({}, { sources: [sourceOf("c", 20_000, { kind: "cache", litres })] }), tracks).checks.find(
      ({ code }) => code === "cache-short",
    );
  expect(withLitres(1)).toMatchObject({ severity: "caution", limit: 1, source: "c" });
  expect(withLitres(100)).toBeUndefined();
});

test("sources are told on the day that one comes to them, with the last that was seen by then", () => {
  const reports = [
    { date: "2027-04-30", said: "dry" },
    { date: "2027-06-01", said: "flowing" },
  ];
  const plan = planWith({}, { sources: [sourceOf("b", 80_000), sourceOf("a", 10_000, { kind: "creek", reports })] });
  const rows = passages(plan, computePlan(plan, tracks));
  expect(rows.map(({ source }) => source.id)).toEqual(["a", "b"]);
  expect(rows[0]).toMatchObject({ date: "2027-05-01", seen: { said: "dry" } });
  expect(rows[0]!.chance).toBeLessThan(0.6);
  expect(rows[1]).toMatchObject({ chance: 1, seen: undefined });
  expect(rows[1]!.date > rows[0]!.date).toBe(true);
});

test("whether it runs and nobody says so is another thing than dry after July", () => {
  const of = (startDate: string): number[] => {
    const sources = [
      sourceOf("seasonal", 10_000, { reliable: false }),
      sourceOf("unknown", 20_000, { reliable: false, unknown: true }),
    ];
    const plan = planWith({}, { trip: { name: "T", startDate }, sources });
    return passages(plan, computePlan(plan, tracks)).map(({ chance }) => chance);
  };
  const [may, september] = [of("2027-05-15"), of("2027-09-15")];
  expect(may[0]).toBeCloseTo(0.9, 2);
  expect(september[0]).toBeCloseTo(0.2, 2);
  expect([may[1], september[1]]).toEqual([0.75, 0.75]);
});
