/** The fords of the walk: how high each is on the day and at the hour that the plan comes to it. */
import {
  crossingAt,
  dayCourse,
  flowAt,
  fordClass,
  meltIndex,
  unmeasuredClass,
  type DayCourse,
  type FordClass,
  type StreamDay,
} from "../models/ford.ts";
import { YEAR_DAYS } from "../models/snow.ts";
import type { Stretch } from "../plan/schema.ts";
import { stationWeights } from "../season/season.ts";
import { meltBetween, meltSums, type MeltSums } from "../season/melt.ts";
import { snowAt, type Snow } from "../season/snow.ts";
import type { SolvedBlock } from "../solve/trip.ts";
import { nodesOn, walkedOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import type { WalkedM } from "../units/lengths.ts";
import { dayOfYear, isoOfDay } from "../units/day.ts";
import { monthDayIndex } from "../walk/terrain.ts";

/** What replaces what a ford does not tell [L]. */
export const UNKNOWN_FORD = { basinKm2: 50, snowDistanceM: 5000 } as const;
/** The basin's heights are those of the trail so far around, and 300 m at least. */
const BASIN_REACH_M = 20_000;
const BASIN_RISE_M = 300;
/** 15 September, until when ice feeds a stream at its full; half a year on in the south. */
const ICE_UNTIL_DAY = 258;
const HALF_YEAR_DAYS = 183;
const NOON_H = 12;

export type FordFacts = Pick<
  Stretch,
  "id" | "depthM" | "speedMps" | "refMonthDay" | "refClockH" | "basinKm2" | "snowDistanceM" | "glacier"
> &
  Pick<Stretch, "fromM" | "toM" | "alternateId">;

export function fordFacts(stretches: readonly Stretch[]): FordFacts[] {
  return stretches
    .filter(({ kind }) => kind === "ford")
    .map((stretch) => {
      const { id, fromM, toM, alternateId, depthM, speedMps } = stretch;
      const { refMonthDay, refClockH, basinKm2, snowDistanceM, glacier } = stretch;
      return {
        id,
        fromM,
        toM,
        alternateId,
        depthM,
        speedMps,
        refMonthDay,
        refClockH,
        basinKm2,
        snowDistanceM,
        glacier,
      };
    });
}

export interface FordPassage {
  fordId: string;
  legIndex: number;
  atM: WalkedM;
  date: string;
  clockH: number;
  /** Melt, and all flow at that hour, of the greatest day of the normal year. */
  index: number;
  flow: number;
  class: FordClass;
  /** From a crossing that was measured; else of the flow alone. */
  depthM: number | undefined;
  speedMps: number | undefined;
  course: DayCourse;
  /** At the lowest hour of that day. */
  lowClass: FordClass;
}

export interface FordInput {
  fords: readonly FordFacts[];
  profile: Profile;
  /** Of the planned year, and of the usual one. */
  snow: Snow;
  usual: Snow;
  blocks: readonly Pick<SolvedBlock, "parts" | "cellH" | "fromNode">[];
  /** Height × mass of the smallest of the party, m·kg. */
  bodyMKg: number;
}

export function fordPassages(input: FordInput): FordPassage[] {
  const planned = meltSums(input.snow);
  const sums = { planned, usual: input.usual === input.snow ? planned : meltSums(input.usual) };
  return input.fords.flatMap((ford) =>
    nodesOn(input.profile, ford).flatMap(([node]) => {
      const when = passageAt(input, node);
      return when ? [passage(input, basinOf(input, sums, node), ford, node, when)] : [];
    }),
  );
}

interface When {
  legIndex: number;
  day: number;
  clockH: number;
}

function passageAt({ blocks }: FordInput, node: number): When | undefined {
  for (const { parts, cellH, fromNode } of blocks) {
    const part = parts.find(({ startNode, endNode }) => node >= startNode && node < endNode);
    if (!part) continue;
    let before = 0;
    let all = 0;
    for (let c = part.startNode; c < part.endNode; c++) {
      const hours = cellH[c - fromNode]!;
      all += hours;
      if (c < node) before += hours;
    }
    const share = all > 0 ? before / all : 0;
    const clockH = part.startClockH + share * (part.endClockH - part.startClockH);
    return { legIndex: part.legIndex, day: part.day, clockH };
  }
  return undefined;
}

function passage(
  input: FordInput,
  basin: Basin,
  ford: FordFacts,
  node: number,
  { legIndex, day, clockH }: When,
): FordPassage {
  const { profile, bodyMKg } = input;
  const yearDay = dayOfYear(day);
  const stream = streamOn(ford, basin, yearDay);
  const course = dayCourse(stream);
  const flow = flowAt(stream, clockH);
  const known = knownCrossing(ford, basin);
  const classOf = (at: number): FordClass => {
    if (!known) return unmeasuredClass(at);
    const { depthM, speedMps } = crossingAt(known, at);
    return fordClass(depthM, speedMps, bodyMKg);
  };
  const there = known && crossingAt(known, flow);
  return {
    fordId: ford.id,
    legIndex,
    atM: walkedOf(profile, node),
    date: isoOfDay(day),
    clockH,
    index: stream.index,
    flow,
    class: classOf(flow),
    depthM: there?.depthM,
    speedMps: there?.speedMps,
    course,
    lowClass: classOf(flowAt(stream, course.lowClockH)),
  };
}

interface Basin {
  south: boolean;
  /** By day of the year: melt against the greatest of the usual year, and depth of the snow halfway up. */
  index: Float64Array;
  greatestDay: number;
  depthM: (yearDay: number) => number;
}

interface Sums {
  planned: MeltSums;
  usual: MeltSums;
}

function basinOf({ profile, snow, usual }: FordInput, sums: Sums, node: number): Basin {
  const walkedM = walkedOf(profile, node);
  const lowM = profile.heightM[node]!;
  const reach = Math.round(BASIN_REACH_M / profile.cellM);
  let highM = lowM + BASIN_RISE_M;
  for (let n = Math.max(0, node - reach); n <= Math.min(profile.cellCount, node + reach); n++)
    highM = Math.max(highM, profile.heightM[n]!);
  const weights = stationWeights(snow.season, walkedM);
  const melt = meltBetween(sums.planned, weights, lowM, highM);
  const normal = usual === snow ? melt : meltBetween(sums.usual, weights, lowM, highM);
  let greatestDay = 0;
  for (let day = 1; day < normal.length; day++) if (normal[day]! > normal[greatestDay]!) greatestDay = day;
  return {
    south: snow.south,
    index: melt.map((mm) => meltIndex(mm, normal[greatestDay]!)),
    greatestDay,
    depthM: (yearDay) => snowAt(snow, walkedM, (lowM + highM) / 2, yearDay).depthM,
  };
}

function streamOn(ford: FordFacts, basin: Basin, yearDay: number): StreamDay {
  const { glacier, basinKm2 = UNKNOWN_FORD.basinKm2, snowDistanceM = UNKNOWN_FORD.snowDistanceM } = ford;
  const onIce = glacier && iceFeeds(basin, yearDay);
  return {
    index: onIce ? Math.max(1, basin.index[yearDay]!) : basin.index[yearDay]!,
    snowDepthM: basin.depthM(yearDay),
    snowDistanceKm: snowDistanceM / 1000,
    basinKm2,
    glacier: onIce,
  };
}

function iceFeeds({ greatestDay, south }: Basin, yearDay: number): boolean {
  const until = (ICE_UNTIL_DAY + (south ? HALF_YEAR_DAYS : 0)) % YEAR_DAYS;
  const since = (yearDay - greatestDay + YEAR_DAYS) % YEAR_DAYS;
  return since <= (until - greatestDay + YEAR_DAYS) % YEAR_DAYS;
}

/** Measured when the flow was what the model says of that day and hour: noon of the day of greatest melt where untold. */
function knownCrossing(ford: FordFacts, basin: Basin) {
  const { depthM, speedMps, refMonthDay, refClockH = NOON_H } = ford;
  if (depthM === undefined || speedMps === undefined) return undefined;
  const refDay = refMonthDay === undefined ? basin.greatestDay : monthDayIndex(refMonthDay);
  return { depthM, speedMps, flow: flowAt(streamOn(ford, basin, refDay), refClockH) };
}
