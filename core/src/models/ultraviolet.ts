/**
 * Ultraviolet index: 12.5 mu0^2.42 (O3/300)^−1.23 under a clear sky (Madronich 2007, Photochem Photobiol 83:1537) [H],
 * mu0 the sine of the sun's height; 10 % more a kilometre up (WHO: 10 to 12 %) [M]; by what the ground throws back,
 * (1 − 0.35 · 0.05)/(1 − 0.35 albedo) [L]; cloud × (1 − 0.6 cloud^3.4) [L]. From 3 on cover up, from 8 on keep to
 * the shade at noon; snow adds its own light from below.
 */
import { declinationRad } from "./light.ts";

export const SNOW_ALBEDO = { fresh: 0.8, old: 0.6 } as const;
export const GROUND_ALBEDO = 0.05;
const OZONE_DU = 300;
const RAD = Math.PI / 180;

export interface UvSky {
  /** Sine of the sun's height. */
  sunSine: number;
  heightM: number;
  albedo: number;
  /** 0 to 1. */
  cloud: number;
  ozoneDu?: number;
}

export function uvIndex({ sunSine, heightM, albedo, cloud, ozoneDu = OZONE_DU }: UvSky): number {
  const clear = 12.5 * Math.max(0, sunSine) ** 2.42 * (ozoneDu / 300) ** -1.23;
  const thrownBack = (1 - 0.35 * GROUND_ALBEDO) / (1 - 0.35 * albedo);
  return clear * (1 + heightM / 10_000) * thrownBack * (1 - 0.6 * cloud ** 3.4);
}

/** Sine of the sun's height at true noon. */
export function noonSunSine(latDeg: number, yearDay: number): number {
  return Math.max(0, Math.cos(latDeg * RAD - declinationRad(yearDay + 0.5)));
}

/** Minutes at noon to 250 J/m², which about reddens fair skin [M]: 1 is 90 J/m² an hour. */
export function minutesToRedden(uv: number): number {
  return uv > 0 ? (250 / (90 * uv)) * 60 : Infinity;
}

/** Of a cloudless noon, which is the one that burns; old snow under foot or not. */
export function clearNoonUv(latDeg: number, yearDay: number, heightM: number, onSnow: boolean): number {
  const albedo = onSnow ? SNOW_ALBEDO.old : GROUND_ALBEDO;
  return uvIndex({ sunSine: noonSunSine(latDeg, yearDay), heightM, albedo, cloud: 0 });
}
