/**
 * Food by meals. Town's dinner and breakfast are not carried; what is eaten on the way counts hour by
 * hour from 9:00 to 17:00, so that arriving an hour later never jumps by a whole meal.
 */
import type { FoodSettings } from "../plan/schema.ts";
import { clamp } from "../units/constants.ts";
import type { DayPart } from "../walk/walk.ts";

export const BREAKFAST_SHARE = 0.2;
export const DAY_SHARE = 0.45;
export const DINNER_SHARE = 0.35;
const DAY_FOOD_FROM_H = 9;
const DAY_FOOD_TO_H = 17;

/** What one day part eats out of the bag: shares of the day's need, and when. */
export interface PartMeals {
  breakfastFraction: number;
  dayFraction: number;
  dinnerFraction: number;
}

/** `sleptAtStop` tells whether the night before was spent where breakfast is bought. */
export function partMeals(part: DayPart, firstOfDay: boolean, sleptAtStop: boolean): PartMeals {
  const dayFoodBy = (clockH: number): number =>
    clamp((clockH - DAY_FOOD_FROM_H) / (DAY_FOOD_TO_H - DAY_FOOD_FROM_H), 0, 1);
  const fromH = firstOfDay ? DAY_FOOD_FROM_H : part.startClockH;
  const toH = part.night === "camp" ? DAY_FOOD_TO_H : part.endClockH;
  return {
    breakfastFraction: firstOfDay && !sleptAtStop ? BREAKFAST_SHARE : 0,
    dayFraction: DAY_SHARE * Math.max(0, dayFoodBy(toH) - dayFoodBy(fromH)),
    dinnerFraction: part.night === "camp" ? DINNER_SHARE : 0,
  };
}

/** Share of the need that is eaten in a week of trail: appetite lags behind effort at first. */
export function appetite(food: FoodSettings, tripDay: number): number {
  const weeks = food.appetiteByWeek;
  return weeks[Math.min(3, Math.floor(tripDay / 7))] ?? 1;
}

/** Kilograms of food for kilocalories of menu. */
export function foodKg(food: FoodSettings, kcal: number): number {
  return kcal / (food.densityKcalPerG * 1000);
}
