/**
 * Cuts a block of legs into days. The party walks together: on every cell the slowest sets the time, and
 * the shortest wanted day sets the hours. A block runs from a planned night at a stop to the next one;
 * nothing later bears on it, so blocks are solved one after the other.
 *
 * A day ends at a stop with a night, where its walking hours are used up, or up to a window earlier
 * where water or a listed camp is; light, stretches without camping and closing times have their say.
 * Clock: hours of local mean time.
 */
import type { Hiker } from "../plan/schema.ts";
import { HIGH_LAPSE_K_PER_M } from "../models/cold.ts";
import { STEPS_PER_H } from "../season/diurnal.ts";
import { climateAt } from "../season/season.ts";
import { dayOfYear, monthOfDay } from "../units/day.ts";
import { CAMP_REACH_M, lastAtMost } from "./camps.ts";
import type { WalkGround } from "./ground.ts";
import type { Halt } from "./halts.ts";
import { SLOWEST_BY_HEAT, SLOWEST_BY_LOAD } from "./slow.ts";
import { seasonHolds } from "./terrain.ts";

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
  /** Walking hours that were meant for the day, after light and rules. */
  budgetH: number;
  /** The same before light had its say. */
  wantedH: number;
  sunriseH: number;
  sunsetH: number;
  daylightH: number;
  /** Where the night after it is spent; `none` when the same day goes on in the next leg. */
  night: "camp" | "stop" | "none";
  /** Further nights there: zero days. */
  zeroDays: number;
  /** Where camping is forbidden, and no allowed place was in reach. */
  forbiddenCamp: boolean;
}

/** What one block hands on to the next. */
export interface WalkState {
  day: number;
  /** Days walked since the last rest day. */
  walkedDays: number;
  /** The night before was spent at a stop of the plan. */
  fromStop: boolean;
}

export interface Walk {
  parts: DayPart[];
  /** Party's hours on every cell of the block, air temperature there at that hour, surface that day. */
  cellH: Float64Array;
  cellC: Float64Array;
  surface: Uint8Array;
  after: WalkState;
}

export interface Block {
  firstLeg: number;
  /** One after its last leg. */
  endLeg: number;
}

const OFF_TRAIL_KMH = 4.5;
const RIDE_H = 1;
const PUSH_ON_H = 1;
/** With less than this left of the day, a stop meant to be passed through becomes the night. */
const STAY_H = 0.5;
const PASS_THROUGH_H = 1.5;
/** In the high-latitude winter there is no light to keep to: so much is walked regardless. */
const LEAST_LIGHT_H = 4;
/** A camp before a stop that has closed. */
const BEFORE_STOP_M = 2000;
/** Civil twilight: so long before sunrise and after sunset one still sees the ground. */
const TWILIGHT_H = 0.5;
/** How far beyond the day's end a stretch without camping is walked out of. */
const MOST_OVERTIME_H = 3;

/** Legs between planned nights at stops. */
export function blocksOf(halts: readonly Halt[]): Block[] {
  const blocks: Block[] = [];
  let firstLeg = 0;
  for (let leg = 0; leg + 1 < halts.length; leg++) {
    if (halts[leg + 1]!.nights === 0 && leg + 2 < halts.length) continue;
    blocks.push({ firstLeg, endLeg: leg + 1 });
    firstLeg = leg + 1;
  }
  return blocks;
}

/** Walking hours wanted on the n-th day of the trip, before rules and daylight have their say. */
export function wantedHours(hikers: readonly Hiker[], tripDay: number): number {
  let hours = Infinity;
  for (const { pace } of hikers) hours = Math.min(hours, rampHours(pace, tripDay));
  return hours;
}

function rampHours(pace: Hiker["pace"], tripDay: number): number {
  const { ramp } = pace;
  if (ramp.length === 0) {
    const t = pace.rampDays > 0 ? Math.min(1, tripDay / pace.rampDays) : 1;
    return pace.hoursFreshH + (pace.hoursFitH - pace.hoursFreshH) * t;
  }
  const next = ramp.findIndex((stage) => stage.tripDay > tripDay);
  if (next <= 0) return (next === 0 ? ramp[0] : ramp.at(-1))!.hoursH;
  const from = ramp[next - 1]!;
  const to = ramp[next]!;
  return from.hoursH + ((to.hoursH - from.hoursH) * (tripDay - from.tripDay)) / (to.tripDay - from.tripDay);
}

/** Hours one way between the trail and a stop. */
export function offTrailHours(halt: Halt): number {
  return halt.offTrailM === 0 ? 0 : halt.byRide ? RIDE_H : halt.offTrailM / 1000 / OFF_TRAIL_KMH;
}

/** Hours over cells as if all were plain trail in the cool of the day: the slowest hiker's at the load carried. */
function partyHours(ground: WalkGround, loadKg: readonly Float64Array[], from: number, to: number): Float64Array {
  const { slowPerKg, baseH } = ground;
  const hours = ground.scratch.float64("plain hours", ground.profile.cellCount).fill(0, from, to);
  for (let h = 0; h < baseH.length; h++) {
    const base = baseH[h]!;
    const load = loadKg[h]!;
    for (let c = from; c < to; c++) {
      const byLoad = 1 - slowPerKg[c]! * load[c]!;
      const own = base[c]! / (byLoad > SLOWEST_BY_LOAD ? byLoad : SLOWEST_BY_LOAD);
      if (own > hours[c]!) hours[c] = own;
    }
  }
  return hours;
}

/** The day at hand, worked out when it begins. */
interface Today {
  yearDay: number;
  month: number;
  sunriseH: number;
  sunsetH: number;
  daylightH: number;
  startH: number;
  wantedH: number;
  budgetH: number;
  /** Day high brought down to sea level, the day's range, and how much of it every quarter of an hour lies below. */
  highAtSeaC: number;
  rangeK: number;
  belowHigh: Float64Array;
}

/** Walks the cells of one day, and keeps what it found. Kept free of closures: `advance` is the hot loop. */
class Pace {
  readonly cellH: Float64Array;
  readonly cellC: Float64Array;
  readonly surface: Uint8Array;
  readonly plainH: Float64Array;
  /** Hours of clock for an hour of walking: the breaks are spread evenly. */
  readonly clockPerH: number;

  constructor(
    readonly ground: WalkGround,
    loadKg: readonly Float64Array[],
    from: number,
    to: number,
  ) {
    const { scratch, profile } = ground;
    this.cellH = scratch.float64("hours", profile.cellCount);
    this.cellC = scratch.float64("air", profile.cellCount);
    this.surface = scratch.uint8("surface", profile.cellCount);
    this.plainH = partyHours(ground, loadKg, from, to);
    this.clockPerH = 1 + Math.max(...ground.hikers.map((hiker) => hiker.pace.breakShare));
  }

  /** At least one cell, until `roomH` hours are used up or `lastNode` is reached; answers the node where it stands. */
  advance(today: Today, fromNode: number, lastNode: number, fromClockH: number, roomH: number): number {
    const { cellH, cellC, surface, plainH, clockPerH } = this;
    const { bare, snow, snowFromDay, snowToDay } = this.ground.terrain;
    const { slowness, rules } = this.ground;
    const { heightM } = this.ground.profile;
    const { yearDay, highAtSeaC, rangeK, belowHigh } = today;
    const dawnH = today.sunriseH - TWILIGHT_H;
    const duskH = today.sunsetH + TWILIGHT_H;
    const bySun = today.daylightH < 24;
    const inTheDark = 1 / rules.nightSpeedFactor;
    const warmC = rules.heatSlowFromC;
    const { heatSlowPerK } = rules;
    const lastStep = belowHigh.length - 1;
    let usedH = 0;
    let clockH = fromClockH;
    let airAtSeaC = 0;
    // The air is looked up anew at every quarter of an hour, not on every cell: half the time of this loop.
    let nextLookH = -1;
    let c = fromNode;
    for (; c < lastNode; c++) {
      if (clockH >= nextLookH) {
        const step = Math.floor(clockH * STEPS_PER_H);
        airAtSeaC = highAtSeaC - rangeK * belowHigh[step < lastStep ? step : lastStep]!;
        nextLookH = (step + 1) / STEPS_PER_H;
      }
      const coat = snow[c]!;
      const underfoot = coat >= 0 && seasonHolds(snowFromDay[c]!, snowToDay[c]!, yearDay) ? coat : bare[c]!;
      const airC = airAtSeaC - heightM[c]! * HIGH_LAPSE_K_PER_M;
      let hours = plainH[c]! * slowness[underfoot]!;
      if (airC > warmC) {
        const cooled = 1 - heatSlowPerK * (airC - warmC);
        hours /= cooled > SLOWEST_BY_HEAT ? cooled : SLOWEST_BY_HEAT;
      }
      if (bySun && (clockH < dawnH || clockH > duskH)) hours *= inTheDark;
      usedH += hours;
      if (usedH > roomH && c > fromNode) break;
      clockH += hours * clockPerH;
      surface[c] = underfoot;
      cellH[c] = hours;
      cellC[c] = airC;
    }
    return c;
  }

  hours(fromNode: number, toNode: number): number {
    const { cellH } = this;
    let hours = 0;
    for (let c = fromNode; c < toNode; c++) hours += cellH[c]!;
    return hours;
  }

  /** Is the stop within an hour's walk of this node? */
  inReach(today: Today, fromNode: number, to: Halt): boolean {
    const { bare, snow, snowFromDay, snowToDay } = this.ground.terrain;
    const { slowness } = this.ground;
    let hours = offTrailHours(to);
    for (let c = fromNode; c < to.node && hours <= PUSH_ON_H; c++) {
      const coat = snow[c]!;
      const holds = coat >= 0 && seasonHolds(snowFromDay[c]!, snowToDay[c]!, today.yearDay);
      hours += this.plainH[c]! * slowness[holds ? coat : bare[c]!]!;
    }
    return hours <= PUSH_ON_H;
  }
}

function beginDay(ground: WalkGround, clockPerH: number, day: number, node: number, leftStop: boolean): Today {
  const { profile, rules, hikers } = ground;
  const sun = ground.sun.at(day, profile.latDeg[node]!);
  const heightM = profile.heightM[node]!;
  const weather = climateAt(ground.season, node * profile.cellM, heightM, day);
  let wantedH = wantedHours(hikers, day - ground.startDay);
  if (leftStop && rules.neroOutH !== undefined) wantedH = Math.min(wantedH, rules.neroOutH);

  const darkH = rules.darkShare * wantedH;
  const byClock = Math.max(...hikers.map((hiker) => hiker.pace.startClockH));
  const startH =
    rules.startRule === "sunrise"
      ? Math.min(12, sun.sunriseH)
      : Math.min(12, Math.max(byClock, sun.sunriseH - darkH * clockPerH));
  const morningDarkH = Math.max(0, sun.sunriseH - startH) / clockPerH;
  const lightH = (sun.sunsetH - startH) / clockPerH + Math.max(0, darkH - morningDarkH);
  const budgetH = Math.min(wantedH, Math.max(LEAST_LIGHT_H, lightH), (24 - startH) / clockPerH);
  return {
    yearDay: dayOfYear(day),
    month: monthOfDay(day),
    ...sun,
    startH,
    wantedH,
    budgetH,
    highAtSeaC: weather.highC + heightM * HIGH_LAPSE_K_PER_M,
    rangeK: weather.highC - weather.lowC,
    belowHigh: ground.diurnal.at(sun.sunriseH),
  };
}

/** Where to camp when the hours end at `endNode`: at most `windowH` earlier, later only to leave a stretch without camping. */
function campNode(pace: Pace, today: Today, startNode: number, endNode: number, stopNode: number): number {
  const { ground } = pace;
  const { camps, rules, profile } = ground;
  const walkedH = pace.hours(startNode, endNode);
  const windowH = Math.min(rules.campWindowH, walkedH / 2);
  const earliest = backBy(pace, startNode, endNode, windowH);
  let camp = endNode;
  if (rules.sleepAt !== "anywhere") {
    let listed = lastAtMost(camps.listed, endNode);
    // None in the window: the last one that leaves half a day's walk behind.
    const halfway = backBy(pace, startNode, endNode, walkedH / 2);
    if (listed < earliest && listed < halfway) listed = -1;
    if (listed > startNode) camp = listed;
  } else if (rules.endRule === "camp") {
    const reach = Math.round(CAMP_REACH_M / profile.cellM);
    const wet = lastAtMost(camps.wet[today.month]!, Math.min(endNode + reach, stopNode));
    if (wet < endNode && wet >= earliest && wet > startNode) camp = wet;
  }
  if (camps.forbidden[camp] === 0) return camp;
  const halfway = backBy(pace, startNode, camp, walkedH / 2);
  for (let node = camp - 1; node > startNode && node >= halfway; node--) if (camps.forbidden[node] === 0) return node;
  let overH = 0;
  for (let node = camp; node < stopNode && overH <= MOST_OVERTIME_H; node++) {
    if (camps.forbidden[node] === 0) return node;
    overH += pace.plainH[node]!;
  }
  return overH <= MOST_OVERTIME_H ? stopNode : camp;
}

/** The node that lies some walking hours before `endNode`, never before the one after `startNode`. */
function backBy(pace: Pace, startNode: number, endNode: number, hours: number): number {
  let node = endNode;
  for (let left = hours; node > startNode + 1; node--) {
    left -= pace.cellH[node - 1]!;
    if (left < 0) break;
  }
  return node;
}

/**
 * `loadKg` is the pack of each hiker on every cell. With `frozen` days keep their ends, and only the
 * hours are worked out anew: so a camp that hesitates between two cells comes to rest.
 */
export function walkBlock(
  ground: WalkGround,
  block: Block,
  before: WalkState,
  loadKg: readonly Float64Array[],
  frozen?: readonly DayPart[],
): Walk {
  const { halts, rules, profile } = ground;
  const pace = new Pace(ground, loadKg, halts[block.firstLeg]!.node, halts[block.endLeg]!.node);
  const { clockPerH } = pace;
  const parts: DayPart[] = [];
  let { day, walkedDays } = before;
  let today = beginDay(ground, clockPerH, day, halts[block.firstLeg]!.node, before.fromStop);
  let clockH = today.startH;
  let usedH = 0;

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
      budgetH: today.budgetH,
      wantedH: today.wantedH,
      sunriseH: today.sunriseH,
      sunsetH: today.sunsetH,
      daylightH: today.daylightH,
      night: "none",
      zeroDays: 0,
      forbiddenCamp: false,
    };
    parts.push(part);
    return part;
  };
  const closePart = (part: DayPart, node: number, night: DayPart["night"]): void => {
    part.endNode = node;
    part.night = night;
    part.endClockH = part.startClockH + part.walkH * clockPerH;
    clockH = part.endClockH;
  };
  const nextDay = (node: number, zeroDays: number, leftStop: boolean): void => {
    walkedDays = zeroDays > 0 ? 0 : walkedDays + 1;
    day += 1 + zeroDays;
    today = beginDay(ground, clockPerH, day, node, leftStop);
    clockH = today.startH;
    usedH = 0;
  };

  for (let legIndex = block.firstLeg; legIndex < block.endLeg; legIndex++) {
    const from = halts[legIndex]!;
    const to = halts[legIndex + 1]!;
    let part = openPart(legIndex, from.node, offTrailHours(from));
    for (let node = from.node; ;) {
      const begun = node;
      const fromClockH = part.startClockH + part.walkH * clockPerH;
      const kept = frozen?.[parts.length - 1];
      if (kept) node = pace.advance(today, begun, Math.min(to.node, kept.endNode), fromClockH, Infinity);
      else {
        node = pace.advance(today, begun, to.node, fromClockH, today.budgetH - usedH);
        if (node < to.node) {
          const camp = pace.inReach(today, node, to) ? to.node : campNode(pace, today, begun, node, to.node);
          // The rest of the way, or the whole way again up to a camp that came before the hours' end.
          if (camp > node) {
            const soFarH = pace.hours(begun, node);
            node = pace.advance(today, node, camp, fromClockH + soFarH * clockPerH, Infinity);
          } else node = camp;
        }
        if (node === to.node && comesTooLate(ground, to, fromClockH, pace.hours(begun, node), clockPerH)) {
          const camp = to.node - Math.round(BEFORE_STOP_M / profile.cellM);
          if (camp > begun) node = camp;
        }
      }
      const hours = pace.hours(begun, node);
      usedH += hours;
      part.walkH += hours;
      if (node >= to.node) break;
      closePart(part, node, "camp");
      part.forbiddenCamp = ground.camps.forbidden[node] === 1;
      const due = rules.restEveryDays > 0 && walkedDays + 1 >= rules.restEveryDays;
      part.zeroDays = kept ? kept.zeroDays : due ? 1 : 0;
      nextDay(node, part.zeroDays, false);
      part = openPart(legIndex, node, 0);
    }
    part.offTrailEndH = offTrailHours(to);
    part.walkH += part.offTrailEndH;
    usedH += part.offTrailEndH;

    const last = legIndex + 2 === halts.length;
    const kept = frozen?.[parts.length - 1];
    const stays = kept ? kept.night === "stop" : last || to.nights > 0 || today.budgetH - usedH < STAY_H;
    closePart(part, to.node, stays ? "stop" : "none");
    if (last) break;
    if (stays) {
      // A rest that is due within two days is taken here rather than in a tent.
      const due = rules.restEveryDays > 0 && walkedDays + 1 >= Math.max(1, rules.restEveryDays - 2);
      part.zeroDays = Math.max(to.nights - 1, due ? 1 : 0, 0);
      nextDay(to.node, part.zeroDays, true);
    } else clockH += PASS_THROUGH_H;
  }
  const { cellH, cellC, surface } = pace;
  return { parts, cellH, cellC, surface, after: { day, walkedDays, fromStop: true } };
}

function comesTooLate(ground: WalkGround, to: Halt, fromClockH: number, hours: number, clockPerH: number): boolean {
  const closesH = to.stop?.closesH;
  if (!ground.rules.arriveByClosing || closesH === undefined) return false;
  return fromClockH + (hours + offTrailHours(to)) * clockPerH > closesH;
}
