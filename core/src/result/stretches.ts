/** Stretches of the trail against what is walked: which legs and days they meet, and in which season. */
import type { Stretch } from "../plan/schema.ts";
import { nodesOn } from "../track/place.ts";
import { dayNumber, dayOfYear } from "../units/day.ts";
import { holdsOn as holdsOnDay, monthDayIndex, seasonHolds } from "../walk/terrain.ts";
import type { DayResult, LegResult, TripFigures } from "./result.ts";

export function touches(stretch: Stretch, leg: LegResult, { profile }: TripFigures): boolean {
  return nodesOn(profile, stretch).some(([from, to]) => from < leg.toNode && to > leg.fromNode);
}

/** Does the stretch's season meet the leg's days? */
export function holdsOn({ fromMonthDay, toMonthDay }: Stretch, { startDate, endDate }: LegResult): boolean {
  if (fromMonthDay === undefined || toMonthDay === undefined) return true;
  const [from, to] = [monthDayIndex(fromMonthDay), monthDayIndex(toMonthDay)];
  const first = dayNumber(startDate) ?? 0;
  const last = dayNumber(endDate) ?? first;
  for (let day = first; day <= last; day++) if (seasonHolds(from, to, dayOfYear(day))) return true;
  return false;
}

/** Is the stretch walked on that day, in its season? */
export function meetsDay(stretch: Stretch, { date, fromNode, toNode }: DayResult, { profile }: TripFigures): boolean {
  return (
    holdsOnDay(stretch, dayOfYear(dayNumber(date)!)) &&
    nodesOn(profile, stretch).some(([from, to]) => from < toNode && to > fromNode)
  );
}

/** Does a night of the leg fall inside, in camp or in a bed along the trail? */
export function sleepsIn(stretch: Stretch, leg: LegResult, result: TripFigures): boolean {
  const parts = nodesOn(result.profile, stretch);
  return result.days.some(
    ({ legIndex, night, toNode }) =>
      legIndex === leg.index &&
      (night === "camp" || night === "bed") &&
      parts.some(([from, to]) => toNode > from && toNode < to),
  );
}

/** Where the leg comes to it first. */
export function firstNode(stretch: Stretch, leg: LegResult, { profile }: TripFigures): number {
  const met = nodesOn(profile, stretch).filter(([from, to]) => from < leg.toNode && to > leg.fromNode);
  return Math.max(leg.fromNode, Math.min(...met.map(([from]) => from)));
}
