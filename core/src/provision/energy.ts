/**
 * Energy of every day: walking hours by the effort school on the day's cells at the day's load, all
 * other hours by the resting school (×1.2 while awake, for camp chores), the thermic effect of food
 * on top of both, once, and a stated allowance for cold. Never both models for one hour.
 */
import { HEAVIEST_LOAD_KG, type EffortWatts } from "../models/effort.ts";
import { models } from "../models/index.ts";
import type { Hiker } from "../plan/schema.ts";
import type { Profile } from "../track/profile.ts";
import { JOULE_PER_KCAL } from "../units/constants.ts";
import { SURFACE_FACTORS } from "../walk/surfaces.ts";
import type { DayPart, Walk } from "../walk/walk.ts";

/** Kilocalories; the parts add up to `totalKcal`. */
export interface DayEnergy {
  day: number;
  legIndex: number;
  walkH: number;
  walkKcal: number;
  /** All hours not walked, chores included. */
  restKcal: number;
  thermicKcal: number;
  coldKcal: number;
  /** What an own measured day differs from the models'. */
  measuredKcal: number;
  totalKcal: number;
}

const TERRAIN = Float64Array.from(SURFACE_FACTORS, (row) => row.terrainFactor);
const SLEEP_H = 8;
export const CHORE_FACTOR = 1.2;
export const THERMIC_FRACTION = 0.1;
const OFF_TRAIL_MPS = 1.25;
const OFF_TRAIL_TERRAIN = 1.1;

/** Walking energy of one day part, kcal. `loadKg` is the pack, `wornKg` what is on the body. */
export function partWalkKcal(
  watts: EffortWatts,
  bodyKg: number,
  profile: Profile,
  walk: Pick<Walk, "cellH" | "surface">,
  part: DayPart,
  loadKg: Float64Array,
  wornKg: number,
): number {
  const { cellH, surface } = walk;
  const { gradeFraction } = profile;
  const mpsTimesH = profile.cellM / 3600;
  let wattHours = 0;
  for (let c = part.startNode; c < part.endNode; c++) {
    const hours = cellH[c]!;
    wattHours +=
      hours * watts(bodyKg, loadKg[c]! + wornKg, mpsTimesH / hours, 100 * gradeFraction[c]!, TERRAIN[surface[c]!]!);
  }
  const offTrail = (cell: number): number =>
    watts(bodyKg, Math.min(HEAVIEST_LOAD_KG, loadKg[cell]! + wornKg), OFF_TRAIL_MPS, 0, OFF_TRAIL_TERRAIN);
  if (part.offTrailStartH > 0)
    wattHours += part.offTrailStartH * offTrail(Math.min(part.startNode, profile.cellCount - 1));
  if (part.offTrailEndH > 0) wattHours += part.offTrailEndH * offTrail(Math.max(0, part.endNode - 1));
  return (wattHours * 3600) / JOULE_PER_KCAL;
}

/** At rest for a whole day, kcal, by the hiker's school. */
export function restingKcalPerDay(hiker: Hiker, bodyKg: number): number {
  const school = models.resting.orDefault(hiker.schools.resting);
  const { heightCm, ageY, sex, bodyFatFraction } = hiker;
  return school.energyKcalPerDay({ bodyKg, heightCm, ageY, sex, bodyFatFraction });
}

/** The day's whole need from the walking of all its parts. `fullH` is what counts as a full day of walking. */
export function dayEnergy(
  hiker: Hiker,
  restingPerDayKcal: number,
  day: number,
  legIndex: number,
  walkH: number,
  walkKcal: number,
  meanC: number,
  fullH: number,
): DayEnergy {
  const perHour = restingPerDayKcal / 24;
  const awakeH = Math.max(0, 24 - SLEEP_H - walkH);
  const asleepH = Math.max(0, 24 - walkH - awakeH);
  const restKcal = perHour * (awakeH * CHORE_FACTOR + asleepH);
  const thermicKcal = THERMIC_FRACTION * (walkKcal + restKcal);
  const coldKcal = (Math.max(0, -meanC) / 10) * hiker.food.coldKcalPer10K;
  const modelKcal = walkKcal + restKcal + thermicKcal + coldKcal;
  const own = hiker.food.measuredKcalPerDay;
  const measuredKcal = own === undefined ? 0 : (own - modelKcal) * Math.min(1, walkH / fullH);
  return {
    day,
    legIndex,
    walkH,
    walkKcal,
    restKcal,
    thermicKcal,
    coldKcal,
    measuredKcal,
    totalKcal: modelKcal + measuredKcal,
  };
}
