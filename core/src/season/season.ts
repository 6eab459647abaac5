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
import type { WalkedM } from "../units/lengths.ts";
import { trackAt } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { dayOfYear } from "../units/day.ts";
import { monthPlace } from "./months.ts";

const SOFTENING_M = 20_000;

/** What the weather has to know of a station: its name may change without consequence. */
// prettier-ignore
export type StationFacts = Pick<
  ClimateStation,
  "trackM" | "heightM" | "lowC" | "highC" | "lowSdK" | "highSdK" | "windMps" | "humidity" | "cloud"
>;

export function stationFacts(station: ClimateStation): StationFacts {
  const { trackM, heightM, lowC, highC, lowSdK, highSdK, windMps, humidity, cloud } = station;
  return { trackM, heightM, lowC, highC, lowSdK, highSdK, windMps, humidity, cloud };
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
}

export interface Season {
  stations: ClimateYear[];
  /** True when the document has no station and the stand-in is used. */
  assumed: boolean;
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

export function buildSeason({ stations, profile }: { stations: readonly StationFacts[]; profile: Profile }): Season {
  const common = { heightless: !profile.hasHeights, trackAt: (walkedM: WalkedM) => trackAt(profile, walkedM) };
  if (stations.length === 0) return { ...common, assumed: true, stations: [climateYear(NO_STATION, 0, NaN)] };
  return {
    ...common,
    assumed: false,
    stations: stations.map((station) => climateYear(station, station.trackM, station.heightM)),
  };
}

function climateYear(station: Omit<StationFacts, "trackM" | "heightM">, trackM: number, heightM: number): ClimateYear {
  return {
    trackM,
    heightM,
    lowC: yearOf(station.lowC),
    highC: yearOf(station.highC),
    lowSdK: station.lowSdK,
    highSdK: station.highSdK,
    humidity: station.humidity ?? Array<number>(12).fill(HUMIDITY),
    cloud: station.cloud ?? Array<number>(12).fill(CLOUD),
    windMps: station.windMps,
  };
}

/** Periodic Catmull-Rom through mid-month values, for each day of a 366-day year. */
function yearOf(monthly: readonly number[]): Float64Array {
  return Float64Array.from({ length: 366 }, (_, yearDay) => {
    const { month, next, fraction: u } = monthPlace(yearDay);
    const p0 = monthly[(month + 11) % 12]!;
    const p1 = monthly[month]!;
    const p2 = monthly[next]!;
    const p3 = monthly[(month + 2) % 12]!;
    const cubic = (2 * p0 - 5 * p1 + 4 * p2 - p3) * u * u + (3 * p1 - p0 - 3 * p2 + p3) * u * u * u;
    return 0.5 * (2 * p1 + (p2 - p0) * u + cubic);
  });
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
