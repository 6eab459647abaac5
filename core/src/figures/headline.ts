/**
 * Headline figures of a plan: each is worked out here and nowhere else, so that two places never tell one thing in two
 * ways. Their scope is where they stand: of the party as a whole, or of each hiker.
 */
import type { Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { moneyTotal, stopFigures } from "../stops/stays.ts";
import { dayNumber } from "../units/day.ts";

/** Of one hiker; of the party the heaviest of all packs, the mean pack of one, and sums. */
export interface PackFigures {
  /** The pack at its heaviest, and on which leg. */
  heaviestKg: number;
  heaviestLeg: number;
  /** Over the kilometres of the trail. */
  meanKg: number;
  /** The pack times the way it is carried, on the trail and on foot to stops beside it. */
  kgKm: number;
  /** Eaten out of the bags, without reserve, wrappers and what was bought to be eaten at stops. */
  foodKg: number;
  fuelKg: number;
  /** From one water to the next, at most. */
  mostWaterL: number;
}

export interface PackTotals {
  party: PackFigures;
  /** Parallel to the hikers of the result. */
  hikers: PackFigures[];
}

/** Of the party. */
export interface TripTotals {
  /** From the first day to the last, rest days among them. */
  days: number;
  finishDate: string;
  money: number;
}

type Legs = Pick<PlanFigures, "legs">;

export function packTotals(plan: Pick<Plan, "stops">, { legs }: Legs): PackTotals {
  const footM = new Map(plan.stops.map((stop) => [stop.id, stop.access === "foot" ? stop.offTrailM : 0]));
  const hikers = legs[0]!.hikers.map((_, who): PackFigures => {
    const of: PackFigures = { heaviestKg: 0, heaviestLeg: 0, meanKg: 0, kgKm: 0, foodKg: 0, fuelKg: 0, mostWaterL: 0 };
    let [trailKgKm, km] = [0, 0];
    for (const { index, distanceM, fromStopId, toStopId, hikers: rows } of legs) {
      const { heaviestKg, meanKg, startKg, endKg, food, fuel, carries } = rows[who]!;
      if (heaviestKg > of.heaviestKg) [of.heaviestKg, of.heaviestLeg] = [heaviestKg, index];
      trailKgKm += (meanKg * distanceM) / 1000;
      km += distanceM / 1000;
      of.kgKm += (startKg * (footM.get(fromStopId) ?? 0) + endKg * (footM.get(toStopId) ?? 0)) / 1000;
      of.foodKg += food.eatenKg;
      of.fuelKg += fuel.needG / 1000;
      for (const { litres } of carries) of.mostWaterL = Math.max(of.mostWaterL, litres);
    }
    return { ...of, kgKm: of.kgKm + trailKgKm, meanKg: km > 0 ? trailKgKm / km : 0 };
  });
  return { party: partyOf(hikers), hikers };
}

function partyOf(hikers: readonly PackFigures[]): PackFigures {
  const sum = (of: (figures: PackFigures) => number): number => hikers.reduce((all, one) => all + of(one), 0);
  const { heaviestKg, heaviestLeg } = hikers.reduce((a, b) => (b.heaviestKg > a.heaviestKg ? b : a));
  return {
    heaviestKg,
    heaviestLeg,
    meanKg: sum(({ meanKg }) => meanKg) / hikers.length,
    kgKm: sum(({ kgKm }) => kgKm),
    foodKg: sum(({ foodKg }) => foodKg),
    fuelKg: sum(({ fuelKg }) => fuelKg),
    mostWaterL: Math.max(...hikers.map(({ mostWaterL }) => mostWaterL)),
  };
}

export function tripTotals(plan: Plan, result: Pick<PlanFigures, "legs" | "days" | "finishDate">): TripTotals {
  const { finishDate } = result;
  return {
    days: dayNumber(finishDate)! - dayNumber(plan.trip.startDate)! + 1,
    finishDate,
    money: stopFigures(plan, result).reduce((sum, at) => sum + moneyTotal(at.money), 0),
  };
}
