/**
 * Sweat from work and weather. Letters follow the papers: M metabolic W, A body surface m², Ta air °C,
 * Pa vapour pressure (mmHg or kPa, see each), IT clothing insulation clo, im its vapour permeability.
 * Givoni & Goldman 1972 family for clothing and wind; Shapiro, Pandolf & Goldman 1982, Eur J Appl Physiol
 * 48:83; Gonzalez and others 2009, J Appl Physiol 107:379; efficiency of evaporation from ISO 7933.
 */
import { GRAVITY_MPS2 } from "../units/constants.ts";

export interface SweatInput {
  powerW: number;
  temperatureC: number;
  /** Relative, 0 to 1. */
  humidity: number;
  windMps: number;
  /** Heat from sun on a clothed walker: 0 in shade, 100 to 150 W in full sun. */
  solarW: number;
  bodyKg: number;
  heightCm: number;
  /** `light` is shorts and T-shirt; `covered` long trousers and sleeves, whose constants are assumed. */
  clothing: "light" | "covered";
  /** Work against gravity, W; negative downhill. */
  climbingW?: number;
}

/** Du Bois 1916: skin surface, m². */
export function bodySurfaceM2(bodyKg: number, heightCm: number): number {
  return 0.007184 * bodyKg ** 0.425 * heightCm ** 0.725;
}

/** Saturation vapour pressure, hPa: Tetens 1930 over water, −40 to 50 °C. */
export function saturationHPa(temperatureC: number): number {
  return 6.1078 * Math.exp((17.27 * temperatureC) / (237.3 + temperatureC));
}

export function vapourHPa(temperatureC: number, humidity: number): number {
  return humidity * saturationHPa(temperatureC);
}

const HPA_PER_MMHG = 1.33322;

/** IT = a·V^−b and im/IT = c·V^b, V effective wind in m/s. The covered values are assumed, not measured. */
const CLOTHING = {
  light: { insulation: 0.74, permeability: 0.94, exponent: 0.28 },
  covered: { insulation: 1.1, permeability: 0.45, exponent: 0.25 },
} as const;

export interface HeatBalance {
  /** Dry heat exchange, W; negative is a loss. */
  dryW: number;
  /** Evaporation wanted and possible, W per m² of skin, breathing not counted. */
  requiredWPerM2: number;
  possibleWPerM2: number;
  /** Evaporation wanted after what the breath carries off, W in all. */
  requiredNetW: number;
  surfaceM2: number;
}

export function heatBalance(input: SweatInput): HeatBalance {
  const { powerW: M, temperatureC: Ta } = input;
  const cloth = CLOTHING[input.clothing];
  const surfaceM2 = bodySurfaceM2(input.bodyKg, input.heightCm);
  const vapourKPa = vapourHPa(Ta, input.humidity) / 10;
  const vapourMmHg = (vapourKPa * 10) / HPA_PER_MMHG;
  const effectiveMps = Math.max(0.2, input.windMps + 0.004 * (M - 105));
  const breeze = effectiveMps ** cloth.exponent;
  const dryW = (6.45 * surfaceM2 * (Ta - 36) * breeze) / cloth.insulation;
  const possibleWPerM2 = Math.max(0, 14.21 * cloth.permeability * breeze * (44 - vapourMmHg));
  const heatW = M - (input.climbingW ?? 0) + dryW + input.solarW;
  const breathW = 0.0014 * M * (34 - Ta) + 0.0173 * M * (5.87 - vapourKPa);
  return { dryW, requiredWPerM2: heatW / surfaceM2, possibleWPerM2, requiredNetW: heatW - breathW, surfaceM2 };
}

/** OSE = 27.9 Ereq Emax^−0.455, g/m²/h; 50 < Ereq < 360, 20 < Emax < 525; over-predicts when high. */
export function shapiroGPerM2H(requiredWPerM2: number, possibleWPerM2: number): number {
  return 27.9 * requiredWPerM2 * possibleWPerM2 ** -0.455;
}

/** OSEC = 147 exp(0.0012 OSE), g/m²/h: the 1982 figure repaired; never below 147 even at rest in the cool. */
export function gonzalezCorrectedGPerM2H(shapiro: number): number {
  return 147 * Math.exp(0.0012 * shapiro);
}

/** PW = 147 + 1.527 Ereq − 0.87 Emax, g/m²/h; negative in wind and dry air, which is out of its domain. */
export function gonzalezPiecewiseGPerM2H(requiredWPerM2: number, possibleWPerM2: number): number {
  return 147 + 1.527 * requiredWPerM2 - 0.87 * possibleWPerM2;
}

/** Latent heat of sweat, J/kg. */
const LATENT_J_PER_KG = 2_430_000;

/** Litres an hour that the heat balance requires; evaporation is half wasted where it is at its limit. */
export function sweatLph(input: SweatInput): number {
  const { requiredNetW, possibleWPerM2, surfaceM2 } = heatBalance(input);
  if (requiredNetW <= 0) return 0;
  const possibleW = possibleWPerM2 * surfaceM2;
  const wet = possibleW > 0 ? Math.min(1, requiredNetW / possibleW) : 1;
  return ((requiredNetW / LATENT_J_PER_KG) * 3600) / (1 - (wet * wet) / 2);
}

/** Water in the breath, g/h: Mitchell, Nadel & Stolwijk 1972, J Appl Physiol 32:474, 0.019 VO₂ (44 − Pa mmHg) g/min. */
export function breathGPerH(oxygenLPerMin: number, temperatureC: number, humidity: number): number {
  return 60 * 0.019 * oxygenLPerMin * Math.max(0, 44 - vapourHPa(temperatureC, humidity) / HPA_PER_MMHG);
}

/** Work against gravity, W, of all that is moved; negative downhill. */
export function climbingW(totalKg: number, speedMps: number, gradePercent: number): number {
  const grade = gradePercent / 100;
  return totalKg * GRAVITY_MPS2 * speedMps * grade;
}
