/** The days as an iCalendar file, a day an event of its own: for any calendar, without times that a watch would contradict. */
import { createEvents, type EventAttributes } from "ics";
import { dayNumber, isoOfDay, type CalendarDay, type Plan } from "@gepack/core";
import { sayIn } from "../../words/say.ts";
import { NIGHT_WORDS, nightKind } from "./nights.ts";

type Ymd = [number, number, number];
const ymd = (iso: string): Ymd => iso.split("-").map(Number) as Ymd;

export function daysAsCalendar(plan: Plan, days: readonly CalendarDay[]): string {
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
  const { error, value } = createEvents(events, { calName: plan.trip.name });
  if (!value) throw error ?? new Error("The calendar could not be written.");
  return value;
}
