/** Fills the bag of a leg from the pantry within the hiker's limits, and makes the menu of it. */
import { carriedKcal } from "../provision/supply.ts";
import { fillBag, type Filled, type FillLimits, type Impossible, type Portion } from "../food/fillBag.ts";
import { NO_FOOD, plusFood, type Pantry } from "../food/figures.ts";
import { dayMealOf, type DayMeal } from "../food/menu.ts";
import { soldAt, tagsOf } from "../food/mixes.ts";
import { MEALS } from "../plan/ids.ts";
import type { Food, Hiker, Menu, Plan } from "../plan/schema.ts";
import type { LegHiker, TripFigures } from "../result/result.ts";
import { supplierAt } from "./legBag.ts";

/** What a day is not to be without, as shares of its energy: judgement [L]. */
const MEAL_FRACTIONS: Readonly<Record<DayMeal, number>> = { breakfast: 0.15, way: 0.35, dinner: 0.25 };

export interface LegFill {
  portions: Portion[];
  limits: FillLimits;
  /** What is not in reach: not sold, or not to be cooked. */
  leftOut: { food: Food; why: "not-sold" | "no-stove" | "tag" }[];
}

/** What may go into the bag of a leg, and what it has to keep to. */
export function legFill(
  plan: Plan,
  { legs }: Pick<TripFigures, "legs">,
  who: number,
  leg: number,
  pantry: Pantry,
): LegFill {
  const hiker = plan.hikers[who]!;
  const row = legs[leg]!.hikers[who]!;
  const supplier = supplierAt(plan, legs[leg]!.fromStopId);
  const shelf = soldAt(plan.foods, supplier);
  const tags = tagsOf(plan.foods);
  const outOfReach = (food: Food): LegFill["leftOut"][number]["why"] | undefined => {
    if (!shelf.has(food.id)) return "not-sold";
    if (hiker.stove.fuel === "none" && food.eaten === "boiled") return "no-stove";
    return hiker.fill.without.some((tag) => tags.get(food.id)!.has(tag)) ? "tag" : undefined;
  };
  const leftOut: LegFill["leftOut"] = [];
  const portions: Portion[] = [];
  const days = Math.max(1, row.food.mealDays);
  for (const food of plan.foods) {
    const why = outOfReach(food);
    if (why) leftOut.push({ food, why });
    else if (pantry.get(food.id)!.energyKcal > 0) portions.push(portionOf(food, hiker, days, pantry));
  }
  return { portions, leftOut, limits: limitsOf(hiker, row, portions) };
}

function portionOf(food: Food, { fill }: Hiker, days: number, pantry: Pantry): Portion {
  return {
    foodId: food.id,
    meal: dayMealOf(food.meal),
    figures: plusFood(NO_FOOD, pantry.get(food.id)!, food.portionG),
    minutes: food.minutes,
    least: 0,
    most: Math.ceil(fill.mostOfOneADay * days),
  };
}

/** The energy is what the plan carries on leaving, the reserve in it. */
function limitsOf({ fill, bodyKg }: Hiker, { food, kit }: LegHiker, portions: readonly Portion[]): FillLimits {
  const { eatenKg, startKg, mealDays } = food;
  const share = eatenKg > 0 ? startKg / eatenKg : 1;
  return {
    least: fill.least,
    energyKcal: carriedKcal(food),
    proteinG: fill.proteinGPerKg * bodyKg * mealDays * share,
    sodiumMg: fill.sodiumMgADay * mealDays * share,
    mealFractions: MEAL_FRACTIONS,
    mostFatFraction: fill.mostFatFraction,
    mostVolumeL: kit.canisterL > 0 ? kit.canisterL : undefined,
    leastDinners: Math.min(
      portions.filter(({ meal }) => meal === "dinner").length,
      Math.ceil((fill.dinnersInFive / 5) * Math.min(5, mealDays)),
    ),
  };
}

/** A filled bag, and what its variety weighs. */
export type BagAnswer = (Filled & { varietyG: number | undefined }) | Impossible;

/** How much lighter a bag would be of the same food day after day, grams; undefined where mass is not what counts. */
export function priceOfVariety(
  { portions, limits }: { portions: readonly Portion[]; limits: FillLimits },
  filled: Filled,
): number | undefined {
  if (limits.least !== "mass") return undefined;
  const free = portions.map((portion) => ({ ...portion, most: Infinity }));
  const dull = fillBag(free, { ...limits, leastDinners: undefined });
  return "impossible" in dull ? undefined : Math.max(0, filled.figures.massG - dull.figures.massG);
}

export function fillLeg(
  plan: Plan,
  result: Pick<TripFigures, "legs">,
  who: number,
  leg: number,
  pantry: Pantry,
): Filled | Impossible {
  const { portions, limits } = legFill(plan, result, who, leg, pantry);
  return fillBag(portions, limits);
}

/** A day of a filled bag as a menu: every item's grams by the day, in the meal that it usually is. */
export function menuOfBag(
  id: string,
  name: string,
  { items }: Pick<Filled, "items">,
  foods: readonly Food[],
  days: number,
): Menu {
  const meals: Menu["meals"] = { breakfast: [], way: [], dinner: [], drinks: [] };
  for (const { foodId, count } of items) {
    const food = foods.find((row) => row.id === foodId);
    if (!food) continue;
    const massG = Math.round((10 * count * food.portionG) / days) / 10;
    meals[food.meal].push({ id: foodId, foodId, massG, grows: true });
  }
  for (const meal of MEALS) meals[meal].sort((a, b) => b.massG - a.massG);
  return { id, name, meals };
}
