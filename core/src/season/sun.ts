/** Daylight from the suncalc package, on the clock of local mean time (UTC + longitude / 15°). */
import { getTimes } from "suncalc";
import { clamp } from "../units/constants.ts";

/** Latitude is rounded to this many degrees, 11 km: less than a minute of light, and a day can be remembered. */
const LATITUDE_STEP_DEG = 0.1;

/** Remembers days it has worked out; the answer depends on day and rounded latitude alone. */
export class DaylightTable {
  private readonly known = new Map<number, Daylight>();

  at(day: number, latDeg: number): Daylight {
    const step = Math.round(latDeg / LATITUDE_STEP_DEG);
    const key = day * 2000 + step + 1000;
    let found = this.known.get(key);
    if (!found) {
      found = daylight(day, 0, step * LATITUDE_STEP_DEG);
      this.known.set(key, found);
    }
    return found;
  }
}

export interface Daylight {
  sunriseH: number;
  sunsetH: number;
  daylightH: number;
  /** Where the sun is up for a few hours or not at all, one walks by the light before and after it as well. */
  lightFromH: number;
  lightToH: number;
}

/** With as much sun nobody counts on twilight; with so little all of it is usable [L]. */
const SUN_ENOUGH_H = 8;
const SUN_SHORT_H = 4;

const MS_PER_HOUR = 3_600_000;

/** `day` counts from 1970-01-01; a flat sea-level horizon: mountains shorten the light. */
export function daylight(day: number, lonDeg: number, latDeg: number): Daylight {
  const midnightMs = day * 24 * MS_PER_HOUR - (lonDeg / 15) * MS_PER_HOUR;
  const times = getTimes(new Date(midnightMs + 12 * MS_PER_HOUR), latDeg, lonDeg);
  const clockOf = (time: Date | null): number => (time === null ? 12 : (time.getTime() - midnightMs) / MS_PER_HOUR);
  const neverUp = times.sunrise === null || times.sunset === null;
  if (neverUp && times.alwaysUp === true)
    return { sunriseH: 0, sunsetH: 24, daylightH: 24, lightFromH: 0, lightToH: 24 };
  const sunriseH = neverUp ? 12 : clockOf(times.sunrise);
  const sunsetH = neverUp ? 12 : clockOf(times.sunset);
  const daylightH = sunsetH - sunriseH;
  // Civil twilight: the sun is less than 6° below the horizon.
  const share = clamp((SUN_ENOUGH_H - daylightH) / (SUN_ENOUGH_H - SUN_SHORT_H), 0, 1);
  return {
    sunriseH,
    sunsetH,
    daylightH,
    lightFromH: sunriseH - share * Math.max(0, sunriseH - clockOf(times.dawn)),
    lightToH: sunsetH + share * Math.max(0, clockOf(times.dusk) - sunsetH),
  };
}
