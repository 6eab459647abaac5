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
import type { ClimateStation } from "../plan/schema.ts";
import type { TrackM, WalkedM } from "../units/lengths.ts";
import { nodeOf, trackAt } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { dayOfYear } from "../units/day.ts";
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

/** What stands in for a trail without stations: mild, and flagged by a check. */
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
  trackM: number;
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
  trackAt: (walkedM: WalkedM) => number;
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
}

export function buildSeason({ stations, profile, warmth }: SeasonInput): Season {
  const common = { heightless: !profile.hasHeights, trackAt: (walkedM: WalkedM) => trackAt(profile, walkedM) };
  const latDegAt = (trackM: TrackM): number => profile.latDeg[nodeOf(profile, { trackM })]!;
  if (stations.length === 0) {
    const station = { ...NO_STATION, trackM: 0 as TrackM, heightM: NaN };
    return {
      ...common,
      assumed: true,
      rainAssumed: true,
      stations: [climateYear(station, latDegAt(0 as TrackM), warmth)],
    };
  }
  return {
    ...common,
    assumed: false,
    rainAssumed: stations.some(({ precipMm }) => precipMm === undefined),
    stations: stations.map((station) => climateYear(station, latDegAt(station.trackM), warmth)),
  };
}

/** What a cold and a warm year are from the normals, K: one in six either way [L]. */
export const WARMTH_K = { cold: -1.5, usual: 0, warm: 1.5 } as const;
export type WarmthWord = keyof typeof WARMTH_K;

/** Rain of a place that tells none: its latitude's, not far from the sea. */
const RAIN_SEA_KM = 100;

function climateYear(station: StationFacts, latDeg: number, warmth: WarmthWord): ClimateYear {
  const { trackM, heightM, precipMm, wetDays } = station;
  const warmerK = WARMTH_K[warmth];
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
    wetChance: daily(wet).map((chance) => Math.min(1, chance)),
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
export function wetChanceAt(season: Season, walkedM: WalkedM, yearDay: number): number {
  const weights = stationWeights(season, walkedM);
  let chance = 0;
  for (const [s, station] of season.stations.entries()) chance += weights[s]! * station.wetChance[yearDay]!;
  return chance;
}

/** Mean low and high and the one-in-ten extremes at a place, height and date. */
export function climateAt(season: Season, walkedM: WalkedM, heightM: number, day: number): Climate {
  const yearDay = dayOfYear(day);
  const placeM = season.trackAt(walkedM);
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
  lowC /= weights;
  highC /= weights;
  // Two lapse rates could put a low above its high on a cold, high place.
  lowC = Math.min(lowC, highC);
  const coldLowC = Math.min(coldC / weights, lowC);
  return {
    lowC,
    highC,
    coldLowC,
    lowSdK: lowSdK / weights,
    coldNightC: coldestInTenC(coldLowC, lowSdK / weights),
    hotDayC: highC + (ONE_IN_TEN * highSdK) / weights,
  };
}

export interface Sky {
  /** 0 to 1. */
  humidity: number;
  cloud: number;
  windMps: number;
}

/** Humidity, cloud and wind of the nearest station in the month. */
export function skyAt(season: Season, walkedM: WalkedM, month: number): Sky {
  const placeM = season.trackAt(walkedM);
  const nearest = season.stations.reduce((a, b) => (Math.abs(b.trackM - placeM) < Math.abs(a.trackM - placeM) ? b : a));
  return { humidity: nearest.humidity[month]!, cloud: nearest.cloud[month]!, windMps: nearest.windMps };
}
