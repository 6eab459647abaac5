/**
 * A menu on a day: its items as they stand, those that grow scaled until the day's need is met. From that follows
 * how the need is split over the meals, and what a kilocalorie of each weighs.
 */
import { MEALS } from "../plan/ids.ts";
import type { Food, Meal, Menu, MenuChoice } from "../plan/schema.ts";
import { dayNumber } from "../units/day.ts";
import { buildPantry, NO_FOOD, plusFood, type FoodFigures, type Pantry } from "./figures.ts";

/** What is the same every day, and what grows with the need, per meal. Drinks are taken along the trail. */
export interface MealParts {
  fixed: FoodFigures;
  growing: FoodFigures;
}
export type DayMeal = Exclude<Meal, "drinks">;
export const DAY_MEALS = ["breakfast", "way", "dinner"] as const satisfies readonly DayMeal[];

export interface MenuFigures {
  id: string;
  meals: Record<DayMeal, MealParts>;
  /** Of the whole day. */
  all: MealParts;
}

/** Drinks are taken along the trail. */
export const dayMealOf = (meal: Meal): DayMeal => (meal === "drinks" ? "way" : meal);

/** What brings nothing to live on does not grow with the need. */
export function growsWithNeed(grows: boolean, { energyKcal }: FoodFigures): boolean {
  return grows && energyKcal > 0;
}

/** An item whose food is gone counts for nothing. */
export function menuFigures(menu: Menu, pantry: Pantry): MenuFigures {
  const empty = (): MealParts => ({ fixed: NO_FOOD, growing: NO_FOOD });
  const meals = { breakfast: empty(), way: empty(), dinner: empty() };
  const all = empty();
  for (const meal of MEALS)
    for (const { foodId, massG, grows } of menu.meals[meal]) {
      const food = pantry.get(foodId);
      if (!food) continue;
      const part = growsWithNeed(grows, food) ? "growing" : "fixed";
      const into = meals[dayMealOf(meal)];
      into[part] = plusFood(into[part], food, massG);
      all[part] = plusFood(all[part], food, massG);
    }
  return { id: menu.id, meals, all };
}

/** A day of a menu: how often its growing items are taken, and what it brings. */
export interface DayMenu {
  menuId: string;
  /** The growing items' multiple. */
  scale: number;
  /** What the menu brings, and its meals' shares of that. */
  energyKcal: number;
  shares: Record<DayMeal, number>;
  meals: Record<DayMeal, FoodFigures>;
}

/** Nobody eats more than so many times a menu; beyond it the day stays short. */
export const MOST_SCALE = 4;

export function dayMenu({ id, meals, all }: MenuFigures, needKcal: number): DayMenu {
  const wanted = all.growing.energyKcal > 0 ? (needKcal - all.fixed.energyKcal) / all.growing.energyKcal : 0;
  const scale = Math.min(MOST_SCALE, Math.max(0, wanted));
  const of = (meal: DayMeal): FoodFigures => plusFood(meals[meal].fixed, meals[meal].growing, scale);
  const eaten = { breakfast: of("breakfast"), way: of("way"), dinner: of("dinner") };
  const energyKcal = DAY_MEALS.reduce((sum, meal) => sum + eaten[meal].energyKcal, 0);
  const share = (meal: DayMeal): number => (energyKcal > 0 ? eaten[meal].energyKcal / energyKcal : 0);
  return {
    menuId: id,
    scale,
    energyKcal,
    shares: { breakfast: share("breakfast"), way: share("way"), dinner: share("dinner") },
    meals: eaten,
  };
}

/** A hiker's menus, by what chooses among them. */
export interface MenuPlan {
  usual: MenuFigures;
  cold: MenuFigures | undefined;
  coldBelowC: number;
  noFlame: MenuFigures | undefined;
  dryCamp: MenuFigures | undefined;
  byStop: ReadonlyMap<string, MenuFigures>;
  byDay: ReadonlyMap<number, MenuFigures>;
  /** Of anything that may be eaten. */
  leastKcalPerG: number;
  /** Water that the dinner of a dry camp and the usual breakfast are made with, growing items taken once. */
  dinnerL: number;
  breakfastL: number;
}

export interface MenuPlanInput {
  choice: MenuChoice;
  menus: readonly Menu[];
  foods: readonly Food[];
}

/** Undefined where a hiker has no usual menu, or one that feeds nobody. */
export function menuPlan({ choice, menus, foods }: MenuPlanInput): MenuPlan | undefined {
  if (choice.defaultId === undefined) return undefined;
  const pantry = buildPantry(foods);
  const known = new Map<string, MenuFigures>();
  for (const menu of menus) {
    const figures = menuFigures(menu, pantry);
    if (figures.all.fixed.energyKcal + figures.all.growing.energyKcal > 0) known.set(menu.id, figures);
  }
  const usual = known.get(choice.defaultId);
  if (!usual) return undefined;
  const pick = <K>(rows: readonly (readonly [K, string])[]): Map<K, MenuFigures> =>
    new Map(
      rows.flatMap(([key, id]) => {
        const figures = known.get(id);
        return figures ? [[key, figures] as const] : [];
      }),
    );
  const of = (id: string | undefined): MenuFigures | undefined => (id === undefined ? undefined : known.get(id));
  const dryCamp = of(choice.dryCampId);
  return {
    usual,
    cold: of(choice.coldId),
    coldBelowC: choice.coldBelowC,
    noFlame: of(choice.noFlameId),
    dryCamp,
    byStop: pick(choice.legs.map(({ fromStopId, menuId }) => [fromStopId, menuId])),
    byDay: pick(choice.days.map(({ date, menuId }) => [dayNumber(date)!, menuId])),
    leastKcalPerG: Math.min(...[...known.values()].map(leastDensity)),
    dinnerL: waterOf((dryCamp ?? usual).meals.dinner),
    breakfastL: waterOf(usual.meals.breakfast),
  };
}

const waterOf = ({ fixed, growing }: MealParts): number => fixed.waterL + growing.waterL;

/** Of a day that takes the growing items once or less. */
function leastDensity({ all: { fixed, growing } }: MenuFigures): number {
  const densities = [plusFood(fixed, growing), fixed, growing].flatMap(({ energyKcal, massG }) =>
    energyKcal > 0 ? [energyKcal / massG] : [],
  );
  return Math.min(...densities);
}

/** What is known of a day before it is said what one eats on it. */
export interface MenuDay {
  fromStopId: string;
  day: number;
  meanC: number;
  /** A fire ban forbids the stove on its way. */
  noFlame: boolean;
  dryCamp: boolean;
}

/** The menu of a day, by the order of `menuChoiceSchema`. */
export function menuOn(plan: MenuPlan, { fromStopId, day, meanC, noFlame, dryCamp }: MenuDay): MenuFigures {
  return (
    plan.byDay.get(day) ??
    plan.byStop.get(fromStopId) ??
    (noFlame ? plan.noFlame : undefined) ??
    (dryCamp ? plan.dryCamp : undefined) ??
    (meanC <= plan.coldBelowC ? plan.cold : undefined) ??
    plan.usual
  );
}
