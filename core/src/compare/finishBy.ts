/**
 * What it takes to be somewhere by a date: the finish, or a stop. Three ways, each solved with the true model: longer hours
 * every day, an earlier start, rest days dropped. Hours and rest days are bisected, as if more never came later: where a
 * camp near water upsets that by a day, the answer meets the date and may not be the very least. None where the most that
 * is allowed does not.
 */
import { packTotals } from "../figures/headline.ts";
import type { Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";

/** The finish without a stop. */
export interface Goal {
  stopId?: string;
  date: string;
}

export type FinishKind = "hours" | "start" | "zeros";

/** What is changed of a plan. */
export interface Change {
  hoursMoreH?: number;
  startDate?: string;
  /** By stop. */
  nights?: Readonly<Record<string, number>>;
}

export interface FinishOption {
  kind: FinishKind;
  /** Hours more a day, days earlier, or nights dropped. */
  by: number;
  /** The changed plan comes on this date; undefined where even the most does not do. */
  comes: string | undefined;
  heaviestKg: number | undefined;
  change: Change;
}

/** Makes the change in place. */
export function makeChange({ hikers, trip, stops }: Plan, { hoursMoreH = 0, startDate, nights = {} }: Change): void {
  const more = (hours: number): number => Math.min(MOST_HOURS_H, hours + hoursMoreH);
  for (const { pace } of hikers) {
    pace.hoursFreshH = more(pace.hoursFreshH);
    pace.hoursFitH = more(pace.hoursFitH);
    for (const stage of pace.ramp) stage.hoursH = more(stage.hoursH);
  }
  if (startDate !== undefined) trip.startDate = startDate;
  for (const stop of stops) stop.nights = nights[stop.id] ?? stop.nights;
}

/** The plan with a change; what it does not touch stays the same object. */
function changed(plan: Plan, change: Change): Plan {
  const copy = {
    ...plan,
    ...(change.hoursMoreH === undefined ? {} : { hikers: structuredClone(plan.hikers) }),
    ...(change.startDate === undefined ? {} : { trip: { ...plan.trip } }),
    ...(change.nights === undefined ? {} : { stops: structuredClone(plan.stops) }),
  };
  makeChange(copy, change);
  return copy;
}

const HOUR_STEPS = Array.from({ length: 24 }, (_, i) => (i + 1) / 4);
const MOST_HOURS_H = 20;
const MOST_DAYS_EARLIER = 90;

type Compute = (plan: Plan) => Pick<PlanFigures, "legs" | "finishDate">;

/** The day of coming to the goal. */
export function comesOn({ legs, finishDate }: Pick<PlanFigures, "legs" | "finishDate">, { stopId }: Goal): string {
  return stopId === undefined ? finishDate : (legs.find(({ toStopId }) => toStopId === stopId)?.endDate ?? finishDate);
}

/** One way after the other, each told when it is solved. */
export function* finishOptions(plan: Plan, goal: Goal, compute: Compute): Generator<FinishOption> {
  const result = compute(plan);
  const now = comesOn(result, goal);
  const late = dayNumber(now)! - dayNumber(goal.date)!;
  if (late <= 0) return;
  const hours = HOUR_STEPS.map((by): Step => ({ by, change: { hoursMoreH: by } }));
  yield firstThatMeets("hours", plan, hours, goal, compute);
  yield earlierStart(plan, goal, late, compute);
  yield firstThatMeets("zeros", plan, zeroSteps(plan, stopsBefore(result, goal)), goal, compute);
}

interface Step {
  by: number;
  change: Change;
}

function firstThatMeets(
  kind: FinishKind,
  plan: Plan,
  steps: readonly Step[],
  goal: Goal,
  compute: Compute,
): FinishOption {
  const none = { kind, by: steps.at(-1)?.by ?? 0, comes: undefined, heaviestKg: undefined, change: {} };
  let low = 0;
  let high = steps.length;
  let best: FinishOption | undefined;
  while (low < high) {
    const middle = (low + high) >> 1;
    const { by, change } = steps[middle]!;
    const result = compute(changed(plan, change));
    const comes = comesOn(result, goal);
    if (comes <= goal.date) {
      best = { kind, by, comes, heaviestKg: packTotals(plan, result).party.heaviestKg, change };
      high = middle;
    } else low = middle + 1;
  }
  return best ?? none;
}

/** Another season walks other days: earlier by as many days as one is late, and by those again that it still is. */
function earlierStart(plan: Plan, goal: Goal, late: number, compute: Compute): FinishOption {
  const start = dayNumber(plan.trip.startDate)!;
  for (let by = late; by <= MOST_DAYS_EARLIER;) {
    const change = { startDate: isoOfDay(start - by) };
    const result = compute(changed(plan, change));
    const comes = comesOn(result, goal);
    if (comes <= goal.date)
      return { kind: "start", by, comes, heaviestKg: packTotals(plan, result).party.heaviestKg, change };
    by += dayNumber(comes)! - dayNumber(goal.date)!;
  }
  return { kind: "start", by: MOST_DAYS_EARLIER, comes: undefined, heaviestKg: undefined, change: {} };
}

/** Ids of the stops that are left before the goal, in walking order. */
function stopsBefore({ legs }: Pick<PlanFigures, "legs">, { stopId }: Goal): ReadonlySet<string> {
  const at = legs.findIndex(({ toStopId }) => toStopId === stopId);
  return new Set((at < 0 ? legs : legs.slice(0, at + 1)).map(({ fromStopId }) => fromStopId));
}

/** Rest days at those stops, the longest stays first, one night more dropped at every step. */
function zeroSteps(plan: Plan, before: ReadonlySet<string>): Step[] {
  const nights = new Map(plan.stops.filter(({ id }) => before.has(id)).map((stop) => [stop.id, stop.nights]));
  const steps: Step[] = [];
  for (let by = 1; ; by++) {
    const [longest] = [...nights].sort((a, b) => b[1] - a[1]);
    if (!longest || longest[1] <= 1) return steps;
    nights.set(longest[0], longest[1] - 1);
    steps.push({ by, change: { nights: Object.fromEntries(nights) } });
  }
}
