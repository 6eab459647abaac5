/** The days as an iCalendar file, a day an event of its own: for any calendar, without times that a watch would contradict. */
import { createEvents, type EventAttributes } from "ics";
import { dayNumber, isoOfDay, type CalendarDay, type Decision, type Plan } from "@gepack/core";
import { sayIn } from "../../words/say.ts";
import { NIGHT_WORDS, nightKind } from "./nights.ts";

type Ymd = [number, number, number];
const ymd = (iso: string): Ymd => iso.split("-").map(Number) as Ymd;

/** The days, and by when what waits has to be decided. */
export function daysAsCalendar(plan: Plan, days: readonly CalendarDay[], decisions: readonly Decision[]): string {
  const say = sayIn(plan);
  const events = days.map((day): EventAttributes => {
    const where = day.place ?? `${NIGHT_WORDS[nightKind(day)]} at ${say.way(day.toM)}`;
    return {
      uid: `${plan.id}-${day.date}@gepack`,
      productId: "gepack",
      start: ymd(day.date),
      end: ymd(isoOfDay(dayNumber(day.date)! + 1)),
      title: day.rests ? `Rest at ${where}` : `${say.way(day.toM - day.fromM)} to ${where}`,
      description: day.rests
        ? `Day ${day.tripDay} of ${plan.trip.name}.`
        : `Day ${day.tripDay} of ${plan.trip.name}, leg ${day.legIndex + 1}: ${say.height(day.climbM)} up, ${say.hours(day.walkH)} walking, ${say.clock(day.leavesH)} to ${say.clock(day.arrivesH)} local mean time. A plan, not a promise.`,
    };
  });
  for (const { choice, decideBy } of decisions)
    if (decideBy !== undefined && !choice.decided)
      events.push({
        uid: `${plan.id}-${choice.id}@gepack`,
        productId: "gepack",
        start: ymd(decideBy),
        end: ymd(isoOfDay(dayNumber(decideBy)! + 1)),
        title: `Decide: only if ${choice.name}`,
        description: `The last day on which ${piecesOf(plan, choice.pieceIds)} can still come or stay at home in time.`,
      });
  const { error, value } = createEvents(events, { calName: plan.trip.name });
  if (!value) throw error ?? new Error("The calendar could not be written.");
  return value;
}

function piecesOf({ kit }: Plan, ids: readonly string[]): string {
  return kit.flatMap(({ id, name }) => (ids.includes(id) ? [name] : [])).join(", ");
}
