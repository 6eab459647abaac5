/** The same hike with each menu eaten on every day: what each would mean, by the true model. */
import { legBags } from "../bag/legBag.ts";
import { packTotals, type PackFigures } from "../figures/headline.ts";
import { buildPantry } from "../food/figures.ts";
import type { Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";

/** Of the hiker. */
export interface MenuOnHike extends Pick<PackFigures, "foodKg" | "fuelKg" | "heaviestKg" | "kgKm"> {
  menuId: string;
  /** Litres of the fullest bag. */
  mostL: number;
  /** Water for the camps, carried to them. */
  campL: number;
  /** Of what was in the bags. */
  money: number;
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
    const { foodKg, fuelKg, heaviestKg, kgKm } = packTotals(all, result).hikers[who]!;
    yield {
      menuId,
      foodKg,
      mostL: Math.max(0, ...rows.map(({ food }) => food.startKg / food.bulkKgPerL)),
      fuelKg,
      campL: rows.flatMap(({ carries }) => carries).reduce((litres, { campL }) => litres + campL, 0),
      money: legBags(all, result, who, pantry).reduce((total, { figures }) => total + figures.price, 0),
      heaviestKg,
      kgKm,
    };
  }
}
