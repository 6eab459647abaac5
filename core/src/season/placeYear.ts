/** The whole year at one place of the trail: what the season plane shows, a column of it. */
import { mosquitoYear } from "../models/insects.ts";
import { hoursAbove } from "../models/light.ts";
import type { WalkedM } from "../units/lengths.ts";
import { coldestInTenC, coldLowAtC, HIGH_LAPSE_K_PER_M, lowAtC, ONE_IN_TEN } from "../models/cold.ts";
import { stationWeights, type Season } from "./season.ts";
import { coverThroughYear, type Snow } from "./snow.ts";

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
}

export const PLANE_QUANTITIES = [
  "coldNightC",
  "hotDayC",
  "snowCover",
  "wetChance",
  "daylightH",
  "insects",
] as const satisfies readonly (keyof PlaceYear)[];
export type PlaneQuantity = (typeof PLANE_QUANTITIES)[number];

export interface Place {
  walkedM: WalkedM;
  heightM: number;
  latDeg: number;
}

const DAYS = 366;
/** The same figures as `climateAt` and `snowAt` give day by day, for all days at once. */
export function placeYear(season: Season, snow: Snow | undefined, place: Place): PlaceYear {
  const { walkedM, heightM, latDeg } = place;
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
  return { coldNightC, hotDayC, snowCover, wetChance, daylightH, insects };
}
