/** The y-axis of the plane: days of the calendar as pixels, and the hike's line on it. */
import { dayNumber, walkedOf, type PlanResult } from "@gepack/core";

export interface Calendar {
  /** Day numbers since 1970-01-01. */
  fromDay: number;
  toDay: number;
  heightPx: number;
}

/** Of the plane. */
export const HEIGHT_PX = 300;
const AROUND_DAYS = 42;

/** The days of the hike with six weeks before and after, or a year about its middle. */
export function calendarOf(start: number, finish: number, allYear: boolean, heightPx: number): Calendar {
  if (!allYear) return { fromDay: start - AROUND_DAYS, toDay: finish + AROUND_DAYS, heightPx };
  const middle = Math.round((start + finish) / 2);
  return { fromDay: middle - 183, toDay: middle + 183, heightPx };
}

export function yOf({ fromDay, toDay, heightPx }: Calendar, day: number): number {
  return ((day - fromDay) / (toDay - fromDay)) * heightPx;
}

export function dayAt({ fromDay, toDay, heightPx }: Calendar, y: number): number {
  return Math.floor(fromDay + (y / heightPx) * (toDay - fromDay));
}

/** Corners of the stepped line: walked metres and day; a rest day is a vertical step. */
export function hikeLine({ days, profile }: Pick<PlanResult, "days" | "profile">): [walkedM: number, day: number][] {
  return days.flatMap(({ date, fromNode, toNode }): [number, number][] => {
    const day = dayNumber(date)!;
    return [
      [walkedOf(profile, fromNode), day],
      [walkedOf(profile, toNode), day + 1],
    ];
  });
}

/** First days of months within the calendar. */
export function monthsIn({ fromDay, toDay }: Calendar): { day: number; month: number }[] {
  const months: { day: number; month: number }[] = [];
  for (let day = fromDay; day < toDay; day++) {
    const date = new Date(day * 86_400_000);
    if (date.getUTCDate() === 1) months.push({ day, month: date.getUTCMonth() });
  }
  return months;
}
