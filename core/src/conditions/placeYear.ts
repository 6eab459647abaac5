/** The whole year at one place of the trail: what the season plane shows, a column of it. */
import { mosquitoYear } from "../models/insects.ts";
import { hoursAbove } from "../models/light.ts";
import type { WalkedM } from "../units/lengths.ts";
import { coldestInTenC, coldLowAtC, HIGH_LAPSE_K_PER_M, lowAtC, ONE_IN_TEN } from "../models/cold.ts";
import { meltIndex } from "../models/ford.ts";
import { dayOfYear } from "../units/day.ts";
import { monthlyChance, type PlacedSource } from "../walk/sources.ts";
import { seasonHolds } from "../walk/terrain.ts";
import { wetWithKnown, withKnown } from "../season/known.ts";
import { meltBetween, type MeltSums } from "../season/melt.ts";
import { stationWeights, type Season } from "../season/season.ts";
import { coverThroughYear, type Snow } from "../season/snow.ts";

/** Figures for each day of a 366-day year. */
export interface PlaceYear {
  /** The coldest night and the hottest day in ten, °C. */
  coldNightC: Float32Array;
  hotDayC: Float32Array;
  /** Share of the ground under snow. */
  snowCover: Float32Array;
  /** Chance that the day is wet. */
  wetChance: Float32Array;
  daylightH: Float32Array;
  /** Mosquitoes, 0 to 3. */
  insects: Float32Array;
  /** Melt of the ground above, of the greatest day of the usual year: it may exceed 1. */
  streams: Float32Array;
  /** Chance that water near by flows, the mean of its sources; NaN where there are none. */
  sources: Float32Array;
}

export const PLANE_QUANTITIES = [
  "coldNightC",
  "hotDayC",
  "snowCover",
  "wetChance",
  "daylightH",
  "insects",
  "streams",
  "sources",
] as const satisfies readonly (keyof PlaceYear)[];
export type PlaneQuantity = (typeof PLANE_QUANTITIES)[number];

export interface Place {
  walkedM: WalkedM;
  heightM: number;
  latDeg: number;
  /** Near by. */
  sources?: readonly PlacedSource[];
}

/** What a year at a place is given from. */
export interface YearFacts {
  season: Season;
  snow: Snow | undefined;
  /** Of the planned year and of the usual one; without snow no stream is fed by it. */
  melt?: { planned: MeltSums; usual: MeltSums } | undefined;
}

/** Streams by the way come from the heights so far above. */
const FED_FROM_M = 500;

const DAYS = 366;
/** The same figures as `climateAt` and `snowAt` give day by day, for all days at once. */
export function placeYear(facts: YearFacts, place: Place): PlaceYear {
  const { melt } = facts;
  const { heightM, latDeg, sources = [] } = place;
  const weights = stationWeights(facts.season, place.walkedM);
  const weather = weatherYear(facts.season, place, weights);
  const { coldC, highC, lowSdKs, highSdKs } = weather;
  const coldNightC = new Float32Array(DAYS);
  const hotDayC = new Float32Array(DAYS);
  const daylightH = new Float32Array(DAYS);
  for (let day = 0; day < DAYS; day++) {
    coldNightC[day] = coldestInTenC(coldC[day]!, lowSdKs[day]!);
    hotDayC[day] = highC[day]! + ONE_IN_TEN * highSdKs[day]!;
    daylightH[day] = hoursAbove(latDeg, day);
  }
  const snowCover = facts.snow ? coverThroughYear(facts.snow, weights, heightM) : new Float32Array(DAYS);
  return {
    coldNightC,
    hotDayC,
    snowCover,
    wetChance: Float32Array.from(weather.wet),
    daylightH,
    insects: mosquitoesOf(weather, snowCover, latDeg),
    streams: melt ? streamIndex(melt, weights, heightM) : new Float32Array(DAYS),
    sources: flowing(sources),
  };
}

/** Mosquitoes alone, 0 to 3 on each day, as `placeYear` has them. */
export function insectYear({ season, snow }: YearFacts, place: Place): Float32Array {
  const weights = stationWeights(season, place.walkedM);
  const cover = snow ? coverThroughYear(snow, weights, place.heightM) : new Float32Array(DAYS);
  return mosquitoesOf(weatherYear(season, place, weights), cover, place.latDeg);
}

interface WeatherYear {
  lowC: Float64Array;
  /** Cautious: of the cold pools. */
  coldC: Float64Array;
  highC: Float64Array;
  lowSdKs: Float64Array;
  highSdKs: Float64Array;
  wet: Float64Array;
}

function weatherYear(season: Season, { walkedM, heightM }: Place, weights: Float64Array): WeatherYear {
  const lowC = new Float64Array(DAYS);
  const highC = new Float64Array(DAYS);
  const wet = new Float64Array(DAYS);
  // What height takes off is the same on every day: only the stations' own figures are added up day by day.
  let fall = { lowK: 0, coldK: 0, highK: 0 };
  let lowSdK = 0;
  let highSdK = 0;
  for (const [s, station] of season.stations.entries()) {
    const weight = weights[s]!;
    const riseM = season.assumed || season.heightless ? 0 : heightM - station.heightM;
    fall = {
      lowK: fall.lowK + weight * lowAtC(0, riseM),
      coldK: fall.coldK + weight * coldLowAtC(0, riseM),
      highK: fall.highK - weight * riseM * HIGH_LAPSE_K_PER_M,
    };
    lowSdK += weight * station.lowSdK;
    highSdK += weight * station.highSdK;
    addWeighted(lowC, station.lowC, weight);
    addWeighted(highC, station.highC, weight);
    addWeighted(wet, station.wetChance, weight);
  }
  const coldC = lowC.map((low) => low + fall.coldK);
  for (let day = 0; day < DAYS; day++) {
    lowC[day] = lowC[day]! + fall.lowK;
    highC[day] = highC[day]! + fall.highK;
  }
  const lowSdKs = new Float64Array(DAYS).fill(lowSdK);
  const highSdKs = new Float64Array(DAYS).fill(highSdK);
  if (season.known) {
    const placeM = season.trackAt(walkedM);
    for (const day of season.known.days) {
      const d = dayOfYear(day);
      const normal = { lowC: lowC[d]!, coldLowC: coldC[d]!, highC: highC[d]!, lowSdK, highSdK };
      const adjusted = withKnown(season.known, normal, placeM, heightM, day);
      [lowC[d], coldC[d], highC[d]] = [adjusted.lowC, adjusted.coldLowC, adjusted.highC];
      [lowSdKs[d], highSdKs[d]] = [adjusted.lowSdK, adjusted.highSdK];
      wet[d] = wetWithKnown(season.known, wet[d]!, placeM, day);
    }
  }
  for (let day = 0; day < DAYS; day++) {
    lowC[day] = Math.min(lowC[day]!, highC[day]!);
    coldC[day] = Math.min(coldC[day]!, lowC[day]!);
  }
  return { lowC, coldC, highC, lowSdKs, highSdKs, wet };
}

function mosquitoesOf({ lowC, highC }: WeatherYear, cover: Float32Array, latDeg: number): Float32Array {
  const meanC = lowC.map((low, day) => (low + highC[day]!) / 2);
  return mosquitoYear({ meanC, lowC, cover, south: latDeg < 0 });
}

function addWeighted(into: Float64Array, values: Float64Array, weight: number): void {
  for (let day = 0; day < DAYS; day++) into[day] = into[day]! + weight * values[day]!;
}

function streamIndex({ planned, usual }: NonNullable<YearFacts["melt"]>, weights: Float64Array, heightM: number) {
  const melt = meltBetween(planned, weights, heightM, heightM + FED_FROM_M);
  const normal = usual === planned ? melt : meltBetween(usual, weights, heightM, heightM + FED_FROM_M);
  let greatestMm = 0;
  for (const mm of normal) greatestMm = Math.max(greatestMm, mm);
  const index = new Float32Array(DAYS);
  for (let day = 0; day < DAYS; day++) index[day] = meltIndex(melt[day]!, greatestMm);
  return index;
}

function flowing(sources: readonly PlacedSource[]): Float32Array {
  const chance = new Float32Array(DAYS);
  for (const source of sources)
    for (let day = 0; day < DAYS; day++) chance[day] = chance[day]! + chanceOn(source, day) / sources.length;
  return sources.length === 0 ? chance.fill(NaN) : chance;
}

function chanceOn(source: PlacedSource, yearDay: number): number {
  if (source.counted !== undefined) return Number(source.counted);
  const dry = source.drySeasons.some(({ fromDay, toDay }) => seasonHolds(fromDay, toDay, yearDay));
  return dry ? 0 : monthlyChance(source, yearDay);
}
