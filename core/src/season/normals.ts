/**
 * Simulated climate normals for a place that has none: from latitude, height, distance from the sea and the
 * seaboard alone. Annual means follow the two-term zonal climate of North, Cahalan & Coakley 1981 (Rev
 * Geophys 19:91) [M]; all else is engineering [L]: errors of 4 K, and of a factor of two in rain, are normal.
 * Whatever comes from here says that it is simulated. In the south every cosine is half a year later.
 */
import { vapourHPa } from "../models/heat.ts";
import { clamp } from "../units/constants.ts";
import { DAYS_PER_YEAR } from "../units/day.ts";
import { MONTH_CENTRES, MONTH_LENGTHS } from "./months.ts";

export interface NormalsPlace {
  /** Negative in the south. */
  latDeg: number;
  heightM: number;
  /** To the sea, kilometres. */
  seaKm: number;
  /** 1 on a western seaboard, which the ocean keeps mild, 0 elsewhere; between where it is not known. */
  west: number;
}

/** Twelve values each, January first. */
export interface Normals {
  simulated: true;
  lowC: number[];
  highC: number[];
  /** Of single nights and days about their mean. */
  sdK: number[];
  rainMm: number[];
  /** Expected number in the month. */
  wetDays: number[];
  /** Afternoon, 0 to 1. */
  humidity: number[];
  cloud: number[];
  /** At the walker. */
  windMps: number[];
}

/** Yearly rain at every ten degrees of latitude, mm. */
const RAIN_MM = [2000, 1500, 700, 600, 800, 850, 600, 350] as const;
/** Between these latitudes western seaboards have their rain in winter. */
const WINTER_RAIN_DEG = [28, 50] as const;
const MIDWINTER_DAY = 15;
const MIDSUMMER_DAY = 196;

export function simulatedNormals({ latDeg, heightM, seaKm, west }: NormalsPlace): Normals {
  const a = Math.abs(latDeg);
  const z = heightM / 1000;
  const continental = 1 - Math.exp(-seaKm / 300);
  const southDays = latDeg < 0 ? DAYS_PER_YEAR / 2 : 0;
  const sinLat = Math.sin((a * Math.PI) / 180);
  const annualC =
    14.9 -
    28 * ((3 * sinLat * sinLat - 1) / 2) +
    6 * west * Math.exp(-seaKm / 400) * Math.exp(-(((a - 50) / 15) ** 2)) -
    5.5 * z;
  const halfRangeK = 0.33 * a * (0.4 + 0.6 * continental) * (1 + (1 - west) * 0.5 * (1 - continental));
  const yearMm =
    between(RAIN_MM, Math.min(a, 70) / 10) * (0.5 + 0.7 * Math.exp(-seaKm / 400)) * Math.min(2.5, 1 + 0.35 * z);
  const winterRain = west >= 0.5 && a >= WINTER_RAIN_DEG[0] && a <= WINTER_RAIN_DEG[1];
  const rain = winterRain
    ? { swing: 0.85 * Math.exp(-seaKm / 800), day: MIDWINTER_DAY }
    : { swing: 0.5 * continental, day: MIDSUMMER_DAY };

  const normals: Normals = {
    simulated: true,
    lowC: [],
    highC: [],
    sdK: [],
    rainMm: [],
    wetDays: [],
    humidity: [],
    cloud: [],
    windMps: [],
  };
  for (const [month, centre] of MONTH_CENTRES.entries()) {
    const seasonal = (peakDay: number): number =>
      Math.cos((2 * Math.PI * (centre - peakDay - southDays)) / DAYS_PER_YEAR);
    const meanC = annualC + halfRangeK * seasonal(200 + 18 * Math.exp(-seaKm / 100));
    const rainMm = (yearMm * (1 + rain.swing * seasonal(rain.day))) / 12;
    const days = MONTH_LENGTHS[month]!;
    const wetDays = Math.min(0.9 * days, rainMm / (5 + 0.02 * rainMm));
    const cloud = clamp(0.25 + 0.6 * (wetDays / days), 0.1, 0.9);
    const winter = seasonal(MIDWINTER_DAY);
    const summer = -winter;
    const rangeK =
      (6.5 + 6.5 * (1 - Math.exp(-seaKm / 150))) * (1.25 - 0.5 * cloud) * (1 + 0.2 * continental * summer) +
      5 * Math.exp(-rainMm / 25) * Math.max(0, summer);
    const lowC = meanC - rangeK / 2;
    const highC = meanC + rangeK / 2;
    const dewC = lowC + 1 - 8 * Math.exp(-rainMm / 40) * clamp((meanC + 5) / 20, 0, 1);
    normals.lowC.push(lowC);
    normals.highC.push(highC);
    normals.sdK.push(2.5 + 2 * continental * (0.6 + 0.4 * winter));
    normals.rainMm.push(rainMm);
    normals.wetDays.push(wetDays);
    normals.humidity.push(Math.min(0.95, vapourHPa(dewC, 1) / vapourHPa(highC, 1)));
    normals.cloud.push(cloud);
    normals.windMps.push(0.6 * (2.5 + 2 * Math.exp(-seaKm / 50) + z) * (1 + 0.2 * winter));
  }
  return normals;
}

/** Straight between the values of a table. */
function between(table: readonly number[], at: number): number {
  const i = Math.min(table.length - 2, Math.floor(at));
  return table[i]! + (table[i + 1]! - table[i]!) * (at - i);
}
