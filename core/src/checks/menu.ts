/** What the menus carry: what melts, spoils, cannot be cooked, or is not sold where it is to be bought. */
import { keepsDaysAt } from "../food/keeping.ts";
import type { LegBag } from "../bag/legBag.ts";
import type { Food } from "../plan/schema.ts";
import type { LegResult } from "../result/result.ts";
import { defineCheck, type CheckContext } from "./check.ts";

/** Sun on the pack: warmer by so much than the air of the day, the mean of it [L]. */
const PACK_K = 3;
/** Less of a food than this is nobody's trouble, grams. */
const LEAST_G = 20;

interface InBag {
  leg: LegResult;
  bag: LegBag;
  where: { legIndex: number; hikerId: string };
}

function* inBags({ plan, result, bags }: CheckContext): Generator<InBag> {
  for (const [who, { id: hikerId }] of plan.hikers.entries())
    for (const bag of bags[who]!)
      yield { leg: result.legs[bag.legIndex]!, bag, where: { legIndex: bag.legIndex, hikerId } };
}

/** Foods of a bag, mixes by their parts too. */
function foodsIn({ plan }: CheckContext, { items }: LegBag): Food[] {
  const foods = new Map(plan.foods.map((food) => [food.id, food]));
  const found = new Set(items.filter(({ massG }) => massG >= LEAST_G).map(({ food }) => food));
  // A set that grows is walked to its new end.
  for (const { parts } of found)
    for (const { foodId } of parts) {
      const part = foods.get(foodId);
      if (part) found.add(part);
    }
  return [...found];
}

const foodMelts = defineCheck({
  code: "food-melts",
  units: { food: "name", have: "C", limit: "C" },
  *find(context) {
    for (const { leg, bag, where } of inBags(context)) {
      const soft = foodsIn(context, bag).filter(({ meltsC }) => meltsC !== undefined && meltsC < leg.hotDayC);
      const [first] = soft.sort((a, b) => a.meltsC! - b.meltsC!);
      if (first) yield { severity: "note", ...where, food: namesOf(soft), have: leg.hotDayC, limit: first.meltsC! };
    }
  },
});

const foodSpoils = defineCheck({
  code: "food-spoils",
  units: { food: "name", have: "days", limit: "days" },
  *find(context) {
    for (const { leg, bag, where } of inBags(context)) {
      const meanC = (leg.lowC + leg.highC) / 2 + PACK_K;
      const keeps = ({ keepsDays }: Food): number => keepsDaysAt(keepsDays, meanC);
      // What keeps for no time is eaten when it is opened.
      const bad = foodsIn(context, bag).filter((food) => food.keepsDays > 0 && keeps(food) < leg.dayCount - 1);
      const [first] = bad.sort((a, b) => keeps(a) - keeps(b));
      if (first) yield { severity: "caution", ...where, food: namesOf(bad), have: leg.dayCount, limit: keeps(first) };
    }
  },
});

const cookedWithoutStove = defineCheck({
  code: "cooked-without-stove",
  units: { food: "name" },
  *find(context) {
    for (const { bag, where } of inBags(context)) {
      const hiker = context.plan.hikers.find(({ id }) => id === where.hikerId)!;
      if (hiker.stove.fuel !== "none") continue;
      const cooked = bag.items.filter(({ food, massG }) => food.eaten === "boiled" && massG >= LEAST_G);
      if (cooked.length > 0) yield { severity: "caution", ...where, food: namesOf(cooked.map(({ food }) => food)) };
    }
  },
});

const foodNotSold = defineCheck({
  code: "menu-not-sold",
  units: { food: "name", have: "g" },
  *find(context) {
    for (const { bag, where } of inBags(context)) {
      const missing = bag.items.filter(({ nowhereG }) => nowhereG >= LEAST_G);
      const have = missing.reduce((sum, { nowhereG }) => sum + nowhereG, 0);
      if (have > 0) yield { severity: "note", ...where, food: namesOf(missing.map(({ food }) => food)), have };
    }
  },
});

/** A litre of sweat takes so much with it on average of people, 40 mmol [M-H]; nearly all that is drunk walking is sweat [L]. */
const SODIUM_G_PER_L = 0.92;
const SWEAT_OF_DRINK = 0.8;

/** Told on warm legs: in the cool, meals bring what is lost. */
const WARM_DAY_C = 25;

const saltLow = defineCheck({
  code: "salt-low",
  units: { have: "g/day", limit: "g/day" },
  *find(context) {
    for (const { leg, bag, where } of inBags(context)) {
      const row = leg.hikers.find(({ hikerId }) => hikerId === where.hikerId)!;
      if (leg.hotDayC < WARM_DAY_C || bag.mealDays <= 0 || leg.dayCount <= 0) continue;
      const walkingL = row.carries.reduce((sum, carry) => sum + carry.walkingL, 0);
      const limit = (SODIUM_G_PER_L * SWEAT_OF_DRINK * walkingL) / leg.dayCount;
      const have = bag.eaten.sodiumMg / 1000 / bag.mealDays;
      if (have < limit) yield { severity: "note", ...where, have, limit };
    }
  },
});

const MOST_NAMES = 3;

function namesOf(foods: readonly Food[]): string {
  const names = foods.slice(0, MOST_NAMES).map(({ name }) => name);
  return foods.length > MOST_NAMES ? `${names.join(", ")} and ${foods.length - MOST_NAMES} more` : names.join(", ");
}

export const menuChecks = [foodMelts, foodSpoils, cookedWithoutStove, foodNotSold, saltLow] as const;
