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
  const [year, month, ofMonth] = [Number(match[1]), Number(match[2]) - 1, Number(match[3])];
  const date = new Date(Date.UTC(year, month, ofMonth));
  const exists = date.getUTCFullYear() === year && date.getUTCMonth() === month && date.getUTCDate() === ofMonth;
  return exists ? Math.round(date.getTime() / MS_PER_DAY) : undefined;
}

/** ISO date of a day number. */
export function isoOfDay(day: number): string {
  return new Date(day * MS_PER_DAY).toISOString().slice(0, 10);
}

/** Days from 0000-03-01 to 1970-01-01: counted from March, the leap day comes last in its year. */
const EPOCH_FROM_MARCH = 719_468;
const DAYS_PER_ERA = 146_097;

/** Zero-based day of a year that starts in March. */
function marchDay(day: number): number {
  const shifted = day + EPOCH_FROM_MARCH;
  const ofEra = shifted - Math.floor(shifted / DAYS_PER_ERA) * DAYS_PER_ERA;
  const year = Math.floor(
    (ofEra - Math.floor(ofEra / 1460) + Math.floor(ofEra / 36_524) - Math.floor(ofEra / 146_096)) / 365,
  );
  return ofEra - (365 * year + Math.floor(year / 4) - Math.floor(year / 100));
}

/** March to December have 306 days. */
const MARCH_TO_DECEMBER = 306;

/**
 * Zero-based day of a leap year, 0 to 365, so that a date has the same in every year: 1 March is 60, and other years
 * have no 59. Plain arithmetic: it is needed in every round.
 */
export function dayOfYear(day: number): number {
  const sinceMarch = marchDay(day);
  return sinceMarch >= MARCH_TO_DECEMBER ? sinceMarch - MARCH_TO_DECEMBER : sinceMarch + 60;
}

/** Zero-based month of a day number. */
export function monthOfDay(day: number): number {
  const fromMarch = Math.floor((5 * marchDay(day) + 2) / 153);
  return fromMarch < 10 ? fromMarch + 2 : fromMarch - 10;
}
