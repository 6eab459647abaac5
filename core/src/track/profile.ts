/**
 * The trail as even cells in walking order: what every later stage runs over.
 *
 * Heights are smoothed over a window that widens with the recorder's noise, because noise in height
 * becomes phantom climb: for white noise of deviation s the raw sum of N points holds (N−1)·s/√π of
 * it. Climb is then counted with a threshold: a turn counts only when the opposite move reaches it.
 */
import { interpolate } from "./geodesic.ts";
import { tooLong } from "./limit.ts";
import type { LaidTrack } from "./lay.ts";
import type { Repairs, RepairedTrack } from "./repair.ts";
import { plainRoute, type Route, type RouteJoint } from "./route.ts";

export interface Profile {
  cellCount: number;
  /** Length of every cell; about 100 m, chosen to fill the trail evenly. */
  cellM: number;
  lengthM: number;
  /** At the cellCount + 1 nodes. */
  heightM: Float64Array;
  lonDeg: Float64Array;
  latDeg: Float64Array;
  /** Rise over run of each cell, positive uphill in walking order. */
  gradeFraction: Float64Array;
  /** Climb and descent that the threshold confirmed, shared out over the cells; both positive. */
  climbM: Float64Array;
  descentM: Float64Array;
  totalClimbM: number;
  totalDescentM: number;
  /** Sum of every upward step of the recorded heights, for comparison: always too much. */
  rawClimbM: number;
  /** Estimated noise of single recorded heights, one standard deviation. */
  heightNoiseM: number;
  highestM: number;
  lowestM: number;
  hasHeights: boolean;
  reversed: boolean;
  repairs: Repairs;
  /** What of the recorded lines is walked. */
  route: Route;
  /** Where the walk goes on elsewhere: at the node from which it does, in walking order. */
  joints: (Pick<RouteJoint, "kind" | "id" | "hours"> & { node: number })[];
}

/** Grows when the same track would be measured otherwise: a profile kept from before is then made again. */
export const PROFILE_VERSION = 5;

const CELL_M = 100;
const GRID_PER_CELL = 4;
/** Turns of less than this are taken as noise; several times what smoothing leaves of it. */
export const CLIMB_THRESHOLD_M = 8;

/**
 * Throws on a trail longer than is computed: readers refuse it before. Where a route goes on elsewhere, both
 * sides are measured apart: the joint is on the nearest node, and the cell before it counts as level.
 */
export function buildProfile(track: RepairedTrack | LaidTrack, reversed: boolean): Profile {
  const refusal = tooLong(track);
  if (refusal !== undefined) throw new RangeError(refusal);
  const { alongM } = track;
  const lengthM = alongM[alongM.length - 1] ?? 0;
  const cellCount = Math.max(1, Math.round(lengthM / CELL_M));
  const cellM = Math.max(lengthM, 1) / cellCount;
  const gridM = cellM / GRID_PER_CELL;
  const gridCount = cellCount * GRID_PER_CELL + 1;

  const lonDeg = new Float64Array(cellCount + 1);
  const latDeg = new Float64Array(cellCount + 1);
  const grid = new Float64Array(gridCount);
  const route = "route" in track ? track.route : plainRoute(lengthM);
  const jointStarts = "jointStarts" in track ? track.jointStarts : [];
  // A part of the walk starts at each of these nodes.
  const partNodes = [0, ...route.joints.map(({ atM }) => Math.max(1, Math.min(cellCount, Math.round(atM / cellM))))];
  let j = 0;
  let part = 0;
  let partEnd = jointStarts[0] ?? alongM.length;
  for (let g = 0; g < gridCount; g++) {
    const x = g * gridM;
    while (part + 1 < partNodes.length && g >= partNodes[part + 1]! * GRID_PER_CELL) {
      j = jointStarts[part++]!;
      partEnd = jointStarts[part] ?? alongM.length;
    }
    while (j + 2 < partEnd && alongM[j + 1]! < x) j++;
    const fromM = alongM[j] ?? 0;
    const spanM = (alongM[j + 1] ?? fromM) - fromM;
    const t = spanM > 0 ? Math.max(0, Math.min(1, (x - fromM) / spanM)) : 0;
    const next = spanM > 0 ? j + 1 : j;
    grid[g] = track.heightM[j]! + t * (track.heightM[next]! - track.heightM[j]!);
    if (g % GRID_PER_CELL === 0) {
      const node = g / GRID_PER_CELL;
      const from = [track.lonDeg[j]!, track.latDeg[j]!] as const;
      const to = [track.lonDeg[next]!, track.latDeg[next]!] as const;
      [lonDeg[node], latDeg[node]] = interpolate(from, to, t) as [number, number];
    }
  }

  const heightNoiseM = heightNoise(track);
  // 75 m either side for a clean barometer, 225 m for a noisy receiver.
  const halfWidthM = 75 + 50 * Math.min(3, heightNoiseM);
  const half = Math.max(1, Math.round(halfWidthM / gridM / 2));
  const smooth = new Float64Array(gridCount);
  for (const [p, node] of partNodes.entries()) {
    const [from, to] = [node * GRID_PER_CELL, p + 1 < partNodes.length ? partNodes[p + 1]! * GRID_PER_CELL : gridCount];
    smooth.set(boxMean(boxMean(grid.subarray(from, to), half), half), from);
  }

  const heightM = new Float64Array(cellCount + 1);
  for (let node = 0; node <= cellCount; node++) heightM[node] = smooth[node * GRID_PER_CELL]!;
  if (reversed) {
    heightM.reverse();
    lonDeg.reverse();
    latDeg.reverse();
  }

  const gradeFraction = new Float64Array(cellCount);
  let highestM = heightM[0]!;
  let lowestM = heightM[0]!;
  for (let c = 0; c < cellCount; c++) {
    const next = heightM[c + 1]!;
    gradeFraction[c] = (next - heightM[c]!) / cellM;
    if (next > highestM) highestM = next;
    if (next < lowestM) lowestM = next;
  }
  const begins = walkedParts(partNodes, cellCount, reversed);
  // The step to somewhere else is no slope.
  for (const node of begins.slice(1)) gradeFraction[node - 1] = 0;
  const { climbM, descentM, totalClimbM, totalDescentM } = climbOfParts(heightM, begins);
  let rawClimbM = 0;
  const elsewhere = new Set(jointStarts);
  for (let i = 1; i < track.heightM.length; i++) {
    if (elsewhere.has(i)) continue;
    const step = track.heightM[i]! - track.heightM[i - 1]!;
    if (reversed ? step < 0 : step > 0) rawClimbM += Math.abs(step);
  }
  return {
    cellCount,
    cellM,
    lengthM,
    heightM,
    lonDeg,
    latDeg,
    gradeFraction,
    climbM,
    descentM,
    totalClimbM,
    totalDescentM,
    rawClimbM,
    heightNoiseM,
    highestM,
    lowestM,
    hasHeights: track.hasHeights,
    reversed,
    repairs: track.repairs,
    route,
    joints: jointsOf(route, partNodes, cellCount, reversed),
  };
}

/** The first node of every part in walking order; a part turned round starts where it ended. */
function walkedParts(partNodes: readonly number[], cellCount: number, reversed: boolean): number[] {
  if (!reversed) return [...partNodes];
  return [
    0,
    ...partNodes
      .slice(1)
      .map((node) => cellCount - node + 1)
      .reverse(),
  ];
}

function jointsOf(
  { joints }: Route,
  partNodes: readonly number[],
  cellCount: number,
  reversed: boolean,
): Profile["joints"] {
  const begins = walkedParts(partNodes, cellCount, reversed).slice(1);
  const walked = reversed ? [...joints].reverse() : joints;
  return walked.map(({ kind, id, hours }, i) => ({ kind, id, hours, node: begins[i]! }));
}

/** Climb of every part of the walk for itself. */
function climbOfParts(heightM: Float64Array, begins: readonly number[]): Climb {
  if (begins.length === 1) return confirmedClimb(heightM, CLIMB_THRESHOLD_M);
  const cells = heightM.length - 1;
  const whole: Climb = {
    climbM: new Float64Array(cells),
    descentM: new Float64Array(cells),
    totalClimbM: 0,
    totalDescentM: 0,
  };
  for (const [p, from] of begins.entries()) {
    const to = begins[p + 1] ?? cells + 1;
    if (to <= from) continue;
    const part = confirmedClimb(heightM.subarray(from, to), CLIMB_THRESHOLD_M);
    whole.climbM.set(part.climbM, from);
    whole.descentM.set(part.descentM, from);
    whole.totalClimbM += part.totalClimbM;
    whole.totalDescentM += part.totalDescentM;
  }
  return whole;
}

/** Mean over 2·half + 1 grid points; the window shrinks at the ends so that the ends stay put. */
function boxMean(values: Float64Array, half: number): Float64Array {
  const n = values.length;
  const prefix = new Float64Array(n + 1);
  for (let i = 0; i < n; i++) prefix[i + 1] = prefix[i]! + values[i]!;
  const out = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const reach = Math.min(half, i, n - 1 - i);
    out[i] = (prefix[i + reach + 1]! - prefix[i - reach]!) / (2 * reach + 1);
  }
  return out;
}

/**
 * Noise of single heights from their third differences, which a smooth hill hardly has
 * (variance of the third difference of white noise is 20 s²). Median-based, so spikes do not count.
 */
function heightNoise(track: RepairedTrack): number {
  const h = track.heightM;
  const stride = Math.max(1, Math.floor(h.length / 20_000));
  const samples: number[] = [];
  for (let i = 0; i + 3 < h.length; i += stride) {
    if (track.alongM[i + 3]! - track.alongM[i]! > 400) continue;
    samples.push(Math.abs(h[i + 3]! - 3 * h[i + 2]! + 3 * h[i + 1]! - h[i]!));
  }
  if (samples.length === 0) return 0;
  samples.sort((a, b) => a - b);
  const median = samples[samples.length >> 1]!;
  return median / 0.6745 / Math.sqrt(20);
}

interface Climb {
  climbM: Float64Array;
  descentM: Float64Array;
  totalClimbM: number;
  totalDescentM: number;
}

/**
 * Climb by hysteresis: the running extreme is kept, and becomes a turn when an opposite move of
 * `thresholdM` confirms it. Between turns the net rise is shared over the cells that rise, so that
 * any stretch's climb is a plain sum and the whole adds up to the confirmed total.
 */
export function confirmedClimb(heightM: Float64Array, thresholdM: number): Climb {
  const cells = heightM.length - 1;
  const climbM = new Float64Array(cells);
  const descentM = new Float64Array(cells);
  let totalClimbM = 0;
  let totalDescentM = 0;
  let turn = 0;
  let high = 0;
  let low = 0;
  let direction = 0;

  const settle = (to: number): void => {
    const netM = heightM[to]! - heightM[turn]!;
    const sign = netM >= 0 ? 1 : -1;
    let gross = 0;
    for (let c = turn; c < to; c++) gross += Math.max(0, sign * (heightM[c + 1]! - heightM[c]!));
    if (gross > 0) {
      const share = Math.abs(netM) / gross;
      const into = sign > 0 ? climbM : descentM;
      for (let c = turn; c < to; c++) into[c] = share * Math.max(0, sign * (heightM[c + 1]! - heightM[c]!));
    }
    if (sign > 0) totalClimbM += netM;
    else totalDescentM -= netM;
    turn = to;
  };

  for (let i = 1; i <= cells; i++) {
    const h = heightM[i]!;
    if (h > heightM[high]!) high = i;
    if (h < heightM[low]!) low = i;
    if (direction >= 0 && heightM[high]! - h >= thresholdM) {
      settle(high);
      direction = -1;
      low = i;
    } else if (direction <= 0 && h - heightM[low]! >= thresholdM) {
      settle(low);
      direction = 1;
      high = i;
    }
  }
  settle(direction > 0 ? high : direction < 0 ? low : cells);
  settle(cells);
  return { climbM, descentM, totalClimbM, totalDescentM };
}
