/**
 * Food by meals. Town's dinner and breakfast are not carried; what is eaten along the trail goes by the share of
 * the day's walking, so that arriving an hour later never jumps by a whole meal, and who walks by night
 * eats by night.
 */
import type { DayMeal } from "../food/menu.ts";
import type { FoodSettings } from "../plan/schema.ts";
import type { DayPart } from "../walk/walk.ts";

/** How a day's need is split where no menu says it. */
export const MEAL_SHARES: Readonly<Record<DayMeal, number>> = { breakfast: 0.2, way: 0.45, dinner: 0.35 };

/** What one day part eats out of the bag: shares of the day's need, and when. */
export interface PartMeals {
  breakfastFraction: number;
  dayFraction: number;
  dinnerFraction: number;
}

/** Where a part stands in its day. */
export interface PartOfDay {
  firstOfDay: boolean;
  /** The night before was spent where breakfast is bought, and the one after it is where dinner is. */
  breakfastInTown: boolean;
  dinnerInTown: boolean;
  /** Walked earlier that day, and on the whole day, hours. */
  walkedBeforeH: number;
  dayWalkH: number;
  shares: Readonly<Record<DayMeal, number>>;
}

export function partMeals(part: DayPart, at: PartOfDay): PartMeals {
  const { firstOfDay, breakfastInTown, dinnerInTown, walkedBeforeH, dayWalkH, shares } = at;
  const dinnerFromBag = part.night !== "none" && !dinnerInTown;
  // A day cut short by a stop is as much of one as was walked of what was meant.
  const wholeH = Math.max(part.budgetH, dayWalkH);
  const to = dinnerFromBag ? 1 : Math.min(1, (walkedBeforeH + part.walkH) / wholeH);
  return {
    breakfastFraction: firstOfDay && !breakfastInTown ? shares.breakfast : 0,
    dayFraction: shares.way * Math.max(0, to - walkedBeforeH / wholeH),
    dinnerFraction: dinnerFromBag ? shares.dinner : 0,
  };
}

/** On long hikes: nine tenths of the need at the start, rising evenly to all of it on day 21 [L]; the means of the weeks. */
export const LAGGING_APPETITE = [0.92, 0.95, 0.98, 1] as const;

/** Share of the need that is eaten in a week of trail: appetite lags behind effort at first. */
export function appetite(food: FoodSettings, tripDay: number): number {
  const weeks = food.appetiteByWeek;
  return weeks[Math.min(3, Math.floor(tripDay / 7))] ?? 1;
}

/** Kilograms of food for kilocalories of menu. */
export function foodKg(food: FoodSettings, kcal: number): number {
  return kcal / (food.densityKcalPerG * 1000);
}
