/** What a bag by menus is warned of. */
import { expect, test } from "vitest";
import { hikerOf, planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { keepsDaysAt } from "../food/keeping.ts";
import { startingFoods, startingMenus } from "../food/starting.ts";
import { computePlan } from "../session/session.ts";
import type { Check, CheckCode } from "./index.ts";

// Table of the keeping rule: days at 20 °C, mean in °C, days.
test.each([
  [10, 10, 20],
  [10, 25, 6.325],
  [7, 30, 2.8],
  [5, 35, 1.265],
  [20, 20, 20],
  // Never longer than twice.
  [20, -10, 40],
])("%d days at 20 °C are at %d °C %d", (days, meanC, kept) => expect(keepsDaysAt(days, meanC)).toBeCloseTo(kept, 3));

function found(code: CheckCode, [lowC, highC]: [number, number], hiker: Record<string, unknown>): Check[] {
  const plan = planOf({
    foods: startingFoods(),
    menus: startingMenus(),
    hikers: [hikerOf({ menus: { usualId: "menu-cooked" }, ...hiker })],
    climate: { stations: [stationOf(lowC, highC)] },
    stops: [stopOf("shop", 150_000, { nights: 1, services: ["shop-small", "bed", "meals"] })],
  });
  return computePlan(plan, [trackNorth({ lengthM: 300_000 })]).checks.filter((check) => check.code === code);
}

test("chocolate in the heat, and not in the cool", () => {
  expect(found("food-melts", [15, 32], {})[0]).toMatchObject({
    severity: "note",
    limit: 28,
    food: expect.stringContaining("Chocolate"),
  });
  expect(found("food-melts", [2, 15], {})).toEqual([]);
});

test("bread that is mouldy before the last day of a long leg, and not in the cool", () => {
  const [hot] = found("food-spoils", [22, 36], {});
  expect(hot).toMatchObject({ severity: "caution", food: expect.stringContaining("Flat bread") });
  expect(hot?.code === "food-spoils" && hot.limit).toBeLessThan(2);
  expect(found("food-spoils", [-4, 8], {})).toEqual([]);
});

test("what is boiled without a stove", () => {
  const [cold] = found("cooked-without-stove", [5, 15], { stove: { fuel: "none" } });
  expect(cold).toMatchObject({ severity: "caution", food: expect.stringContaining("Oat, nut and milk mix") });
  expect(found("cooked-without-stove", [5, 15], {})).toEqual([]);
});

test("what a small shop does not have, only on the leg that leaves it", () => {
  const missing = found("menu-not-sold", [5, 15], {});
  expect(missing.map(({ legIndex }) => legIndex)).toEqual([1]);
  expect(missing[0]).toMatchObject({ food: expect.stringContaining("lentil") });
  expect(found("menu-not-sold", [5, 15], { menus: {} })).toEqual([]);
});
