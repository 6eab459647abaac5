/** Cold: nights at height, wind on skin, what bag and pad hold against. Temperatures in °C, heights in m. */

/** Of night lows: the central reading both ways, and the cautious one for cold, colder either way. */
export const LOW_LAPSE_K_PER_M = 0.0045;
export const COLD_LAPSE_UP_K_PER_M = 0.0055;
export const COLD_LAPSE_DOWN_K_PER_M = 0.003;
export const HIGH_LAPSE_K_PER_M = 0.0065;
/** What cold air pooling takes off a night low in a hollow or on a valley floor; engineering, 3 to 5 K. */
export const POOLING_K = 4;
/** Standard normal quantile of nine in ten. */
export const ONE_IN_TEN = 1.2816;

/** A station's mean night low brought to another height, the central reading: 4.5 K/km (Rolland 2003, J Clim 16:1032). */
export function lowAtC(stationLowC: number, riseM: number): number {
  return stationLowC - riseM * LOW_LAPSE_K_PER_M;
}

/**
 * The same for a cold check, the cautious reading: 5.5 K/km up, only 3.0 K/km warmer down, as cold air pools
 * (Rolland 2003; Minder and others 2010, JGR 115:D14122; the rounding to the cold side is ours).
 */
export function coldLowAtC(stationLowC: number, riseM: number): number {
  return stationLowC - riseM * (riseM > 0 ? COLD_LAPSE_UP_K_PER_M : COLD_LAPSE_DOWN_K_PER_M);
}

/** Mean low less 1.2816 standard deviations: one night in ten is colder. */
export function coldestInTenC(meanLowC: number, sdK: number): number {
  return meanLowC - ONE_IN_TEN * sdK;
}

/**
 * Wind chill of the 2001 index: Osczevski & Bluestein 2005, BAMS 86:1453. Wind in km/h at 10 m. Undefined
 * above 10 °C or below 4.8 km/h. For a bare walking face: it cools no water, no gear and no sheltered sleeper.
 */
export function windChillC(temperatureC: number, windKmh: number): number | undefined {
  if (temperatureC > 10 || windKmh <= 4.8) return undefined;
  const v = windKmh ** 0.16;
  return 13.12 + 0.6215 * temperatureC - 11.37 * v + 0.3965 * temperatureC * v;
}

/** R in ft²·h·°F/BTU for one m²K/W. */
export const R_PER_RSI = 5.678;

/** Skin that rests on a pad, °C. */
export const SKIN_C = 33;

/** W/m² let into the ground: the least warmth, our default, and the pad that bags are tested on. */
export const GROUND_FLUX = { minimum: 62.5, planned: 50, testPad: 39 } as const;

/** R = 5.678 (skin − ground) / q; engineering, no standard gives it. */
export function padRFor(groundC: number, fluxWPerM2: number = GROUND_FLUX.planned): number {
  return Math.max(0, (R_PER_RSI * (SKIN_C - groundC)) / fluxWPerM2);
}

/** As cold as the air on snow and frozen ground, 5 K warmer otherwise. */
export function groundC(airLowC: number, onSnow: boolean): number {
  return onSnow ? airLowC : airLowC + 5;
}
