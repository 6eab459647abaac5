/**
 * The block's carries: from water to water, stops' taps among them, with what its camps take. Water off the
 * trail is one of the points only where the party walks to it.
 */
import { heatFactor } from "../models/water.ts";
import { allDry } from "../models/waterReports.ts";
import type { WaterSettings } from "../plan/schema.ts";
import { walkedOf } from "../track/place.ts";
import { SNOW_ID } from "../plan/ids.ts";
import { CAMP_FAR_M, carriedToCamp } from "../walk/camps.ts";
import type { DetourSources } from "../walk/detours.ts";
import type { DayPart } from "../walk/walk.ts";
import { payingPoints, weighed, type DetourChoice, type Hauled, type PayingInput } from "./payingWater.ts";
import type { ProvisionInput } from "./supply.ts";
import { carryLitres, mostLitres, type Carry, type CarryNeed, type DryCarry, type WaterPoint } from "./water.ts";
import { firstBeyond, waterPoints } from "./waterPoints.ts";

/** A rest day at a dry camp takes as much as two further camps: its meals are dinner and breakfast again. */
export const CAMPS_PER_ZERO = 2;
/** Water past which more than this is carried is none for a camp. */
const NO_CAMP_FROM = 0.5;
const LEAST_NIGHT_L = 1e-9;
/** A camp that brings at least so much of its water is called dry. */
const DRY_FROM = 0.5;

export interface CampWater {
  /** Brought to the camp after this part of the walk. */
  campL: number;
  dry: boolean;
}

export interface Carries {
  carries: Carry[];
  /** By part of the walk. */
  camps: CampWater[];
  detours: DetourChoice[];
  wanted: DetourSources;
}

/** A camp and the way to the nearest water that is trusted, on the ground. */
interface Camp {
  part: number;
  node: number;
  waterM: number;
  /** Snow at the tent is water enough. */
  melts: boolean;
  /** Nights' worth of water, less of what is eaten on the way, and what the heat of its evening makes of it. */
  times: number;
  heat: number;
}

export function waterCarries(input: ProvisionInput, drinkL: Float64Array): Carries {
  const points = waterPoints(input);
  const { made, detours, wanted } = chosenDetours(input, points, drinkL);
  const visited = points.filter((point) => !point.optional || made.has(point.sourceId!));
  const camps = input.walk.parts.map((): CampWater => ({ campL: 0, dry: false }));
  return {
    carries: carriesBetween(input, visited, campsOf(input, points, made), drinkL, camps),
    camps,
    detours,
    wanted,
  };
}

/** By part of the walk: does it end at a camp that is called dry, whatever is eaten there? */
export function dryCampsAhead(input: ProvisionInput): boolean[] {
  const dry = input.walk.parts.map(() => false);
  const made = new Set(input.walkedTo.map((source) => source.id));
  for (const { part, waterM } of campsOf(input, waterPoints(input), made)) dry[part] = isDry(waterM);
  return dry;
}

const isDry = (waterM: number): boolean => carriedToCamp(waterM) >= DRY_FROM;

function carriesBetween(
  input: ProvisionInput,
  points: readonly WaterPoint[],
  camps: readonly Camp[],
  drinkL: Float64Array,
  campWater: CampWater[],
): Carry[] {
  const { needs, ground, walk, conditions } = input;
  const { profile } = ground;
  const carries: Carry[] = [];
  let part = 0;
  /** All points between the two taken as dry. */
  const carryTo = (i: number, j: number): CarryNeeds => {
    const [from, to] = [points[i]!, points[j]!];
    const between = campsWithin(camps, from.node, to.node);
    const dry = j === i + 1 ? between : between.map((camp) => withoutWater(camp, from, to, profile.cellM));
    return {
      camps: dry,
      distanceM: walkedOf(profile, to.node - from.node) + from.offTrailM + to.offTrailM,
      walkH: hoursBetween(walk.parts, part, from.node, to.node),
      ...dryCampsOf(dry),
      walkingL: litresBetween(drinkL, profile.cellM, from, to),
    };
  };
  const needOf = (way: CarryNeeds): CarryNeed => carryLitres(needs.water, way.walkingL, way.dryCamps, way.campHeat);
  for (let i = 0; i + 1 < points.length; i++) {
    const from = points[i]!;
    const to = points[i + 1]!;
    if (to.node === from.node) continue;
    while (walk.parts[part]!.endNode <= from.node) part++;
    const way = carryTo(i, i + 1);
    const { dryCamps, campHeat, walkH } = way;
    const need = needOf(way);
    for (const { part: p, waterM, times, heat } of way.camps)
      campWater[p] = {
        campL: dryCamps > 0 ? (need.campL * carriedToCamp(waterM) * times * heat) / (dryCamps * campHeat) : 0,
        dry: isDry(waterM),
      };
    const said = ground.camps.carryPast.find(({ fromNode, toNode }) => fromNode < to.node && toNode > from.node);
    const past = said?.past ?? needs.water.past;
    const beyond = pastPoint({ ...needs.water, past }, points, i, conditions[part]!.walking.highC);
    const pastL =
      past === "share"
        ? sharePast(points, i + 1, need.litres, (j) => needOf(carryTo(i, j)).litres)
        : beyond > i + 1
          ? Math.max(0, needOf(carryTo(i, beyond)).litres - need.litres)
          : 0;
    carries.push({
      legIndex: walk.parts[part]!.legIndex,
      fromNode: from.node,
      toNode: to.node,
      fromSourceId: from.sourceId,
      toSourceId: to.sourceId,
      isIce: from.isIce,
      distanceM: way.distanceM,
      walkH,
      approachL: approachLitres(drinkL, profile.cellM, from),
      dryCamps,
      campHeat,
      ...need,
      pastL,
      litres: need.litres + pastL,
      ifDry: isSource(to) && i + 2 < points.length ? dryCarry(carryTo(i, i + 2), needOf, points[i + 2]!) : undefined,
      mostL: mostLitres(needs.body.bodyKg, walkH, dryCamps),
    });
  }
  return carries;
}

/**
 * Carried past a point that may be dry: the share of what it would take to the next, which may be dry as well; the
 * last of them is a stop's, and sure. `litresTo` is what all being dry before a point takes.
 */
function sharePast(
  points: readonly WaterPoint[],
  at: number,
  litres: number,
  litresTo: (point: number) => number,
): number {
  const share = points[at]!.pastShare;
  if (share <= 0 || at + 1 >= points.length) return 0;
  const nextL = Math.max(litres, litresTo(at + 1));
  return share * (nextL - litres + sharePast(points, at + 1, nextL, litresTo));
}

/** What a way from water to water takes. */
interface CarryNeeds {
  camps: readonly Camp[];
  dryCamps: number;
  campHeat: number;
  distanceM: number;
  walkH: number;
  walkingL: number;
}

function dryCarry(way: CarryNeeds, needOf: (way: CarryNeeds) => CarryNeed, to: WaterPoint): DryCarry {
  const { distanceM, walkH } = way;
  return { litres: needOf(way).litres, toNode: to.node, toSourceId: to.sourceId, distanceM, walkH };
}

const isSource = ({ sourceId }: WaterPoint): boolean => sourceId !== undefined && sourceId !== SNOW_ID;

/** On a day as hot as this a fifth of the chance is allowed that all water is dry. */
const HOT_DAY_C = 30;
const IN_HEAT = 0.2;

/** Index of the point up to which water is carried from point `i`, by the hiker's way of carrying past what may fail. */
function pastPoint(
  { past, dryChance }: WaterSettings,
  points: readonly WaterPoint[],
  i: number,
  highC: number,
): number {
  let j = i + 1;
  const last = points.length - 1;
  if (past === "none" || past === "share") return j;
  if (past === "one") return isSource(points[j]!) ? Math.min(j + 1, last) : j;
  const allowed = dryChance * (highC >= HOT_DAY_C ? IN_HEAT : 1);
  const chances = [points[j]!.chance];
  // A stop's tap is sure, so that this ends there.
  while (j < last && allDry(chances) >= allowed - 1e-9) chances.push(points[++j]!.chance);
  return j;
}

/** Camps beyond one node and before another. */
function campsWithin(camps: readonly Camp[], fromNode: number, toNode: number): readonly Camp[] {
  return camps.slice(firstBeyond(camps, fromNode), firstBeyond(camps, toNode - 1));
}

/** A camp with no water but at the two ends of its way. */
function withoutWater(camp: Camp, from: WaterPoint, to: WaterPoint, cellM: number): Camp {
  if (camp.melts) return camp;
  const waterM = Math.min(CAMP_FAR_M, (camp.node - from.node) * cellM, (to.node - camp.node) * cellM);
  return { ...camp, waterM };
}

function dryCampsOf(camps: readonly Camp[]): { dryCamps: number; campHeat: number } {
  let dryCamps = 0;
  let heated = 0;
  for (const { waterM, times, heat } of camps) {
    const share = carriedToCamp(waterM);
    dryCamps += share * times;
    heated += share * times * heat;
  }
  return { dryCamps, campHeat: dryCamps > 0 ? heated / dryCamps : 1 };
}

/** Litres a metre at a cell: the side trips are walked on the water too, at the thirst of their cell. */
const perMetre = (drinkL: Float64Array, cellM: number, cell: number): number =>
  (drinkL[cell + 1]! - drinkL[cell]!) / cellM;

/** Drunk between the water and the trail. */
function approachLitres(drinkL: Float64Array, cellM: number, from: WaterPoint): number {
  return from.offTrailM * perMetre(drinkL, cellM, from.node);
}

function litresBetween(drinkL: Float64Array, cellM: number, from: WaterPoint, to: WaterPoint): number {
  const arriving = to.offTrailM * perMetre(drinkL, cellM, to.node - 1);
  return drinkL[to.node]! - drinkL[from.node]! + approachLitres(drinkL, cellM, from) + arriving;
}

/** Walking hours between two nodes, from the part in which the first is. */
function hoursBetween(parts: readonly DayPart[], part: number, fromNode: number, toNode: number): number {
  let hours = 0;
  for (let k = part; k < parts.length && parts[k]!.startNode < toNode; k++) {
    const piece = parts[k]!;
    const within = Math.min(piece.endNode, toNode) - Math.max(piece.startNode, fromNode);
    hours += (piece.walkH * within) / Math.max(1, piece.endNode - piece.startNode);
  }
  return hours;
}

/** The block's camps with the nearest water; to what is walked to anyway only the way along the trail counts. */
function campsOf(
  { walk, ground, conditions, snow, needs }: ProvisionInput,
  points: readonly WaterPoint[],
  made: ReadonlySet<string>,
): Camp[] {
  const { cellM } = ground.profile;
  const camps: Camp[] = [];
  let near = 0;
  const { dinnerL, nightL, breakfastL } = needs.water;
  for (const [part, { night, endNode, zeroDays, dinnerNode }] of walk.parts.entries()) {
    if (night !== "camp") continue;
    while (near < points.length && (endNode - points[near]!.node) * cellM > CAMP_FAR_M) near++;
    let waterM = CAMP_FAR_M;
    for (let i = near; i < points.length && (points[i]!.node - endNode) * cellM < CAMP_FAR_M; i++) {
      const { node, offTrailM, optional, sourceId, pastShare } = points[i]!;
      if (pastShare > NO_CAMP_FROM) continue;
      const offM = optional && !made.has(sourceId!) ? offTrailM : 0;
      waterM = Math.min(waterM, Math.abs(node - endNode) * cellM + offM);
    }
    const usable = needs.stove.fuel !== "none" || snow?.runs(walk.parts[part]!, conditions[part]!);
    const melts = usable === true && snow?.isSnowAt(endNode) === true;
    if (melts) waterM = 0;
    const eaten = dinnerNode === undefined ? 0 : dinnerL / Math.max(dinnerL + nightL + breakfastL, LEAST_NIGHT_L);
    const times = 1 + CAMPS_PER_ZERO * zeroDays - eaten;
    camps.push({ part, node: endNode, waterM, melts, times, heat: heatFactor(conditions[part]!.eveningC) });
  }
  return camps;
}

interface Chosen {
  /** Ids of the sources off the trail that are walked to. */
  made: ReadonlySet<string>;
  detours: DetourChoice[];
  wanted: DetourSources;
}

/** The party's detours, and those that would pay for this hiker as the block is walked now. */
function chosenDetours(input: ProvisionInput, points: readonly WaterPoint[], drinkL: Float64Array): Chosen {
  const made = new Set(input.walkedTo.map((source) => source.id));
  if (!points.some((point) => point.optional)) return { made, detours: [], wanted: [] };
  const { ground, needs, walk, detourH, block } = input;
  const { cellM } = ground.profile;
  const atH = hoursAt(points, walk.cellH);
  const camps = campsOf(input, points, new Set());
  const campH = hoursAt(camps, walk.cellH, points[0]!.node);
  const legs = legsOf(input, points);
  const minutes = points.map(({ optional, offTrailM, node }) => (optional ? 60 * detourH(2 * offTrailM, node) : 0));
  const perCampL = needs.water.dinnerL + needs.water.nightL + needs.water.breakfastL;
  const haul = (i: number, j: number): Hauled => {
    const [from, to] = [points[i]!, points[j]!];
    const walkingL = litresBetween(drinkL, cellM, from, to);
    let litreHours = (walkingL * (atH[j]! - atH[i]!)) / 2;
    let campsL = 0;
    for (let k = firstBeyond(camps, from.node); k < camps.length && camps[k]!.node < to.node; k++) {
      const camp = camps[k]!;
      // At either end one is at the water.
      const waterM = Math.min(camp.waterM, (camp.node - from.node) * cellM, (to.node - camp.node) * cellM);
      const campL = carriedToCamp(waterM) * camp.times * camp.heat * perCampL;
      litreHours += campL * (campH[k]! - atH[i]!);
      campsL += campL;
    }
    const bottleL = input.bottleL[legs[i]! - block.firstLeg]!;
    const litres = (walkingL + campsL) * (1 + needs.water.reserveFraction) - needs.water.drinkAtSourceL;
    // Who lists no bottle has some.
    return { litreHours, overL: bottleL > 0 ? Math.max(0, litres - bottleL) : 0 };
  };
  const { detourMinPerLitreHour } = ground.rules;
  const paying: PayingInput = { points, minutes: (i) => minutes[i]!, haul, minPerLitreHour: detourMinPerLitreHour };
  const chosen = payingPoints(paying);
  const detours = weighed(
    paying,
    chosen,
    (i) => legs[i]!,
    (point) => made.has(point.sourceId!),
  );
  const wanted = chosen.flatMap((i) => {
    const { optional, sourceId, node, offTrailM } = points[i]!;
    return optional ? [{ id: sourceId!, node, offTrailM }] : [];
  });
  return { made, detours, wanted };
}

/** Hours on the trail from the first place, or a given node, to each. */
function hoursAt(
  places: readonly { node: number }[],
  cellH: Float64Array,
  fromNode = places[0]?.node ?? 0,
): Float64Array {
  const hours = new Float64Array(places.length);
  let sum = 0;
  let c = fromNode;
  for (const [i, { node }] of places.entries()) {
    for (; c < node; c++) sum += cellH[c]!;
    hours[i] = sum;
  }
  return hours;
}

/** The leg that each point is on. */
function legsOf({ ground, block }: ProvisionInput, points: readonly WaterPoint[]): number[] {
  let leg = block.firstLeg;
  return points.map(({ node }) => {
    while (leg + 1 < block.endLeg && ground.halts[leg + 1]!.node <= node) leg++;
    return leg;
  });
}
