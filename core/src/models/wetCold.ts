/**
 * What a wet walker loses in wind: A (33 − T)/(0.155 (I + Ia)) with the clothes' insulation at 0.35 of dry, the air's
 * Ia = 0.61 (0.15/wind)^0.3 clo, A = 1.85 m² [L]. A walker at 300 W has some 240 W of heat to give, tired people less.
 * The order of it agrees with Pugh 1966–67: wet and wind take most of what clothing is worth [M].
 */
const AREA_M2 = 1.85;
const SKIN_C = 33;
const WET_FACTOR = 0.35;
const STILL_MPS = 0.15;

/** From this mean down rain is a caution. */
export const WET_COLD_C = 10;

export function heatLossW(airC: number, windMps: number, clo: number, wet: boolean): number {
  const airClo = 0.61 * (STILL_MPS / Math.max(windMps, STILL_MPS)) ** 0.3;
  return (AREA_M2 * (SKIN_C - airC)) / (0.155 * (clo * (wet ? WET_FACTOR : 1) + airClo));
}
