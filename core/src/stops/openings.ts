/**
 * When a house and its post counter are open: season, days of the week, hours of local mean time. Hours whose opening
 * comes after their closing run through midnight, and belong to the day they start on.
 */
import { WEEKDAYS } from "../plan/ids.ts";
import type { Stop } from "../plan/schema.ts";
import { dayOfYear } from "../units/day.ts";
import { holdsOn } from "../walk/terrain.ts";

export type Weekday = (typeof WEEKDAYS)[number];

interface Season {
  fromMonthDay: string | undefined;
  toMonthDay: string | undefined;
}

export interface Opening {
  /** All of them hold on a day that it is open. */
  seasons: readonly Season[];
  closedOn: readonly Weekday[];
  opensH: number;
  closesH: number;
}

/** A day and an hour of it; the hour may be beyond midnight. */
export interface Moment {
  day: number;
  clockH: number;
}

export interface Stay {
  from: Moment;
  to: Moment;
}

/** 1970-01-01 was a Thursday. */
export function weekdayOf(day: number): Weekday {
  return WEEKDAYS[(((day + 3) % 7) + 7) % 7]!;
}

export function houseOpening(stop: Stop): Opening {
  return {
    seasons: [{ fromMonthDay: stop.openFrom, toMonthDay: stop.openTo }],
    closedOn: stop.closedOn,
    opensH: stop.opensH ?? 0,
    closesH: stop.closesH ?? 24,
  };
}

/** What the counter does not say of itself is that of the house. */
export function postOpening(stop: Stop): Opening {
  const house = houseOpening(stop);
  const ownHours = stop.postOpensH !== undefined || stop.postClosesH !== undefined;
  return {
    seasons: [...house.seasons, { fromMonthDay: stop.postFrom, toMonthDay: stop.postTo }],
    closedOn: stop.postClosedOn.length > 0 ? stop.postClosedOn : house.closedOn,
    opensH: ownHours ? (stop.postOpensH ?? 0) : house.opensH,
    closesH: ownHours ? (stop.postClosesH ?? 24) : house.closesH,
  };
}

export function inSeason({ seasons }: Pick<Opening, "seasons">, day: number): boolean {
  const yearDay = dayOfYear(day);
  return seasons.every((season) => holdsOn(season, yearDay));
}

/** Hours of a day on which it is open, from its midnight; undefined where it stays closed. */
export function hoursOn(opening: Opening, day: number): { fromH: number; toH: number } | undefined {
  if (!inSeason(opening, day) || opening.closedOn.includes(weekdayOf(day))) return undefined;
  const { opensH, closesH } = opening;
  return { fromH: opensH, toH: closesH > opensH ? closesH : closesH + 24 };
}

/** Less than a quarter of an hour before the door shuts is too late. */
const LEAST_H = 0.25;
const YEAR_DAYS = 366;

/** The first moment from one on at which there is a quarter of an hour to go in; undefined where none comes in a year. */
export function nextOpen(opening: Opening, { day, clockH }: Moment): Moment | undefined {
  // The night before may still be open, and a clock beyond midnight is the next day's.
  const first = day + Math.floor(clockH / 24) - 1;
  for (let on = first; on <= first + YEAR_DAYS + 1; on++) {
    const hours = hoursOn(opening, on);
    if (!hours) continue;
    const sinceH = Math.max(hours.fromH, clockH - (on - day) * 24);
    if (sinceH + LEAST_H <= hours.toH) return { day: on + Math.floor(sinceH / 24), clockH: sinceH % 24 };
  }
  return undefined;
}

export const hoursBetween = (a: Moment, b: Moment): number => (b.day - a.day) * 24 + b.clockH - a.clockH;

/** Is there a quarter of an hour of the stay at which it is open? */
export function openDuring(opening: Opening, { from, to }: Stay): boolean {
  for (let day = from.day - 1; day <= to.day + Math.floor(to.clockH / 24); day++) {
    const hours = hoursOn(opening, day);
    if (!hours) continue;
    const sinceH = Math.max(hours.fromH, hoursBetween({ day, clockH: 0 }, from));
    const untilH = Math.min(hours.toH, hoursBetween({ day, clockH: 0 }, to));
    if (untilH - sinceH >= LEAST_H) return true;
  }
  return false;
}
