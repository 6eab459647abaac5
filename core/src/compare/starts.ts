/** The same hike with other first days: what each would mean, by the true model. */
import { packTotals } from "../figures/headline.ts";
import type { Plan } from "../plan/schema.ts";
import type { Check } from "../checks/index.ts";
import type { PlanFigures } from "../result/result.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";

export interface StartFigures {
  startDate: string;
  finishDate: string;
  /** Of all hikers. */
  heaviestKg: number;
  /** On snow, metres walked. */
  snowM: number;
  /** One night and one day in ten, °C. */
  coldNightC: number;
  hotDayC: number;
  /** The longest way without trusted water. */
  longestDryM: number;
  blockers: number;
  /** Stops and post counters that are closed when one comes. */
  closed: number;
}

/** First days `around` days before and after the plan's, the nearest first. */
export function startsAround(startDate: string, around: number): string[] {
  const start = dayNumber(startDate)!;
  const days = [start];
  for (let by = 1; by <= around; by++) days.push(start + by, start - by);
  return days.map(isoOfDay);
}

type Computed = Pick<PlanFigures, "legs" | "finishDate"> & { checks: readonly Check[] };

/** One at a time, so that whoever asks can stop between them. */
export function* sweepStarts(
  plan: Plan,
  dates: readonly string[],
  compute: (plan: Plan) => Computed,
): Generator<StartFigures> {
  for (const startDate of dates)
    yield startFigures(plan, startDate, compute({ ...plan, trip: { ...plan.trip, startDate } }));
}

function startFigures(plan: Plan, startDate: string, { legs, finishDate, checks }: Computed): StartFigures {
  const most = (values: readonly number[]): number => Math.max(0, ...values);
  return {
    startDate,
    finishDate,
    heaviestKg: packTotals(plan, { legs }).party.heaviestKg,
    snowM: legs.reduce((sum, leg) => sum + leg.snowM, 0),
    coldNightC: Math.min(...legs.map((leg) => leg.coldNightC)),
    hotDayC: Math.max(...legs.map((leg) => leg.hotDayC)),
    longestDryM: most(
      legs.flatMap((leg) => leg.hikers.flatMap((hiker) => hiker.carries.map((carry) => carry.distanceM))),
    ),
    blockers: checks.filter(({ severity }) => severity === "blocker").length,
    closed: checks.filter(({ code }) => code === "stop-out-of-season" || code === "post-out-of-season").length,
  };
}
