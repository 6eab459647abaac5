/**
 * Cuts the walk into days. The party walks together: on every cell the slowest sets the time, and the
 * shortest wanted day sets the hours.
 *
 * A day ends at the node where its walking hours are used up, at dusk, or at a stop with a night; a
 * stop within an hour's walk of the day's end is still reached. Clock: hours of local mean time.
 */
import type { Hiker, Plan } from "../plan/schema.ts";
import { DaylightTable } from "../season/sun.ts";
import type { Profile } from "../track/profile.ts";
import { dayOfYear } from "../units/day.ts";
import { Scratch } from "../units/scratch.ts";
import type { Halt } from "./halts.ts";
import { SLOWEST_BY_LOAD, slowdownPerKg, toblerMps } from "./pace.ts";
import { SURFACE_FACTORS } from "./surfaces.ts";
import { seasonHolds, type Terrain } from "./terrain.ts";

/** A day, or the part of a day that belongs to one leg when a stop is passed through. */
export interface DayPart {
  legIndex: number;
  /** Day number since 1970-01-01. */
  day: number;
  startNode: number;
  endNode: number;
  startClockH: number;
  endClockH: number;
  /** Walking, the way to and from stops included, breaks not. */
  walkH: number;
  offTrailStartH: number;
  offTrailEndH: number;
  budgetH: number;
  daylightH: number;
  sunsetH: number;
  /** Where the night after it is spent; `none` when the same day goes on in the next leg. */
  night: "camp" | "stop" | "none";
  /** Further nights at that stop: zero days. */
  zeroDays: number;
}

export interface Walk {
  parts: DayPart[];
  /** Party's hours on every cell. */
  cellH: Float64Array;
  /** Index into SURFACE_FACTORS of what lies on every cell on the day of passage. */
  surface: Uint8Array;
}

/** What does not change while the weights settle. */
export interface WalkGround {
  profile: Profile;
  terrain: Terrain;
  halts: readonly Halt[];
  startDay: number;
  hikers: readonly Hiker[];
  /** Unloaded speed of each hiker on every cell, surface not counted, m/s. */
  baseMps: readonly Float64Array[];
  /** Share of speed lost per kilogram on every cell. */
  slowPerKg: Float64Array;
  sun: DaylightTable;
  scratch: Scratch;
}

const SLOWEST_MPS = 0.15;
const OFF_TRAIL_KMH = 4.5;
const RIDE_H = 1;
const PUSH_ON_H = 1;
/** With less than this left of the day, a stop meant to be passed through becomes the night. */
const STAY_H = 0.5;
const PASS_THROUGH_H = 1.5;

export function buildGround(
  plan: Plan,
  profile: Profile,
  terrain: Terrain,
  halts: readonly Halt[],
  startDay: number,
  sun: DaylightTable,
): WalkGround {
  const slowPerKg = new Float64Array(profile.cellCount);
  const tobler = new Float64Array(profile.cellCount);
  for (let c = 0; c < profile.cellCount; c++) {
    slowPerKg[c] = slowdownPerKg(profile.gradeFraction[c]!);
    tobler[c] = toblerMps(profile.gradeFraction[c]!);
  }
  const baseMps = plan.hikers.map((hiker) => {
    const factor = hiker.pace.speedFactor;
    const own = new Float64Array(profile.cellCount);
    for (let c = 0; c < own.length; c++) own[c] = Math.max(SLOWEST_MPS, tobler[c]! * factor);
    return own;
  });
  return { profile, terrain, halts, startDay, hikers: plan.hikers, baseMps, slowPerKg, sun, scratch: new Scratch() };
}

/** Hours the party takes over every cell as if all were plain trail: the slowest hiker's at the load carried. */
function partyHours(ground: WalkGround, loadKg: readonly Float64Array[]): Float64Array {
  const { slowPerKg, baseMps } = ground;
  const n = ground.profile.cellCount;
  const hoursPerMps = ground.profile.cellM / 3600;
  const hours = ground.scratch.float64("plain hours", n).fill(0);
  for (const [h, base] of baseMps.entries()) {
    const load = loadKg[h]!;
    for (let c = 0; c < n; c++) {
      const byLoad = 1 - slowPerKg[c]! * load[c]!;
      const own = hoursPerMps / (base[c]! * (byLoad > SLOWEST_BY_LOAD ? byLoad : SLOWEST_BY_LOAD));
      if (own > hours[c]!) hours[c] = own;
    }
  }
  return hours;
}

/**
 * Walks cells on one day, at least one, until `roomH` hours are used up or `lastNode` is reached: fills `cellH` and `surface`, and answers the node where it stands. Kept free of closures: it is the hot loop.
 */
function advance(
  ground: WalkGround,
  plainH: Float64Array,
  cellH: Float64Array,
  surface: Uint8Array,
  fromNode: number,
  lastNode: number,
  yearDay: number,
  roomH: number,
): number {
  const { bare, snow, snowFromDay, snowToDay } = ground.terrain;
  let usedH = 0;
  let c = fromNode;
  for (; c < lastNode; c++) {
    const coat = snow[c]!;
    const underfoot = coat >= 0 && seasonHolds(snowFromDay[c]!, snowToDay[c]!, yearDay) ? coat : bare[c]!;
    const hours = plainH[c]! * SLOWNESS[underfoot]!;
    usedH += hours;
    if (usedH > roomH && c > fromNode) break;
    surface[c] = underfoot;
    cellH[c] = hours;
  }
  return c;
}

/** Time over a surface as a multiple of plain trail's. */
const SLOWNESS = Float64Array.from(SURFACE_FACTORS, (row) => 1 / row.speedFactor);

function sumHours(cellH: Float64Array, fromNode: number, toNode: number): number {
  let hours = 0;
  for (let c = fromNode; c < toNode; c++) hours += cellH[c]!;
  return hours;
}

/** Walking hours of the n-th day of the trip, before daylight has its say. */
export function wantedHours(hikers: readonly Hiker[], tripDay: number): number {
  let hours = Infinity;
  for (const { pace } of hikers) {
    const t = pace.rampDays > 0 ? Math.min(1, tripDay / pace.rampDays) : 1;
    hours = Math.min(hours, pace.hoursFreshH + (pace.hoursFitH - pace.hoursFreshH) * t);
  }
  return hours;
}

/** Hours one way between the trail and a stop. */
export function offTrailHours(halt: Halt): number {
  return halt.offTrailM === 0 ? 0 : halt.byRide ? RIDE_H : halt.offTrailM / 1000 / OFF_TRAIL_KMH;
}

/**
 * `loadKg` is the pack of each hiker on every cell. With `frozen` days keep their ends, and only the
 * hours are worked out anew: so a camp that hesitates between two cells comes to rest.
 */
export function walkDays(ground: WalkGround, loadKg: readonly Float64Array[], frozen?: readonly DayPart[]): Walk {
  const { profile, halts, hikers } = ground;
  const cellH = ground.scratch.float64("hours", profile.cellCount);
  const surface = new Uint8Array(profile.cellCount);
  const plainH = partyHours(ground, loadKg);
  const parts: DayPart[] = [];
  const breakShare = Math.max(...hikers.map((hiker) => hiker.pace.breakShare));
  const wantedStartH = Math.max(...hikers.map((hiker) => hiker.pace.startClockH));

  let day = ground.startDay;
  let usedH = 0;
  let clockH = 0;
  let budgetH = 0;
  let sun = { sunriseH: 6, sunsetH: 18, daylightH: 12 };
  let yearDay = 0;

  const beginDay = (node: number): void => {
    sun = ground.sun.at(day, profile.latDeg[node]!);
    yearDay = dayOfYear(day);
    clockH = Math.min(12, Math.max(wantedStartH, sun.sunriseH));
    // In the high-latitude winter there is no light to keep to: four hours are walked regardless.
    const lightH = Math.max(4, (sun.sunsetH - clockH) / (1 + breakShare));
    budgetH = Math.min(wantedHours(hikers, day - ground.startDay), lightH);
    usedH = 0;
  };

  const openPart = (legIndex: number, node: number, offTrailStartH: number): DayPart => {
    usedH += offTrailStartH;
    const part: DayPart = {
      legIndex,
      day,
      startNode: node,
      endNode: node,
      startClockH: clockH,
      endClockH: clockH,
      walkH: offTrailStartH,
      offTrailStartH,
      offTrailEndH: 0,
      budgetH,
      daylightH: sun.daylightH,
      sunsetH: sun.sunsetH,
      night: "none",
      zeroDays: 0,
    };
    parts.push(part);
    return part;
  };

  const closePart = (part: DayPart, node: number, night: DayPart["night"]): void => {
    part.endNode = node;
    part.night = night;
    part.endClockH = part.startClockH + part.walkH * (1 + breakShare);
    clockH = part.endClockH;
  };

  beginDay(0);
  for (let legIndex = 0; legIndex + 1 < halts.length; legIndex++) {
    const from = halts[legIndex]!;
    const to = halts[legIndex + 1]!;
    let part = openPart(legIndex, from.node, offTrailHours(from));
    for (let node = from.node; ;) {
      const begun = node;
      const lastNode = frozen ? Math.min(to.node, frozen[parts.length - 1]?.endNode ?? to.node) : to.node;
      node = advance(ground, plainH, cellH, surface, begun, lastNode, yearDay, frozen ? Infinity : budgetH - usedH);
      if (!frozen && node < to.node && stopInReach(ground, plainH, node, to, yearDay))
        node = advance(ground, plainH, cellH, surface, node, to.node, yearDay, Infinity);
      const hours = sumHours(cellH, begun, node);
      usedH += hours;
      part.walkH += hours;
      if (node >= to.node) break;
      closePart(part, node, "camp");
      day++;
      beginDay(node);
      part = openPart(legIndex, node, 0);
    }
    part.offTrailEndH = offTrailHours(to);
    part.walkH += part.offTrailEndH;
    usedH += part.offTrailEndH;

    const last = legIndex + 2 === halts.length;
    const plannedNight = frozen ? frozen[parts.length - 1]?.night === "stop" : undefined;
    const stays = plannedNight ?? (last || to.nights > 0 || budgetH - usedH < STAY_H);
    closePart(part, to.node, stays ? "stop" : "none");
    if (last) break;
    if (stays) {
      part.zeroDays = Math.max(0, to.nights - 1);
      day += 1 + part.zeroDays;
      beginDay(to.node);
    } else clockH += PASS_THROUGH_H;
  }
  return { parts, cellH, surface };
}

/** Is the stop within an hour's walk of this node? */
function stopInReach(ground: WalkGround, plainH: Float64Array, fromNode: number, to: Halt, yearDay: number): boolean {
  const { bare, snow, snowFromDay, snowToDay } = ground.terrain;
  let hours = offTrailHours(to);
  for (let c = fromNode; c < to.node && hours <= PUSH_ON_H; c++) {
    const coat = snow[c]!;
    hours +=
      plainH[c]! * SLOWNESS[coat >= 0 && seasonHolds(snowFromDay[c]!, snowToDay[c]!, yearDay) ? coat : bare[c]!]!;
  }
  return hours <= PUSH_ON_H;
}
