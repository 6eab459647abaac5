/** Where a day may end: listed camps and beds, water that all trust, and stretches without camping. */
import type { Hiker, Plan, Source } from "../plan/schema.ts";
import { nodeAt } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";

/** A source with its place in walking order. */
export interface PlacedSource {
  source: Source;
  node: number;
}

export interface CampGround {
  /** 1 on every node where a camp is forbidden. */
  forbidden: Uint8Array;
  /** Nodes of the listed camps, or of beds where the party's rule asks for them, in order. */
  listed: Int32Array;
  /** Camps where cold air pools. */
  hollow: ReadonlySet<number>;
  /** By month, the nodes of the sources that every hiker trusts, in order. */
  wet: readonly Int32Array[];
}

/** A camp this close to a trusted source is not dry: one walks on to it, or goes back with the bottles. */
export const CAMP_REACH_M = 1000;

/** Does this hiker count on the source in a month (0 = January)? */
export function trusted(source: Source, hiker: Hiker, month: number): boolean {
  const { trust, leastChance } = hiker.water;
  if (trust === "all") return true;
  if (trust === "reliable") return source.reliable;
  const chance = source.chanceByMonth?.[month];
  return chance === undefined ? source.reliable : chance >= leastChance;
}

export function buildCamps(plan: Plan, profile: Profile, sources: readonly PlacedSource[]): CampGround {
  const forbidden = new Uint8Array(profile.cellCount + 1);
  for (const stretch of plan.stretches) {
    if (stretch.rule !== "no-camping") continue;
    const a = nodeAt(profile, stretch.fromM);
    const b = nodeAt(profile, stretch.toM);
    forbidden.fill(1, Math.min(a, b), Math.max(a, b) + 1);
  }
  const nodes = (places: readonly { trackM: number }[]): number[] =>
    places.map((place) => nodeAt(profile, place.trackM)).sort((a, b) => a - b);
  const beds = plan.stops.filter((stop) => stop.services.includes("bed") && stop.offTrailM <= CAMP_REACH_M);
  const { sleepAt } = plan.days;
  return {
    forbidden,
    listed: Int32Array.from(nodes(sleepAt === "beds" ? beds : plan.camps)),
    hollow: new Set(nodes(plan.camps.filter((camp) => camp.hollow))),
    wet: Array.from({ length: 12 }, (_, month) =>
      Int32Array.from(
        sources.flatMap(({ source, node }) =>
          plan.hikers.every((hiker) => trusted(source, hiker, month)) ? [node] : [],
        ),
      ),
    ),
  };
}

/** The last value of a sorted list that is at most `limit`; −1 when there is none. */
export function lastAtMost(sorted: Int32Array, limit: number): number {
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]! <= limit) low = middle + 1;
    else high = middle;
  }
  return low > 0 ? sorted[low - 1]! : -1;
}
