/**
 * Snow along the trail: a year of snow for every station and every 100 m of height, brought to any place as the
 * weather is, by inverse squared distance. For the walk it is laid on the cells as the days between which each is
 * white: where the cover is a share, so is the number of cells, each with a threshold of its own that does
 * not change, so that a cover melts cell by cell and nothing steps.
 */
import {
  snowDepthM,
  snowYear,
  SNOW_YEARS,
  YEAR_DAYS,
  precipByHeight,
  tabledLaws,
  type SnowYear,
  type SnowYearWord,
} from "../models/snow.ts";
import { HIGH_LAPSE_K_PER_M, LOW_LAPSE_K_PER_M } from "../models/cold.ts";
import type { Profile } from "../track/profile.ts";
import { walkedOf } from "../track/place.ts";
import { clamp } from "../units/constants.ts";
import type { WalkedM } from "../units/lengths.ts";
import { stationWeights, type Season } from "./season.ts";

export const BAND_M = 100;
const DAYS = YEAR_DAYS;
/** Where no day of the year is as cold as this on average, none of it is snow. */
const NEVER_C = 12;

export interface Snow {
  season: Season;
  south: boolean;
  /** Height of the lowest band, m. */
  lowestM: number;
  bands: number;
  /** By station, then by band from the lowest. */
  years: readonly (readonly SnowYear[])[];
}

export interface SnowInput {
  season: Season;
  profile: Pick<Profile, "lowestM" | "highestM" | "latDeg">;
  year: SnowYearWord;
}

export function buildSnow({ season, profile, year }: SnowInput): Snow {
  const lowestM = Math.floor(profile.lowestM / BAND_M) * BAND_M;
  const bands = Math.max(1, Math.ceil((profile.highestM - lowestM) / BAND_M)) + 1;
  const south = profile.latDeg[0]! < 0;
  const years = season.stations.map((station) => {
    const sdK = (station.lowSdK + station.highSdK) / 2;
    const laws = tabledLaws(sdK);
    return Array.from({ length: bands }, (_, band): SnowYear => {
      // A track without heights takes its stations as they stand, and so does the trail that has none.
      const riseM = season.heightless || season.assumed ? 0 : lowestM + band * BAND_M - station.heightM;
      const meanC = new Float64Array(DAYS);
      let coldestC = Infinity;
      for (let day = 0; day < DAYS; day++) {
        const low = station.lowC[day]! - riseM * LOW_LAPSE_K_PER_M;
        const high = station.highC[day]! - riseM * HIGH_LAPSE_K_PER_M;
        meanC[day] = (Math.min(low, high) + high) / 2;
        coldestC = Math.min(coldestC, meanC[day]!);
      }
      if (coldestC > NEVER_C) return BARE;
      const fall = SNOW_YEARS[year] * precipByHeight(riseM);
      return snowYear({ meanC, sdK, precipMm: station.precipMm, south }, fall, laws);
    });
  });
  return { season, south, lowestM, bands, years };
}

const BARE: SnowYear = {
  cover: new Float32Array(DAYS),
  waterMm: new Float32Array(DAYS),
  meltMm: new Float32Array(DAYS),
};

export interface SnowState {
  /** Share of the ground, 0 to 1. */
  cover: number;
  waterMm: number;
  depthM: number;
  /** Melt that the day brings where snow is, mm. */
  meltMm: number;
}

export function snowAt(snow: Snow, walkedM: WalkedM, heightM: number, yearDay: number): SnowState {
  const weights = stationWeights(snow.season, walkedM);
  const { band, fraction } = bandOf(snow, heightM);
  let cover = 0;
  let waterMm = 0;
  let meltMm = 0;
  for (const [s, years] of snow.years.entries()) {
    for (const [year, part] of [
      [years[band]!, 1 - fraction],
      [years[band + 1]!, fraction],
    ] as const) {
      const weight = weights[s]! * part;
      cover += weight * year.cover[yearDay]!;
      waterMm += weight * year.waterMm[yearDay]!;
      meltMm += weight * year.meltMm[yearDay]!;
    }
  }
  return { cover, waterMm, meltMm, depthM: snowDepthM(waterMm, yearDay, snow.south) };
}

/** Share of the ground under snow on every day of the year, by the stations' weights at a place. */
export function coverThroughYear(snow: Snow, weights: Float64Array, heightM: number): Float32Array {
  const { band, fraction } = bandOf(snow, heightM);
  const cover = new Float32Array(DAYS);
  for (const [s, years] of snow.years.entries()) {
    const [below, above] = [years[band]!.cover, years[band + 1]!.cover];
    const [lower, upper] = [weights[s]! * (1 - fraction), weights[s]! * fraction];
    for (let day = 0; day < DAYS; day++) cover[day] = cover[day]! + lower * below[day]! + upper * above[day]!;
  }
  return cover;
}

function bandOf({ lowestM, bands }: Snow, heightM: number): { band: number; fraction: number } {
  const at = clamp((heightM - lowestM) / BAND_M, 0, bands - 1);
  const band = Math.min(bands - 2, Math.floor(at));
  return { band, fraction: at - band };
}

/** Between which days of the year each cell is white; −1 where it never is. */
export interface SnowDays {
  from: Int16Array;
  to: Int16Array;
}

/** Weights of stations change slowly along the trail: they are worked out at every so many metres. */
const ANCHOR_M = 10_000;
/** Shares of cover at which the days are worked out. */
const LEVELS = [0.05, 0.1, 0.2, 0.35, 0.5, 0.65, 0.8, 0.95] as const;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** A cell and the one so many further on have the same threshold. */
const PERIOD = 987;

/** The share of cover from which on a cell is white: even over any run of neighbours, and always its own. */
export function cellThreshold(cell: number): number {
  const spread = (((cell % PERIOD) + 1) * GOLDEN) % 1;
  return LEVELS[0] + spread * (LEVELS.at(-1)! - LEVELS[0]);
}

/** Where each threshold is among the levels. */
function thresholdLevels(): { level: Uint8Array; between: Float64Array } {
  const level = new Uint8Array(PERIOD);
  const between = new Float64Array(PERIOD);
  for (let c = 0; c < PERIOD; c++) {
    const u = cellThreshold(c);
    const below = Math.min(
      LEVELS.length - 2,
      Math.max(
        0,
        LEVELS.findLastIndex((one) => one <= u),
      ),
    );
    level[c] = below;
    between[c] = Math.min(1, (u - LEVELS[below]!) / (LEVELS[below + 1]! - LEVELS[below]!));
  }
  return { level, between };
}

export function snowDays({ snow, profile }: { snow: Snow; profile: Profile }): SnowDays {
  const { cellCount, cellM, heightM } = profile;
  const from = new Int16Array(cellCount).fill(-1);
  const to = new Int16Array(cellCount).fill(-1);
  if (snow.years.every((years) => years.every((year) => year === BARE))) return { from, to };
  const anchors = Math.max(1, Math.ceil((cellCount * cellM) / ANCHOR_M));
  const cellsPerAnchor = cellCount / anchors;
  const known = new Map<number, Float64Array>();
  const seasons = snow.years.map((years) => years.map((year) => seasonOf(year, firstDay(snow))));
  /** Two days for every level, in the season's order. */
  const lookUp = (anchor: number, band: number): Float64Array => {
    const key = anchor * snow.bands + band;
    let days = known.get(key);
    if (!days) {
      const node = Math.min(cellCount, Math.round(anchor * cellsPerAnchor));
      known.set(key, (days = levelDays(seasons, stationWeights(snow.season, walkedOf(profile, node)), band)));
    }
    return days;
  };
  const first = firstDay(snow);
  const levels = thresholdLevels();
  for (let c = 0; c < cellCount; c++) {
    const along = clamp(c / cellsPerAnchor, 0, anchors);
    const anchor = Math.min(anchors - 1, Math.floor(along));
    const { band, fraction } = bandOf(snow, (heightM[c]! + heightM[c + 1]!) / 2);
    const level = levels.level[c % levels.level.length]!;
    const between = levels.between[c % levels.level.length]!;
    let begins = 0;
    let ends = 0;
    for (let corner = 0; corner < 4; corner++) {
      const [far, high] = [corner & 1, corner >> 1];
      const weight = (far ? along - anchor : 1 - (along - anchor)) * (high ? fraction : 1 - fraction);
      if (weight === 0) continue;
      const days = lookUp(anchor + far, band + high);
      begins += weight * (days[2 * level]! * (1 - between) + days[2 * level + 2]! * between);
      ends += weight * (days[2 * level + 1]! * (1 - between) + days[2 * level + 3]! * between);
    }
    if (ends - begins < 1) continue;
    from[c] = (first + Math.round(begins)) % DAYS;
    to[c] = (first + Math.round(ends) - 1) % DAYS;
  }
  return { from, to };
}

/** The season's year starts in late summer. */
function firstDay({ south }: Snow): number {
  return (244 + (south ? 183 : 0)) % DAYS;
}

/** A year from its season's first day on, and the days between which it has snow at all. */
interface SnowSeason {
  cover: Float32Array;
  waterMm: Float32Array;
  from: number;
  to: number;
}

function seasonOf({ cover, waterMm }: SnowYear, first: number): SnowSeason {
  const turned = (year: Float32Array): Float32Array => {
    const season = new Float32Array(DAYS);
    season.set(year.subarray(first));
    season.set(year.subarray(0, first), DAYS - first);
    return season;
  };
  const season = { cover: turned(cover), waterMm: turned(waterMm), from: 0, to: DAYS };
  const isBare = (day: number): boolean => season.cover[day] === 0 && season.waterMm[day] === 0;
  while (season.to > 0 && isBare(season.to - 1)) season.to--;
  while (season.from < season.to && isBare(season.from)) season.from++;
  return season;
}

/** For every level the first day of the season on which so much is covered, and the day after the last. */
function levelDays(seasons: readonly (readonly SnowSeason[])[], weights: Float64Array, band: number): Float64Array {
  const cover = new Float64Array(DAYS);
  const water = new Float64Array(DAYS);
  for (const [s, bands] of seasons.entries()) {
    const season = bands[Math.min(bands.length - 1, band)]!;
    const weight = weights[s]!;
    const { to } = season;
    for (let i = season.from; i < to; i++) {
      cover[i] = cover[i]! + weight * season.cover[i]!;
      water[i] = water[i]! + weight * season.waterMm[i]!;
    }
  }
  let peak = 0;
  for (let i = 1; i < DAYS; i++) if (water[i]! > water[peak]!) peak = i;
  const days = new Float64Array(2 * LEVELS.length);
  for (const [l, level] of LEVELS.entries()) {
    let begins = peak;
    let ends = peak;
    while (begins > 0 && cover[begins - 1]! >= level) begins--;
    while (ends < DAYS && cover[ends]! >= level) ends++;
    days[2 * l] = begins;
    days[2 * l + 1] = ends;
  }
  return days;
}
