/** Twelve monthly values brought to any day of the year, without a step where a month starts. */
import { DAYS_PER_YEAR } from "../units/day.ts";

export const MONTH_LENGTHS = [31, 28.2425, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** Days from the new year to the middle of every month. */
export const MONTH_CENTRES: readonly number[] = MONTH_LENGTHS.map(
  (length, month) => MONTH_LENGTHS.slice(0, month).reduce((sum, one) => sum + one, 0) + length / 2,
);

/** The month whose middle was passed last, the next one, and how far it is between the two, on every day of the year. */
const PLACES = Array.from({ length: 366 }, (_, yearDay) => {
  const t = yearDay + 0.5;
  const passed = MONTH_CENTRES.findLastIndex((centre) => centre <= t);
  const month = passed < 0 ? 11 : passed;
  const next = (month + 1) % 12;
  const from = MONTH_CENTRES[month]! - (passed < 0 ? DAYS_PER_YEAR : 0);
  const to = MONTH_CENTRES[next]! + (month === 11 && passed >= 0 ? DAYS_PER_YEAR : 0);
  return { month, next, fraction: (t - from) / (to - from) };
});

export function monthPlace(yearDay: number): { month: number; next: number; fraction: number } {
  return PLACES[yearDay]!;
}

/** Straight from the middle of one month to the middle of the next: what is meant by a monthly chance stays within 0 to 1. */
export function throughYear(monthly: readonly number[], yearDay: number): number {
  const { month, next, fraction } = PLACES[yearDay]!;
  return monthly[month]! + (monthly[next]! - monthly[month]!) * fraction;
}

/** Periodic cubic (Catmull-Rom) through mid-month values, for each day of a 366-day year. */
export function throughYearSmooth(monthly: readonly number[]): Float64Array {
  return Float64Array.from({ length: 366 }, (_, yearDay) => {
    const { month, next, fraction: u } = monthPlace(yearDay);
    const p0 = monthly[(month + 11) % 12]!;
    const p1 = monthly[month]!;
    const p2 = monthly[next]!;
    const p3 = monthly[(month + 2) % 12]!;
    const cubic = (2 * p0 - 5 * p1 + 4 * p2 - p3) * u * u + (3 * p1 - p0 - 3 * p2 + p3) * u * u * u;
    return 0.5 * (2 * p1 + (p2 - p0) * u + cubic);
  });
}
