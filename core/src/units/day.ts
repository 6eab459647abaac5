/**
 * Calendar days as whole numbers: days since 1970-01-01 in the proleptic Gregorian calendar.
 * No clock and no time zone: a hiker's day is a date.
 */

const MS_PER_DAY = 86_400_000;

/** Mean length of a year in days, used wherever the season is periodic. */
export const DAYS_PER_YEAR = 365.2425;

/** Day number of an ISO date `YYYY-MM-DD`, or undefined when no such day exists. */
export function dayNumber(isoDate: string): number | undefined {
  const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(isoDate);
  if (!match) return undefined;
  const ms = Date.UTC(Number(match[1]), Number(match[2]) - 1, Number(match[3]));
  const day = Math.round(ms / MS_PER_DAY);
  return isoOfDay(day) === isoDate ? day : undefined;
}

/** ISO date of a day number. */
export function isoOfDay(day: number): string {
  return new Date(day * MS_PER_DAY).toISOString().slice(0, 10);
}

/** Zero-based day of the year of a day number, 0 to 365. */
export function dayOfYear(day: number): number {
  const year = new Date(day * MS_PER_DAY).getUTCFullYear();
  return day - Math.round(Date.UTC(year, 0, 1) / MS_PER_DAY);
}

/** Zero-based month of a day number. */
export function monthOfDay(day: number): number {
  return new Date(day * MS_PER_DAY).getUTCMonth();
}
