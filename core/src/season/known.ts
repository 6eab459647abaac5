/**
 * What is known better than monthly means: a forecast for its days, and what your own thermometer read.
 *
 * A forecast stands over the normals by how far ahead it looked, `N + w (F − N)` with w = exp(−(lead/8.5)²) for
 * temperature and exp(−(lead/5.5)²) for the chance of rain, lead in days from its issue (regression on a forecast
 * whose anomaly correlation is w [H form, L numbers]). What single nights still differ by is what the normals left
 * open, √(SD² (1 − w²) + 2²), never more than before. Brought to a camp's height as the normals are.
 *
 * Readings tell the normals' error near them: the mean of own − normal, each night weighed by its age (half in 7 days)
 * and its way along the trail (1/e in 300 km), drawn towards nothing as far as single nights scatter: sum(w r) /
 * (sum w + SD²/2²), the error of normals being 2 K or so [L]. Warmer readings never make a cold night warmer.
 */
import {
  COLD_LAPSE_DOWN_K_PER_M,
  COLD_LAPSE_UP_K_PER_M,
  HIGH_LAPSE_K_PER_M,
  LOW_LAPSE_K_PER_M,
} from "../models/cold.ts";
import type { Forecast, ThermometerReading } from "../plan/schema.ts";
import type { TrackM } from "../units/lengths.ts";
import { clamp } from "../units/constants.ts";
import { dayNumber } from "../units/day.ts";

/** Mean low and high, the low by the cautious lapse rates, and the spread of single nights and days. */
export interface Means {
  lowC: number;
  coldLowC: number;
  highC: number;
  lowSdK: number;
  highSdK: number;
}

/** Readings say nothing that counts of days further off: a sixteenth of their weight. */
const READINGS_REACH_DAYS = 28;
const TEMPERATURE_DAYS = 8.5;
const RAIN_DAYS = 5.5;
/** What the best forecast is still wrong by. */
const LEAST_SD_K = 2;
/** Beyond the ends of its stretch a forecast fades out over so much. */
const FADE_M = 20_000;
/** Told for 10 m above open ground; a walker meets so much of it. */
const AT_WALKER = 0.6;
/** Where rain is given and no chance of it. */
const FORECAST_WET = 0.9;
const FORECAST_DRY = 0.1;
const WET_MM = 1;

export function forecastWeight(leadDays: number): number {
  return Math.exp(-((leadDays / TEMPERATURE_DAYS) ** 2));
}

export function rainWeight(leadDays: number): number {
  return Math.exp(-((leadDays / RAIN_DAYS) ** 2));
}

/** The spread that a forecast of such a weight leaves of the normals'. */
export function spreadLeftK(sdK: number, weight: number): number {
  return Math.min(sdK, Math.sqrt(sdK * sdK * (1 - weight * weight) + LEAST_SD_K * LEAST_SD_K));
}

interface ForecastDayAt {
  fromM: TrackM;
  toM: TrackM;
  heightM: number;
  leadDays: number;
  lowC: number | undefined;
  highC: number | undefined;
  wetChance: number | undefined;
  windMps: number | undefined;
}

interface Deviation {
  day: number;
  trackM: TrackM;
  lowK: number | undefined;
  highK: number | undefined;
  sdK: number;
}

export interface Known {
  /** By day number, the newest issue last. */
  byDay: ReadonlyMap<number, readonly ForecastDayAt[]>;
  deviations: readonly Deviation[];
  /** The days on which anything is known, in order. */
  days: readonly number[];
}

/** `normalAt` are the means without what is known. Undefined where nothing is. */
export function buildKnown(
  forecasts: readonly Forecast[],
  readings: readonly ThermometerReading[],
  normalAt: (trackM: TrackM, heightM: number, day: number) => Means,
): Known | undefined {
  const byDay = new Map<number, ForecastDayAt[]>();
  for (const { fromM, toM, heightM, issued, days } of [...forecasts].sort((a, b) => (a.issued < b.issued ? -1 : 1)))
    for (const { date, lowC, highC, wetChance, rainMm, windMps } of days) {
      const day = dayNumber(date)!;
      const leadDays = day - dayNumber(issued)!;
      // What was said after the day is no forecast of it.
      if (leadDays < 0) continue;
      const byRain = rainMm === undefined ? undefined : rainMm >= WET_MM ? FORECAST_WET : FORECAST_DRY;
      const ofDay = byDay.get(day) ?? [];
      ofDay.push({ fromM, toM, heightM, leadDays, lowC, highC, wetChance: wetChance ?? byRain, windMps });
      byDay.set(day, ofDay);
    }
  const deviations = readings.map(({ date, trackM, heightM, lowC, highC }): Deviation => {
    const day = dayNumber(date)!;
    const normal = normalAt(trackM, heightM, day);
    return {
      day,
      trackM,
      lowK: lowC === undefined ? undefined : lowC - normal.lowC,
      highK: highC === undefined ? undefined : highC - normal.highC,
      sdK: Math.max(1, normal.lowSdK),
    };
  });
  const days = new Set(byDay.keys());
  for (const { day } of deviations)
    for (let near = day - READINGS_REACH_DAYS; near <= day + READINGS_REACH_DAYS; near++) days.add(near);
  return days.size === 0 ? undefined : { byDay, deviations, days: [...days].sort((a, b) => a - b) };
}

const HALF_LIFE_DAYS = 7;
const NEAR_M = 300_000;
const PRIOR_K = 2;

/** What the normals are wrong by at a place and day as far as own readings tell, K. */
export function biasK({ deviations }: Known, key: "lowK" | "highK", placeM: TrackM, day: number): number {
  let sum = 0;
  let weights = 0;
  let scatter = 0;
  for (const deviation of deviations) {
    const value = deviation[key];
    if (value === undefined) continue;
    if (Math.abs(day - deviation.day) > READINGS_REACH_DAYS) continue;
    const weight =
      0.5 ** (Math.abs(day - deviation.day) / HALF_LIFE_DAYS) * Math.exp(-Math.abs(deviation.trackM - placeM) / NEAR_M);
    sum += weight * value;
    weights += weight;
    scatter += (weight * deviation.sdK * deviation.sdK) / (PRIOR_K * PRIOR_K);
  }
  return weights === 0 ? 0 : sum / (weights + scatter / weights);
}

/** How far a place belongs to a forecast's stretch, 0 to 1. */
function belongs({ fromM, toM }: Pick<ForecastDayAt, "fromM" | "toM">, placeM: TrackM): number {
  const outsideM = Math.max(fromM - placeM, placeM - toM, 0);
  return clamp(1 - outsideM / FADE_M, 0, 1);
}

export function withKnown(known: Known, means: Means, placeM: TrackM, heightM: number, day: number): Means {
  const lowBiasK = biasK(known, "lowK", placeM, day);
  let { lowC, coldLowC, highC, lowSdK, highSdK } = means;
  lowC += lowBiasK;
  coldLowC += Math.min(0, lowBiasK);
  highC += biasK(known, "highK", placeM, day);
  for (const byDay of known.byDay.get(day) ?? []) {
    const share = belongs(byDay, placeM);
    if (share === 0) continue;
    const riseM = heightM - byDay.heightM;
    const weight = share * forecastWeight(byDay.leadDays);
    if (byDay.lowC !== undefined) {
      const coldLapse = riseM > 0 ? COLD_LAPSE_UP_K_PER_M : COLD_LAPSE_DOWN_K_PER_M;
      lowC += weight * (byDay.lowC - riseM * LOW_LAPSE_K_PER_M - lowC);
      coldLowC += weight * (byDay.lowC - riseM * coldLapse - coldLowC);
      lowSdK = spreadLeftK(lowSdK, weight);
    }
    if (byDay.highC !== undefined) {
      highC += weight * (byDay.highC - riseM * HIGH_LAPSE_K_PER_M - highC);
      highSdK = spreadLeftK(highSdK, weight);
    }
  }
  return { lowC, coldLowC, highC, lowSdK, highSdK };
}

/** Chance of a wet day with what was forecast. */
export function wetWithKnown({ byDay }: Known, chance: number, placeM: TrackM, day: number): number {
  let wet = chance;
  for (const one of byDay.get(day) ?? [])
    if (one.wetChance !== undefined) wet += belongs(one, placeM) * rainWeight(one.leadDays) * (one.wetChance - wet);
  return wet;
}

/** Wind at the walker with what was forecast, m/s. */
export function windWithKnown({ byDay }: Known, windMps: number, placeM: TrackM, day: number): number {
  let wind = windMps;
  for (const one of byDay.get(day) ?? [])
    if (one.windMps !== undefined)
      wind += belongs(one, placeM) * forecastWeight(one.leadDays) * (AT_WALKER * one.windMps - wind);
  return wind;
}
