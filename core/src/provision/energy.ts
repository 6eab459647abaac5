/**
 * Energy of every day: walking hours by the effort model on the day's cells at the day's load, all
 * other hours by resting metabolism (×1.2 while awake, for camp chores), the thermic effect of food
 * on top of both, once, and a stated allowance for cold. Never both models for one hour.
 */
import type { Hiker } from "../plan/schema.ts";
import type { Profile } from "../track/profile.ts";
import { JOULE_PER_KCAL } from "../units/constants.ts";
import { HEAVIEST_LOAD_KG, pandolfSanteeW, STEEPEST_DOWN_PERCENT, STEEPEST_UP_PERCENT } from "../walk/effort.ts";
import { mifflinStJeorKcalPerDay } from "../walk/resting.ts";
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
  totalKcal: number;
}

const TERRAIN = Float64Array.from(SURFACE_FACTORS, (row) => row.terrainFactor);
const PER_SANTEE = 1 / 3.5;
const SLEEP_H = 8;
export const CHORE_FACTOR = 1.2;
export const THERMIC_FRACTION = 0.1;
/** Per 10 K that the day's mean lies below freezing; stated, not published. */
export const COLD_KCAL_PER_10K = 100;
const OFF_TRAIL_MPS = 1.25;

/** Walking energy of one day part, kcal. `loadKg` is the pack, `wornKg` what is on the body. */
export function partWalkKcal(
  hiker: Hiker,
  profile: Profile,
  walk: Walk,
  part: DayPart,
  loadKg: Float64Array,
  wornKg: number,
): number {
  const { cellH, surface } = walk;
  const { gradeFraction } = profile;
  const { bodyKg } = hiker;
  const mpsTimesH = profile.cellM / 3600;
  const perBody = 1 / bodyKg;
  let wattHours = 0;
  // pandolfSanteeW written out with its divisions taken out of the loop; tested to agree with it.
  for (let c = part.startNode; c < part.endNode; c++) {
    const hours = cellH[c]!;
    const mps = mpsTimesH / hours;
    const carried = loadKg[c]! + wornKg;
    const load = carried < HEAVIEST_LOAD_KG ? carried : HEAVIEST_LOAD_KG;
    const total = bodyKg + load;
    const ratio = load * perBody;
    const eta = TERRAIN[surface[c]!]!;
    const raw = gradeFraction[c]! * 100;
    const grade =
      raw < STEEPEST_DOWN_PERCENT ? STEEPEST_DOWN_PERCENT : raw > STEEPEST_UP_PERCENT ? STEEPEST_UP_PERCENT : raw;
    const standing = 1.5 * bodyKg + 2 * total * ratio * ratio;
    let bracket = total * mps * (1.5 * mps + 0.35 * grade);
    if (grade < 0) {
      const six = grade + 6;
      bracket -= total * (grade * mps * PER_SANTEE - six * six * perBody) + 25 - mps * mps;
    }
    wattHours += hours * (bracket > 0 ? standing + eta * bracket : standing);
  }
  const atCell = Math.min(part.startNode, profile.cellCount - 1);
  wattHours += part.offTrailStartH * pandolfSanteeW(bodyKg, loadKg[atCell]! + wornKg, OFF_TRAIL_MPS, 0, 1.1);
  const lastCell = Math.max(0, part.endNode - 1);
  wattHours += part.offTrailEndH * pandolfSanteeW(bodyKg, loadKg[lastCell]! + wornKg, OFF_TRAIL_MPS, 0, 1.1);
  return (wattHours * 3600) / JOULE_PER_KCAL;
}

/** The day's whole need from the walking of all its parts. */
export function dayEnergy(
  hiker: Hiker,
  day: number,
  legIndex: number,
  walkH: number,
  walkKcal: number,
  meanC: number,
): DayEnergy {
  const perHour = mifflinStJeorKcalPerDay(hiker) / 24;
  const awakeH = Math.max(0, 24 - SLEEP_H - walkH);
  const asleepH = Math.max(0, 24 - walkH - awakeH);
  const restKcal = perHour * (awakeH * CHORE_FACTOR + asleepH);
  const thermicKcal = THERMIC_FRACTION * (walkKcal + restKcal);
  const coldKcal = (Math.max(0, -meanC) / 10) * COLD_KCAL_PER_10K;
  return {
    day,
    legIndex,
    walkH,
    walkKcal,
    restKcal,
    thermicKcal,
    coldKcal,
    totalKcal: walkKcal + restKcal + thermicKcal + coldKcal,
  };
}
