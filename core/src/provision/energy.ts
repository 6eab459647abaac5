/**
 * Energy of every day: walking hours by the effort school on the day's cells at the day's load, times the
 * hiker's own factor; all other hours by the resting school, times a factor for breaks and one for camp and
 * town (FAO/WHO/UNU 2004, Human energy requirements, annex 5: lying awake 1.2, sitting 1.3, light chores 1.6
 * to 2.0); the thermic effect of food on top of both, once, and a stated allowance for cold. Never both
 * models for one hour.
 */
import { HEAVIEST_LOAD_KG, type EffortSchool } from "../models/effort.ts";
import { JOULE_PER_KCAL } from "../units/constants.ts";
import type { Ground } from "../walk/ground.ts";
import type { HikerNeeds } from "./needs.ts";
import type { DayPart, Walk } from "../walk/walk.ts";

/** Kilocalories; the parts add up to `totalKcal`. */
export interface DayEnergy {
  day: number;
  legIndex: number;
  walkH: number;
  walkKcal: number;
  /** All hours not walked: breaks, camp and sleep. */
  restKcal: number;
  thermicKcal: number;
  coldKcal: number;
  /** What an own measured day differs from the models'. */
  measuredKcal: number;
  totalKcal: number;
}

const SLEEP_H = 8;
export const THERMIC_FRACTION = 0.1;
const OFF_TRAIL_TERRAIN = 1.1;

export interface WalkedPart {
  ground: Pick<Ground, "profile" | "gradePercent" | "terrainFactors" | "workspace" | "halts">;
  effort: EffortSchool;
  /** What that school keeps of every cell's grade. */
  slope: Float64Array | undefined;
  walk: Pick<Walk, "cellH" | "surface">;
  part: Pick<DayPart, "legIndex" | "startNode" | "endNode" | "offTrailStartH" | "offTrailEndH" | "detours">;
  bodyKg: number;
  /** The pack on every cell, and what is worn on the body. */
  loadKg: Float64Array;
  wornKg: number;
}

/** Walking energy of one day part, kcal. */
export function partWalkKcal({ ground, effort, slope, walk, part, bodyKg, loadKg, wornKg }: WalkedPart): number {
  const { profile, workspace } = ground;
  const { cellH, surface } = walk;
  const { powerW } = workspace;
  const { startNode, endNode } = part;
  const cells = {
    cellM: profile.cellM,
    cellH,
    gradePercent: ground.gradePercent,
    surface,
    terrain: ground.terrainFactors,
    slope,
  };
  effort.fillW(powerW, cells, startNode, endNode, bodyKg, loadKg, wornKg);
  let wattHours = 0;
  for (let c = startNode; c < endNode; c++) wattHours += cellH[c]! * powerW[c]!;
  const offTrailW = (cell: number, speedMps: number): number =>
    effort.powerW({
      bodyKg,
      loadKg: Math.min(HEAVIEST_LOAD_KG, loadKg[cell]! + wornKg),
      speedMps,
      gradePercent: 0,
      terrain: OFF_TRAIL_TERRAIN,
    });
  const { halts } = ground;
  const from = halts[part.legIndex]!;
  const to = halts[part.legIndex + 1]!;
  const { offTrailStartH, offTrailEndH } = part;
  if (offTrailStartH > 0)
    wattHours +=
      offTrailStartH * offTrailW(Math.min(startNode, profile.cellCount - 1), from.backM / offTrailStartH / 3600);
  if (offTrailEndH > 0)
    wattHours += offTrailEndH * offTrailW(Math.max(0, endNode - 1), to.thereM / offTrailEndH / 3600);
  for (const { node, distanceM, walkH } of part.detours)
    wattHours += walkH * offTrailW(Math.min(node, profile.cellCount - 1), distanceM / walkH / 3600);
  return (wattHours * 3600) / JOULE_PER_KCAL;
}

export interface WalkedDay {
  day: number;
  legIndex: number;
  walkH: number;
  walkKcal: number;
  meanC: number;
  /** What counts as a full day of walking. */
  fullH: number;
}

/** The day's whole need from the walking of all its parts and a day at rest. */
export function dayEnergy(
  { schools, food, breakFraction }: Pick<HikerNeeds, "schools" | "food" | "breakFraction">,
  restingKcalPerDay: number,
  { day, legIndex, walkH, walkKcal, meanC, fullH }: WalkedDay,
): DayEnergy {
  const perHour = restingKcalPerDay / 24;
  const breakH = Math.min(breakFraction * walkH, Math.max(0, 24 - walkH));
  const campH = Math.max(0, 24 - SLEEP_H - walkH - breakH);
  const asleepH = Math.max(0, 24 - walkH - breakH - campH);
  const restKcal = perHour * (breakH * food.breakFactor + campH * food.campFactor + asleepH);
  const thermicKcal = THERMIC_FRACTION * (walkKcal + restKcal);
  const coldKcal = (Math.max(0, -meanC) / 10) * food.coldKcalPer10K;
  const modelKcal = walkKcal + restKcal + thermicKcal + coldKcal;
  const totalKcal = schools.day.totalKcal(modelKcal, walkH / fullH);
  return {
    day,
    legIndex,
    walkH,
    walkKcal,
    restKcal,
    thermicKcal,
    coldKcal,
    measuredKcal: totalKcal - modelKcal,
    totalKcal,
  };
}
