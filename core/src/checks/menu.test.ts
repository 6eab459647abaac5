/** What a bag by menus is warned of. */
import { expect, test } from "vitest";
import { hikerOf, planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { keepsDaysAt } from "../food/keeping.ts";
import { startingFoods, startingMenus } from "../food/starting.ts";
import { computePlan } from "../session/session.ts";
import type { Menu, Plan } from "../plan/schema.ts";
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

const tracks = [trackNorth({ lengthM: 300_000 })];

function planFor(
  [lowC, highC]: [number, number],
  hiker: Record<string, unknown>,
  menus: readonly Menu[] = startingMenus(),
  over: Record<string, unknown> = {},
): Plan {
  return planOf({
    foods: startingFoods(),
    menus,
    ...over,
    hikers: [hikerOf({ menus: { defaultId: "menu-cooked" }, ...hiker })],
    climate: { stations: [stationOf(lowC, highC)] },
    stops: [stopOf("shop", 150_000, { nights: 1, services: ["shop-small", "bed", "meals"] })],
  });
}

function found(code: CheckCode, ...given: Parameters<typeof planFor>): Check[] {
  return computePlan(planFor(...given), tracks).checks.filter((check) => check.code === code);
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

test("less salt than the sweat of a warm leg takes, and nothing is said in the cool or of a salty menu", () => {
  const plain = startingFoods().find(
    ({ sodiumMg, energyKcal, parts }) => parts.length + sodiumMg < 5 && energyKcal > 0,
  )!;
  const menuOf = (drinks: Menu["meals"]["drinks"]): Menu[] => [
    {
      id: "menu-cooked",
      name: "Plain",
      meals: { breakfast: [], way: [{ id: "w", foodId: plain.id, massG: 500, grows: true }], dinner: [], drinks },
    },
  ];
  const [warm] = found("salt-low", [18, 34], {}, menuOf([]));
  expect(warm).toMatchObject({ severity: "note", legIndex: 0 });
  if (warm?.code !== "salt-low") return;
  expect(warm.have).toBeLessThan(0.3);
  // 40 mmol of 22.99 mg a litre, four fifths of what is drunk walking.
  const leg = computePlan(planFor([18, 34], {}, menuOf([])), tracks).legs[0]!;
  const walkingL = leg.hikers[0]!.carries.reduce((sum, carry) => sum + carry.walkingL, 0);
  expect(warm.limit).toBeCloseTo((0.04 * 22.99 * 0.8 * walkingL) / leg.dayCount, 1);
  expect(found("salt-low", [-2, 12], {}, menuOf([]))).toEqual([]);
  expect(found("salt-low", [18, 34], {}, menuOf([{ id: "s", foodId: "salt", massG: 40, grows: false }]))).toEqual([]);
});

test("a fire ban is no trouble for a stove without a valve that stays unlit on its days", () => {
  const ban = { id: "ban", name: "Dry forest", fromM: 60_000, toM: 90_000, kind: "rule", rule: "fire-ban" };
  const hiker = { stove: { fuel: "alcohol" } };
  const over = { stretches: [ban] };
  const [lit] = found("fire-ban", [5, 15], hiker, startingMenus(), over);
  expect(lit).toMatchObject({ severity: "blocker", stretch: "Dry forest" });
  const menus = { defaultId: "menu-cooked", noFlameId: "menu-soaked" };
  expect(found("fire-ban", [5, 15], { ...hiker, menus }, startingMenus(), over)).toEqual([]);
  const { days, profile } = computePlan(planFor([5, 15], { ...hiker, menus }, startingMenus(), over), tracks);
  const eaten = days.filter(({ menus: [menu] }) => menu?.menuId === "menu-soaked");
  // Sixty kilometres from the start, 30 km long.
  expect(eaten.length).toBeGreaterThan(0);
  for (const { fromNode, toNode } of eaten)
    expect([fromNode * profile.cellM < 90_000, toNode * profile.cellM > 60_000]).toEqual([true, true]);
});

test("a menu of dry camps is eaten there, and its water is what is carried", () => {
  const cooked = computePlan(planFor([5, 15], {}), tracks);
  const menus = { defaultId: "menu-cooked", dryCampId: "menu-soaked" };
  const dry = computePlan(planFor([5, 15], { menus }), tracks);
  // Not a source along the trail: every camp is dry.
  expect(dry.days.filter(({ night }) => night === "camp").map(({ menus: [menu] }) => menu?.menuId)).toEqual(
    dry.days.filter(({ night }) => night === "camp").map(() => "menu-soaked"),
  );
  const litres = (result: typeof dry): number =>
    Math.max(...result.legs[0]!.hikers[0]!.carries.map((one) => one.campL));
  expect(litres(dry)).not.toBeCloseTo(litres(cooked), 1);
});

test("what a small shop does not have, only on the leg that leaves it", () => {
  const missing = found("menu-not-sold", [5, 15], {});
  expect(missing.map(({ legIndex }) => legIndex)).toEqual([1]);
  expect(missing[0]).toMatchObject({ food: expect.stringContaining("lentil") });
  expect(found("menu-not-sold", [5, 15], { menus: {} })).toEqual([]);
});
