/** Food and fuel carried past stops that sell none. */
import { describe, expect, test } from "vitest";
import { hikerOf, planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../session/session.ts";
import type { LegHiker, LegResult } from "../result/result.ts";
import { forLater } from "./ahead.ts";

test("amounts of the legs up to the next stop that sells", () => {
  expect(forLater([5, 3, 2, 7], [true, true, true, true])).toEqual([0, 0, 0, 0]);
  expect(forLater([5, 3, 2, 7], [true, false, false, true])).toEqual([5, 2, 0, 0]);
  expect(forLater([5, 3, 2, 7], [true, false, true, false])).toEqual([3, 0, 7, 0]);
});

describe("past a stop with a bed and nothing else", () => {
  const flat = [trackNorth({ lengthM: 120_000 })];
  const legs = (services: string[], stove: Record<string, unknown> = {}): LegResult[] =>
    computePlan(
      planOf({
        stops: [stopOf("m", 60_000, { services })],
        hikers: [hikerOf({ stove })],
        climate: { stations: [stationOf(8, 18)] },
      }),
      flat,
    ).legs;
  const rows = (...given: Parameters<typeof legs>): LegHiker[] => legs(...given).map(({ hikers }) => hikers[0]!);

  test("the first leg carries the second's food, and one reserve for both", () => {
    const [first, second] = rows(["bed"]);
    const apart = rows(["bed", "shop-small"]);
    expect(first!.food.forLaterKg).toBeCloseTo(second!.food.eatenKg, 9);
    expect(first!.food.reserveKg).toBe(second!.food.reserveKg);
    expect(second!.food.startKg).toBeCloseTo(second!.food.eatenKg + second!.food.reserveKg, 9);
    expect(first!.startKg - apart[0]!.startKg).toBeGreaterThan(second!.food.eatenKg - 0.2);
    expect(first!.endKg).toBeGreaterThan(second!.food.startKg);
    expect(apart[0]!.food.forLaterKg).toBe(0);
    expect(rows(["post"])[0]!.food.forLaterKg).toBe(0);
  });

  test("and its gas in canisters, none of them bought on the way", () => {
    // Boils enough for a can on each leg.
    const stove = { boilsPerDay: 6, containerNetG: 100 };
    const [first, second] = rows(["bed"], stove);
    expect(first!.fuel.laterG).toBeCloseTo(second!.fuel.needG, 9);
    expect(second!.fuel.bought).toBe(0);
    expect(second!.fuel.openG).toBeCloseTo(first!.fuel.endG, 6);
    expect(first!.fuel.bought * 100).toBeGreaterThanOrEqual(first!.fuel.needG + second!.fuel.needG);
    expect(second!.fuel.containers).toBe(Math.ceil(second!.fuel.openG / 100));
    expect(second!.fuel.endG).toBeGreaterThanOrEqual(0);
    expect(rows(["bed", "outfitter"], stove)[0]!.fuel.laterG).toBe(0);
  });

  test("alcohol too, with a tenth beyond the need of both", () => {
    const [first, second] = rows(["bed"], { fuel: "alcohol" });
    expect(1000 * first!.fuel.startKg).toBeCloseTo(1.1 * (first!.fuel.needG + second!.fuel.needG), 6);
    expect(1000 * second!.fuel.startKg).toBeCloseTo(first!.fuel.endG, 6);
  });

  test("says so of the leg", () => {
    expect(legs(["bed"]).map(({ foodSold, fuelSold }) => [foodSold, fuelSold])).toEqual([
      [true, true],
      [false, false],
    ]);
    expect(legs(["post"])[1]).toMatchObject({ foodSold: true, fuelSold: false });
  });
});
