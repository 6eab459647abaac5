/**
 * The block's carries: from water to water, stops' taps among them, with what its camps take. Water off the
 * trail is one of the points only where the party walks to it.
 */
import { indexAbove } from "../units/sorted.ts";
import { heatFactor } from "../models/water.ts";
import { walkedOf } from "../track/place.ts";
import { dayOfYear } from "../units/day.ts";
import { SNOW_ID } from "../plan/ids.ts";
import { CAMP_FAR_M, carriedToCamp, trusted, type PlacedSource } from "../walk/camps.ts";
import type { DetourSources } from "../walk/detours.ts";
import type { Halt } from "../walk/halts.ts";
import type { DayPart } from "../walk/walk.ts";
import { payingPoints, weighed, type DetourChoice, type Hauled, type PayingInput } from "./payingWater.ts";
import { MELTED_EACH, SNOW_EVERY_M, type SnowWater } from "./snowWater.ts";
import type { ProvisionInput } from "./supply.ts";
import { carryLitres, isIce, mostLitres, type Carry, type WaterPoint } from "./water.ts";

/** A rest day at a dry camp takes as much as two further camps: its meals are dinner and breakfast again. */
const CAMPS_PER_ZERO = 2;
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
  /** Nights' worth of water, and what the heat of its evening makes of it. */
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
  { needs, ground, walk }: ProvisionInput,
  points: readonly WaterPoint[],
  camps: readonly Camp[],
  drinkL: Float64Array,
  told: CampWater[],
): Carry[] {
  const { profile } = ground;
  const carries: Carry[] = [];
  let part = 0;
  let camp = 0;
  for (let i = 0; i + 1 < points.length; i++) {
    const from = points[i]!;
    const to = points[i + 1]!;
    if (to.node === from.node) continue;
    while (walk.parts[part]!.endNode <= from.node) part++;
    while (camp < camps.length && camps[camp]!.node <= from.node) camp++;
    const first = camp;
    while (camp < camps.length && camps[camp]!.node < to.node) camp++;
    const { dryCamps, campHeat } = dryCampsOf(camps.slice(first, camp));
    const walkingL = litresBetween(drinkL, profile.cellM, from, to);
    const need = carryLitres(needs.water, walkingL, dryCamps, campHeat);
    for (const { part: p, waterM, times, heat } of camps.slice(first, camp)) {
      const share = carriedToCamp(waterM);
      told[p] = {
        campL: dryCamps > 0 ? (need.campL * share * times * heat) / (dryCamps * campHeat) : 0,
        dry: isDry(waterM),
      };
    }
    const walkH = hoursBetween(walk.parts, part, from.node, to.node);
    carries.push({
      legIndex: walk.parts[part]!.legIndex,
      fromNode: from.node,
      toNode: to.node,
      fromSourceId: from.sourceId,
      toSourceId: to.sourceId,
      isIce: from.isIce,
      distanceM: walkedOf(profile, to.node - from.node) + from.offTrailM + to.offTrailM,
      walkH,
      approachL: approachLitres(drinkL, profile.cellM, from),
      dryCamps,
      campHeat,
      ...need,
      mostL: mostLitres(needs.body.bodyKg, walkH, dryCamps),
    });
  }
  return carries;
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

/** Litres a metre at a cell: the ways off the trail are walked on the water too, at the thirst of their cell. */
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

/** Walking hours between two nodes, from the part in which the first lies. */
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
  for (const [part, { night, endNode, zeroDays }] of walk.parts.entries()) {
    if (night !== "camp") continue;
    while (near < points.length && (endNode - points[near]!.node) * cellM > CAMP_FAR_M) near++;
    let waterM = CAMP_FAR_M;
    for (let i = near; i < points.length && (points[i]!.node - endNode) * cellM < CAMP_FAR_M; i++) {
      const { node, offTrailM, optional, sourceId } = points[i]!;
      const offM = optional && !made.has(sourceId!) ? offTrailM : 0;
      waterM = Math.min(waterM, Math.abs(node - endNode) * cellM + offM);
    }
    const melts = needs.stove.fuel !== "none" || snow?.runs(walk.parts[part]!, conditions[part]!);
    if (melts && snow?.liesAt(endNode)) waterM = 0;
    const times = 1 + CAMPS_PER_ZERO * zeroDays;
    camps.push({ part, node: endNode, waterM, times, heat: heatFactor(conditions[part]!.eveningC) });
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
  const { ground, needs, walk, wayH, block } = input;
  const { cellM } = ground.profile;
  const atH = hoursAt(points, walk.cellH);
  const camps = campsOf(input, points, new Set());
  const campH = hoursAt(camps, walk.cellH, points[0]!.node);
  const legs = legsOf(input, points);
  const minutes = points.map(({ optional, offTrailM, node }) => (optional ? 60 * wayH(2 * offTrailM, node) : 0));
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

/** The leg that each point lies on. */
function legsOf({ ground, block }: ProvisionInput, points: readonly WaterPoint[]): number[] {
  let leg = block.firstLeg;
  return points.map(({ node }) => {
    while (leg + 1 < block.endLeg && ground.halts[leg + 1]!.node <= node) leg++;
    return leg;
  });
}

/** Stops and the sources this hiker trusts on the day of passage, in walking order, on the block; snow between. */
function waterPoints(input: ProvisionInput): WaterPoint[] {
  const points = placedPoints(input);
  return input.snow ? withSnow(input, input.snow, points) : points;
}

/**
 * Snow between waters, at marks that lie still, so that nothing steps when a source moves: every so often where it
 * runs; where it takes a stove only far from other water.
 */
function withSnow({ walk, needs, ground, conditions }: ProvisionInput, snow: SnowWater, points: WaterPoint[]) {
  const { cellM } = ground.profile;
  const all: WaterPoint[] = [];
  let part = 0;
  for (const [i, point] of points.entries()) {
    all.push(point);
    const next = points[i + 1];
    if (!next) break;
    for (let mark = Math.floor((point.node * cellM) / SNOW_EVERY_M) + 1; ; mark++) {
      const node = Math.round((mark * SNOW_EVERY_M) / cellM);
      if (node >= next.node) break;
      if (node <= point.node || !snow.liesAt(node)) continue;
      while (part + 1 < walk.parts.length && walk.parts[part]!.endNode <= node) part++;
      const runs = snow.runs(walk.parts[part]!, conditions[part]!);
      const awayM = Math.min(node - point.node, next.node - node) * cellM;
      const melted = needs.stove.fuel !== "none" && mark % MELTED_EACH === 0 && awayM >= SNOW_EVERY_M;
      if (runs || melted) all.push({ node, sourceId: SNOW_ID, offTrailM: 0, optional: false, isIce: !runs });
    }
  }
  return all;
}

function placedPoints(input: ProvisionInput): WaterPoint[] {
  const { walk, needs, ground, block, sources, snow, conditions } = input;
  const { halts } = ground;
  const lastNode = halts[block.endLeg]!.node;
  const points: WaterPoint[] = [];
  let halt = block.firstLeg;
  let part = 0;
  const takeHalts = (before: number): void => {
    while (halt <= block.endLeg && halts[halt]!.node <= before) points.push(tap(halts[halt++]!));
  };
  for (let s = firstBeyond(sources, halts[block.firstLeg]!.node); s < sources.length; s++) {
    const source = sources[s]!;
    const { node } = source;
    if (node >= lastNode) break;
    takeHalts(node);
    while (part + 1 < walk.parts.length && walk.parts[part]!.endNode <= node) part++;
    if (points.at(-1)?.node === node) continue;
    if (trusted(source, needs.water, dayOfYear(walk.parts[part]!.day)))
      points.push({
        node,
        sourceId: source.id,
        offTrailM: source.offTrailM,
        optional: source.offTrailM > 0,
        isIce:
          isIce(source.kind, conditions[part]!.walking.highC) ||
          (underSnow(source, snow) && !snow!.runs(walk.parts[part]!, conditions[part]!)),
      });
  }
  takeHalts(Infinity);
  return points;
}

/** Open water lies under a closed cover; what flows in frost keeps itself open, and a cache stands out of it. */
function underSnow({ kind, node }: PlacedSource, snow: SnowWater | undefined): boolean {
  return (kind === "creek" || kind === "lake" || kind === "tank") && (snow?.closedAt(node) ?? false);
}

const tap = (halt: Halt): WaterPoint => ({
  node: halt.node,
  sourceId: undefined,
  offTrailM: halt.footM,
  optional: false,
  isIce: false,
});

/** Is snow or ice all the water near this camp? Water that was carried there is none. */
export function onlyIceAt({ sources, needs, ground, conditions, walk, snow }: ProvisionInput, camp: DayPart): boolean {
  const weather = conditions[walk.parts.indexOf(camp)]!;
  const { highC } = weather.walking;
  const frozen = snow !== undefined && !snow.runs(camp, weather);
  const yearDay = dayOfYear(camp.day);
  const { cellM } = ground.profile;
  let any = frozen && snow.liesAt(camp.endNode);
  // Meltwater at the tent.
  if (!frozen && snow?.liesAt(camp.endNode)) return false;
  for (let s = firstBeyond(sources, camp.endNode - Math.ceil(CAMP_FAR_M / cellM)); s < sources.length; s++) {
    const source = sources[s]!;
    if ((source.node - camp.endNode) * cellM >= CAMP_FAR_M) break;
    if (Math.abs(source.node - camp.endNode) * cellM + source.offTrailM >= CAMP_FAR_M) continue;
    if (!trusted(source, needs.water, yearDay)) continue;
    if (!isIce(source.kind, highC) && !(frozen && underSnow(source, snow))) return false;
    any = true;
  }
  return any;
}

/** Index of the first place beyond a node. */
function firstBeyond(places: readonly Pick<PlacedSource, "node">[], node: number): number {
  return indexAbove(places.length, (i) => places[i]!.node, node);
}
