import { expect, test } from "vitest";
import { hikerOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { startingFoods, startingMenus } from "../food/starting.ts";
import { computePlan } from "../session/session.ts";
import { compareMenus } from "./menus.ts";

const tracks = [trackNorth({ lengthM: 200_000 })];
const plan = planOf({
  foods: startingFoods(),
  menus: startingMenus(),
  hikers: [
    hikerOf({
      id: "a",
      menus: { defaultId: "menu-cooked", coldId: "menu-cold", coldBelowC: 40, days: [], legs: [] },
    }),
    hikerOf({ id: "b", menus: { defaultId: "menu-soaked" } }),
  ],
  stops: [stopOf("shop", 90_000, { nights: 1, services: ["shop-full", "bed", "meals"] })],
});

test("every menu is told as the plan tells it once it is eaten everywhere", () => {
  const rows = [...compareMenus(plan, "a", (other) => computePlan(other, tracks))];
  expect(rows.map(({ menuId }) => menuId)).toEqual(plan.menus.map(({ id }) => id));
  for (const row of rows) {
    const eaten = structuredClone(plan);
    eaten.hikers[0]!.menus = { defaultId: row.menuId, coldBelowC: 3, legs: [], days: [] };
    const legs = computePlan(eaten, tracks).legs.map(({ hikers }) => hikers[0]!);
    expect(row.foodKg).toBeCloseTo(
      legs.reduce((sum, { food }) => sum + food.eatenKg, 0),
      9,
    );
    expect(row.heaviestKg).toBe(Math.max(...legs.map(({ heaviestKg }) => heaviestKg)));
    expect(row.money).toBeGreaterThan(0);
  }
  const of = (id: string) => rows.find(({ menuId }) => menuId === id)!;
  expect(of("menu-soaked").fuelKg).toBe(0);
  expect(of("menu-cooked").fuelKg).toBeGreaterThan(0.05);
});

test("of a hiker who is not there nothing is told", () => {
  expect([...compareMenus(plan, "nobody", (other) => computePlan(other, tracks))]).toEqual([]);
});
