/**
 * Cuts a block of legs into days. The party walks together: on every cell the slowest sets the time, and
 * the shortest wanted day sets the hours. A block runs from a planned night at a stop that restocks to the next one;
 * nothing later bears on it, so blocks are solved one after the other.
 *
 * A day ends at a stop with a night, or at the best place around where its walking hours are used up (see `night.ts`);
 * light, stretches without camping and closing times have their say.
 * Clock: hours of local mean time.
 */
import { CAMP_NEAR_M, firstAbove } from "./camps.ts";
import type { Detour, DetourSources } from "./detours.ts";
import type { Ground } from "./ground.ts";
import type { Halt } from "./halts.ts";
import { DINNER_H, dinesBefore, nightNode, owedToday, type Evening } from "./night.ts";
import { nextPin, pinnedHours, restAtPin, type PlacedPin } from "./pins.ts";
import { PUSH_ON_H, Stride } from "./stride.ts";
import { nightsUpAfter } from "./slow.ts";
import { beginDay, type Today, type WalkState } from "./today.ts";

export type { WalkState } from "./today.ts";

/** In camp, in a bed along the trail, at a stop, or nowhere: the same day goes on in the next leg. */
export type Night = "camp" | "bed" | "stop" | "none";

/** A day, or the part of a day that belongs to one leg when a stop is passed through. */
export interface DayPart {
  legIndex: number;
  /** Day number since 1970-01-01. */
  day: number;
  startNode: number;
  endNode: number;
  startClockH: number;
  endClockH: number;
  /** Walking, the ways to and from stops and water included, breaks not. */
  walkH: number;
  offTrailStartH: number;
  offTrailEndH: number;
  /** Ways to water and back, in walking order. */
  detours: Detour[];
  /** Walking hours that were meant for the day, after light and rules. */
  budgetH: number;
  /** Fraction of speed lost per metre of height above 2,000 m on that day. */
  slowPerM: number;
  sunriseH: number;
  sunsetH: number;
  daylightH: number;
  /** Where the night after it is spent. */
  night: Night;
  /** Water of the day at which dinner is cooked before a night without; undefined where it is eaten in camp. */
  dinnerNode: number | undefined;
  /** Further nights there: zero days. */
  zeroDays: number;
  /** Where camping is forbidden, and no allowed place was in reach. */
  forbiddenCamp: boolean;
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

/** With less than this left of the day, a stop meant to be passed through becomes the night. */
const STAY_H = 0.5;
const MIDNIGHT_H = 24;
/** A camp before a stop that has closed. */
const BEFORE_STOP_M = 2000;

/** Legs between planned nights at stops where the bag is filled again: elsewhere what comes later bears on what is carried. */
export function blocksOf(halts: readonly Halt[]): Block[] {
  const blocks: Block[] = [];
  for (let firstLeg = 0; firstLeg + 1 < halts.length; firstLeg = blocks.at(-1)!.endLeg)
    blocks.push(blockFrom(halts, firstLeg));
  return blocks;
}

export function blockFrom(halts: readonly Halt[], firstLeg: number): Block {
  let endLeg = firstLeg + 1;
  for (; endLeg + 1 < halts.length; endLeg++) {
    const { nights, sellsFood, sellsFuel } = halts[endLeg]!;
    if (nights > 0 && sellsFood && sellsFuel) break;
  }
  return { firstLeg, endLeg };
}

/** Stops, by their place among the halts, at which the night that is planned is not spent. */
export function walkedThrough(ground: Ground, passed: readonly number[]): Ground {
  if (passed.length === 0) return ground;
  const halts = ground.halts.map((halt, at) => (passed.includes(at) ? { ...halt, nights: 0 } : halt));
  return { ...ground, halts };
}

/** Is the stop at the end of a block come to so early, with no rest due there, that one walks on? */
export function walksOn({ halts }: Pick<Ground, "halts">, { endLeg }: Block, parts: readonly DayPart[]): boolean {
  const { walkOnBeforeH } = halts[endLeg]!;
  const { endClockH, zeroDays } = parts.at(-1)!;
  return walkOnBeforeH !== undefined && endLeg + 1 < halts.length && zeroDays === 0 && endClockH < walkOnBeforeH;
}

/** What is handed on by a block whose last stop is walked on from, where the way after it is walked by itself. */
export function stateUnderWay(
  { halts }: Pick<Ground, "halts">,
  { endLeg }: Block,
  before: WalkState,
  walk: Walk,
): WalkState {
  const { day, endClockH } = walk.parts.at(-1)!;
  const begun = day === before.day ? before : undefined;
  let usedH = begun?.underWay?.usedH ?? 0;
  for (const part of walk.parts) if (part.day === day) usedH += part.walkH;
  return {
    day,
    walkedDays: walk.after.walkedDays - 1,
    fromStop: begun?.fromStop ?? false,
    nightsUp: walk.after.nightsUp,
    underWay: { clockH: endClockH + halts[endLeg]!.passH, usedH },
  };
}

/**
 * `loadKg` is the pack of each hiker on every cell, `detours` the water that is fetched off the trail. With `frozen` days
 * keep their ends, and only the hours are worked out again: so a camp that hesitates between two places comes to rest.
 * `last` is the walk of the round before, whose camps are kept where another is hardly better.
 */
export function walkBlock(
  ground: Ground,
  block: Block,
  before: WalkState,
  loadKg: readonly Float64Array[],
  detours: DetourSources = [],
  frozen?: readonly DayPart[],
  last: readonly DayPart[] = [],
): Walk {
  const { halts, rules, profile, past } = ground;
  const stride = new Stride(ground, loadKg, halts[block.firstLeg]!.node, halts[block.endLeg]!.node, detours);
  const { clockPerH } = stride;
  const parts: DayPart[] = [];
  let { day, walkedDays, nightsUp } = before;
  let today = beginDay(ground, clockPerH, before, halts[block.firstLeg]!.node);
  let { clockH, usedH } = before.underWay ?? { clockH: today.startH, usedH: 0 };
  /** Hours that the days since the last bed fell short of those wanted; and since water, where the day begins. */
  let owedH = 0;
  let dryH = 0;
  const lastEnds = new Set(last.map(({ endNode }) => endNode));

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
      detours: [],
      budgetH: today.budgetH,
      slowPerM: today.slowPerM,
      sunriseH: today.sunriseH,
      sunsetH: today.sunsetH,
      daylightH: today.daylightH,
      night: "none",
      dinnerNode: undefined,
      zeroDays: 0,
      forbiddenCamp: false,
    };
    parts.push(part);
    return part;
  };
  const closePart = (part: DayPart, node: number, night: DayPart["night"]): void => {
    part.endNode = node;
    part.detours = stride.detoursBetween(part.startNode, node);
    part.night = night;
    part.endClockH = part.startClockH + part.walkH * clockPerH;
    if (night === "camp") part.dinnerNode = dinnerNode(stride, today, part);
    if (part.dinnerNode !== undefined) part.endClockH += DINNER_H;
    clockH = part.endClockH;
  };
  const nextDay = (node: number, zeroDays: number, inBed: boolean, fromStop: boolean): void => {
    // Of days that are behind nothing is owed.
    owedH = inBed || day < past.lastDay ? 0 : owedH + today.fairH - usedH;
    walkedDays = zeroDays > 0 ? 0 : walkedDays + 1;
    day += 1 + zeroDays;
    nightsUp = nightsUpAfter(nightsUp, profile.heightM[node]!, 1 + zeroDays);
    today = beginDay(ground, clockPerH, { day, fromStop, nightsUp }, node, owedToday(owedH));
    clockH = today.startH;
    usedH = 0;
  };

  for (let legIndex = block.firstLeg; legIndex < block.endLeg; legIndex++) {
    const from = halts[legIndex]!;
    const to = halts[legIndex + 1]!;
    clockH += waitForRide(from.ridesBack, clockH) + from.rideBackH;
    let part = openPart(legIndex, from.node, stride.hoursBack(from, from.node));
    for (let node = from.node; ;) {
      const begun = node;
      const fromClockH = part.startClockH + part.walkH * clockPerH;
      const kept = frozen?.[parts.length - 1];
      const walkedTo = past.endNode.get(day);
      if (kept) node = stride.advance(today, begun, Math.min(to.node, kept.endNode), fromClockH, Infinity);
      else if (walkedTo !== undefined && walkedTo > begun)
        node = stride.advance(today, begun, Math.min(to.node, walkedTo), fromClockH, Infinity);
      else {
        // Days without a card are between those that have one.
        const pin = nextPin(day < past.lastDay ? past.nights : ground.pins, begun, to.node);
        const dayH = pin ? hoursToPin(stride, today, pin, { day, begun, clockH: fromClockH, usedH }) : today.budgetH;
        node = stride.advance(today, begun, pin?.node ?? to.node, fromClockH, dayH - usedH);
        const evening: Omit<Evening, "endNode" | "stopAllowed"> = {
          startNode: begun,
          clockH: fromClockH,
          stopNode: to.node,
          stopOffH: stride.hoursThere(to, to.node - 1),
          wantedH: dayH - usedH,
          sinceWaterH: dryH,
          lastEnds,
        };
        const night = (endNode: number, stopAllowed: boolean): number => {
          const camp = nightNode(stride, today, { ...evening, endNode, stopAllowed });
          // What lies beyond is walked as well.
          if (camp > endNode)
            stride.advance(today, endNode, camp, fromClockH + stride.hours(begun, endNode) * clockPerH, Infinity);
          return camp;
        };
        const chosen = node < to.node && node !== pin?.node;
        if (chosen) node = night(node, sleepsAt(ground, to));
        if (node === to.node) {
          const hours = stride.hours(begun, node);
          const offH = stride.hoursThere(to, node - 1);
          const reachesH = fromClockH + (hours + offH) * clockPerH;
          const arrivesH = reachesH + waitForRide(to.rides, reachesH) + to.rideH;
          const before = to.node - Math.round(BEFORE_STOP_M / profile.cellM);
          if ((closedBy(ground, to, arrivesH) || rideMissed(to.rides, reachesH)) && before > begun) node = before;
          // The side trip is longer than what is left of the day: it is walked tomorrow.
          else if (!chosen && usedH + hours + offH > today.budgetH + PUSH_ON_H && to.node - 1 > begun)
            node = night(to.node - 1, false);
        }
      }
      const hours = stride.hours(begun, node);
      usedH += hours;
      part.walkH += hours;
      if (node >= to.node) break;
      const pinHere = [...past.nights, ...ground.pins].find((pin) => pin.node === node);
      closePart(part, node, pinHere?.bed || ground.camps.beds.has(node) ? "bed" : "camp");
      part.forbiddenCamp = part.night === "camp" && ground.camps.forbidden[node] === 1;
      const due = day >= past.lastDay && rules.restEveryDays > 0 && walkedDays + 1 >= rules.restEveryDays;
      part.zeroDays = kept ? kept.zeroDays : Math.max(pinHere ? restAtPin(pinHere, day) : 0, due ? 1 : 0);
      dryH = hoursSinceWater(stride, part, dryH);
      nextDay(node, part.zeroDays, part.night === "bed", false);
      part = openPart(legIndex, node, 0);
    }
    part.offTrailEndH = stride.hoursThere(to, to.node - 1);
    part.walkH += part.offTrailEndH;
    usedH += part.offTrailEndH;

    const last = legIndex + 2 === halts.length;
    const kept = frozen?.[parts.length - 1];
    const leftH = today.budgetH - usedH;
    const walkedTo = past.endNode.get(day);
    // A rest that is due within two days is taken here rather than in a tent.
    const due =
      day >= past.lastDay && rules.restEveryDays > 0 && walkedDays + 1 >= Math.max(1, rules.restEveryDays - 2);
    // Of the stop at the end of the block it is judged when the block is solved: see `walksOn`.
    const isEarly =
      !due &&
      legIndex + 1 < block.endLeg &&
      to.walkOnBeforeH !== undefined &&
      arrivalH(part, to, clockPerH) < to.walkOnBeforeH;
    const stays = kept
      ? kept.night === "stop"
      : walkedTo !== undefined && !last
        ? walkedTo <= to.node
        : last ||
          (to.nights > 0 && !isEarly) ||
          (leftH < STAY_H && sleepsAt(ground, to)) ||
          staysForBed(stride, today, to, leftH);
    closePart(part, to.node, stays ? "stop" : "none");
    part.endClockH += waitForRide(to.rides, part.endClockH) + to.rideH;
    clockH = part.endClockH;
    if (last) break;
    if (stays) {
      part.zeroDays = Math.max(to.nights - 1, due ? 1 : 0, 0);
      nextDay(to.node, part.zeroDays, to.hasBed, true);
    } else clockH += to.passH;
    dryH = 0;
  }
  const { cellH, cellC, surface } = stride;
  return { parts, cellH, cellC, surface, after: { day, walkedDays, fromStop: true, nightsUp } };
}

/** When a stop is come to, by the clock of what is walked. */
function arrivalH({ startClockH, walkH }: DayPart, { rides, rideH }: Halt, clockPerH: number): number {
  const reachesH = startClockH + walkH * clockPerH;
  return reachesH + waitForRide(rides, reachesH) + rideH;
}

/** Where dinner is cooked on the way to a camp without water; undefined where it is not. */
function dinnerNode(stride: Stride, today: Today, { startNode, endNode, day, endClockH }: DayPart): number | undefined {
  const { camps, profile, rules } = stride.ground;
  if (!rules.dinnerAtWater) return undefined;
  const reach = Math.round(CAMP_NEAR_M / profile.cellM);
  const isWet = camps.wet.lastWithin(endNode - reach, endNode + reach, day) >= 0 || stride.hasSnow(today, endNode);
  const filled = isWet ? -1 : camps.wet.lastWithin(startNode + 1, endNode, day);
  return filled >= 0 && dinesBefore(rules, stride.hours(filled, endNode), endClockH) ? filled : undefined;
}

/** Walking hours since there was water, at the end of a day. */
function hoursSinceWater(stride: Stride, { startNode, endNode, walkH, day }: DayPart, beforeH: number): number {
  const { camps, profile } = stride.ground;
  const reach = Math.round(CAMP_NEAR_M / profile.cellM);
  const filled = camps.wet.lastWithin(startNode + 1, endNode + reach, day);
  return filled < 0 ? beforeH + walkH : filled < endNode - reach ? stride.hours(filled, endNode) : 0;
}

/** What a pin ahead makes of the day: its hours in all, those used up before it among them. */
function hoursToPin(
  stride: Stride,
  today: Today,
  pin: PlacedPin,
  { day, begun, clockH, usedH }: { day: number; begun: number; clockH: number; usedH: number },
): number {
  const mostH = usedH + (MIDNIGHT_H - clockH) / stride.clockPerH;
  const days = pin.day === undefined ? 1 : Math.max(1, pin.day - day + 1);
  const farH = days * (today.budgetH + pin.overtimeH);
  const aheadH = usedH + stride.hoursAhead(today, begun, pin.node, farH);
  return pinnedHours(pin, { day, aheadH, budgetH: today.budgetH, mostH });
}

/** May the night be spent at this stop, planned or not? */
function sleepsAt({ rules }: Ground, to: Halt): boolean {
  return rules.sleepAt !== "beds" || to.hasBed || to.nights > 0;
}

/** Who sleeps in beds stays in one when the next is out of reach. */
function staysForBed(stride: Stride, today: Today, to: Halt, leftH: number): boolean {
  const { rules, camps } = stride.ground;
  if (rules.sleepAt !== "beds" || !to.hasBed) return false;
  const next = firstAbove(camps.listed, to.node);
  const mostH = leftH + PUSH_ON_H;
  return next === undefined || stride.hoursAhead(today, to.node, next, mostH) > mostH;
}

/** Hours until the next one leaves; none where the last of the day is gone, which is given. */
export function waitForRide(clocks: readonly number[], clockH: number): number {
  const next = clocks.find((clock) => clock >= clockH);
  return next === undefined ? 0 : next - clockH;
}

export function rideMissed(clocks: readonly number[], clockH: number): boolean {
  return clocks.length > 0 && clockH > clocks.at(-1)!;
}

function closedBy({ rules }: Ground, { closesH }: Halt, arrivesH: number): boolean {
  return rules.arriveByClosing && closesH !== undefined && arrivesH > closesH;
}
