/**
 * Nights that the hiker holds on to. Where a pin is within the day's hours, or so far beyond as it may make the day
 * longer, the day ends there. A pin with a date draws the days before it: the way to it is spread evenly over the days
 * that are left, from half of the wanted hours to those of the longest day that it may make; on its day it is walked to
 * in any case that the clock allows, and whoever comes before it waits, thirty days at most. A pin cannot hold what is
 * beyond a stop with a night: the days before that stop know nothing of it. What is not held is said by a check.
 */
import type { Pin } from "../plan/schema.ts";
import { nodeOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { clamp } from "../units/constants.ts";
import { dayNumber } from "../units/day.ts";

export interface PlacedPin {
  id: string;
  node: number;
  /** Day number since 1970-01-01; undefined for whenever one comes. */
  day: number | undefined;
  bed: boolean;
  /** Rest days there. */
  zeroDays: number;
  /** The day may be made so much longer for it. */
  overtimeH: number;
}

export type PinFacts = Pick<Pin, "id" | "trackM" | "alternateId" | "date" | "bed" | "nights" | "overtimeH">;

export function pinFacts({ id, trackM, alternateId, date, bed, nights, overtimeH }: Pin): PinFacts {
  return { id, trackM, alternateId, date, bed, nights, overtimeH };
}

/** In walking order; of two on one node the one with a date holds. All of them are on the route. */
export function placePins({ pins, profile }: { pins: readonly PinFacts[]; profile: Profile }): PlacedPin[] {
  const placed = pins.map((pin): PlacedPin => ({
    id: pin.id,
    node: nodeOf(profile, pin),
    day: pin.date === undefined ? undefined : dayNumber(pin.date),
    bed: pin.bed,
    zeroDays: pin.nights - 1,
    overtimeH: pin.overtimeH,
  }));
  placed.sort((a, b) => a.node - b.node || Number(a.day === undefined) - Number(b.day === undefined));
  return placed.filter((pin, i) => i === 0 || placed[i - 1]!.node !== pin.node);
}

const LEAST_SHARE = 0.5;

/** The first pin between two nodes, both ends excluded. */
export function nextPin(pins: readonly PlacedPin[], fromNode: number, toNode: number): PlacedPin | undefined {
  return pins.find(({ node }) => node > fromNode && node < toNode);
}

export interface PinnedInput {
  day: number;
  /** Walking hours to the pin, those wanted of the day, and those that the clock allows. */
  aheadH: number;
  budgetH: number;
  mostH: number;
}

/** Walking hours of a day before a pin; Infinity where it is walked to in any case. */
export function pinnedHours(pin: PlacedPin, { day, aheadH, budgetH, mostH }: PinnedInput): number {
  const stretchedH = Math.min(mostH, budgetH + pin.overtimeH);
  if (pin.day === undefined || day > pin.day) return aheadH <= stretchedH ? Infinity : budgetH;
  const nights = pin.day - day;
  if (nights === 0) return aheadH <= mostH ? Infinity : stretchedH;
  return clamp(aheadH / (nights + 1), Math.min(LEAST_SHARE * budgetH, mostH), stretchedH);
}

/** Nobody waits longer in one place: the date is given as missed. */
const MOST_WAIT_DAYS = 30;

/** Rest days at a pin that is come to: its own, and the wait for its date. */
export function restAtPin({ day: date, zeroDays }: PlacedPin, day: number): number {
  const waits = date === undefined ? 0 : Math.max(0, date - day);
  return zeroDays + (waits <= MOST_WAIT_DAYS ? waits : 0);
}
