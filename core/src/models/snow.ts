/**
 * Snow on the ground through a year, by degree days. For one height: monthly normals in, the share of ground
 * under snow, the water in it and what melts, for every day of the year out.
 *
 * What falls: solid share of the precipitation by the day's mean temperature, half of it at +1.0 °C (Jennings
 * and others 2018, Nat Commun 9:1148; hemispheric mean, −0.4 to 2.4 by place). What melts: a degree-day factor
 * with the sine of SNOW-17 (Anderson 1973; values within Hock 2003, J Hydrol 282:104) times the expected positive
 * degrees of single days about the mean (Braithwaite 1985; Calov & Greve 2005, J Glaciol 51:173). How it
 * is: lognormal about its mean with a coefficient of variation of 0.5 (Liston 2004, J Clim 17:1381), so
 * that a melting cover has holes. Precipitation by height, densities and the factors of a low and a high year are
 * engineering [L]. Melt-out is known to some −10 to +20 days; a dated report wins over it.
 */
import { errorFunction } from "simple-statistics";
import { clamp } from "../units/constants.ts";

export const YEAR_DAYS = 366;

/** Normals at the height in question, a value for each day of a 366-day year. */
export interface SnowClimate {
  /** Mean of the day, °C. */
  meanC: ArrayLike<number>;
  /** Spread of single days about it, K. */
  sdK: number;
  /** Water that falls, mm a day. */
  precipMm: ArrayLike<number>;
  /** The seasons of the south are half a year later. */
  south: boolean;
}

/** By day of the year. */
export interface SnowYear {
  /** Share of the ground under snow, 0 to 1. */
  cover: Float32Array;
  /** Water in the snow, mm over all the ground. */
  waterMm: Float32Array;
  /** Melt that the day would bring where snow is, mm. */
  meltMm: Float32Array;
}

/** From this share on the ground is white; between the two are patches; below it is bare. */
export const CONTINUOUS_COVER = 0.8;
export const PATCHES_COVER = 0.1;

/** What a low, usual and high year's precipitation is of the normal: one in six, one in ten [L]. */
export const SNOW_YEARS = { low: 0.6, usual: 1, high: 1.5 } as const;
export type SnowYearWord = keyof typeof SNOW_YEARS;

const VARIATION = 0.5;
const SIGMA2 = Math.log(1 + VARIATION * VARIATION);
const SIGMA = Math.sqrt(SIGMA2);
/** Below this an early cover is gone, and a new one starts. */
const GONE_COVER = 0.02;
const HALF_YEAR_DAYS = 183;
/** 1 September: no snow of the year before is carried over. */
const FIRST_DAY = 244;
const NEW_YEAR_DAYS = YEAR_DAYS - FIRST_DAY;

/** Standard normal distribution function. */
export function normalBelow(z: number): number {
  // Beyond, the last digit does not know the difference.
  if (z > 8.3) return 1;
  if (z < -8.3) return 0;
  return 0.5 * (1 + errorFunction(z / Math.SQRT2));
}

function normalDensity(z: number): number {
  return Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);
}

/** Expected positive part of a day's mean temperature, K. */
export function positiveDegrees(meanC: number, sdK: number): number {
  if (sdK <= 0) return Math.max(0, meanC);
  return meanC * normalBelow(meanC / sdK) + sdK * normalDensity(meanC / sdK);
}

/** Share of precipitation that falls as snow, single days about the mean. */
export function solidFraction(meanC: number, sdK: number): number {
  return normalBelow((1.0 - meanC) / Math.sqrt(sdK * sdK + 1));
}

/** mm/K/d: 1.5 at midwinter, 5 at midsummer. */
export function degreeDayFactor(yearDay: number, south: boolean): number {
  const day = south ? yearDay + HALF_YEAR_DAYS : yearDay;
  return 3.25 + 1.75 * Math.sin((2 * Math.PI * (day - 79)) / YEAR_DAYS);
}

/** Precipitation at another height than the station's: 40 % more per kilometre, half to two and a half times [L]. */
export function precipByHeight(riseM: number): number {
  return clamp(1 + 0.4 * (riseM / 1000), 0.5, 2.5);
}

/** The two laws of a day by its mean, for one spread. */
export interface DayLaws {
  positive: (meanC: number) => number;
  solid: (meanC: number) => number;
}

const TABLE_FROM_C = -70;
const TABLE_TO_C = 60;
const TABLE_STEP_K = 0.05;

/** From tables, straight between their rows: within 0.0005 K and 0.0002 of the laws, at a fraction of the time. */
export function tabledLaws(sdK: number): DayLaws {
  // A table has no kink as sharp as a law without spread.
  if (sdK < 0.5) return { positive: (c) => positiveDegrees(c, sdK), solid: (c) => solidFraction(c, sdK) };
  const rows = Math.round((TABLE_TO_C - TABLE_FROM_C) / TABLE_STEP_K) + 2;
  const tabled = (law: (meanC: number, sdK: number) => number): ((meanC: number) => number) => {
    const table = Float64Array.from({ length: rows }, (_, i) => law(TABLE_FROM_C + i * TABLE_STEP_K, sdK));
    return (meanC) => {
      const at = (clamp(meanC, TABLE_FROM_C, TABLE_TO_C) - TABLE_FROM_C) / TABLE_STEP_K;
      const row = Math.floor(at);
      return table[row]! + (at - row) * (table[row + 1]! - table[row]!);
    };
  };
  return { positive: tabled(positiveDegrees), solid: tabled(solidFraction) };
}

/** By day of the year: asked for on every height of every station. */
const DEGREE_DAY_FACTORS = [false, true].map((south) =>
  Float64Array.from({ length: YEAR_DAYS }, (_, day) => degreeDayFactor(day, south)),
);

/** `fallFactor` is the year's: see `SNOW_YEARS`. */
export function snowYear(
  { meanC, sdK, precipMm, south }: SnowClimate,
  fallFactor: number,
  { positive, solid }: DayLaws = {
    positive: (c) => positiveDegrees(c, sdK),
    solid: (c) => solidFraction(c, sdK),
  },
): SnowYear {
  const factors = DEGREE_DAY_FACTORS[Number(south)]!;
  const cover = new Float32Array(YEAR_DAYS);
  const waterMm = new Float32Array(YEAR_DAYS);
  const meltMm = new Float32Array(YEAR_DAYS);
  const first = FIRST_DAY + (south ? HALF_YEAR_DAYS : 0);
  let fallen = 0;
  let melted = 0;
  for (let i = 0; i < YEAR_DAYS; i++) {
    const day = (first + i) % YEAR_DAYS;
    fallen += fallFactor * precipMm[day]! * solid(meanC[day]!);
    const melt = factors[day]! * positive(meanC[day]!);
    meltMm[day] = melt;
    if (fallen <= 0) continue;
    melted += melt;
    const d = melted > 0 ? (Math.log(fallen / melted) - SIGMA2 / 2) / SIGMA : Infinity;
    cover[day] = normalBelow(d);
    waterMm[day] = fallen * normalBelow(d + SIGMA) - melted * normalBelow(d);
    if (i < NEW_YEAR_DAYS && cover[day]! < GONE_COVER) fallen = melted = 0;
  }
  return { cover, waterMm, meltMm };
}

/** Depth of snow from its water, m: 220 kg/m³ in November, 1.3 more every day, 500 at most (shape of Sturm and others 2010 [M-L]). */
export function snowDepthM(waterMm: number, yearDay: number, south: boolean): number {
  const day = (yearDay + (south ? HALF_YEAR_DAYS : 0)) % YEAR_DAYS;
  // 1 November.
  const since = (day - 305 + YEAR_DAYS) % YEAR_DAYS;
  return waterMm / clamp(220 + 1.3 * since, 200, 500);
}

/** Does wet snow freeze overnight? Clear skies radiate: from +1.4 °C down under few clouds, −1 °C under full ones [L]. */
export function refreezesBelowC(cloud: number): number {
  return -1 + 3 * (1 - cloud);
}

/** Hours after sunrise that a frozen crust carries, 5 at most; none where it did not freeze [L]. */
export function firmAfterSunriseH(lowC: number, cloud: number): number {
  const belowK = refreezesBelowC(cloud) - lowC;
  return belowK <= 0 ? 0 : Math.min(5, 2 + 0.5 * belowK);
}
