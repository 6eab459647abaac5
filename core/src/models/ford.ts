/**
 * Streams that snow feeds, where a trail fords them: how high by the season, when in the day, and how bad.
 *
 * By season: melt × cover, the mean over the heights of the basin, over the greatest day of the *normal* year (3 mm/d
 * at least); with a base of 0.1 of that. By the hour (Lundquist & Cayan 2002, J Hydrometeorol 3:591; Lundquist and
 * others 2005, WRR 41:W07003: later crests with deeper snow and larger basins) [form M, numbers L]. Depth and speed
 * from one known crossing by hydraulic geometry, D ~ Q^0.40, V ~ Q^0.34 (Leopold & Maddock 1953, USGS PP 252) [H].
 * Classes by depth × speed below those of flood guidance for adults on even beds (Cox, Shand & Blacka 2010: 0.6 low,
 * 0.8, 1.2 m²/s extreme): boulders, cold and a pack are ours to plan for [L].
 *
 * Clock: hours of local mean time. A model of relative flow: it knows no rain, no bridge and no channel.
 */
import { clamp } from "../units/constants.ts";

/** Step over; easy; caution; dangerous; do not. */
export type FordClass = 0 | 1 | 2 | 3 | 4;

const DEPTH_POWER = 0.4;
const SPEED_POWER = 0.34;
const BASE_FLOW = 0.1;
/** Lesser greatest melts make no flood of themselves. */
const LEAST_GREATEST_MM = 3;
const RISE_H = 10;
const FALL_H = 14;

/** Melt of a day against the greatest of the normal year: it exceeds 1 in a high one. */
export function meltIndex(meltMm: number, greatestMm: number): number {
  return meltMm / Math.max(LEAST_GREATEST_MM, greatestMm);
}

export interface StreamDay {
  /** Of melt, 0 to 1 and over. */
  index: number;
  snowDepthM: number;
  /** Way of the water from the snow to the ford, km, and what drains there, km². */
  snowDistanceKm: number;
  basinKm2: number;
  /** Ice feeds it: the day's course is whole all summer. */
  glacier: boolean;
}

export interface DayCourse {
  crestClockH: number;
  lowClockH: number;
  /** What the crest is above the day's mean, as a share of it. */
  amplitude: number;
}

export function dayCourse({ index, snowDepthM, snowDistanceKm, basinKm2, glacier }: StreamDay): DayCourse {
  const crest = 14 + 4 * Math.min(1.5, snowDepthM) + 0.2 * snowDistanceKm;
  const whole = 0.05 + 0.3 * Math.exp(-basinKm2 / 300);
  const meltShare = glacier ? 1 : index / (index + BASE_FLOW);
  return { crestClockH: crest % 24, lowClockH: (crest - RISE_H + 24) % 24, amplitude: whole * meltShare };
}

/** From −1 at the low to 1 at the crest and back: ten hours up, fourteen down. */
export function courseAt(clockH: number, { lowClockH }: Pick<DayCourse, "lowClockH">): number {
  const sinceLowH = (((clockH - lowClockH) % 24) + 24) % 24;
  return sinceLowH <= RISE_H
    ? -Math.cos((Math.PI * sinceLowH) / RISE_H)
    : Math.cos((Math.PI * (sinceLowH - RISE_H)) / FALL_H);
}

/** Flow at an hour, of the greatest normal day's mean. */
export function flowAt(stream: StreamDay, clockH: number): number {
  const course = dayCourse(stream);
  return (stream.index + BASE_FLOW) * (1 + course.amplitude * courseAt(clockH, course));
}

/** A crossing as it was measured, with the flow of that hour by this model. */
export interface KnownCrossing {
  depthM: number;
  speedMps: number;
  flow: number;
}

export function crossingAt({ depthM, speedMps, flow: known }: KnownCrossing, flow: number) {
  const ratio = clamp(flow / Math.max(known, 1e-6), 0.01, 100);
  return { depthM: depthM * ratio ** DEPTH_POWER, speedMps: speedMps * ratio ** SPEED_POWER };
}

/** Height × mass, m·kg: below it flood guidance counts people as children. */
const SMALL_BODY_M_KG = 50;

export function fordClass(depthM: number, speedMps: number, bodyMKg: number): FordClass {
  const small = bodyMKg < SMALL_BODY_M_KG;
  const product = (depthM * speedMps) / (small ? 0.5 : 1);
  const byProduct = product <= 0.1 ? 0 : product <= 0.3 ? 1 : product <= 0.6 ? 2 : product <= 0.8 ? 3 : 4;
  const deepest = small ? 0.5 : 1.2;
  const byDepth = depthM > deepest || speedMps > 3 ? 4 : depthM > 0.9 ? 3 : depthM > 0.6 ? 2 : 0;
  return Math.max(byProduct, byDepth) as FordClass;
}

/** Nothing is known of the crossing itself: never less than caution, and told as flow alone. */
export function unmeasuredClass(flow: number): FordClass {
  return flow < 0.7 ? 2 : 3;
}
