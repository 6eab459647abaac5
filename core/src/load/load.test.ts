import { describe, expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, type PlanResult } from "../index.ts";

/** A flat walk of 100 km with one stop, cool enough that heat plays no part. */
const track = [trackNorth({ lengthM: 100_000 })];
const base = {
  climate: { stations: [stationOf(5, 15)] },
  stops: [stopOf("m", 52_000)],
  kit: [pieceOf("pack", 2000), pieceOf("cream", 100, { wear: "consumable" }), pieceOf("shoes", 900, { wear: "worn" })],
};
const result = (overrides: Record<string, unknown> = {}): PlanResult =>
  computePlan(planOf({ ...base, ...overrides }), track);
const dryHiker = hikerOf({
  water: { ratePerKmL: 0, ratePerHourL: 0, dinnerL: 0, nightL: 0, breakfastL: 0, leastL: 0 },
  stove: { fuel: "none" },
});

describe("the pack along the way", () => {
  test("without water it only gets lighter within a leg, and by what is eaten", () => {
    const { legs, packs } = result({ hikers: [dryHiker] });
    const load = packs[0]!.loadKg;
    for (const leg of legs) {
      for (let c = leg.fromNode + 1; c < leg.toNode; c++) expect(load[c]!).toBeLessThanOrEqual(load[c - 1]! + 1e-6);
      const row = leg.hikers[0]!;
      const left = row.food.reserveKg + row.food.eatenKg * 0.03;
      expect(row.endKg).toBeCloseTo(row.kit.baseKg + row.kit.consumableKg + left, 3);
      expect(row.startKg - row.endKg).toBeCloseTo(row.food.eatenKg * 0.97, 3);
    }
  });

  test("wrappers stay in the pack until the stop", () => {
    const end = (wrapperFraction: number): number =>
      result({ hikers: [{ ...dryHiker, food: { wrapperFraction } }] }).legs[0]!.hikers[0]!.endKg;
    const eaten = result({ hikers: [dryHiker] }).legs[0]!.hikers[0]!.food.eatenKg;
    expect(end(0.2) - end(0)).toBeCloseTo(0.2 * eaten, 1);
  });

  test("food is bought anew at every stop", () => {
    const { legs, packs } = result({ hikers: [dryHiker] });
    expect(packs[0]!.loadKg[legs[1]!.fromNode]!).toBeGreaterThan(packs[0]!.loadKg[legs[1]!.fromNode - 1]! + 0.5);
  });

  test("water is full at a source, falls to the reserve, and is full again at the next", () => {
    const { legs, packs, profile } = result({
      sources: [sourceOf("w", 26_000)],
      hikers: [
        hikerOf({
          water: { ratePerHourL: 0 },
          stove: { fuel: "none" },
          food: { densityKcalPerG: 9, shortfallFraction: 0.7 },
        }),
      ],
    });
    const node = Math.round(26_000 / profile.cellM);
    const [first, second] = legs[0]!.hikers[0]!.carries;
    expect(first!.toNode).toBe(node);
    const jump = packs[0]!.loadKg[node]! - packs[0]!.loadKg[node - 1]!;
    // What is left of the first carry is its reserve; what is taken on is the second carry.
    expect(Math.abs(jump - (second!.litres - first!.reserveL))).toBeLessThan(0.1);
  });

  test("the heaviest point is where a large carry begins, the mean lies between", () => {
    const { legs, profile } = result({ stops: [], sources: [sourceOf("last", 10_000)] });
    const row = legs[0]!.hikers[0]!;
    expect(row.heaviestNode * profile.cellM).toBeCloseTo(10_000, -3);
    expect(row.heaviestKg).toBeGreaterThan(row.startKg + 3);
    expect(row.meanKg).toBeGreaterThan(row.endKg);
  });

  test("a dry camp's water is gone after the night", () => {
    const hikers = [
      hikerOf({
        water: {
          ratePerKmL: 0,
          ratePerHourL: 0,
          dinnerL: 2,
          nightL: 1,
          breakfastL: 1,
          reserveFraction: 0,
          drinkAtSourceL: 0,
        },
        stove: { fuel: "none" },
      }),
    ];
    const { legs, days, packs } = result({ hikers });
    const camps = days.filter((day) => day.legIndex === 0 && day.night === "camp");
    expect(camps.length).toBeGreaterThan(0);
    expect(legs[0]!.hikers[0]!.carries[0]!.litres).toBeCloseTo(4 * camps.length, 9);
    const node = camps[0]!.toNode;
    expect(packs[0]!.loadKg[node - 1]! - packs[0]!.loadKg[node]!).toBeGreaterThan(4);
  });

  test("fuel burns at the camps: boils times grams", () => {
    const row = result({ hikers: [hikerOf({ stove: { fuel: "alcohol", boilsPerDay: 2, gramsPerBoil: 15 } })] }).legs[0]!
      .hikers[0]!;
    const { legs, days } = result();
    const nights = days.filter((day) => day.legIndex === 0 && day.night === "camp").length;
    // Dinner at every camp, breakfast after every camp; town's are not boiled.
    expect(row.fuel.boils).toBe(2 * nights);
    expect(row.fuel.needG).toBeCloseTo(2 * nights * 15, 9);
    // Alcohol is filled by need, with a tenth beyond it.
    expect(row.fuel.startKg).toBeCloseTo((1.1 * 2 * nights * 15) / 1000, 9);
    expect(legs[0]!.campNights).toBe(nights);
  });
});

describe("settling", () => {
  test("says how many rounds it took, and that it came to rest", () => {
    const { rounds, settled, lastMoveG } = result();
    expect(settled).toBe(true);
    expect(rounds).toBeLessThanOrEqual(4);
    expect(lastMoveG).toBeLessThanOrEqual(10);
  });

  test("the answer is a fixed point: walking at the loads found takes the time found", () => {
    const { legs, packs, profile } = result({ hikers: [dryHiker] });
    let hours = 0;
    for (let c = legs[0]!.fromNode; c < legs[0]!.toNode; c++)
      hours += profile.cellM / 1000 / (5.037 * 0.8 * (1 - 0.007 * packs[0]!.loadKg[c]!));
    expect(hours / legs[0]!.walkH).toBeCloseTo(1, 3);
  });

  test("an impossible load ends in a check, not in a number without end", () => {
    const { checks, legs } = result({ kit: [pieceOf("anvil", 50_000, { quantity: 5 })] });
    expect(Number.isFinite(legs[0]!.hikers[0]!.startKg)).toBe(true);
    expect(checks.find((check) => check.code === "load-over-comfort")?.severity).toBe("blocker");
  });
});
