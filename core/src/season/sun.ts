/** Daylight from the suncalc package, on the clock of local mean time (UTC + longitude / 15°). */
import { getTimes } from "suncalc";

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
}

const MS_PER_HOUR = 3_600_000;

/** `day` counts from 1970-01-01; a flat sea-level horizon: mountains shorten the light. */
export function daylight(day: number, lonDeg: number, latDeg: number): Daylight {
  const midnightMs = day * 24 * MS_PER_HOUR - (lonDeg / 15) * MS_PER_HOUR;
  const times = getTimes(new Date(midnightMs + 12 * MS_PER_HOUR), latDeg, lonDeg);
  if (times.sunrise === null || times.sunset === null) {
    return times.alwaysUp === true
      ? { sunriseH: 0, sunsetH: 24, daylightH: 24 }
      : { sunriseH: 12, sunsetH: 12, daylightH: 0 };
  }
  const sunriseH = (times.sunrise.getTime() - midnightMs) / MS_PER_HOUR;
  const sunsetH = (times.sunset.getTime() - midnightMs) / MS_PER_HOUR;
  return { sunriseH, sunsetH, daylightH: sunsetH - sunriseH };
}
