/**
 * Water from trusted source to trusted source.
 *
 * Rate: the field rule of litres per kilometre, unchanged to 20 °C, rising from there and doubled at
 * 32 °C and above. A night without a source at hand adds dinner, night and breakfast. What is drunk at
 * the source needs no carrying. A plan says what to carry, not what flows: any source may be dry.
 */
import type { Hiker, Source } from "../plan/schema.ts";
import { HIGH_LAPSE_K_PER_M } from "../season/season.ts";
import type { Profile } from "../track/profile.ts";
import { clamp } from "../units/constants.ts";
import { cellHighC, type PartConditions } from "../walk/conditions.ts";
import type { DayPart } from "../walk/walk.ts";

/** A camp this close to a trusted source is not dry: one walks on to it, or goes back with the bottles. */
export const CAMP_REACH_M = 1000;
const WARM_C = 20;
const HOT_C = 32;
const PER_HEAT_K = 1 / (HOT_C - WARM_C);

/** Factor on the rate at an air temperature. */
export function heatFactor(temperatureC: number): number {
  return 1 + clamp((temperatureC - WARM_C) / (HOT_C - WARM_C), 0, 1);
}

/**
 * Distance from the start to each node with every metre times its heat factor: litres drunk while
 * walking are this times the hiker's rate, so that one pass serves all hikers.
 */
export function heatMetres(
  profile: Profile,
  parts: readonly DayPart[],
  conditions: readonly PartConditions[],
  into: Float64Array,
): Float64Array {
  const { heightM, cellM } = profile;
  into[0] = 0;
  for (const [p, part] of parts.entries()) {
    const seaLevelC = cellHighC(conditions[p]!, 0);
    const cooler = HIGH_LAPSE_K_PER_M;
    let sum = into[part.startNode]!;
    for (let c = part.startNode; c < part.endNode; c++) {
      const over = (seaLevelC - heightM[c]! * cooler - WARM_C) * PER_HEAT_K;
      sum += over <= 0 ? cellM : over >= 1 ? 2 * cellM : (1 + over) * cellM;
      into[c + 1] = sum;
    }
  }
  return into;
}

/** Does this hiker count on the source in a month (0 = January)? */
export function trusted(source: Source, hiker: Hiker, month: number): boolean {
  const { trust, leastChance } = hiker.water;
  if (trust === "all") return true;
  if (trust === "reliable") return source.reliable;
  const chance = source.chanceByMonth?.[month];
  return chance === undefined ? source.reliable : chance >= leastChance;
}

/** A point where water can be had, in walking order. `sourceId` is undefined at a stop's tap. */
export interface WaterPoint {
  node: number;
  sourceId: string | undefined;
}

/** One dry stretch: what to hold when leaving its first water. Litres add up: see `carryLitres`. */
export interface Carry {
  legIndex: number;
  fromNode: number;
  toNode: number;
  fromSourceId: string | undefined;
  toSourceId: string | undefined;
  distanceM: number;
  /** Highest day temperature on the stretch. */
  hottestC: number;
  walkingL: number;
  /** The part of `walkingL` that is drunk between the stop and the trail, before its first cell. */
  approachL: number;
  dryCamps: number;
  campL: number;
  reserveL: number;
  /** Drunk before leaving, and so not carried. */
  drunkL: number;
  litres: number;
  /** The most to drink on the way in those hours: more is dangerous too. */
  mostL: number;
}

export interface CarryNeed {
  walkingL: number;
  campL: number;
  reserveL: number;
  drunkL: number;
  litres: number;
}

/** litres = walking + camp + reserve − drunk, never below nothing. */
export function carryLitres(hiker: Hiker, walkingL: number, dryCamps: number): CarryNeed {
  const { water } = hiker;
  const campL = dryCamps * (water.dinnerL + water.nightL + water.breakfastL);
  const reserveL = (walkingL + campL) * water.reserveFraction;
  const drunkL = Math.min(water.drinkAtSourceL, walkingL + campL + reserveL);
  return { walkingL, campL, reserveL, drunkL, litres: walkingL + campL + reserveL - drunkL };
}

// TB MED 507 (2003): never more than 1.5 US quarts an hour or 12 a day; for small bodies in proportion.
const MOST_LPH = 1.42;
const MOST_L_PER_DAY = 11.36;
const REFERENCE_KG = 70;

/** The most to drink in some walking hours over some days, litres. */
export function mostLitres(hiker: Hiker, walkH: number, days: number): number {
  const scale = Math.min(1, hiker.bodyKg / REFERENCE_KG);
  return (
    scale *
    Math.min(MOST_LPH * Math.max(walkH, 0.5) + (days > 0 ? MOST_L_PER_DAY / 3 : 0) * days, MOST_L_PER_DAY * (days + 1))
  );
}
