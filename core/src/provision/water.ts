/**
 * Water from trusted source to trusted source. What is drunk on the way comes from the hiker's water
 * school, cell by cell at the hour of passage; a night without a source at hand adds dinner, night and
 * breakfast; what is drunk at the source needs no carrying. A plan says what to carry, not what flows.
 */
import { drinkLimits } from "../models/heat.ts";
import { models } from "../models/index.ts";
import { HOT_C, WARM_C, type WaterInput } from "../models/water.ts";
import type { Hiker } from "../plan/schema.ts";
import { skyAt } from "../season/season.ts";
import { monthOfDay } from "../units/day.ts";
import type { WalkGround } from "../walk/ground.ts";
import { SURFACE_FACTORS } from "../walk/surfaces.ts";
import type { DayPart, Walk } from "../walk/walk.ts";

const PER_HEAT_K = 1 / (HOT_C - WARM_C);

/** Mean height of the sun's light on a walker between two hours, 0 to 1: the half sine of the day. */
export function sunShare(part: Pick<DayPart, "startClockH" | "endClockH" | "sunriseH" | "daylightH">): number {
  if (part.daylightH <= 0) return 0;
  const phase = (clockH: number): number =>
    Math.PI * Math.min(1, Math.max(0, (clockH - part.sunriseH) / part.daylightH));
  const from = phase(part.startClockH);
  const to = phase(part.endClockH);
  const hours = part.endClockH - part.startClockH;
  if (hours <= 0) return Math.sin(from);
  return ((Math.cos(from) - Math.cos(to)) * part.daylightH) / Math.PI / hours;
}

/**
 * Litres drunk from the start of the block to each node, into `into` from the first part's node on. One
 * school, one loop: the choice is made outside of it.
 */
export function drunkLitres(
  ground: WalkGround,
  hiker: Hiker,
  walk: Walk,
  loadKg: Float64Array,
  bodyKg: number,
  into: Float64Array,
): Float64Array {
  const { parts, cellH, cellC } = walk;
  const first = parts[0]!.startNode;
  const last = parts.at(-1)!.endNode;
  const school = models.water.orDefault(hiker.schools.water);
  const own = hiker.water.measuredLph;
  const byDistance = own === undefined && school.kind === "distance";
  // Both field rules in one loop: so much a cell, and so much an hour.
  const perCell = byDistance ? (hiker.water.ratePerKmL * ground.profile.cellM) / 1000 : 0;
  const perHour = byDistance ? 0 : (own ?? hiker.water.ratePerHourL);
  const perHeatK = own === undefined && school.byHeat ? PER_HEAT_K : 0;
  if (own === undefined && school.kind === "balance")
    return balanceLitres(ground, hiker, walk, loadKg, bodyKg, into, school.rateLph);
  let sum = 0;
  into[first] = 0;
  for (let c = first; c < last; c++) {
    const over = (cellC[c]! - WARM_C) * perHeatK;
    const litres = perCell + perHour * cellH[c]!;
    sum += over <= 0 ? litres : over >= 1 ? 2 * litres : (1 + over) * litres;
    into[c + 1] = sum;
  }
  return into;
}

function balanceLitres(
  ground: WalkGround,
  hiker: Hiker,
  { parts, cellH, cellC, surface }: Walk,
  loadKg: Float64Array,
  bodyKg: number,
  into: Float64Array,
  rateLph: (input: WaterInput) => number,
): Float64Array {
  const { profile } = ground;
  const { watts } = models.effort.orDefault(hiker.schools.effort);
  let sum = 0;
  into[parts[0]!.startNode] = 0;
  for (const part of parts) {
    const sky = skyAt(ground.season, part.startNode * profile.cellM, monthOfDay(part.day));
    const input: WaterInput = {
      powerW: 0,
      speedMps: 0,
      temperatureC: 0,
      humidity: sky.humidity,
      sun: sunShare(part) * (1 - 0.75 * sky.cloud),
      windMps: sky.windMps,
      bodyKg,
      heightCm: hiker.heightCm,
      clothing: hiker.water.clothing,
      loadKg: 0,
      gradePercent: 0,
    };
    for (let c = part.startNode; c < part.endNode; c++) {
      input.loadKg = loadKg[c]!;
      input.speedMps = profile.cellM / 3600 / cellH[c]!;
      input.gradePercent = 100 * profile.gradeFraction[c]!;
      input.temperatureC = cellC[c]!;
      input.powerW = watts(
        bodyKg,
        input.loadKg,
        input.speedMps,
        input.gradePercent,
        SURFACE_FACTORS[surface[c]!]!.terrainFactor,
      );
      sum += rateLph(input) * cellH[c]!;
      into[c + 1] = sum;
    }
  }
  return into;
}

/** A point where water can be had, in walking order. `sourceId` is undefined at a stop's tap. */
export interface WaterPoint {
  node: number;
  sourceId: string | undefined;
  /** On foot from the trail and back. */
  offTrailM: number;
}

/** One dry stretch: what to hold when leaving its first water. Litres add up: see `carryLitres`. */
export interface Carry {
  legIndex: number;
  fromNode: number;
  toNode: number;
  fromSourceId: string | undefined;
  toSourceId: string | undefined;
  distanceM: number;
  /** Walking hours, the ways off the trail included. */
  walkH: number;
  walkingL: number;
  /** The part of `walkingL` that is drunk between the water and the trail, before its first cell. */
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

/** The most to drink in some walking hours with some nights between, litres: by the hour, and by the day. */
export function mostLitres(hiker: Hiker, walkH: number, nights: number): number {
  const { perH, perDay } = drinkLimits(hiker.bodyKg);
  return Math.min(perH * Math.max(walkH, 0.5) + (nights * perDay) / 3, perDay * (nights + 1));
}
