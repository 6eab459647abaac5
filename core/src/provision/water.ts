/**
 * Water from trusted source to trusted source. What is drunk along the trail comes from the hiker's water
 * school, cell by cell at the hour of passage; a night without a source at hand adds dinner, night and
 * breakfast; what is drunk at the source needs no carrying. A plan says what to carry, not what flows.
 */
import { drinkLimits } from "../models/heat.ts";
import { HOT_C, WARM_C, type FieldRule, type WaterInput } from "../models/water.ts";
import type { Source, WaterSettings } from "../plan/schema.ts";
import { skyAt } from "../season/season.ts";
import { walkedOf } from "../track/place.ts";
import type { Ground } from "../walk/ground.ts";
import type { DayPart, Walk } from "../walk/walk.ts";
import type { HikerNeeds } from "./needs.ts";

const PER_HEAT_K = 1 / (HOT_C - WARM_C);

/** Mean height of the sun's light on a walker between two hours, 0 to 1: the half sine of the day. */
export function sunFraction(part: Pick<DayPart, "startClockH" | "endClockH" | "sunriseH" | "daylightH">): number {
  if (part.daylightH <= 0) return 0;
  const phase = (clockH: number): number =>
    Math.PI * Math.min(1, Math.max(0, (clockH - part.sunriseH) / part.daylightH));
  const from = phase(part.startClockH);
  const to = phase(part.endClockH);
  const hours = part.endClockH - part.startClockH;
  if (hours <= 0) return Math.sin(from);
  return ((Math.cos(from) - Math.cos(to)) * part.daylightH) / Math.PI / hours;
}

export interface DrinkInput {
  ground: Ground;
  needs: HikerNeeds;
  /** What the effort school keeps of every cell's grade. */
  slope: Float64Array | undefined;
  walk: Walk;
  loadKg: Float64Array;
  bodyKg: number;
  into: Float64Array;
}

/** Litres drunk from the start of the block to each node, into `into` from the first part's node on. */
export function drunkLitres(input: DrinkInput): Float64Array {
  const { water } = input.needs.schools;
  const rule = water.rule?.(input.needs.water, input.bodyKg);
  return rule ? ruleLitres(input, rule) : balanceLitres(input);
}

/** All field rules in one loop: so much a cell, and so much an hour. */
function ruleLitres({ ground, walk, into }: DrinkInput, rule: FieldRule): Float64Array {
  const { parts, cellH, cellC } = walk;
  const first = parts[0]!.startNode;
  const last = parts.at(-1)!.endNode;
  const perCell = (rule.perKmL * ground.profile.cellM) / 1000;
  const perHour = rule.perHourL;
  const perHeatK = rule.byHeat ? PER_HEAT_K : 0;
  const isLarger = rule.isLarger === true;
  let sum = 0;
  into[first] = 0;
  for (let c = first; c < last; c++) {
    const over = (cellC[c]! - WARM_C) * perHeatK;
    const byHours = perHour * cellH[c]!;
    const litres = !isLarger ? perCell + byHours : perCell > byHours ? perCell : byHours;
    sum += over <= 0 ? litres : over >= 1 ? 2 * litres : (1 + over) * litres;
    into[c + 1] = sum;
  }
  return into;
}

/** Cell by cell from power and weather. */
function balanceLitres({ ground, needs, slope, walk, loadKg, bodyKg, into }: DrinkInput): Float64Array {
  const { parts, cellH, cellC, surface } = walk;
  const { profile, gradePercent, terrainFactors } = ground;
  const { effort, water } = needs.schools;
  const { powerW } = ground.workspace;
  const cells = { cellM: profile.cellM, cellH, gradePercent, surface, terrain: terrainFactors, slope };
  let sum = 0;
  into[parts[0]!.startNode] = 0;
  for (const part of parts) {
    const sky = skyAt(ground.season, walkedOf(profile, part.startNode), part.day);
    effort.fillW(powerW, cells, part.startNode, part.endNode, bodyKg, loadKg, 0);
    const input: WaterInput = {
      powerW: 0,
      speedMps: 0,
      temperatureC: 0,
      humidity: sky.humidity,
      sun: sunFraction(part) * (1 - 0.75 * sky.cloud),
      windMps: sky.windMps,
      bodyKg,
      heightCm: needs.body.heightCm,
      clothing: needs.water.clothing,
      loadKg: 0,
      gradePercent: 0,
    };
    for (let c = part.startNode; c < part.endNode; c++) {
      input.loadKg = loadKg[c]!;
      input.speedMps = profile.cellM / 3600 / cellH[c]!;
      input.gradePercent = gradePercent[c]!;
      input.temperatureC = cellC[c]!;
      input.powerW = powerW[c]!;
      sum += water.rateLph(input) * cellH[c]!;
      into[c + 1] = sum;
    }
  }
  return into;
}

/** A point where water can be had, in walking order. `sourceId` is undefined at a stop's tap. */
export interface WaterPoint {
  node: number;
  sourceId: string | undefined;
  /** On foot one way. */
  offTrailM: number;
  /** That there is water; a stop's tap runs. */
  chance: number;
  /** Of what it would take, were it dry, the share that is carried past it. */
  pastShare: number;
  /** Water off the trail that is fetched only where it pays: not a stop's, which is walked to anyway. */
  optional: boolean;
  /** Snow, or frozen: what is taken has to be melted first. */
  isIce: boolean;
}

/** Not frozen on a day of frost: it comes out of the ground or of a pipe. */
const FLOWS_IN_FROST: readonly Source["kind"][] = ["spring", "tap"];

/** Is a source snow, or frozen over on a day whose high stays below freezing? */
export function isIce(kind: Source["kind"], highC: number): boolean {
  return kind === "snow" || (highC < 0 && !FLOWS_IN_FROST.includes(kind));
}

/** One dry stretch: what to hold when leaving its first water. Litres add up: see `carryLitres`. */
export interface Carry {
  legIndex: number;
  fromNode: number;
  toNode: number;
  fromSourceId: string | undefined;
  toSourceId: string | undefined;
  /** Melted from snow or ice where it was taken. */
  isIce: boolean;
  distanceM: number;
  /** Walking hours, the side trips included. */
  walkH: number;
  walkingL: number;
  /** The part of `walkingL` that is drunk between the water and the trail, before its first cell. */
  approachL: number;
  /** Camps it is carried to; one that fetches a part of its water counts for the rest. */
  dryCamps: number;
  campL: number;
  /** What the heat of its evenings makes of the camps' water, 1 in the cool. */
  campHeat: number;
  reserveL: number;
  /** Drunk before leaving, and so not carried. */
  drunkL: number;
  /** Added so that never less than the hiker's least is in hand. */
  handL: number;
  /** Carried past the next water, or more of them, that may be dry. */
  pastL: number;
  litres: number;
  /** What it would be, were the next source dry; undefined where the next water is a stop's, or snow. */
  ifDry: DryCarry | undefined;
  /** The most to drink along the trail in those hours: more is dangerous too. */
  mostL: number;
}

/** Carried to the water beyond the next. */
export interface DryCarry {
  litres: number;
  toNode: number;
  toSourceId: string | undefined;
  distanceM: number;
  walkH: number;
}

export interface CarryNeed {
  walkingL: number;
  campL: number;
  reserveL: number;
  drunkL: number;
  handL: number;
  litres: number;
}

/** litres = walking + camp + reserve − drunk, and what is missing from the least to have in hand. */
export function carryLitres(water: WaterSettings, walkingL: number, dryCamps: number, campHeat = 1): CarryNeed {
  const campL = dryCamps * (water.dinnerL + water.nightL + water.breakfastL) * campHeat;
  const reserveL = (walkingL + campL) * water.reserveFraction;
  const drunkL = Math.min(water.drinkAtSourceL, walkingL + campL + reserveL);
  const neededL = walkingL + campL + reserveL - drunkL;
  const handL = Math.max(0, water.leastL - neededL);
  return { walkingL, campL, reserveL, drunkL, handL, litres: neededL + handL };
}

/** The most to drink in some walking hours with some nights between, litres: by the hour, and by the day. */
export function mostLitres(bodyKg: number, walkH: number, nights: number): number {
  const { perH, perDay } = drinkLimits(bodyKg);
  return Math.min(perH * Math.max(walkH, 0.5) + (nights * perDay) / 3, perDay * (nights + 1));
}
