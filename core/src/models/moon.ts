/**
 * Light of the moon on the ground, lux: its magnitude by the phase angle, −12.73 + 0.026 α + 4·10⁻⁹ α⁴ (Krisciunas &
 * Schaefer 1991, PASP 103:1033) [H], 0.08 magnitudes lost for every air mass (Kasten & Young 1989), the slant, and
 * four fifths of it behind full cloud. Half lit is 9 % of the light. Enough to walk an open trail without a lamp from
 * 0.05 lux, on snow from 0.02; under trees never [L].
 */
import { getMoonIllumination, getMoonPosition } from "suncalc";

export const OPEN_TRAIL_LUX = 0.05;
export const SNOW_LUX = 0.02;
const MS_PER_HOUR = 3_600_000;
const RAD = Math.PI / 180;

/** `phaseDeg` is the angle at the moon between sun and earth: 0 when it is full. */
export function moonLux(phaseDeg: number, altitudeDeg: number, cloud: number): number {
  if (altitudeDeg <= 0) return 0;
  const magnitude = -12.73 + 0.026 * phaseDeg + 4e-9 * phaseDeg ** 4;
  const sine = Math.sin(altitudeDeg * RAD);
  const airMass = 1 / (sine + 0.50572 * (altitudeDeg + 6.07995) ** -1.6364);
  return 10 ** (-0.4 * (magnitude + 14.18)) * 10 ** (-0.08 * airMass) * sine * (1 - 0.8 * cloud);
}

/** Full hours from dusk to dawn after a day on which an open trail, or snow, is light enough. Local mean time. */
export function moonlitHours(
  day: number,
  place: { lonDeg: number; latDeg: number },
  night: { sunsetH: number; nextSunriseH: number },
  { cloud, leastLux }: { cloud: number; leastLux: number },
): number {
  const midnightMs = day * 24 * MS_PER_HOUR - (place.lonDeg / 15) * MS_PER_HOUR;
  let hours = 0;
  for (let clockH = Math.ceil(night.sunsetH); clockH < 24 + night.nextSunriseH; clockH++) {
    const at = new Date(midnightMs + clockH * MS_PER_HOUR);
    // The package's phase runs from 0 at new to 0.5 at full; its heights are degrees.
    const phaseDeg = 180 * Math.abs(1 - 2 * getMoonIllumination(at).phase);
    const altitudeDeg = getMoonPosition(at, place.latDeg, place.lonDeg).altitude;
    if (moonLux(phaseDeg, altitudeDeg, cloud) >= leastLux) hours++;
  }
  return hours;
}
