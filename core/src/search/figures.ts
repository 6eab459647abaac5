/** What a set of stops comes to, by the true model. */
import type { Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import type { PlanResult } from "../session/session.ts";
import { moneyTotal, stopFigures } from "../stops/stays.ts";
import { dayNumber } from "../units/day.ts";
import type { WalkedM } from "../units/lengths.ts";

/** By `computePlan`. */
export interface SetFigures {
  kgKm: number;
  /** Days from the first to the last, rest days among them. */
  days: number;
  finishDate: string;
  money: number;
  heaviestKg: number;
  legs: { fromM: WalkedM; toM: WalkedM; foodDays: number; startKg: number }[];
  blockers: number;
  cautions: number;
}

/** Days from the first to the last, rest days among them, and all money. */
export function totalsOf(
  plan: Plan,
  result: Pick<PlanFigures, "legs" | "days" | "finishDate">,
): Pick<SetFigures, "days" | "finishDate" | "money"> {
  const { finishDate } = result;
  return {
    days: dayNumber(finishDate)! - dayNumber(plan.trip.startDate)! + 1,
    finishDate,
    money: stopFigures(plan, result).reduce((sum, at) => sum + moneyTotal(at.money), 0),
  };
}

export function figuresOf(plan: Plan, result: PlanResult): SetFigures {
  const { legs, checks } = result;
  let kgKm = 0;
  for (const leg of legs) for (const { meanKg } of leg.hikers) kgKm += (meanKg * leg.distanceM) / 1000;
  return {
    kgKm: kgKm + offTrailKgKm(plan, result),
    ...totalsOf(plan, result),
    heaviestKg: Math.max(...legs.flatMap((leg) => leg.hikers.map((hiker) => hiker.heaviestKg))),
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

/** The ways to and from the stops are walked with the pack as well. */
function offTrailKgKm(plan: Plan, { legs }: PlanResult): number {
  const footM = new Map(plan.stops.map((stop) => [stop.id, stop.access === "foot" ? stop.offTrailM : 0]));
  let kgKm = 0;
  for (const { fromStopId, toStopId, hikers } of legs)
    for (const { startKg, endKg } of hikers)
      kgKm += (startKg * (footM.get(fromStopId) ?? 0) + endKg * (footM.get(toStopId) ?? 0)) / 1000;
  return kgKm;
}
