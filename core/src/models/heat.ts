/** Heat stress and the limits of drinking. Temperatures in °C, humidity 0 to 1, vapour pressure in hPa. */
import { clamp } from "../units/constants.ts";

/** Vapour pressure, hPa, in the form that the WBGT approximation was made with. */
export function vapourHPa(temperatureC: number, humidity: number): number {
  return humidity * 6.105 * Math.exp((17.27 * temperatureC) / (237.7 + temperatureC));
}

/**
 * Wet-bulb globe temperature in moderately high sun and light wind: 0.567 Ta + 0.393 e + 3.94, e in hPa.
 * Australian Bureau of Meteorology / ACSM. Too high in cloud, wind and at night, too low in strong sun and calm.
 */
export function wbgtC(temperatureC: number, humidity: number): number {
  return 0.567 * temperatureC + 0.393 * vapourHPa(temperatureC, humidity) + 3.94;
}

/** Wet bulb, °C: Stull 2011, J Appl Meteorol Climatol 50:2267; 5 to 99 %, −20 to 50 °C, sea level. */
export function wetBulbC(temperatureC: number, humidity: number): number {
  const rh = 100 * humidity;
  return (
    temperatureC * Math.atan(0.151977 * Math.sqrt(rh + 8.313659)) +
    Math.atan(temperatureC + rh) -
    Math.atan(rh - 1.676331) +
    0.00391838 * rh ** 1.5 * Math.atan(0.023101 * rh) -
    4.686035
  );
}

/** In the shade: 0.7 wet bulb + 0.3 air. */
export function shadeWbgtC(temperatureC: number, humidity: number): number {
  return 0.7 * wetBulbC(temperatureC, humidity) + 0.3 * temperatureC;
}

export const L_PER_US_QUART = 0.946352946;

/** One cell of the table: minutes of work and rest in an hour (`NL` without limit to 4 h), litres an hour. */
export interface FluidAdvice {
  category: 1 | 2 | 3 | 4 | 5;
  workMin: number | "NL";
  restMin: number;
  litresPerH: number;
}

type Row = readonly [work: number | "NL", rest: number, quarts: number];

/**
 * TB MED 507 / AFPAM 48-152(I), 7 March 2003, after Montain, Latzka & Sawka 1999, Mil Med 164:502: average
 * acclimatised soldier in hot-weather uniform. Easy 250 W, moderate 425 W, hard 600 W. A later edition exists.
 */
const TB_MED: readonly (readonly [Row, Row, Row])[] = [
  [
    ["NL", 0, 0.5],
    ["NL", 0, 0.75],
    [40, 20, 0.75],
  ],
  [
    ["NL", 0, 0.5],
    [50, 10, 0.75],
    [30, 30, 1],
  ],
  [
    ["NL", 0, 0.75],
    [40, 20, 0.75],
    [30, 30, 1],
  ],
  [
    ["NL", 0, 0.75],
    [30, 30, 0.75],
    [20, 40, 1],
  ],
  [
    [50, 10, 1],
    [20, 40, 1],
    [10, 50, 1],
  ],
];
const CATEGORY_FROM_F = [78, 82, 85, 88, 90] as const;
const EASY_TO_W = (250 + 425) / 2;
const MODERATE_TO_W = (425 + 600) / 2;

/** Undefined below 78 °F WBGT, where the table is silent. */
export function fluidAdvice(wbgt: number, powerW: number): FluidAdvice | undefined {
  const fahrenheit = (wbgt * 9) / 5 + 32;
  const index = CATEGORY_FROM_F.findLastIndex((from) => fahrenheit >= from);
  const row = TB_MED[index];
  if (!row) return undefined;
  const [workMin, restMin, quarts] = row[powerW <= EASY_TO_W ? 0 : powerW <= MODERATE_TO_W ? 1 : 2];
  return { category: (index + 1) as FluidAdvice["category"], workMin, restMin, litresPerH: quarts * L_PER_US_QUART };
}

/** Never more than 1.5 US quarts an hour or 12 a day: TB MED 507 (2003). */
export const MOST_L_PER_H = 1.5 * L_PER_US_QUART;
export const MOST_L_PER_DAY = 12 * L_PER_US_QUART;
const REFERENCE_KG = 70;

/**
 * Those limits for a body: in proportion below 70 kg, since the same litre dilutes less body water more
 * (Hew-Butler and others 2015, Clin J Sport Med 25:303). Never raised for larger bodies.
 */
export function drinkLimits(bodyKg: number): { perH: number; perDay: number } {
  const scale = clamp(bodyKg / REFERENCE_KG, 0, 1);
  return { perH: MOST_L_PER_H * scale, perDay: MOST_L_PER_DAY * scale };
}

/** Plasma sodium after litres retained, mmol/L: plain dilution of the body's water. Below 135 is illness. */
export function dilutedSodium(startMmolPerL: number, bodyWaterL: number, retainedL: number): number {
  return (startMmolPerL * bodyWaterL) / (bodyWaterL + retainedL);
}
