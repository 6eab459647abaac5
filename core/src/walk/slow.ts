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

/** Up to here thin air is hardly felt by who walks. */
export const THIN_AIR_FROM_M = 2000;
export const SLOWEST_BY_HEIGHT = 0.5;
const NIGHTS_TO_ADAPT = 14;
const ADAPTED_LOSS = 0.5;

/**
 * Fraction of speed lost per metre above 2,000 m after some nights up there. Aerobic capacity falls by 6 to
 * 7 % per 1,000 m for the unadapted (Fulco, Rock & Cymerman 1998, Aviat Space Environ Med 69:793); that speed
 * falls as it does, and that two weeks give half of it back, is engineering [E]: experimental.
 */
export function heightSlowPerM(perKm: number, nightsUp: number): number {
  const adapted = clamp(nightsUp / NIGHTS_TO_ADAPT, 0, 1);
  return (perKm / 1000) * (1 - (1 - ADAPTED_LOSS) * adapted);
}

/** Speed at a height as a share of the speed below 2,000 m. */
export function heightSpeedFactor(heightM: number, slowPerM: number): number {
  return Math.max(SLOWEST_BY_HEIGHT, 1 - slowPerM * Math.max(0, heightM - THIN_AIR_FROM_M));
}

/** Nights of being used to height after another one: two weeks at most, and lost as fast as won. */
export function nightsUpAfter(nightsUp: number, heightM: number, nights: number): number {
  return clamp(nightsUp + (heightM > THIN_AIR_FROM_M ? nights : -nights), 0, NIGHTS_TO_ADAPT);
}

/** Speed in the heat as a share of the speed in the cool. */
export function heatSpeedFactor(temperatureC: number, fromC: number, perK: number): number {
  return Math.max(SLOWEST_BY_HEAT, 1 - perK * Math.max(0, temperatureC - fromC));
}
