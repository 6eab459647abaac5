/**
 * Whether a parcel is there when one comes. Working days along the trail are the service's least and two stages of waiting
 * after it, each of them over with the same chance every day: P(T = m + x) = (x + 1)(1 − q)² qˣ, mean m + 2q/(1 − q).
 * The form is a negative binomial of two; m and q are judgement, to be fitted to your own boxes [L]. Six-day weeks.
 */
import type { Resupply } from "../plan/schema.ts";
import { normalBelow } from "../models/snow.ts";

export interface Service {
  /** Fewest working days. */
  leastDays: number;
  /** Chance of each further day, in each of the two stages. */
  q: number;
  lostFraction: number;
  /** It works on Sundays too. */
  everyDay?: boolean;
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

/** Since a Sunday: 4 January 1970 was the first one after day 0. */
const FIRST_SUNDAY = 3;
const sundaysUpTo = (day: number): number => Math.floor((day - FIRST_SUNDAY) / 7);

/** Days without a Sunday after one day, up to another and with it. */
export function workingDaysBetween(fromDay: number, toDay: number): number {
  if (toDay <= fromDay) return 0;
  return toDay - fromDay - (sundaysUpTo(toDay) - sundaysUpTo(fromDay));
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
export function chanceThere(
  service: Service,
  { sentDay, arrivesDay, holdDays }: Fetching,
  within = (workingDays: number): number => comesWithin(service, workingDays),
): number {
  const comesBy = (day: number): number =>
    within(service.everyDay ? Math.max(0, day - sentDay) : workingDaysBetween(sentDay, day));
  const before = comesBy(arrivesDay - 1);
  const sentBack = comesBy(arrivesDay - holdDays - 1);
  return (1 - service.lostFraction) * Math.max(0, before - sentBack);
}

/** When one comes, as a normal spread about the planned day. */
export interface Arrival {
  plannedDay: number;
  sdDays: number;
}

/** Beyond so many spreads nobody comes. */
const MOST_SD = 4;

/** Chance of each day about the planned one, from `-reach` on. */
function arrivalShares({ sdDays }: Arrival): number[] {
  const reach = Math.ceil(MOST_SD * sdDays);
  if (reach === 0) return [1];
  const comesBy = (days: number): number => normalBelow((days + 0.5) / sdDays);
  return Array.from({ length: 2 * reach + 1 }, (_, i) => comesBy(i - reach) - comesBy(i - reach - 1));
}

/** The chance that it is there over all days on which one may come. */
export function chanceOver(
  service: Service,
  { sentDay, holdDays }: Pick<Fetching, "sentDay" | "holdDays">,
  arrival: Arrival,
): number {
  return chancesOver(service, holdDays, arrival)(sentDay);
}

/** The same for many days of sending: what is asked again and again is worked out once. */
function chancesOver(service: Service, holdDays: number, arrival: Arrival): (sentDay: number) => number {
  const shares = arrivalShares(arrival);
  const firstDay = arrival.plannedDay - (shares.length - 1) / 2;
  const known: number[] = [];
  const within = (workingDays: number): number => (known[workingDays] ??= comesWithin(service, workingDays));
  return (sentDay) => {
    let chance = 0;
    for (const [i, share] of shares.entries())
      chance += share * chanceThere(service, { sentDay, arrivesDay: firstDay + i, holdDays }, within);
    return chance;
  };
}

export interface SendingInput extends Service {
  arrival: Arrival;
  holdDays: number;
}

export interface Sending {
  /** The day on which to send: that with the best chance. */
  day: number;
  chance: number;
  /** The days about it that are hardly worse. */
  fromDay: number;
  byDay: number;
}

/** So much less chance is hardly worse. */
const HARDLY = 0.02;
const MOST_DAYS_AHEAD = 60;

/** The best day for a box that is sent from home by the calendar. */
export function sendingDays({ arrival, holdDays, ...service }: SendingInput): Sending {
  const lastDay = arrival.plannedDay + Math.ceil(arrival.sdDays);
  const chanceOn = chancesOver(service, holdDays, arrival);
  const chances = Array.from({ length: MOST_DAYS_AHEAD }, (_, ahead) => chanceOn(lastDay - ahead));
  // Of days with the same chance the later one: it goes on knowing more.
  const best = chances.reduce((at, chance, i) => (chance > chances[at]! + 1e-12 ? i : at), 0);
  const least = chances[best]! - HARDLY;
  let [from, by] = [best, best];
  while (from + 1 < chances.length && chances[from + 1]! >= least) from++;
  while (by > 0 && chances[by - 1]! >= least) by--;
  return { day: lastDay - best, chance: chances[best]!, fromDay: lastDay - from, byDay: lastDay - by };
}

/** Spread of your own pace over a hike and from day to day, and how one day is like the one before (judgement [L]). */
const HIKE_SD = 0.08;
const DAY_SD = 0.1;
const DAY_CORRELATION = 0.3;
/** Of twenty who come, one comes earlier and one later. */
const Z = 1.645;

/** Spread of the day on which one comes, after so many days of walking. */
export function arrivalSdDays(walkedDays: number): number {
  const hike = HIKE_SD * walkedDays;
  const byDay = DAY_SD ** 2 * walkedDays * ((1 + DAY_CORRELATION) / (1 - DAY_CORRELATION));
  return Math.sqrt(hike ** 2 + byDay);
}

/** Days before or after the planned one that 1 of 20 comes. */
export function arrivalSpreadDays(walkedDays: number): number {
  return Math.ceil(Z * arrivalSdDays(walkedDays));
}
