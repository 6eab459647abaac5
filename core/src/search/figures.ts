/** What a set of stops comes to, by the true model. */
import { packTotals, tripTotals, type TripTotals } from "../figures/headline.ts";
import type { Plan } from "../plan/schema.ts";
import type { PlanResult } from "../session/session.ts";
import type { WalkedM } from "../units/lengths.ts";

/** Of the party, by `computePlan`. */
export interface SetFigures extends TripTotals {
  kgKm: number;
  heaviestKg: number;
  legs: { fromM: WalkedM; toM: WalkedM; foodDays: number; startKg: number }[];
  blockers: number;
  cautions: number;
}

export function figuresOf(plan: Plan, result: PlanResult): SetFigures {
  const { legs, checks } = result;
  const { kgKm, heaviestKg } = packTotals(plan, result).party;
  return {
    kgKm,
    heaviestKg,
    ...tripTotals(plan, result),
    legs: legs.map((leg) => ({
      fromM: leg.fromM,
      toM: leg.toM,
      foodDays: Math.max(...leg.hikers.map(({ food }) => food.mealDays)),
      startKg: Math.max(...leg.hikers.map((hiker) => hiker.startKg)),
    })),
    blockers: checks.filter(({ severity }) => severity === "blocker").length,
    cautions: checks.filter(({ severity }) => severity === "caution").length,
  };
}
