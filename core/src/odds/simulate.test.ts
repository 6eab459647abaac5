import { describe, expect, test } from "vitest";
import fc from "fast-check";
import { errorFunction, mean, standardDeviation } from "simple-statistics";
import { arbitraryPlan, runs as runsOf } from "../../test/arbitraryPlan.ts";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, type Plan } from "../index.ts";
import { normal, normalOf, stratified, uniform, wilson } from "../units/draws.ts";
import { reserveOdds, TRIED_RESERVES } from "./reserves.ts";
import { simulate } from "./simulate.ts";

const tracks = [trackNorth({ lengthM: 300_000, heightM: (m) => 300 + 100 * Math.sin(m / 3000) })];
const parts = {
  stops: [stopOf("a", 100_000, { services: ["shop-full", "bed"] }), stopOf("b", 200_000, { services: ["shop-full", "bed"] })],
  sources: Array.from({ length: 20 }, (_, i) => sourceOf(`w${i}`, 7000 + i * 15_000)),
  climate: { stations: [stationOf(6, 16)] },
  kit: [pieceOf("bottles", 80, { role: "bottle", capacityL: 8 })],
}; // prettier-ignore
const withReserve = (reserveFraction: number): Plan =>
  planOf({ ...parts, hikers: [hikerOf({ food: { reserveFraction, reserveDays: 0 } })] });

describe("draws", () => {
  test.each([
    [0.5, 0],
    [0.975, 1.959963985],
    [0.1, -1.281551566],
    [0.001, -3.090232306],
    [0.999999, 4.753424309],
  ])("the normal quantile of %f is %f", (p, z) => {
    expect(normalOf(p)).toBeCloseTo(z, 7);
  });

  test("are even, normal, and know nothing of each other", () => {
    const n = 20_000;
    const u = Array.from({ length: n }, (_, i) => uniform(7, i, 3, 11));
    expect(mean(u)).toBeCloseTo(0.5, 2);
    expect(standardDeviation(u)).toBeCloseTo(Math.sqrt(1 / 12), 2);
    const a = Array.from({ length: n }, (_, i) => normal(7, i, 1, 0));
    const b = Array.from({ length: n }, (_, i) => normal(7, i, 1, 1));
    expect(mean(a)).toBeCloseTo(0, 1);
    expect(standardDeviation(a)).toBeCloseTo(1, 1);
    expect(mean(a.map((one, i) => one * b[i]!))).toBeCloseTo(0, 1);
  });

  test("stratified draws are spread evenly and mirrored", () => {
    const draws = stratified(3, 1000, 1);
    expect(mean([...draws])).toBeCloseTo(0, 9);
    expect(standardDeviation([...draws])).toBeCloseTo(1, 2);
    expect(new Set(draws).size).toBeGreaterThan(990);
  });

  test("Wilson's interval: 50 of 1000, and none of 1000 is not never", () => {
    const some = wilson(50, 1000);
    expect(100 * some.low).toBeCloseTo(3.81, 2);
    expect(100 * some.high).toBeCloseTo(6.53, 2);
    expect(100 * wilson(0, 1000).high).toBeCloseTo(0.38, 2);
  });
});

describe("a thousand hikes", () => {
  test("with nothing varied are the plan, to ten grams and to the day", () => {
    const plan = withReserve(0.1);
    const result = computePlan(plan, tracks);
    const odds = simulate(plan, result, { runs: 50, varied: [] });
    expect(odds.finish).toEqual([result.finishDate, result.finishDate, result.finishDate]);
    for (const { legIndex, food, fuel, water, cold, foodShortKg } of odds.legs) {
      const { reserveKg, forLaterKg } = result.legs[legIndex]!.hikers[0]!.food;
      expect(foodShortKg).toBeCloseTo(-(reserveKg + forLaterKg), 2);
      expect([food.found, fuel.found, water.found, cold.found]).toEqual([0, 0, 0, 0]);
    }
  });

  test("the same seed gives the same answer, another one another", () => {
    const plan = withReserve(0.1);
    const result = computePlan(plan, tracks);
    expect(simulate(plan, result, { runs: 200, seed: 4 })).toEqual(simulate(plan, result, { runs: 200, seed: 4 }));
    expect(simulate(plan, result, { runs: 200, seed: 4 })).not.toEqual(simulate(plan, result, { runs: 200, seed: 5 }));
  });

  test("food eaten up: the share of hikes meets the closed form of hikes and days", () => {
    const plan = withReserve(0.1);
    const result = computePlan(plan, tracks);
    const odds = simulate(plan, result, { runs: 4000, varied: ["energy"] });
    for (const { legIndex, food } of odds.legs) {
      const { eatenKg, startKg } = result.legs[legIndex]!.hikers[0]!.food;
      const days = result.days.filter((day) => day.legIndex === legIndex);
      const sum = days.reduce((all, { energyKcal }) => all + energyKcal[0]!, 0);
      const shares = days.map(({ energyKcal }) => energyKcal[0]! / sum);
      // Spread of the leg's mean factor: the hike's own, and days with r 0.3 between them by their shares.
      let variance = 0.12 ** 2;
      for (const [i, a] of shares.entries())
        for (const [k, b] of shares.entries()) variance += a * b * 0.15 ** 2 * 0.3 ** Math.abs(i - k);
      const z = Math.log(startKg / eatenKg) / Math.sqrt(variance);
      const expected = 1 - normalShare(z);
      expect(Math.abs(food.found / food.runs - expected)).toBeLessThan(0.03);
    }
  });

  test("a night colder than the kit: the share of hikes meets the normal distribution", () => {
    const kit = [
      ...parts.kit,
      pieceOf("bag", 900, { role: "bag", comfortC: 6, limitC: 1 }),
      pieceOf("pad", 400, { role: "pad", padR: 4 }),
      pieceOf("tent", 1200, { role: "shelter" }),
    ];
    const plan = planOf({ ...parts, kit });
    const result = computePlan(plan, tracks);
    const odds = simulate(plan, result, { runs: 4000, varied: ["weather"] });
    const [leg] = result.legs;
    const standsC = leg!.kitNightC - leg!.hikers[0]!.warmth!.marginK;
    const nights = result.days.filter(({ legIndex, outside }) => legIndex === 0 && outside);
    const single = nights.map(({ lowC, nightSdK }) => normalShare((standsC - lowC) / nightSdK));
    const share = odds.legs[0]!.cold.found / 4000;
    // Between that of the coldest night alone and that of nights that know nothing of each other.
    expect(share).toBeGreaterThan(Math.max(...single) - 0.02);
    expect(share).toBeLessThan(1 - single.reduce((all, p) => all * (1 - p), 1) + 0.02);
    expect(share).toBeGreaterThan(0);
  });

  test("a source that has water in six of ten years leaves one dry in four of ten", () => {
    // The next is eight hours further: no thirst reaches so far.
    const sources = [0, 1, 2].map((i) =>
      sourceOf(`s${i}`, 20_000 + 25_000 * i, i === 1 ? { reliable: false, chanceByMonth: Array(12).fill(0.6) } : {}),
    );
    const hiker = hikerOf({ water: { leastChance: 0.5, reserveFraction: 0, leastL: 0 } });
    const plan = planOf({ ...parts, sources, hikers: [hiker] });
    const odds = simulate(plan, computePlan(plan, tracks), { runs: 4000, varied: ["sources"] });
    expect(odds.legs[0]!.water.found / 4000).toBeCloseTo(0.4, 1);
    expect(odds.legs[1]!.water.found).toBe(0);
  });

  test("more in reserve never raises a chance of running short; a slower spread of paces widens the arrival", () => {
    let before = 1;
    for (const reserve of [0, 0.05, 0.1, 0.2, 0.3]) {
      const plan = withReserve(reserve);
      const odds = simulate(plan, computePlan(plan, tracks), { runs: 500 });
      const share = Math.max(...odds.legs.map(({ food }) => food.found / food.runs));
      expect(share).toBeLessThanOrEqual(before);
      before = share;
    }
    const plan = withReserve(0.1);
    const result = computePlan(plan, tracks);
    const spread = (varied: readonly ("pace" | "illness")[]): number => {
      const [first, , last] = simulate(plan, result, { runs: 1000, varied }).finish;
      return Date.parse(last) - Date.parse(first);
    };
    expect(spread([])).toBe(0);
    expect(spread(["pace"])).toBeGreaterThan(0);
    expect(spread(["pace", "illness"])).toBeGreaterThanOrEqual(spread(["pace"]));
    const { drivers } = simulate(plan, result, { runs: 1000, varied: ["pace"] });
    expect(drivers).toEqual([{ what: "pace", share: expect.closeTo(1, 0) as number }]);
  });

  test("reserves are tried as plans of their own: each larger one is heavier and runs out less often", () => {
    const plan = withReserve(0.05);
    const rows = [...reserveOdds(plan, 0, (then) => computePlan(then, tracks), 400)];
    expect(rows.map(({ reserveDays, isNow }) => [reserveDays, isNow])).toEqual([
      [0, true],
      ...TRIED_RESERVES.map((days) => [days, false]),
    ]);
    for (const [i, row] of rows.entries()) {
      expect(row.somewhere.found).toBeGreaterThanOrEqual(row.worst.found);
      if (i < 2) continue;
      expect(row.somewhere.found).toBeLessThanOrEqual(rows[i - 1]!.somewhere.found);
      expect(row.heaviestKg).toBeGreaterThan(rows[i - 1]!.heaviestKg);
    }
    const taken = planOf({ ...parts, hikers: [hikerOf({ food: { reserveFraction: 0, reserveDays: 2 } })] });
    const odds = simulate(taken, computePlan(taken, tracks), { runs: 400 });
    expect(rows.find(({ reserveDays }) => reserveDays === 2)!.somewhere).toEqual(odds.foodSomewhere);
  });

  test("of any plan there are chances between nothing and one, within their intervals", () => {
    fc.assert(
      fc.property(arbitraryPlan, ({ plan, tracks: lines }) => {
        const result = computePlan(plan, lines);
        const odds = simulate(plan, result, { runs: 40 });
        expect(odds.legs).toHaveLength(result.legs.length);
        for (const { food, fuel, water, cold, days, foodShortKg } of odds.legs) {
          for (const { found, runs, low, high } of [food, fuel, water, cold]) {
            expect(found / runs).toBeGreaterThanOrEqual(low - 1e-12);
            expect(found / runs).toBeLessThanOrEqual(high + 1e-12);
          }
          expect(days[0]).toBeLessThanOrEqual(days[2]);
          expect(Number.isFinite(foodShortKg)).toBe(true);
        }
        expect(odds.finish[0] <= odds.finish[2]).toBe(true);
      }),
      { numRuns: runsOf(40) },
    );
  });
});

/** Share of the normal distribution below. */
const normalShare = (z: number): number => 0.5 * (1 + errorFunction(z / Math.SQRT2));
