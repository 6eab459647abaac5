/** Where a hiker can have water, in walking order: stops, the sources that they count on, and snow between. */
import { SNOW_ID } from "../plan/ids.ts";
import type { WaterSettings } from "../plan/schema.ts";
import { indexAbove } from "../units/sorted.ts";
import { CAMP_FAR_M, type CampGround } from "../walk/camps.ts";
import type { Halt } from "../walk/halts.ts";
import { flowChance, pastShare, trusted, type PlacedSource } from "../walk/sources.ts";
import type { DayPart } from "../walk/walk.ts";
import { MELTED_EACH, SNOW_EVERY_M, type SnowWater } from "./snowWater.ts";
import type { ProvisionInput } from "./supply.ts";
import { isIce, type WaterPoint } from "./water.ts";

/** Stops and the sources this hiker trusts on the day of passage, in walking order, on the block; snow between. */
export function waterPoints(input: ProvisionInput): WaterPoint[] {
  const points = placedPoints(input);
  return input.snow ? withSnow(input, input.snow, points) : points;
}

/**
 * Snow between waters, at marks that are still, so that nothing steps when a source moves: every so often where it
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
      if (node <= point.node || !snow.isSnowAt(node)) continue;
      while (part + 1 < walk.parts.length && walk.parts[part]!.endNode <= node) part++;
      const runs = snow.runs(walk.parts[part]!, conditions[part]!);
      const awayM = Math.min(node - point.node, next.node - node) * cellM;
      const melted = needs.stove.fuel !== "none" && mark % MELTED_EACH === 0 && awayM >= SNOW_EVERY_M;
      if (runs || melted) all.push({ ...SURE, node, sourceId: SNOW_ID, offTrailM: 0, isIce: !runs });
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
    const { day } = walk.parts[part]!;
    const share = shareAt(input, source, day);
    if (share < 1)
      points.push({
        node,
        sourceId: source.id,
        offTrailM: source.offTrailM,
        chance: chanceOf(source, needs.water, day),
        pastShare: share,
        optional: source.offTrailM > 0,
        isIce:
          isIce(source.kind, conditions[part]!.walking.highC) ||
          (underSnow(source, snow) && !snow!.runs(walk.parts[part]!, conditions[part]!)),
      });
  }
  takeHalts(Infinity);
  return points;
}

/** What is carried past a source: by its chance where that is the way, else nothing, of those that are counted on. */
function shareAt({ needs, ground }: ProvisionInput, source: PlacedSource, day: number): number {
  const { water } = needs;
  const isTrusted = trusted(source, water, day);
  if (pastAt(ground.camps, water, source.node) !== "share") return isTrusted ? 0 : 1;
  const share = pastShare(source, water, day);
  // Nobody leaves the trail for water that is rather not there.
  return source.offTrailM > 0 && !isTrusted ? 1 : share;
}

/** How water is carried past a place: as the plan says for all there, else the hiker's way. */
function pastAt({ carryPast }: CampGround, { past }: WaterSettings, node: number): WaterSettings["past"] {
  return carryPast.find(({ fromNode, toNode }) => fromNode < node && toNode >= node)?.past ?? past;
}

/** Who counts on a source by hand takes it for as likely as what they trust. */
function chanceOf(source: PlacedSource, { leastChance }: WaterSettings, day: number): number {
  const chance = flowChance(source, day);
  return source.counted === true ? Math.max(leastChance, chance) : chance;
}

/** Open water is under a closed cover; what flows in frost keeps itself open, and a cache stands out of it. */
function underSnow({ kind, node }: PlacedSource, snow: SnowWater | undefined): boolean {
  return (kind === "creek" || kind === "lake" || kind === "tank") && (snow?.closedAt(node) ?? false);
}

const tap = (halt: Halt): WaterPoint => ({
  ...SURE,
  node: halt.node,
  sourceId: undefined,
  offTrailM: halt.footM,
  isIce: false,
});

const SURE = { chance: 1, pastShare: 0, optional: false } as const;

/** Is snow or ice all the water near this camp? Water that was carried there is none. */
export function onlyIceAt({ sources, needs, ground, conditions, walk, snow }: ProvisionInput, camp: DayPart): boolean {
  const weather = conditions[walk.parts.indexOf(camp)]!;
  const { highC } = weather.walking;
  const frozen = snow !== undefined && !snow.runs(camp, weather);
  const { cellM } = ground.profile;
  let any = frozen && snow.isSnowAt(camp.endNode);
  // Meltwater at the tent.
  if (!frozen && snow?.isSnowAt(camp.endNode)) return false;
  for (let s = firstBeyond(sources, camp.endNode - Math.ceil(CAMP_FAR_M / cellM)); s < sources.length; s++) {
    const source = sources[s]!;
    if ((source.node - camp.endNode) * cellM >= CAMP_FAR_M) break;
    if (Math.abs(source.node - camp.endNode) * cellM + source.offTrailM >= CAMP_FAR_M) continue;
    if (!trusted(source, needs.water, camp.day)) continue;
    if (!isIce(source.kind, highC) && !(frozen && underSnow(source, snow))) return false;
    any = true;
  }
  return any;
}

/** Index of the first place beyond a node. */
export function firstBeyond(places: readonly Pick<PlacedSource, "node">[], node: number): number {
  return indexAbove(places.length, (i) => places[i]!.node, node);
}
