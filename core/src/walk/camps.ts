/** Where a day may end: listed camps and beds, water that all trust, and stretches without camping. */
import type { Camp, DayRules, Source, Stop, Stretch, WaterSettings } from "../plan/schema.ts";
import { nodeAt } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import type { TrackM } from "../units/lengths.ts";

/** What a plan has to know of a source: its name may change without consequence. */
export type SourceFacts = Pick<Source, "id" | "kind" | "offTrailM" | "reliable" | "chanceByMonth" | "counted">;

/** A source with its place in walking order. */
export interface PlacedSource extends SourceFacts {
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

/** Does this hiker count on the source in a month (0 = January)? One's own judgement of a source comes first. */
export function trusted(
  source: SourceFacts,
  water: Pick<WaterSettings, "trust" | "leastChance">,
  month: number,
): boolean {
  if (source.counted !== undefined) return source.counted;
  if (water.trust === "all") return true;
  if (water.trust === "reliable") return source.reliable;
  const chance = source.chanceByMonth?.[month];
  return chance === undefined ? source.reliable : chance >= water.leastChance;
}

export interface CampInput {
  stretches: readonly Pick<Stretch, "fromM" | "toM" | "rule">[];
  camps: readonly Pick<Camp, "trackM" | "hollow">[];
  stops: readonly Pick<Stop, "trackM" | "services" | "offTrailM">[];
  sleepAt: DayRules["sleepAt"];
  /** Every hiker's. */
  waters: readonly WaterSettings[];
  profile: Profile;
  sources: readonly PlacedSource[];
}

export function buildCamps({ stretches, camps, stops, sleepAt, waters, profile, sources }: CampInput): CampGround {
  const forbidden = new Uint8Array(profile.cellCount + 1);
  for (const stretch of stretches) {
    if (stretch.rule !== "no-camping") continue;
    const a = nodeAt(profile, stretch.fromM);
    const b = nodeAt(profile, stretch.toM);
    forbidden.fill(1, Math.min(a, b), Math.max(a, b) + 1);
  }
  const nodes = (places: readonly { trackM: TrackM }[]): number[] =>
    places.map((place) => nodeAt(profile, place.trackM)).sort((a, b) => a - b);
  const beds = stops.filter((stop) => stop.services.includes("bed") && stop.offTrailM <= CAMP_REACH_M);
  return {
    forbidden,
    listed: Int32Array.from(nodes(sleepAt === "beds" ? beds : camps)),
    hollow: new Set(nodes(camps.filter((camp) => camp.hollow))),
    wet: Array.from({ length: 12 }, (_, month) =>
      Int32Array.from(
        sources.flatMap((source) => (waters.every((water) => trusted(source, water, month)) ? [source.node] : [])),
      ),
    ),
  };
}

/** The sources in walking order, with what a plan has to know of them. */
export function placeSources({ sources, profile }: { sources: readonly Source[]; profile: Profile }): PlacedSource[] {
  return sources
    .map(({ id, kind, offTrailM, reliable, chanceByMonth, counted, trackM }) => ({
      id,
      kind,
      offTrailM,
      reliable,
      chanceByMonth,
      counted,
      node: nodeAt(profile, trackM),
    }))
    .sort((a, b) => a.node - b.node);
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
