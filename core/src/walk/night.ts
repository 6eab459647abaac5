/**
 * Where a day ends: of the places in a window behind and ahead of where its hours do, the one whose night costs least,
 * in minutes [E]. What a day falls short of, or goes beyond, is owed to the next.
 */
import type { DayRules } from "../plan/schema.ts";
import { CAMP_NEAR_M, firstAbove, lastAtMost, within } from "./camps.ts";
import type { Ground } from "./ground.ts";
import { clamp } from "../units/constants.ts";
import { PUSH_ON_H, type Stride } from "./stride.ts";
import type { Today } from "./today.ts";

/** How far beyond the day's end a stretch without camping is walked out of. */
const MOST_OVERTIME_H = 3;
/** A day is not left before so much of its hours is walked: a short one is not made half as short for water. */
const MOST_EARLY = 1 / 3;

/** Minutes that a night costs: all of it is judgement [L]. */
const COST = {
  /** An hour short of those wanted, or beyond; and what goes beyond the first hour after. */
  hourMin: 60,
  lateHourMin: 120,
  /** A night without water at hand, beside what is carried to it. */
  dryMin: 15,
} as const;

/** The stop for a dinner on the way, beside what the dinner takes anywhere. */
const DINNER_STOP_MIN = 5;
/** What dinner at the water takes of the evening, and how far before the night it may be [L]. */
export const DINNER_H = 0.75;
const DINNER_BEFORE_H = 3;

/** An hour in the dark that the plan does not allow. */
const DARK_HOUR_MIN = 60;
/** A camp that is listed. */
const LISTED_MIN = -10;
/** Where the round before camped: another place has to be better by so much, or the rounds would not come to rest. */
const KEPT_MIN = -10;

/** Owed to the next day are so many hours at most. */
const MOST_OWED_H = 0.5;

/** What of the hours that are owed one day makes good. */
export function owedToday(owedH: number): number {
  return clamp(owedH, -MOST_OWED_H, MOST_OWED_H);
}

/** For hours beyond those wanted; short of them where negative. */
function hoursOffMinutes(lateH: number): number {
  return COST.hourMin * Math.abs(lateH) + (COST.lateHourMin - COST.hourMin) * Math.max(0, lateH - 1);
}

/** For a night without water: the litres for it, carried since there was some. */
function dryMinutes(nightL: number, sinceWaterH: number, minPerLitreHour: number): number {
  return COST.dryMin + nightL * sinceWaterH * minPerLitreHour;
}

const MIDNIGHT_H = 24;

/** Is dinner cooked at the water before a dry night, so many walking hours before the end of a day without it? */
export function dinesBefore(
  { dinnerAtWater }: Pick<DayRules, "dinnerAtWater">,
  waterH: number,
  endsH: number,
): boolean {
  return dinnerAtWater && waterH <= DINNER_BEFORE_H && endsH + DINNER_H <= MIDNIGHT_H;
}

/** Nobody camps without water so near ahead, or within the window behind, unless it would be walked to in the dark. */
const SHORT_OF_WATER_H = 1;

export interface Evening {
  /** Where the day's walk, or its part on this leg, begins; and the clock there. */
  startNode: number;
  clockH: number;
  /** Where its hours end, and the leg does. */
  endNode: number;
  stopNode: number;
  /** May the night be spent at that stop; and how long the way to it off the trail is. */
  stopAllowed: boolean;
  stopOffH: number;
  /** Walking hours that are wanted from the start on. */
  wantedH: number;
  /** Walking hours since there was water, at the start. */
  sinceWaterH: number;
  /** Where the round before camped. */
  lastEnds: ReadonlySet<number>;
}

/** The node of the night; `stopNode` where it is at the stop. */
export function nightNode(stride: Stride, today: Today, evening: Evening): number {
  const { rules } = stride.ground;
  const { startNode, endNode, stopNode, clockH, wantedH } = evening;
  if (rules.sleepAt === "beds") return bedNode(stride, today, startNode, endNode, stopNode) ?? endNode;
  const endH = stride.hours(startNode, endNode);
  const aheadH =
    rules.endRule === "camp" || rules.sleepAt === "camps" ? Math.max(PUSH_ON_H, rules.campAheadH) : PUSH_ON_H;
  const farNode =
    endNode < stopNode ? stride.advance(today, endNode, stopNode, clockH + endH * stride.clockPerH, aheadH) : endNode;
  if (evening.stopAllowed && farNode === stopNode) {
    const overH = stride.hours(startNode, stopNode) + evening.stopOffH - wantedH;
    if (overH <= PUSH_ON_H) return stopNode;
  }
  const places = candidates(stride, today, evening, endH, farNode).map((node) => placeAt(stride, today, evening, node));
  let best: Place | undefined;
  let leastMin = Infinity;
  for (const place of places) {
    const costMin = nightMinutes(stride.ground, evening, place, places);
    if (costMin < leastMin) {
      leastMin = costMin;
      best = place;
    }
  }
  return best?.node ?? furtherNode(stride, evening, endH);
}

/** A place for the night, as the day would come to it. */
interface Place {
  node: number;
  /** Walking hours to it. */
  hours: number;
  /** Of those, what is in the dark beyond what the plan allows. */
  darkH: number;
  isDry: boolean;
  /** Walking hours since there was water. */
  sinceWaterH: number;
  /** Dinner was cooked there. */
  dines: boolean;
}

function placeAt(stride: Stride, today: Today, evening: Evening, node: number): Place {
  const { camps, rules, profile } = stride.ground;
  const { startNode, stopNode, clockH } = evening;
  const isStop = node === stopNode;
  const hours = stride.hours(startNode, node) + (isStop ? evening.stopOffH : 0);
  const beforeSunriseH = Math.max(0, today.lightFromH - today.startH) / stride.clockPerH;
  const allowedH = Math.max(0, rules.darkFraction * today.budgetH - beforeSunriseH);
  const reach = Math.round(CAMP_NEAR_M / profile.cellM);
  const isWet = camps.wet.lastWithin(node - reach, node + reach, today.day) >= 0 || stride.hasSnow(today, node);
  const filled = camps.wet.lastWithin(startNode + 1, node, today.day);
  const isDry = !isStop && !isWet;
  const sinceWaterH = filled < 0 ? evening.sinceWaterH + hours : stride.hours(filled, node);
  const endsH = clockH + hours * stride.clockPerH;
  const dines = isDry && filled >= 0 && dinesBefore(rules, sinceWaterH, endsH);
  const afterSunsetH = (endsH + (dines ? DINNER_H : 0) - today.lightToH) / stride.clockPerH;
  return { node, hours, darkH: Math.max(0, afterSunsetH - allowedH), isDry, sinceWaterH, dines };
}

/** Infinity where it is forbidden, and without water where there is some at hand before or after. */
function nightMinutes(
  { camps, rules }: Ground,
  { wantedH, stopNode, lastEnds }: Evening,
  place: Place,
  places: readonly Place[],
): number {
  const { node, hours, darkH, isDry, sinceWaterH, dines } = place;
  if (node !== stopNode && camps.forbidden[node] === 1) return Infinity;
  let costMin = hoursOffMinutes(hours - wantedH) + DARK_HOUR_MIN * darkH;
  if (lastEnds.has(node)) costMin += KEPT_MIN;
  if (lastAtMost(camps.listed, node) === node) costMin += LISTED_MIN;
  if (!isDry) return costMin;
  const hasWater = places.some(
    (other) => !other.isDry && other.darkH <= darkH && other.hours <= hours + SHORT_OF_WATER_H,
  );
  if (hasWater) return Infinity;
  const carriedL = dines ? camps.nightL - camps.dinnerL : camps.nightL;
  return costMin + dryMinutes(carriedL, sinceWaterH, rules.detourMinPerLitreHour) + (dines ? DINNER_STOP_MIN : 0);
}

/** Where all of the window is forbidden: the last place before it, not beyond half of the day, else the first one after. */
function furtherNode(stride: Stride, { startNode, endNode, stopNode }: Evening, endH: number): number {
  const { forbidden } = stride.ground.camps;
  const halfway = backBy(stride, startNode, endNode, endH / 2);
  for (let node = endNode - 1; node > startNode && node >= halfway; node--) if (forbidden[node] === 0) return node;
  let overH = 0;
  for (let node = endNode; node < stopNode && overH <= MOST_OVERTIME_H; node++) {
    if (forbidden[node] === 0) return node;
    overH += stride.plainH[node]!;
  }
  return overH <= MOST_OVERTIME_H ? stopNode : endNode;
}

/** In walking order. */
function candidates(stride: Stride, today: Today, evening: Evening, endH: number, farNode: number): number[] {
  const { camps, rules } = stride.ground;
  const { startNode, endNode, stopNode, stopAllowed } = evening;
  const windowH = Math.min(rules.campWindowH, endH * MOST_EARLY);
  const earliest = backBy(stride, startNode, endNode, windowH);
  const latest = Math.min(farNode, stopNode - 1);
  const nodes = new Set<number>();
  if (stopAllowed && farNode === stopNode) nodes.add(stopNode);
  if (rules.sleepAt === "camps") {
    for (const node of within(camps.listed, earliest, latest)) nodes.add(node);
    if (nodes.size > 0) return [...nodes].sort(ascending);
    // None in the window: the last one that leaves half a day's walk behind.
    const listed = lastAtMost(camps.listed, endNode);
    return [listed > startNode && listed >= backBy(stride, startNode, endNode, endH / 2) ? listed : endNode];
  }
  nodes.add(endNode);
  if (rules.endRule === "camp") {
    for (const node of within(camps.listed, earliest, latest)) nodes.add(node);
    for (const node of camps.wet.within(earliest, latest, today.day)) nodes.add(node);
    // The edges of a stretch without camping, either way.
    const isEdge = (node: number): boolean => camps.forbidden[node - 1] !== camps.forbidden[node];
    if (camps.forbidden.subarray(earliest, latest + 1).includes(1))
      for (let node = earliest + 1; node <= latest; node++)
        if (isEdge(node)) nodes.add(camps.forbidden[node] === 1 ? node - 1 : node);
  }
  return [...nodes].filter((node) => node > startNode).sort(ascending);
}

const ascending = (a: number, b: number): number => a - b;

/**
 * The bed for the night when the hours end at `endNode`: within the window before it, else the next one within
 * an hour, else the last one behind, else one for which the day is stretched. Undefined where none is in reach.
 */
function bedNode(stride: Stride, today: Today, startNode: number, endNode: number, stopNode: number) {
  const { camps, rules } = stride.ground;
  const last = lastAtMost(camps.listed, endNode);
  const behind = last > startNode ? last : undefined;
  if (behind !== undefined && behind >= backBy(stride, startNode, endNode, rules.campWindowH)) return behind;
  const next = Math.min(stopNode, firstAbove(camps.listed, endNode) ?? stopNode);
  const aheadH =
    camps.beds.has(next) || next < stopNode ? stride.hoursAhead(today, endNode, next, MOST_OVERTIME_H) : Infinity;
  if (aheadH <= PUSH_ON_H) return next;
  if (behind !== undefined) return behind;
  return aheadH <= MOST_OVERTIME_H ? next : undefined;
}

/** The node that is some walking hours before `endNode`, never before the one after `startNode`. */
function backBy(stride: Stride, startNode: number, endNode: number, hours: number): number {
  let node = endNode;
  for (let left = hours; node > startNode + 1; node--) {
    left -= stride.cellH[node - 1]!;
    if (left < 0) break;
  }
  return node;
}
