/**
 * What slows a walker beside the slope. Factors multiply the speed; surface and snow have their own table.
 *
 * Load: constant metabolic power in Pandolf's equation takes 0.7 % of speed per kilogram on the flat and
 * 1 % on climbs (engineering; another equation says twice that). Night and heat are engineering values
 * without a published source, stated, and editable in the plan.
 */
import { clamp } from "../units/constants.ts";

const SLOWER_PER_KG_FLAT = 0.007;
const SLOWER_PER_KG_STEEP = 0.01;
const STEEP_GRADE = 0.1;
export const SLOWEST_BY_LOAD = 0.55;
export const SLOWEST_BY_HEAT = 0.7;

/** Share of speed lost per kilogram carried: 0.7 % on the flat and downhill, 1 % from +10 % up. */
export function slowdownPerKg(gradeFraction: number): number {
  return SLOWER_PER_KG_FLAT + (SLOWER_PER_KG_STEEP - SLOWER_PER_KG_FLAT) * clamp(gradeFraction / STEEP_GRADE, 0, 1);
}

/** Speed at a load as a share of the speed without. `slowness` multiplies what is lost. */
export function loadSpeedFactor(loadKg: number, gradeFraction: number, slowness = 1): number {
  return Math.max(SLOWEST_BY_LOAD, 1 - slowness * slowdownPerKg(gradeFraction) * loadKg);
}

/** Speed in the heat as a share of the speed in the cool. */
export function heatSpeedFactor(temperatureC: number, fromC: number, perK: number): number {
  return Math.max(SLOWEST_BY_HEAT, 1 - perK * Math.max(0, temperatureC - fromC));
}
