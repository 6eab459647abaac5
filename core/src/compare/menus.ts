/** The same hike with each menu eaten on every day: what each would mean, by the true model. */
import { legBags } from "../bag/legBag.ts";
import { buildPantry } from "../food/figures.ts";
import type { Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";

export interface MenuOnHike {
  menuId: string;
  /** Of the hiker, out of all bags: kilograms eaten, litres of the fullest bag. */
  foodKg: number;
  mostL: number;
  fuelKg: number;
  /** Water for the camps, carried to them. */
  campL: number;
  /** Of what was in the bags. */
  money: number;
  /** The pack at its heaviest, and carried over the hike. */
  heaviestKg: number;
  kgKm: number;
}

/** One at a time, so that whoever asks can stop between them. Menus of cold days, legs and dates are left out of it. */
export function* compareMenus(
  plan: Plan,
  hikerId: string,
  compute: (plan: Plan) => TripFigures,
): Generator<MenuOnHike> {
  const who = plan.hikers.findIndex(({ id }) => id === hikerId);
  const pantry = buildPantry(plan.foods);
  if (who < 0) return;
  for (const { id: menuId } of plan.menus) {
    const hikers = plan.hikers.map((hiker, h) =>
      h === who ? { ...hiker, menus: { defaultId: menuId, coldBelowC: 0, legs: [], days: [] } } : hiker,
    );
    const all = { ...plan, hikers };
    const result = compute(all);
    const rows = result.legs.map((leg) => leg.hikers[who]!);
    const sum = (of: (row: (typeof rows)[number], leg: number) => number): number =>
      rows.reduce((total, row, leg) => total + of(row, leg), 0);
    yield {
      menuId,
      foodKg: sum(({ food }) => food.eatenKg),
      mostL: Math.max(0, ...rows.map(({ food }) => food.startKg / food.bulkKgPerL)),
      fuelKg: sum(({ fuel }) => fuel.needG) / 1000,
      campL: sum(({ carries }) => carries.reduce((litres, { campL }) => litres + campL, 0)),
      money: legBags(all, result, who, pantry).reduce((total, { figures }) => total + figures.price, 0),
      heaviestKg: Math.max(0, ...rows.map(({ heaviestKg }) => heaviestKg)),
      kgKm: sum(({ meanKg }, leg) => (meanKg * result.legs[leg]!.distanceM) / 1000),
    };
  }
}
