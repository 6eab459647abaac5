/** Electrical energy from cells and from the sun, in watt hours. */
import type { SOLAR_PLACES, SOLAR_TREES } from "../plan/ids.ts";

/** Nominal lithium cell; the 5 V of the socket is not the cell's. */
export const CELL_V = 3.7;
/** From the cells to the socket, and from there into the device's own battery. */
export const DELIVERED = 0.85;
export const DEVICE_ACCEPTS = 0.85;
/** Below freezing lithium cells may be used but must not be charged: plating. */
export const LEAST_CHARGING_C = 0;

export function bankWh(mAh: number, cellV = CELL_V): number {
  return (mAh * cellV) / 1000;
}

/**
 * Share of capacity that is there at a temperature, moderate rate: 1 at 20 °C, 0.85 at 0, 0.70 at −10, 0.55 at
 * −20, straight between. Ranges 0.80–0.90, 0.65–0.80, 0.45–0.65 after Zhang, Xu & Jow 2003, J Power Sources
 * 115:137 and later reviews. Most of it returns on warming.
 */
export function coldCapacity(temperatureC: number): number {
  const points = [
    [-20, 0.55],
    [-10, 0.7],
    [0, 0.85],
    [20, 1],
  ] as const;
  if (temperatureC >= 20) return 1;
  for (let i = points.length - 1; i > 0; i--) {
    const [fromC, from] = points[i - 1]!;
    const [toC, to] = points[i]!;
    if (temperatureC >= fromC) return from + ((to - from) * (temperatureC - fromC)) / (toC - fromC);
  }
  return Math.max(0.3, 0.55 + 0.015 * (temperatureC + 20));
}

/** What comes out of a bank's socket, Wh. */
export function deliveredWh(mAh: number, temperatureC = 20, cellV = CELL_V): number {
  return bankWh(mAh, cellV) * DELIVERED * coldCapacity(temperatureC);
}

/** What a device's own battery gains from it. */
export function intoDeviceWh(mAh: number, temperatureC = 20): number {
  return deliveredWh(mAh, temperatureC) * DEVICE_ACCEPTS;
}

/**
 * Wh a panel gives in a day: rated watts × hours of daylight × a daily mean of sun height and aim (0.3) × what
 * cloud leaves (70 % lost under full cover) × charging. Engineering; a pack in forest sees far less.
 */
export function solarWh(ratedW: number, daylightH: number, cloudCover: number): number {
  const MEAN_AIM = 0.3;
  const CLOUD_TAKES = 0.7;
  return ratedW * daylightH * MEAN_AIM * (1 - CLOUD_TAKES * cloudCover) * DELIVERED;
}

const RAD = Math.PI / 180;
/** MJ/m² a minute, outside the air. */
const SOLAR_CONSTANT = 0.082;
const MJ_PER_KWH = 3.6;

/** Sun on a level square metre outside the air, MJ a day: FAO Irrigation and Drainage Paper 56, eq. 21 to 25. */
export function extraterrestrialMJ(latDeg: number, yearDay: number): number {
  const angle = (2 * Math.PI * yearDay) / 365;
  const distance = 1 + 0.033 * Math.cos(angle);
  const declination = 0.409 * Math.sin(angle - 1.39);
  const latitude = latDeg * RAD;
  const sunset = Math.acos(Math.max(-1, Math.min(1, -Math.tan(latitude) * Math.tan(declination))));
  const height =
    sunset * Math.sin(latitude) * Math.sin(declination) + Math.cos(latitude) * Math.cos(declination) * Math.sin(sunset);
  return Math.max(0, ((24 * 60) / Math.PI) * SOLAR_CONSTANT * distance * height);
}

/** Share of what a level panel would give, by where it is, and of that what trees let through [L]. */
const LYING: Readonly<Record<SolarPlace, number>> = { pack: 0.4, camp: 0.85 };
const UNDER: Readonly<Record<SolarTrees, number>> = { open: 1, scattered: 0.6, forest: 0.15 };

export type SolarPlace = (typeof SOLAR_PLACES)[number];
export type SolarTrees = (typeof SOLAR_TREES)[number];

export interface SolarPanel {
  ratedW: number;
  place: SolarPlace;
  trees: SolarTrees;
}

/** Hours of full sun (1 kW/m²) on level ground under the day's cloud: Ångström's a 0.25 and b 0.50 (FAO-56, eq. 35). */
export function sunHours(latDeg: number, yearDay: number, cloudCover: number): number {
  return (extraterrestrialMJ(latDeg, yearDay) * (0.25 + 0.5 * (1 - cloudCover))) / MJ_PER_KWH;
}

/** Wh a panel gives in a day by the sun's radiation, where it is and what stands over it, charging counted. */
export function radiationWh({ ratedW, place, trees }: SolarPanel, sunH: number): number {
  return ratedW * sunH * LYING[place] * UNDER[trees] * DELIVERED;
}

/** Normal deviates of the certainties offered. */
const Z = { mean: 0, "95": 1.645, "99": 2.326 } as const;
/** Use of single days about their mean, and how alike days are to one another [L]. */
const DAY_CV = 0.3;
const ALIKE = 0.3;

/**
 * Sets of cells, that in the device among them, for so many days: n days take n µ on average, with a spread of
 * µ CV √(n (1 + (n − 1) ρ)); µ is a set over the days that it lasts.
 */
export function setsFor(days: number, daysPerSet: number, certainty: keyof typeof Z): number {
  if (days <= 0) return 0;
  const spread = DAY_CV * Math.sqrt(days * (1 + Math.max(0, days - 1) * ALIKE));
  return Math.ceil((days + Z[certainty] * spread) / daysPerSet - 1e-9);
}
