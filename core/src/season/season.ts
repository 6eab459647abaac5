/**
 * The weather that the calendar promises: monthly normals of stations brought to any place and date.
 *
 * Over the year: a periodic cubic (Catmull-Rom) through the twelve mid-month means. Along the trail:
 * inverse squared distance, softened by 20 km. By height: 6.5 K/km for day highs (free-air ISA rate) and
 * 4.5 K/km for night lows, both ways: the central reading. The coldest night, which decides over bag and
 * pad, takes the cautious one: 5.5 K/km up from the station, 3.0 K/km down (see `coldLowAtC`).
 * Extremes are the mean ± 1.2816 standard deviations: one night, one day in ten.
 */
import { coldestInTenC, coldLowAtC, HIGH_LAPSE_K_PER_M, lowAtC, ONE_IN_TEN } from "../models/cold.ts";
import type { ClimateStation, Forecast, ThermometerReading } from "../plan/schema.ts";
import type { TrackM, WalkedM } from "../units/lengths.ts";
import { nodeOf, trackAt } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { dayOfYear, monthOfDay } from "../units/day.ts";
import { buildKnown, wetWithKnown, windWithKnown, withKnown, type Known, type Means } from "./known.ts";
import { MONTH_LENGTHS, throughYear, throughYearSmooth } from "./months.ts";
import { simulatedNormals } from "./normals.ts";

const SOFTENING_M = 20_000;

/** What the weather has to know of a station: its name may change without consequence. */
// prettier-ignore
export type StationFacts = Pick<
  ClimateStation,
  "trackM" | "heightM" | "lowC" | "highC" | "lowSdK" | "highSdK" | "windMps" | "humidity" | "cloud" | "precipMm" | "wetDays"
>;

export function stationFacts(station: ClimateStation): StationFacts {
  const { trackM, heightM, lowC, highC, lowSdK, highSdK, windMps, humidity, cloud, precipMm, wetDays } = station;
  return { trackM, heightM, lowC, highC, lowSdK, highSdK, windMps, humidity, cloud, precipMm, wetDays };
}

/** What replaces a trail without stations: mild, and flagged by a check. */
const NO_STATION: Omit<StationFacts, "trackM" | "heightM"> = {
  lowC: Array<number>(12).fill(5),
  highC: Array<number>(12).fill(18),
  lowSdK: 4,
  highSdK: 4,
  windMps: 1.5,
};
const HUMIDITY = 0.5;
const CLOUD = 0.4;

interface ClimateYear {
  /** Along the main trail. */
  trackM: TrackM;
  heightM: number;
  /** One value per day of the year, 366 of them. */
  lowC: Float64Array;
  highC: Float64Array;
  lowSdK: number;
  highSdK: number;
  /** By month. */
  humidity: readonly number[];
  cloud: readonly number[];
  windMps: number;
  /** Precipitation of each day of the year, mm, and the chance that a day is wet. */
  precipMm: Float64Array;
  wetChance: Float64Array;
}

export interface Season {
  stations: ClimateYear[];
  /** True when the document has no station and the stand-in is used. */
  assumed: boolean;
  /** Stations that tell no rain have that of their latitude stand in. */
  rainAssumed: boolean;
  /** A track without heights says nothing of how high one is: stations are taken as they stand. */
  heightless: boolean;
  /** Metres along the main trail beside those in walking order. */
  trackAt: (walkedM: WalkedM) => TrackM;
  /** Forecasts and own readings, where there are any. */
  known: Known | undefined;
}

export interface Climate {
  lowC: number;
  highC: number;
  /** Mean low by the cautious lapse rates, the spread of single nights, and the coldest night in ten from both. */
  coldLowC: number;
  lowSdK: number;
  coldNightC: number;
  hotDayC: number;
}

export interface SeasonInput {
  stations: readonly StationFacts[];
  profile: Profile;
  warmth: WarmthWord;
  wetness?: WetnessWord;
}

/** The normals alone: see `seasonWith` for what is known better. */
export function buildSeason({ stations, profile, warmth, wetness = "usual" }: SeasonInput): Season {
  const kind = { warmerK: WARMTH_K[warmth], wetter: WET_DAYS_FACTOR[wetness] };
  const common = {
    heightless: !profile.hasHeights,
    trackAt: (walkedM: WalkedM) => trackAt(profile, walkedM),
    known: undefined,
  };
  const latDegAt = (trackM: TrackM): number => profile.latDeg[nodeOf(profile, { trackM })]!;
  if (stations.length === 0) {
    const station = { ...NO_STATION, trackM: 0 as TrackM, heightM: NaN };
    return {
      ...common,
      assumed: true,
      rainAssumed: true,
      stations: [climateYear(station, latDegAt(0 as TrackM), kind)],
    };
  }
  return {
    ...common,
    assumed: false,
    rainAssumed: stations.some(({ precipMm }) => precipMm === undefined),
    stations: stations.map((station) => climateYear(station, latDegAt(station.trackM), kind)),
  };
}

export interface KnownInput {
  season: Season;
  forecasts: readonly Forecast[];
  readings: readonly ThermometerReading[];
}

/** The same season with forecasts and own readings over its normals. */
export function seasonWith({ season, forecasts, readings }: KnownInput): Season {
  const known = buildKnown(forecasts, readings, (trackM, heightM, day) =>
    meansAt(season, trackM, heightM, dayOfYear(day)),
  );
  return known ? { ...season, known } : season;
}

/** What a cold and a warm year are from the normals, K: one in six either way [L]. */
export const WARMTH_K = { cold: -1.5, usual: 0, warm: 1.5 } as const;
export type WarmthWord = keyof typeof WARMTH_K;

/** What wet days are of the normal in a dry and a wet year: about one in six either way [L]. */
const WET_DAYS_FACTOR = { dry: 0.75, usual: 1, wet: 1.25 } as const;
export type WetnessWord = keyof typeof WET_DAYS_FACTOR;
const MOST_WET = 0.95;

/** Rain of a place that tells none: its latitude's, not far from the sea. */
const RAIN_SEA_KM = 100;

function climateYear(
  station: StationFacts,
  latDeg: number,
  { warmerK, wetter }: { warmerK: number; wetter: number },
): ClimateYear {
  const { trackM, heightM, precipMm, wetDays } = station;
  const place = { latDeg, heightM: Number.isNaN(heightM) ? 0 : heightM, seaKm: RAIN_SEA_KM, west: 0.5 };
  const assumed = precipMm && wetDays ? undefined : simulatedNormals(place);
  const rain = precipMm ?? assumed!.rainMm;
  const wet = wetDays ?? rain.map((mm, month) => Math.min(0.9 * MONTH_LENGTHS[month]!, mm / (5 + 0.02 * mm)));
  const daily = (monthly: readonly number[]): Float64Array => {
    const perDay = monthly.map((value, month) => value / MONTH_LENGTHS[month]!);
    return Float64Array.from({ length: 366 }, (_, day) => throughYear(perDay, day));
  };
  return {
    trackM,
    heightM,
    lowC: throughYearSmooth(station.lowC).map((c) => c + warmerK),
    highC: throughYearSmooth(station.highC).map((c) => c + warmerK),
    lowSdK: station.lowSdK,
    highSdK: station.highSdK,
    humidity: station.humidity ?? Array<number>(12).fill(HUMIDITY),
    cloud: station.cloud ?? Array<number>(12).fill(CLOUD),
    windMps: station.windMps,
    precipMm: daily(rain),
    wetChance: daily(wet).map((chance) => Math.min(wetter > 1 ? Math.max(chance, MOST_WET) : 1, wetter * chance)),
  };
}

/** How much each station says of a place, adding up to 1. */
export function stationWeights(season: Season, walkedM: WalkedM): Float64Array {
  const placeM = season.trackAt(walkedM);
  const weights = Float64Array.from(season.stations, ({ trackM }) => {
    const away = trackM - placeM;
    return 1 / (away * away + SOFTENING_M * SOFTENING_M);
  });
  let all = 0;
  for (const weight of weights) all += weight;
  return weights.map((weight) => weight / all);
}

/** Chance that a day is wet (1 mm or more). */
export function wetChanceAt(season: Season, walkedM: WalkedM, day: number): number {
  const yearDay = dayOfYear(day);
  const weights = stationWeights(season, walkedM);
  let chance = 0;
  for (const [s, station] of season.stations.entries()) chance += weights[s]! * station.wetChance[yearDay]!;
  return season.known ? wetWithKnown(season.known, chance, season.trackAt(walkedM), day) : chance;
}

/** Mean low and high and the one-in-ten extremes at a place, height and date. */
export function climateAt(season: Season, walkedM: WalkedM, heightM: number, day: number): Climate {
  const placeM = season.trackAt(walkedM);
  const normal = meansAt(season, placeM, heightM, dayOfYear(day));
  const means = season.known ? withKnown(season.known, normal, placeM, heightM, day) : normal;
  const { highC, lowSdK } = means;
  // Two lapse rates could put a low above its high on a cold, high place.
  const lowC = Math.min(means.lowC, highC);
  const coldLowC = Math.min(means.coldLowC, lowC);
  return {
    lowC,
    highC,
    coldLowC,
    lowSdK,
    coldNightC: coldestInTenC(coldLowC, lowSdK),
    hotDayC: highC + ONE_IN_TEN * means.highSdK,
  };
}

function meansAt(season: Season, placeM: TrackM, heightM: number, yearDay: number): Means {
  let weights = 0;
  let lowC = 0;
  let coldC = 0;
  let highC = 0;
  let lowSdK = 0;
  let highSdK = 0;
  for (const station of season.stations) {
    const away = station.trackM - placeM;
    const weight = 1 / (away * away + SOFTENING_M * SOFTENING_M);
    // The stand-in station stands wherever it is asked.
    const riseM = season.assumed || season.heightless ? 0 : heightM - station.heightM;
    weights += weight;
    lowC += weight * lowAtC(station.lowC[yearDay]!, riseM);
    coldC += weight * coldLowAtC(station.lowC[yearDay]!, riseM);
    highC += weight * (station.highC[yearDay]! - riseM * HIGH_LAPSE_K_PER_M);
    lowSdK += weight * station.lowSdK;
    highSdK += weight * station.highSdK;
  }
  return {
    lowC: lowC / weights,
    coldLowC: coldC / weights,
    highC: highC / weights,
    lowSdK: lowSdK / weights,
    highSdK: highSdK / weights,
  };
}

export interface Sky {
  /** 0 to 1. */
  humidity: number;
  cloud: number;
  windMps: number;
}

/** Humidity, cloud and wind of the nearest station in the day's month; the wind as forecast where it is. */
export function skyAt(season: Season, walkedM: WalkedM, day: number): Sky {
  const placeM = season.trackAt(walkedM);
  const month = monthOfDay(day);
  const nearest = season.stations.reduce((a, b) => (Math.abs(b.trackM - placeM) < Math.abs(a.trackM - placeM) ? b : a));
  const { windMps } = nearest;
  return {
    humidity: nearest.humidity[month]!,
    cloud: nearest.cloud[month]!,
    windMps: season.known ? windWithKnown(season.known, windMps, placeM, day) : windMps,
  };
}
