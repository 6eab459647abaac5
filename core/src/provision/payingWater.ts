/**
 * Which water off the trail is walked to: the minutes there and back against the litres that need not be
 * carried so long. Between two waters on the trail the choice with the least cost is found exactly, by
 * dynamic programming over the waters off it: a litre carried for an hour counts as so many minutes
 * (engineering [E]; the hiker's own figure), and what the bottles do not hold must be fetched at any price.
 */
import type { WaterPoint } from "./water.ts";

/** What was weighed for one water off the trail. */
export interface DetourChoice {
  sourceId: string;
  node: number;
  legIndex: number;
  /** There and back. */
  distanceM: number;
  minutes: number;
  /** Litre-hours of carrying that it spares between the waters before and after it. */
  sparedLh: number;
  /** The bottles do not hold enough to pass it by. */
  needed: boolean;
  /** Walked to: because it pays, or because the party goes. */
  made: boolean;
}

/** The carrying from one point to another, passing by all between them. */
export interface Hauled {
  litreHours: number;
  /** What is missing in the bottles, litres. */
  overL: number;
}

export interface PayingInput {
  /** In walking order; the first and the last are not optional. */
  points: readonly WaterPoint[];
  /** Minutes there and back, by point. */
  minutes: (point: number) => number;
  haul: (from: number, to: number) => Hauled;
  minPerLitreHour: number;
}

/** Waters skipped in one carry, at most: further ones are not looked at, which no bottle would reach. */
const MOST_PASSED = 40;
/** A litre that does not fit the bottles outweighs any way. */
const OVER_MIN_PER_L = 1e6;

/** Indices of the points that are walked to, those on the trail among them. */
export function payingPoints({ points, minutes, haul, minPerLitreHour }: PayingInput): number[] {
  const best = new Float64Array(points.length).fill(Infinity);
  const before = new Int32Array(points.length).fill(-1);
  best[0] = 0;
  for (let to = 1; to < points.length; to++) {
    const detourMin = points[to]!.optional ? minutes(to) : 0;
    for (let from = to - 1; from >= Math.max(0, to - MOST_PASSED); from--) {
      const { litreHours, overL } = haul(from, to);
      const cost = best[from]! + detourMin + minPerLitreHour * litreHours + OVER_MIN_PER_L * overL;
      if (cost < best[to]!) {
        best[to] = cost;
        before[to] = from;
      }
      // No carry goes past water on the trail.
      if (!points[from]!.optional) break;
    }
  }
  const chosen: number[] = [];
  for (let at = points.length - 1; at >= 0; at = before[at]!) chosen.push(at);
  return chosen.reverse();
}

/** Every optional point against its neighbours among those that are walked to. */
export function weighed(
  { points, minutes, haul }: PayingInput,
  chosen: readonly number[],
  legIndex: (point: number) => number,
  made: (point: WaterPoint) => boolean,
): DetourChoice[] {
  const choices: DetourChoice[] = [];
  let last = 0;
  for (const [i, point] of points.entries()) {
    if (!point.optional || point.sourceId === undefined) continue;
    while (last + 1 < chosen.length && chosen[last + 1]! < i) last++;
    const from = chosen[last]!;
    const to = chosen[chosen[last + 1] === i ? last + 2 : last + 1]!;
    const past = haul(from, to);
    const [here, beyond] = [haul(from, i), haul(i, to)];
    choices.push({
      sourceId: point.sourceId,
      node: point.node,
      legIndex: legIndex(i),
      distanceM: 2 * point.offTrailM,
      minutes: minutes(i),
      sparedLh: past.litreHours - here.litreHours - beyond.litreHours,
      needed: past.overL > here.overL + beyond.overL,
      made: made(point),
    });
  }
  return choices;
}
