/** Food on a leg: too little to live on, and where rules ask for a hard canister. */
import type { Plan } from "../plan/schema.ts";
import { needsOf, restingKcalPerDay } from "../provision/needs.ts";
import type { LegResult, TripFigures } from "../result/result.ts";
import { nodeAt } from "../track/place.ts";
import { defineCheck, onLegs } from "./check.ts";

const foodBelowResting = defineCheck({
  code: "food-below-resting",
  units: { have: "kcal/day", limit: "kcal/day" },
  *find(context) {
    for (const { hiker, who, leg, row, where } of onLegs(context)) {
      if (row.food.mealDays <= 0) continue;
      const have = row.food.menuKcal / row.food.mealDays;
      const limit = restingKcalPerDay(needsOf(hiker, context.schools[who]!), row.body.bodyKg);
      if (have < limit) yield { severity: "blocker", ...where, atM: leg.fromM, have, limit };
    }
  },
});

const canisterMissing = defineCheck({
  code: "canister-missing",
  units: {},
  *find(context) {
    for (const { leg, row, where } of onLegs(context))
      if (row.kit.canisterL === 0 && asksForCanister(context.plan, leg, context.result))
        yield { severity: "blocker", ...where, atM: leg.fromM };
  },
});

const foodOverCanister = defineCheck({
  code: "food-over-canister",
  units: { have: "L", limit: "L" },
  *find(context) {
    for (const { hiker, leg, row, where } of onLegs(context)) {
      const have = row.food.startKg / hiker.food.bulkKgPerL;
      const limit = row.kit.canisterL;
      if (limit > 0 && have > limit && asksForCanister(context.plan, leg, context.result))
        yield { severity: "caution", ...where, atM: leg.fromM, have, limit };
    }
  },
});

function asksForCanister({ stretches }: Plan, leg: LegResult, { profile }: TripFigures): boolean {
  return stretches.some((stretch) => {
    if (stretch.rule !== "hard-canister") return false;
    const a = nodeAt(profile, stretch.fromM);
    const b = nodeAt(profile, stretch.toM);
    return Math.min(a, b) < leg.toNode && Math.max(a, b) > leg.fromNode;
  });
}

export const foodChecks = [foodBelowResting, canisterMissing, foodOverCanister] as const;
