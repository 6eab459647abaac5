/** Walking speed by slope, and what a load takes off it. Speeds in m/s, grades as signed fractions. */
import { clamp } from "../units/constants.ts";

/**
 * Tobler 1993, NCGIA Technical Report 93-1, from Imhof's data: 6·exp(−3.5·|S + 0.05|) km/h with the
 * slope S as a signed fraction. For fit, lightly loaded walkers on paths; rests not included.
 */
export function toblerMps(gradeFraction: number): number {
  return (6 / 3.6) * Math.exp(-3.5 * Math.abs(gradeFraction + 0.05));
}

const SLOWER_PER_KG_FLAT = 0.007;
const SLOWER_PER_KG_STEEP = 0.01;
const STEEP_GRADE = 0.1;
export const SLOWEST_BY_LOAD = 0.55;

/** Share of speed lost per kilogram carried: 0.7 % on the flat and downhill, 1 % from +10 % up. */
export function slowdownPerKg(gradeFraction: number): number {
  return SLOWER_PER_KG_FLAT + (SLOWER_PER_KG_STEEP - SLOWER_PER_KG_FLAT) * clamp(gradeFraction / STEEP_GRADE, 0, 1);
}

/**
 * Speed at a load as a share of the speed without: constant metabolic power in Pandolf's equation
 * gives 0.7 % per kg on the flat and 1 % on climbs (engineering; see docs/models.md).
 */
export function loadSpeedFactor(loadKg: number, gradeFraction: number): number {
  return Math.max(SLOWEST_BY_LOAD, 1 - slowdownPerKg(gradeFraction) * loadKg);
}
