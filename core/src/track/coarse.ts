/**
 * A trail of which only a table is known: distances, heights, climbs. Its length and its climb between rows are
 * the table's; where it is is not known, so it is laid along a line from one latitude to another on the open
 * ocean, for daylight and season. Heights run straight between rows; where a row tells a climb that is more
 * than the rise, the ground between goes up and down so often as hills do.
 */
import { distanceM } from "./geodesic.ts";
import type { TrackPoints } from "./points.ts";

export interface CoarseRow {
  alongM: number;
  heightM: number | undefined;
  climbM: number | undefined;
}

export interface CoarseTrack {
  id: string;
  name: string;
  startLatDeg: number;
  endLatDeg: number;
}

const LON_DEG = -150;
/** Straight lines longer than this are gaps. */
const SPACING_M = 250;
/** One hill in so much of trail [E]. */
const HILL_M = 4000;
/** A trail that names no height at all has none. */
const NONE = NaN;
/** No trail goes straight north: at most so much of its length does. */
const MOST_NORTH = 0.95;

/** Rows in order of their distance, at least two of them apart; undefined where they make no trail. */
export function coarseTrack(rows: readonly CoarseRow[], place: CoarseTrack): TrackPoints | undefined {
  const known = rows.filter((row, i) => i === 0 || row.alongM > rows[i - 1]!.alongM);
  const firstM = known[0]?.alongM ?? 0;
  const lengthM = (known.at(-1)?.alongM ?? 0) - firstM;
  if (known.length < 2 || lengthM < SPACING_M) return undefined;
  const profile: { alongM: number; heightM: number }[] = [];
  for (const [i, row] of known.slice(0, -1).entries()) profile.push(...between(row, known[i + 1]!, known));
  profile.push({ alongM: known.at(-1)!.alongM, heightM: heightAt(known, known.length - 1) });
  const latDeg = latitudes(place, lengthM);
  const points: { lonDeg: number; latDeg: number; heightM: number }[] = [];
  let lonDeg = LON_DEG;
  let last: { alongM: number; latDeg: number } | undefined;
  for (const { alongM, heightM } of profile) {
    const lat = latDeg((alongM - firstM) / lengthM);
    if (last) lonDeg += eastward(last.latDeg, lat, alongM - last.alongM);
    // Round the world it goes on where it came from.
    if (lonDeg > 180) lonDeg -= 360;
    points.push({ lonDeg, latDeg: lat, heightM });
    last = { alongM, latDeg: lat };
  }
  return {
    id: place.id,
    name: place.name,
    lonDeg: Float64Array.from(points, (point) => point.lonDeg),
    latDeg: Float64Array.from(points, (point) => point.latDeg),
    heightM: Float32Array.from(points, (point) => point.heightM),
    segmentStarts: new Uint32Array([0]),
  };
}

/** Latitude by the part of the distance: from one to the other, as far as the length allows. */
function latitudes({ startLatDeg, endLatDeg }: CoarseTrack, lengthM: number): (part: number) => number {
  const wanted = endLatDeg - startLatDeg;
  const northM = Math.abs(wanted) < 1e-9 ? 0 : distanceM(0, startLatDeg, 0, endLatDeg);
  const reach = northM > MOST_NORTH * lengthM ? (MOST_NORTH * lengthM) / northM : 1;
  return (part) => startLatDeg + wanted * reach * part;
}

/** Degrees east that make a step of so many metres from one latitude to the next. */
function eastward(fromLatDeg: number, toLatDeg: number, metres: number): number {
  const northM = distanceM(0, fromLatDeg, 0, toLatDeg);
  const eastM = Math.sqrt(Math.max(0, metres * metres - northM * northM));
  const middle = (fromLatDeg + toLatDeg) / 2;
  return (eastM / distanceM(0, middle, 1e-3, middle)) * 1e-3;
}

/** The row's height, or what is between the nearest that are known. */
function heightAt(rows: readonly CoarseRow[], index: number): number {
  const own = rows[index]!.heightM;
  if (own !== undefined) return own;
  const before = rows.slice(0, index).findLast((row) => row.heightM !== undefined);
  const after = rows.slice(index).find((row) => row.heightM !== undefined);
  if (!before || !after) return before?.heightM ?? after?.heightM ?? NONE;
  const part = (rows[index]!.alongM - before.alongM) / (after.alongM - before.alongM);
  return before.heightM! + part * (after.heightM! - before.heightM!);
}

/** Points from a row to the next, the row's own first. */
function between(row: CoarseRow, next: CoarseRow, rows: readonly CoarseRow[]): { alongM: number; heightM: number }[] {
  const [fromM, toM] = [row.alongM, next.alongM];
  const [low, high] = [heightAt(rows, rows.indexOf(row)), heightAt(rows, rows.indexOf(next))];
  const riseM = high - low;
  const climbM = Math.max(row.climbM ?? 0, riseM, 0);
  const descentM = climbM - riseM;
  const steps = Math.max(1, Math.ceil((toM - fromM) / SPACING_M));
  const hills = climbM > Math.max(0, riseM) + 1 ? Math.max(1, Math.round((toM - fromM) / HILL_M)) : 0;
  return Array.from({ length: steps }, (_, i) => {
    const part = i / steps;
    const at = { alongM: fromM + part * (toM - fromM) };
    if (hills === 0 || Number.isNaN(riseM)) return { ...at, heightM: low + part * riseM };
    // Up for the share of the climb, down for the rest, hill by hill.
    const hill = Math.floor(part * hills);
    const within = part * hills - hill;
    const up = climbM / (climbM + descentM);
    const heightM =
      low +
      (hill * riseM) / hills +
      (within < up
        ? (within / up) * (climbM / hills)
        : climbM / hills - ((within - up) / (1 - up)) * (descentM / hills));
    return { ...at, heightM };
  });
}
