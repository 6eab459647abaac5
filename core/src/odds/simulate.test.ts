import { describe, expect, test } from "vitest";
import fc from "fast-check";
import { errorFunction, mean, standardDeviation } from "simple-statistics";
import { arbitraryPlan, runs as runsOf } from "../../test/arbitraryPlan.ts";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, planSchema, type Plan } from "../index.ts";
import { normal, normalOf, stratified, uniform, wilson } from "../units/draws.ts";
import { reserveOdds, TRIED_RESERVES } from "./reserves.ts";
import { hikeOf, planOfHike } from "./hike.ts";
import { FOOD_BY } from "./laws.ts";
import { laterBy, prepare, TROUBLES, walkHikes } from "./hikes.ts";
import { joinHikes } from "./record.ts";
import { simulate, simulateInParts, tellOdds } from "./simulate.ts";
import { TRUST_GROUPS, trustOf } from "./trust.ts";

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
    for (const { legIndex, chances, foodShortKg, heaviestKg } of odds.legs) {
      const { reserveKg, forLaterKg } = result.legs[legIndex]!.hikers[0]!.food;
      expect(foodShortKg).toBeCloseTo(-(reserveKg + forLaterKg), 2);
      expect(TROUBLES.filter((trouble) => chances[trouble].found > 0)).toEqual([]);
      expect(heaviestKg).toBeCloseTo(result.legs[legIndex]!.hikers[0]!.heaviestKg, 2);
    }
  });

  test("the same seed gives the same answer, another one another", () => {
    const plan = withReserve(0.1);
    const result = computePlan(plan, tracks);
    expect(simulate(plan, result, { runs: 200, seed: 4 })).toEqual(simulate(plan, result, { runs: 200, seed: 4 }));
    expect(simulate(plan, result, { runs: 200, seed: 4 })).not.toEqual(simulate(plan, result, { runs: 200, seed: 5 }));
  });

  test("food eaten up: the share of hikes meets the closed form of hikes and days", () => {
    const plan = planOf({ ...withReserve(0), odds: { energyHike: 0.25, energyDay: 0.15, noticed: 0.5 } });
    const result = computePlan(plan, tracks);
    const odds = simulate(plan, result, { runs: 4000, varied: ["energy"] });
    const expectedOf = (legIndex: number): number => {
      const { eatenKg, startKg, mealDays } = result.legs[legIndex]!.hikers[0]!.food;
      const days = result.days.filter((day) => day.legIndex === legIndex);
      const sum = days.reduce((all, { energyKcal }) => all + energyKcal[0]!, 0);
      const shares = days.map(({ energyKcal }) => energyKcal[0]! / sum);
      // Spread of the leg's mean factor: the hike's own, and days with r 0.3 between them by their shares; food answers by 0.6.
      // Of the hike's own, half is bought after two resupplies; who is short by less than half a day at nine tenths is not.
      let variance = (0.25 * (1 - 0.5 * Math.min(1, legIndex / 2))) ** 2;
      for (const [i, a] of shares.entries())
        for (const [k, b] of shares.entries()) variance += a * b * 0.15 ** 2 * 0.3 ** Math.abs(i - k);
      const enoughKg = startKg + (0.5 * eatenKg) / mealDays;
      return 1 - normalShare(Math.log(enoughKg / (0.9 * eatenKg)) / (0.6 * Math.sqrt(variance)));
    };
    for (const { legIndex, chances } of odds.legs) {
      const { food } = chances;
      expect(Math.abs(food.found / food.runs - expectedOf(legIndex))).toBeLessThan(0.03);
    }
    expect(expectedOf(0)).toBeGreaterThan(0.05);
    expect(odds.short.any.found).toBeGreaterThanOrEqual(odds.somewhere.food.found);
    expect(odds.somewhere.food.found).toBeGreaterThanOrEqual(odds.short.aDay.found);
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
    const share = odds.legs[0]!.chances.cold.found / 4000;
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
    expect(odds.legs[0]!.chances.water.found / 4000).toBeCloseTo(0.4, 1);
    expect(odds.legs[1]!.chances.water.found).toBe(0);
  });

  test("more in reserve never raises a chance of running short; a slower spread of paces widens the arrival", () => {
    let before = 1;
    for (const reserve of [0, 0.05, 0.1, 0.2, 0.3]) {
      const plan = withReserve(reserve);
      const odds = simulate(plan, computePlan(plan, tracks), { runs: 500 });
      const share = Math.max(...odds.legs.map(({ chances: { food } }) => food.found / food.runs));
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
    expect(rows.find(({ reserveDays }) => reserveDays === 2)!.somewhere).toEqual(odds.somewhere.food);
  });

  test("are the same whoever walks them: whole, in parts, in any order", () => {
    const plan = withReserve(0.1);
    const result = computePlan(plan, tracks);
    const prepared = prepare(plan, result, { runs: 90, seed: 3 });
    const whole = walkHikes(prepared);
    const parts = [walkHikes(prepared, 60, 90), walkHikes(prepared, 0, 17), walkHikes(prepared, 17, 60)];
    expect(joinHikes(parts)).toEqual(whole);
    expect(tellOdds(result, joinHikes(parts))).toEqual(simulate(plan, result, { runs: 90, seed: 3 }));
    const steps = [...simulateInParts(plan, result, { runs: 90, seed: 3, partRuns: 40 })];
    expect(steps.map(({ done }) => done)).toEqual([40 / 90, 80 / 90, 1]);
    expect(steps.at(-1)!.odds).toEqual(tellOdds(result, whole));
  });

  test("a door that closes at noon is found shut in as many hikes as arrive later; a shut house in its share", () => {
    const stops = [stopOf("a", 100_000, { services: ["shop-full", "bed"], opensH: 6, closesH: 23.9, nights: 0 })];
    const always = planOf({ ...parts, stops, odds: { shutFraction: 0.2 } });
    const shutOf = (plan: Plan, varied: readonly ("stops" | "pace")[]): number =>
      simulate(plan, computePlan(plan, tracks), { runs: 4000, varied }).legs[0]!.chances.shut.found / 4000;
    expect(shutOf(always, ["stops"])).toBeCloseTo(0.2, 1);
    expect(shutOf(always, [])).toBe(0);
    const result = computePlan(always, tracks);
    const arrivesH = result.days.findLast(({ legIndex }) => legIndex === 0)!.endClockH;
    // It shuts a little after the planned arrival: about half of the hikes come after that, some of them the next morning.
    const narrow = planOf({ ...parts, stops: [{ ...stops[0]!, opensH: arrivesH - 2, closesH: arrivesH + 0.3 }] });
    const share = shutOf(narrow, ["pace"]);
    expect(share).toBeGreaterThan(0.2);
    expect(share).toBeLessThan(0.8);
  });

  test("an arrival that is later by days comes at the hour of its share of the walking day", () => {
    const door = { arrives: { day: 100, clockH: 15 }, wakesH: 7, sleepsH: 17 };
    expect(laterBy(door, 0)).toEqual({ day: 100, clockH: 15 });
    expect(laterBy(door, 0.1)).toEqual({ day: 100, clockH: 16 });
    expect(laterBy(door, 0.5)).toEqual({ day: 101, clockH: 10 });
    expect(laterBy(door, -0.9)).toEqual({ day: 99, clockH: 16 });
  });

  test("pieces fail by the exponential law of their way, shoes by their own", () => {
    const km = 300;
    const kit = [pieceOf("tent", 1000, { role: "shelter" }), pieceOf("bottles", 80, { role: "bottle", capacityL: 8 })];
    const failsIn = (more: Record<string, unknown>): number => {
      const plan = planOf({ ...parts, stops: [], kit: [...kit, ...((more.kit as []) ?? [])], odds: more.odds ?? {} });
      const { chances } = simulate(plan, computePlan(plan, tracks), { runs: 4000, varied: ["gear"] }).legs[0]!;
      return chances.gear.found / 4000;
    };
    expect(failsIn({ odds: { failuresPer1000Km: 1 } })).toBeCloseTo(1 - Math.exp(-km / 1000), 1);
    expect(failsIn({ odds: { failuresPer1000Km: 0 } })).toBe(0);
    const shoes = pieceOf("shoes", 700, { role: "shoes", wear: "worn", meanLifeM: 300_000, wornM: 150_000 });
    const worn = failsIn({ odds: { failuresPer1000Km: 0 }, kit: [shoes] });
    expect(worn).toBeGreaterThan(0.8);
  });

  test("wet days come as often as their chance says, and the spread of lows stays that of the plan", () => {
    const plan = withReserve(0.1);
    const result = computePlan(plan, tracks);
    const hikes = walkHikes(prepare(plan, result, { runs: 2000, varied: ["weather"] }));
    const expected = result.days.reduce((sum, { wetChance }) => sum + wetChance, 0);
    expect(mean([...hikes.wetDays]) / expected).toBeCloseTo(1, 1);
  });

  test("stated ranges hold what happens: of 200 true hikers, the nine-in-ten range of arrival holds 85 to 95 in 100", () => {
    const plan = withReserve(0.1);
    const result = computePlan(plan, tracks);
    const simulated = walkHikes(prepare(plan, result, { runs: 2000, seed: 11 }));
    const legs = simulated.legCount;
    const late = (hikes: typeof simulated, run: number): number => hikes.lateDays[run * legs + legs - 1]!;
    const sorted = Array.from({ length: 2000 }, (_, run) => late(simulated, run)).sort((a, b) => a - b);
    const [low, high] = [sorted[100]!, sorted[1899]!];
    // Each world has a luck of its own, none of which was seen before.
    const truths = Array.from({ length: 200 }, (_, world) =>
      walkHikes(prepare(plan, result, { runs: 2, seed: 1000 + world }), 0, 1),
    );
    const inside = truths.filter((one) => late(one, 0) >= low && late(one, 0) <= high).length;
    expect(inside / 200).toBeGreaterThanOrEqual(0.85);
    expect(inside / 200).toBeLessThanOrEqual(0.95);
  });

  test("one hike is told as it was walked, and as a plan has its pace, its need and its rest days", () => {
    const plan = withReserve(0.1);
    const result = computePlan(plan, tracks);
    const hikes = walkHikes(prepare(plan, result, { runs: 400 }));
    const odds = tellOdds(result, hikes);
    const [run] = odds.legs[0]!.examples.food!;
    const hike = hikeOf(plan, result, run!, { runs: 400 });
    expect(hike.legs[0]!.troubles).toContain("food");
    expect(hike.legs[0]!.foodLeftKg).toBe(Math.min(...hikes.foodLeftKg.filter((_, i) => i % hikes.legCount === 0)));
    expect(hike.legs.reduce((sum, { restDays }) => sum + restDays, 0)).toBe(hike.illDays);
    const then = planOfHike(plan, result, hike, 0);
    expect(then.hikers[0]!.pace.speedFactor).toBeCloseTo(plan.hikers[0]!.pace.speedFactor * hike.pace, 9);
    expect(then.hikers[0]!.pace.effortFactor).toBeCloseTo(plan.hikers[0]!.pace.effortFactor * hike.energy, 9);
    const nights = (of: Plan): number => of.stops.reduce((sum, stop) => sum + stop.nights, 0);
    const between = hike.legs.slice(0, -1).reduce((sum, { restDays }) => sum + restDays, 0);
    expect(nights(then) - nights(plan)).toBe(between);
    expect(planSchema.safeParse(then).success).toBe(true);
    const hungriest = hikes.energy.reduce((best, one, i) => (one > hikes.energy[best]! ? i : best), 0);
    const hungry = planOfHike(plan, result, hikeOf(plan, result, hungriest, { runs: 400 }), 0);
    const perDay = (of: Plan): number => computePlan(of, tracks).days[1]!.energyKcal[0]!;
    expect(perDay(hungry)).toBeGreaterThan(1.1 * perDay(plan));
  });

  test("a hike where luck is switched off in the plan keeps to the plan there", () => {
    const plan = planOf({ ...parts, odds: { fixed: ["pace", "illness", "snow"], energyHike: 0.4 } });
    const result = computePlan(plan, tracks);
    const odds = simulate(plan, result, { runs: 100 });
    expect(odds.finish).toEqual([result.finishDate, result.finishDate, result.finishDate]);
    expect(odds.drivers).toEqual([]);
    expect(odds.somewhere.food.found).toBeGreaterThan(0);
  });

  test("food answers to pace and need as the plan itself does, computed anew with either a tenth off", () => {
    const plan = planOf({ ...parts, hikers: [hikerOf({ food: { reserveFraction: 0, reserveDays: 0 } })] });
    const eatenKg = (change: object): number => {
      const hikers = plan.hikers.map((hiker) => ({ ...hiker, pace: { ...hiker.pace, ...change } }));
      return computePlan({ ...plan, hikers }, tracks).legs.reduce((sum, leg) => sum + leg.hikers[0]!.food.eatenKg, 0);
    };
    const answers = (more: number, less: number, factor: number): number => Math.log(more / less) / Math.log(factor);
    const bySlowness = answers(eatenKg({ speedFactor: 0.9 }), eatenKg({ speedFactor: 1.1 }), 1.1 / 0.9);
    const byEffort = answers(eatenKg({ effortFactor: 1.1 }), eatenKg({ effortFactor: 0.9 }), 1.1 / 0.9);
    expect(Math.abs(bySlowness - FOOD_BY.pace)).toBeLessThan(0.2);
    expect(Math.abs(byEffort - FOOD_BY.need)).toBeLessThan(0.2);
  });

  test("ten hikes walked by the true model come as late as the simulated ones, to a day in twenty", () => {
    const plan = planOf({ ...parts, odds: { paceDay: 0 } });
    const result = computePlan(plan, tracks);
    const options = { runs: 10, varied: ["pace"] as const };
    const planned = result.days.length;
    for (let run = 0; run < 10; run++) {
      const hike = hikeOf(plan, result, run, options);
      const truth = computePlan(planOfHike(plan, result, hike, 0), tracks);
      const days = (Date.parse(truth.finishDate) - Date.parse(result.finishDate)) / 86_400_000;
      expect(Math.abs(days - hike.legs.at(-1)!.lateDays)).toBeLessThanOrEqual(Math.max(1.5, planned / 20));
    }
  });

  test("what a figure’s spread comes from: shares of one, models among them, and nothing of what is fixed", () => {
    const plan = withReserve(0.1);
    const result = computePlan(plan, tracks);
    const steps = [...trustOf(plan, result, 0, (then) => computePlan(then, tracks))];
    expect(steps.map(({ done }) => done)).toEqual(steps.map((_, i) => (i + 1) / steps.length));
    const rows = steps.at(-1)!.trust!;
    for (const { shares, sd } of rows) {
      const sum = TRUST_GROUPS.reduce((all, group) => all + shares[group], 0);
      expect(sd > 0 ? sum : 1).toBeCloseTo(1, 9);
    }
    const food = rows.find(({ figure, legIndex }) => figure === "food" && legIndex === 1)!;
    expect(food.shares.model).toBeGreaterThan(0.05);
    expect(food.shares.person).toBeGreaterThan(0.05);
    const fixed = planOf({ ...parts, odds: { fixed: ["pace", "energy", "thirst", "fuel", "charge", "illness"] } });
    const without = [...trustOf(fixed, computePlan(fixed, tracks), 0, (then) => computePlan(then, tracks))].at(
      -1,
    )!.trust!;
    expect(Math.max(...without.map(({ shares }) => shares.person))).toBeLessThan(1e-9);
  });

  test("of any plan there are chances between nothing and one, within their intervals", () => {
    fc.assert(
      fc.property(arbitraryPlan, ({ plan, tracks: lines }) => {
        const result = computePlan(plan, lines);
        const odds = simulate(plan, result, { runs: 40 });
        expect(odds.legs).toHaveLength(result.legs.length);
        for (const { chances, days, foodShortKg, heaviestKg } of odds.legs) {
          for (const { found, runs, low, high } of Object.values(chances)) {
            expect(found / runs).toBeGreaterThanOrEqual(low - 1e-12);
            expect(found / runs).toBeLessThanOrEqual(high + 1e-12);
          }
          expect(days[0]).toBeLessThanOrEqual(days[2]);
          expect(Number.isFinite(foodShortKg + heaviestKg)).toBe(true);
        }
        expect(odds.finish[0] <= odds.finish[2]).toBe(true);
      }),
      { numRuns: runsOf(40) },
    );
  });
});

/** Share of the normal distribution below. */
const normalShare = (z: number): number => 0.5 * (1 + errorFunction(z / Math.SQRT2));
