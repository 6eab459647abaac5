/**
 * What another trip's log says of the hiker, brought to this trip: a shakedown before the long walk. Its figures are those of
 * that trip with all that its log says taken; they are copied, so that this trip's own log goes on from them.
 */
import type { Hiker, Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { fitLog, withFits, type Fit } from "./fit.ts";

/** Hours a day and food belong to a trip's length, fuel and charge to its things: they stay there. */
export const CARRIED_OVER = ["pace", "breaks", "litres"] as const;
export type CarriedOver = (typeof CARRIED_OVER)[number];

export interface Shakedown {
  planId: string;
  name: string;
  days: number;
  /** The first that is kept. */
  on: string;
  lessons: { what: CarriedOver; cards: number; factor: number }[];
  pace: Pick<Hiker["pace"], "speedFactor" | "breakFraction">;
  water: Pick<Hiker["water"], "ratePerKmL" | "ratePerHourL" | "measuredLph">;
}

/** Undefined where nothing is kept, or nothing that goes along. */
export function shakedownOf(plan: Plan, result: PlanFigures): Shakedown | undefined {
  const fits = fitLog(plan, result).filter(isCarried);
  const [first] = [...plan.log].sort((a, b) => a.date.localeCompare(b.date));
  if (!first || fits.length === 0) return undefined;
  const { pace, water } = withFits(plan, result, fits).hikers[0]!;
  return {
    planId: plan.id,
    name: plan.trip.name,
    days: plan.log.length,
    on: first.date,
    lessons: fits.map(({ what, cards, factor }) => ({ what, cards, factor })),
    pace: { speedFactor: pace.speedFactor, breakFraction: pace.breakFraction },
    water: {
      ratePerKmL: water.ratePerKmL,
      ratePerHourL: water.ratePerHourL,
      ...(water.measuredLph === undefined ? {} : { measuredLph: water.measuredLph }),
    },
  };
}

function isCarried(fit: Fit): fit is Fit & { what: CarriedOver } {
  return (CARRIED_OVER as readonly string[]).includes(fit.what);
}

/** All walk together: of pace and breaks the others keep what they differ by from the first; water is the first your own. */
export function withShakedown(plan: Plan, { planId, name, days, on, lessons, pace, water }: Shakedown): Plan {
  const tells = (what: CarriedOver): boolean => lessons.some((one) => one.what === what);
  const mine = plan.hikers[0]!.pace;
  const faster = tells("pace") ? pace.speedFactor / mine.speedFactor : 1;
  const longer = tells("breaks") && mine.breakFraction > 0 ? pace.breakFraction / mine.breakFraction : 1;
  return {
    ...plan,
    shakedowns: [...plan.shakedowns.filter((one) => one.planId !== planId), { planId, name, days, on }],
    hikers: plan.hikers.map((hiker, h) => ({
      ...hiker,
      pace: {
        ...hiker.pace,
        speedFactor: Math.min(2, Math.max(0.3, hiker.pace.speedFactor * faster)),
        breakFraction: Math.min(1, hiker.pace.breakFraction * longer),
      },
      water: h === 0 && tells("litres") ? { ...hiker.water, ...water } : hiker.water,
    })),
  };
}
