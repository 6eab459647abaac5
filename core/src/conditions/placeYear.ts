/** The whole year at one place of the trail: what the season plane shows, a column of it. */
import { mosquitoYear } from "../models/insects.ts";
import { hoursAbove } from "../models/light.ts";
import type { WalkedM } from "../units/lengths.ts";
import { coldestInTenC, coldLowAtC, HIGH_LAPSE_K_PER_M, lowAtC, ONE_IN_TEN } from "../models/cold.ts";
import { meltIndex } from "../models/ford.ts";
import { dayOfYear } from "../units/day.ts";
import { flowChance, type PlacedSource } from "../walk/camps.ts";
import { seasonHolds } from "../walk/terrain.ts";
import { knownDays } from "../season/known.ts";
import { meltBetween, type MeltSums } from "../season/melt.ts";
import { climateAt, stationWeights, wetChanceAt, type Season } from "../season/season.ts";
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

/** What a year at a place is told from. */
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
export function placeYear({ season, snow, melt }: YearFacts, place: Place): PlaceYear {
  const { walkedM, heightM, latDeg, sources = [] } = place;
  const weights = stationWeights(season, walkedM);
  const lowC = new Float64Array(DAYS);
  const coldC = new Float64Array(DAYS);
  const highC = new Float64Array(DAYS);
  const wetChance = new Float32Array(DAYS);
  let lowSdK = 0;
  let highSdK = 0;
  for (const [s, station] of season.stations.entries()) {
    const weight = weights[s]!;
    const riseM = season.assumed || season.heightless ? 0 : heightM - station.heightM;
    lowSdK += weight * station.lowSdK;
    highSdK += weight * station.highSdK;
    for (let day = 0; day < DAYS; day++) {
      const low = station.lowC[day]!;
      lowC[day] = lowC[day]! + weight * lowAtC(low, riseM);
      coldC[day] = coldC[day]! + weight * coldLowAtC(low, riseM);
      highC[day] = highC[day]! + weight * (station.highC[day]! - riseM * HIGH_LAPSE_K_PER_M);
      wetChance[day] = wetChance[day]! + weight * station.wetChance[day]!;
    }
  }
  const coldNightC = new Float32Array(DAYS);
  const hotDayC = new Float32Array(DAYS);
  const daylightH = new Float32Array(DAYS);
  const meanC = new Float64Array(DAYS);
  for (let day = 0; day < DAYS; day++) {
    lowC[day] = Math.min(lowC[day]!, highC[day]!);
    coldNightC[day] = coldestInTenC(Math.min(coldC[day]!, lowC[day]!), lowSdK);
    hotDayC[day] = highC[day]! + ONE_IN_TEN * highSdK;
    meanC[day] = (lowC[day]! + highC[day]!) / 2;
    daylightH[day] = hoursAbove(latDeg, day);
  }
  const snowCover = snow ? coverThroughYear(snow, weights, heightM) : new Float32Array(DAYS);
  const insects = mosquitoYear({ meanC, lowC, cover: snowCover, south: latDeg < 0 });
  const known = season.known ? seasonDays(season, place) : undefined;
  for (const { yearDay, cold, hot, wet } of known ?? []) {
    coldNightC[yearDay] = cold;
    hotDayC[yearDay] = hot;
    wetChance[yearDay] = wet;
  }
  return {
    coldNightC,
    hotDayC,
    snowCover,
    wetChance,
    daylightH,
    insects,
    streams: melt ? streamIndex(melt, weights, heightM) : new Float32Array(DAYS),
    sources: flowing(sources),
  };
}

/** The days that a forecast or own readings bear on. */
function seasonDays(season: Season, { walkedM, heightM }: Place) {
  return knownDays(season.known!).map((day) => {
    const { coldNightC: cold, hotDayC: hot } = climateAt(season, walkedM, heightM, day);
    return { yearDay: dayOfYear(day), cold, hot, wet: wetChanceAt(season, walkedM, day) };
  });
}

function streamIndex({ planned, usual }: NonNullable<YearFacts["melt"]>, weights: Float64Array, heightM: number) {
  const melt = meltBetween(planned, weights, heightM, heightM + FED_FROM_M);
  const normal = usual === planned ? melt : meltBetween(usual, weights, heightM, heightM + FED_FROM_M);
  let greatestMm = 0;
  for (const mm of normal) greatestMm = Math.max(greatestMm, mm);
  return Float32Array.from(melt, (mm) => meltIndex(mm, greatestMm));
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
  return dry ? 0 : flowChance(source, yearDay);
}
