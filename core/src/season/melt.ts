/** Melt between two heights: what streams are fed by. Sums over the bands of every station, made once. */
import { YEAR_DAYS } from "../models/snow.ts";
import { BAND_M, type Snow } from "./snow.ts";

export interface MeltSums {
  snow: Pick<Snow, "lowestM" | "bands">;
  /** By station: melt × cover of all bands below the n-th, mm/d, at [n · 366 + day]. */
  below: readonly Float32Array[];
}

const known = new WeakMap<Snow, MeltSums>();

/** Of a year of snow that stays while the days are edited, once. */
export function meltSums(snow: Snow): MeltSums {
  let sums = known.get(snow);
  if (!sums) known.set(snow, (sums = summed(snow)));
  return sums;
}

function summed(snow: Snow): MeltSums {
  const below = snow.years.map((years) => {
    const sums = new Float32Array((snow.bands + 1) * YEAR_DAYS);
    for (const [band, { cover, meltMm }] of years.entries())
      for (let day = 0; day < YEAR_DAYS; day++) {
        const at = band * YEAR_DAYS + day;
        sums[at + YEAR_DAYS] = sums[at]! + meltMm[day]! * cover[day]!;
      }
    return sums;
  });
  return { snow, below };
}

/** Mean melt × cover of the bands between two heights on each day of the year, mm/d, by the stations' weights. */
export function meltBetween(
  { snow, below }: MeltSums,
  weights: Float64Array,
  lowM: number,
  highM: number,
): Float64Array {
  const bandAt = (heightM: number): number =>
    Math.max(0, Math.min(snow.bands - 1, Math.round((heightM - snow.lowestM) / BAND_M)));
  const first = bandAt(lowM);
  const end = Math.max(first, bandAt(highM)) + 1;
  const melt = new Float64Array(YEAR_DAYS);
  for (const [s, sums] of below.entries()) {
    const weight = weights[s]! / (end - first);
    for (let day = 0; day < YEAR_DAYS; day++)
      melt[day] = melt[day]! + weight * (sums[end * YEAR_DAYS + day]! - sums[first * YEAR_DAYS + day]!);
  }
  return melt;
}
