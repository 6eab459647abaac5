/**
 * Fixes what recorders do to a track before it is measured: doubled points, single points flung
 * aside, missing and spiked heights. Gaps are kept, walked as straight lines and reported.
 */
import { distanceM } from "./geodesic.ts";
import type { TrackPoints } from "./points.ts";

export interface Repairs {
  doubledPoints: number;
  flungPoints: number;
  missingHeights: number;
  spikedHeights: number;
  /** How far its points are apart, the median. */
  spacingM: number;
  /** Straight lines much longer than that, with where they start along the repaired track. */
  gaps: { atM: number; lengthM: number }[];
  /** Long stretches without heights, along the repaired track: how much they climb nobody knows. */
  heightless: { fromM: number; toM: number }[];
}

export interface RepairedTrack {
  lonDeg: Float64Array;
  latDeg: Float64Array;
  /** No NaN left. All zero when the recorder gave no height at all. */
  heightM: Float64Array;
  /** Distance along the track of each point, ascending. */
  alongM: Float64Array;
  hasHeights: boolean;
  repairs: Repairs;
}

/** A step is a gap from this length on, and from so many times what is usual on the track. */
const GAP_M = 500;
const GAP_TIMES = 5;
/** A point this far from both neighbours, while they are close to each other, was never walked. */
const FLUNG_M = 300;
/** A height this far from the median of its five neighbours is a spike. */
const SPIKE_M = 60;

export function repairTracks(tracks: readonly TrackPoints[]): RepairedTrack {
  let total = 0;
  for (const track of tracks) total += track.lonDeg.length;
  const lon = new Float64Array(total);
  const lat = new Float64Array(total);
  const height = new Float64Array(total);
  const along = new Float64Array(total);
  const repairs: Repairs = {
    doubledPoints: 0,
    flungPoints: 0,
    missingHeights: 0,
    spikedHeights: 0,
    spacingM: 0,
    gaps: [],
    heightless: [],
  };
  let n = 0;

  for (const track of tracks) {
    const count = track.lonDeg.length;
    for (let i = 0; i < count; i++) {
      const lonDeg = track.lonDeg[i]!;
      const latDeg = track.latDeg[i]!;
      if (n > 0) {
        const stepM = distanceM(lon[n - 1]!, lat[n - 1]!, lonDeg, latDeg);
        if (stepM < 0.05) {
          repairs.doubledPoints++;
          continue;
        }
        if (stepM > FLUNG_M && i + 1 < count) {
          const onward = distanceM(lonDeg, latDeg, track.lonDeg[i + 1]!, track.latDeg[i + 1]!);
          const direct = distanceM(lon[n - 1]!, lat[n - 1]!, track.lonDeg[i + 1]!, track.latDeg[i + 1]!);
          if (onward > FLUNG_M && direct < 0.4 * Math.min(stepM, onward)) {
            repairs.flungPoints++;
            continue;
          }
        }
        along[n] = along[n - 1]! + stepM;
      }
      lon[n] = lonDeg;
      lat[n] = latDeg;
      height[n] = track.heightM[i]!;
      n++;
    }
  }

  const heightM = height.slice(0, n);
  const alongM = along.slice(0, n);
  repairs.spacingM = spacingOf(alongM);
  repairs.gaps = gapsIn(alongM, Math.max(GAP_M, GAP_TIMES * repairs.spacingM));
  repairs.spikedHeights = dropSpikes(heightM);
  const missing = fillMissing(heightM, alongM, repairs.heightless);
  const hasHeights = missing < n;
  // Where none are told nothing is filled in: all is flat.
  repairs.missingHeights = hasHeights ? missing - repairs.spikedHeights : 0;
  return {
    lonDeg: lon.slice(0, n),
    latDeg: lat.slice(0, n),
    heightM,
    alongM,
    hasHeights,
    repairs,
  };
}

/** Median step between points; of none, 0. */
function spacingOf(alongM: Float64Array): number {
  if (alongM.length < 2) return 0;
  const stepsM = alongM.slice(1);
  for (let i = 0; i < stepsM.length; i++) stepsM[i]! -= alongM[i]!;
  return stepsM.sort()[stepsM.length >> 1]!;
}

function gapsIn(alongM: Float64Array, fromM: number): Repairs["gaps"] {
  const gaps: Repairs["gaps"] = [];
  for (let i = 1; i < alongM.length; i++) {
    const lengthM = alongM[i]! - alongM[i - 1]!;
    if (lengthM > fromM) gaps.push({ atM: alongM[i - 1]!, lengthM });
  }
  return gaps;
}

/** Turns heights that stand out from the median of five by more than `SPIKE_M` into NaN. */
function dropSpikes(heightM: Float64Array): number {
  const n = heightM.length;
  const original = heightM.slice();
  const window = new Float64Array(5);
  let dropped = 0;
  for (let i = 0; i < n; i++) {
    const here = original[i]!;
    if (here !== here) continue;
    let k = 0;
    let far = false;
    for (let j = i - 2; j <= i + 2; j++) {
      if (j < 0 || j >= n) continue;
      const there = original[j]!;
      if (there !== there) continue;
      window[k++] = there;
      if (Math.abs(there - here) > SPIKE_M) far = true;
    }
    if (!far || k < 3) continue;
    const sorted = window.subarray(0, k).slice().sort();
    if (Math.abs(here - sorted[k >> 1]!) > SPIKE_M) {
      heightM[i] = NaN;
      dropped++;
    }
  }
  return dropped;
}

/** Over a shorter stretch a straight line hides little climb [L]. */
const HEIGHTLESS_M = 2000;

/** Straight lines over runs of NaN; the ends take the nearest known height. Answers how many there were, and names long runs. */
function fillMissing(heightM: Float64Array, alongM: Float64Array, heightless: Repairs["heightless"]): number {
  const n = heightM.length;
  let missing = 0;
  let last = -1;
  for (let i = 0; i <= n; i++) {
    if (i < n && heightM[i] !== heightM[i]) continue;
    if (i - last > 1) {
      missing += i - last - 1;
      const before = last >= 0 ? heightM[last]! : i < n ? heightM[i]! : 0;
      const after = i < n ? heightM[i]! : before;
      const fromM = last >= 0 ? alongM[last]! : 0;
      const spanM = (i < n ? alongM[i]! : alongM[n - 1]!) - fromM || 1;
      if (spanM > HEIGHTLESS_M) heightless.push({ fromM, toM: fromM + spanM });
      for (let j = last + 1; j < i; j++) heightM[j] = before + ((after - before) * (alongM[j]! - fromM)) / spanM;
    }
    last = i;
  }
  return missing;
}
