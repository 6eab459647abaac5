/**
 * Whether a parcel is there when one comes. Working days along the trail are the service's least and two stages of waiting
 * after it, each of them over with the same chance every day: P(T = m + x) = (x + 1)(1 − q)² qˣ, mean m + 2q/(1 − q).
 * The form is a negative binomial of two; m and q are judgement, to be fitted to your own boxes [L]. Six-day weeks.
 */
import type { Resupply } from "../plan/schema.ts";
import { weekdayOf } from "./openings.ts";

export interface Service {
  /** Fewest working days. */
  leastDays: number;
  /** Chance of each further day, in each of the two stages. */
  q: number;
  lostFraction: number;
}

/** Chance that a parcel has come after so many working days, loss apart. */
export function comesWithin({ leastDays, q }: Pick<Service, "leastDays" | "q">, workingDays: number): number {
  const x = Math.floor(workingDays - leastDays);
  // The sum of (k + 1) qᵏ from 0 to x, times (1 − q)².
  return x < 0 ? 0 : 1 - (x + 2) * q ** (x + 1) + (x + 1) * q ** (x + 2);
}

export function meanTransitDays({ leastDays, q }: Pick<Service, "leastDays" | "q">): number {
  return leastDays + (2 * q) / (1 - q);
}

/** Days without a Sunday after one day, up to another and with it. */
export function workingDaysBetween(fromDay: number, toDay: number): number {
  let count = 0;
  for (let day = fromDay + 1; day <= toDay; day++) if (weekdayOf(day) !== "sun") count++;
  return count;
}

/** By the hiker's own table; beyond its last row and without one, what a parcel costs. */
export function postagePrice({ postage, parcelPrice }: Pick<Resupply, "postage" | "parcelPrice">, kg: number): number {
  const rows = [...postage].sort((a, b) => a.toKg - b.toKg);
  return rows.find(({ toKg }) => kg <= toKg)?.price ?? parcelPrice;
}

export interface Fetching {
  sentDay: number;
  /** When one comes for it. */
  arrivesDay: number;
  holdDays: number;
}

/**
 * Chance that it is there: it came before the day of arrival, which itself does not count, and has not been sent back
 * since.
 */
export function chanceThere(service: Service, { sentDay, arrivesDay, holdDays }: Fetching): number {
  const before = comesWithin(service, workingDaysBetween(sentDay, arrivesDay - 1));
  const sentBack = comesWithin(service, workingDaysBetween(sentDay, arrivesDay - holdDays - 1));
  return (1 - service.lostFraction) * Math.max(0, before - sentBack);
}

export interface SendingInput extends Service {
  arrivesDay: number;
  /** So many days before and after that one may come as well: the 5 and 95 % of it. */
  earlyDays: number;
  lateDays: number;
  holdDays: number;
}

export interface Sending {
  /** The last day on which to send, for whoever comes early, and what the chance is then. */
  byDay: number;
  chance: number;
  /** The first, for whoever comes late: earlier it may have been sent back. Not later than the last where both can be met. */
  fromDay: number;
}

/** Good enough a chance; where loss takes more than the rest, all of it but loss. */
const WANTED = 0.95;
const MOST_DAYS_AHEAD = 250;

export function sendingDays(input: SendingInput): Sending {
  const { arrivesDay, earlyDays, lateDays, holdDays, lostFraction } = input;
  const early = arrivesDay - earlyDays;
  const late = arrivesDay + lateDays;
  const wanted = Math.min(WANTED, 0.99 * (1 - lostFraction));
  let byDay = early - 1;
  const chance = (sentDay: number): number => chanceThere(input, { sentDay, arrivesDay: early, holdDays: Infinity });
  while (chance(byDay) < wanted && byDay > early - MOST_DAYS_AHEAD) byDay--;
  // What has come by this day is sent back before one is there whoever comes late.
  const keptFrom = late - holdDays - 1;
  let fromDay = keptFrom;
  while (comesWithin(input, workingDaysBetween(fromDay - 1, keptFrom)) <= 1 - WANTED) fromDay--;
  return { byDay, chance: chance(byDay), fromDay };
}

/** Spread of your own pace over a hike and from day to day, and how one day is like the one before (judgement [L]). */
const HIKE_SD = 0.08;
const DAY_SD = 0.1;
const DAY_CORRELATION = 0.3;
/** Of twenty who come, one comes earlier and one later. */
const Z = 1.645;

/** Days before or after the planned one that 1 of 20 comes, after so many days of walking. */
export function arrivalSpreadDays(walkedDays: number): number {
  const hike = HIKE_SD * walkedDays;
  const byDay = DAY_SD ** 2 * walkedDays * ((1 + DAY_CORRELATION) / (1 - DAY_CORRELATION));
  return Math.ceil(Z * Math.sqrt(hike ** 2 + byDay));
}
