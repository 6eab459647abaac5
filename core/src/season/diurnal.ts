/**
 * The course of a day's temperature: coldest at sunrise, warmest at three in the afternoon, half cosines
 * between (engineering; the phase is what matters for cool mornings and hot afternoons). Clock: local mean time.
 */

export const WARMEST_H = 15;
/** Entries of a table per hour. */
export const STEPS_PER_H = 4;
const STEPS = 24 * STEPS_PER_H;

/** How far the day is below its high at an hour of the clock, as a share of its range: 0 warmest, 1 coldest. */
export function belowHigh(clockH: number, sunriseH: number): number {
  const rise = Math.min(11, Math.max(3, sunriseH));
  const h = clockH < rise ? clockH + 24 : clockH;
  const warmth = h <= WARMEST_H ? (h - rise) / (WARMEST_H - rise) : 1 - (h - WARMEST_H) / (24 + rise - WARMEST_H);
  return 0.5 + 0.5 * Math.cos(Math.PI * warmth);
}

/** Remembers the course of a day for every tenth of an hour of sunrise; the last entry stands for midnight and after. */
export class DiurnalTable {
  private readonly known = new Map<number, Float64Array>();

  at(sunriseH: number): Float64Array {
    const key = Math.round(sunriseH * 10);
    let table = this.known.get(key);
    if (!table) {
      table = Float64Array.from({ length: STEPS + 1 }, (_, step) => belowHigh((step % STEPS) / STEPS_PER_H, key / 10));
      this.known.set(key, table);
    }
    return table;
  }
}
