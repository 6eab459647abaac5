/** Where a day may end: listed camps and beds, water that all trust, and stretches without camping. */
import type { Camp, DayRules, Stop, Stretch, WaterSettings } from "../plan/schema.ts";
import { nodeOf, nodesOn, type Placed } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { clamp } from "../units/constants.ts";
import { indexAbove } from "../units/sorted.ts";
import { offers, SELLS_FOOD } from "./halts.ts";
import { daysOfSeason, trusted, type DaySeason, type PlacedSource } from "./sources.ts";
import { seasonHolds } from "./terrain.ts";

export interface CampGround {
  /** 1 on every node where a camp is forbidden. */
  forbidden: Uint8Array;
  /** Nodes of the listed camps, in order; where the party sleeps in beds those, planned nights and the trail's end. */
  listed: Int32Array;
  /** Beds by their node, where the party sleeps in them, and whether one eats there what one has not carried. */
  beds: ReadonlyMap<number, Bed>;
  /** Camps where cold air pools. */
  hollow: ReadonlySet<number>;
  /** Where and when a fire ban holds. */
  bans: readonly FireBan[];
  /** Where the plan says for all what is carried past water that may be dry. */
  carryPast: readonly CarryPast[];
  wet: WetTable;
  /** Litres that a hiker brings to a night without water, and what of them dinner takes; of several who brings the most. */
  nightL: number;
  dinnerL: number;
}

/** Between two nodes, in a season of days of the year, inclusive. */
export interface FireBan {
  fromNode: number;
  toNode: number;
  season: DaySeason;
}

export interface CarryPast {
  fromNode: number;
  toNode: number;
  past: WaterSettings["past"];
}

/** Does a fire ban hold anywhere between two nodes on a day of the year? */
export function isBanned({ bans }: CampGround, fromNode: number, toNode: number, yearDay: number): boolean {
  return bans.some(
    (ban) =>
      ban.fromNode < toNode && ban.toNode > fromNode && seasonHolds(ban.season.fromDay, ban.season.toDay, yearDay),
  );
}

/** Beds further off the trail than this are no night along the trail. */
const BED_REACH_M = 1000;

/** Water this near a camp is fetched; from as far as the other all is carried to it; straight between. Engineering [E]. */
export const CAMP_NEAR_M = 300;
export const CAMP_FAR_M = 2000;

/** The part of a camp's water that is brought along rather than fetched, by the way to the nearest trusted water. */
export function carriedToCamp(waterM: number): number {
  return clamp((waterM - CAMP_NEAR_M) / (CAMP_FAR_M - CAMP_NEAR_M), 0, 1);
}

/** The water near the trail that every hiker trusts on a day. */
export class WetTable {
  /** In walking order. */
  private readonly near: readonly PlacedSource[];

  constructor(
    sources: readonly PlacedSource[],
    private readonly waters: readonly WaterSettings[],
  ) {
    this.near = sources.filter(({ offTrailM }) => offTrailM <= CAMP_NEAR_M);
  }

  /** The last between two nodes, both included; −1 where there is none. Few are looked at: camps are by water. */
  lastWithin(firstNode: number, lastNode: number, day: number): number {
    const { near, waters } = this;
    for (let i = indexAbove(near.length, (k) => near[k]!.node, lastNode) - 1; i >= 0; i--) {
      const source = near[i]!;
      if (source.node < firstNode) break;
      if (waters.every((water) => trusted(source, water, day))) return source.node;
    }
    return -1;
  }

  /** All between two nodes, both included, in walking order. */
  within(firstNode: number, lastNode: number, day: number): number[] {
    const { near, waters } = this;
    const nodes: number[] = [];
    for (let i = indexAbove(near.length, (k) => near[k]!.node, firstNode - 1); i < near.length; i++) {
      const source = near[i]!;
      if (source.node > lastNode) break;
      if (waters.every((water) => trusted(source, water, day))) nodes.push(source.node);
    }
    return nodes;
  }

  /** The same waters with other nodes. */
  moved(sources: readonly PlacedSource[]): WetTable {
    return new WetTable(sources, this.waters);
  }
}

export interface Bed {
  feeds: boolean;
}

export interface CampInput {
  stretches: readonly Pick<
    Stretch,
    "fromM" | "toM" | "alternateId" | "rule" | "past" | "fromMonthDay" | "toMonthDay"
  >[];
  camps: readonly Pick<Camp, "trackM" | "alternateId" | "hollow">[];
  stops: readonly Pick<Stop, "trackM" | "alternateId" | "services" | "offTrailM" | "use" | "nights">[];
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
    for (const [from, to] of nodesOn(profile, stretch)) forbidden.fill(1, from, to + 1);
  }
  const nodes = (places: readonly Placed[]): number[] =>
    places.map((place) => nodeOf(profile, place)).sort((a, b) => a - b);
  const nightL = ({ dinnerL, nightL, breakfastL }: WaterSettings): number => dinnerL + nightL + breakfastL;
  const thirstiest = waters.reduce((most, water) => (nightL(water) > nightL(most) ? water : most));
  const beds = stops.filter((stop) => stop.services.includes("bed") && stop.offTrailM <= BED_REACH_M);
  const planned = stops.filter(({ use, nights }) => use && nights > 0);
  return {
    forbidden,
    listed: Int32Array.from(sleepAt === "beds" ? [...nodes([...beds, ...planned]), profile.cellCount] : nodes(camps)),
    beds: new Map(
      sleepAt === "beds" ? beds.map((stop) => [nodeOf(profile, stop), { feeds: offers(stop, SELLS_FOOD) }]) : [],
    ),
    hollow: new Set(nodes(camps.filter((camp) => camp.hollow))),
    bans: stretches.flatMap((stretch): FireBan[] => {
      if (stretch.rule !== "fire-ban") return [];
      const season = daysOfSeason(stretch);
      return nodesOn(profile, stretch).map(([fromNode, toNode]) => ({ fromNode, toNode, season }));
    }),
    carryPast: stretches.flatMap((stretch): CarryPast[] => {
      const { past } = stretch;
      if (past === undefined) return [];
      return nodesOn(profile, stretch).map(([fromNode, toNode]) => ({ fromNode, toNode, past }));
    }),
    wet: new WetTable(sources, waters),
    nightL: nightL(thirstiest),
    dinnerL: thirstiest.dinnerL,
  };
}

/** The first value of a sorted list beyond `limit`; undefined when there is none. */
export function firstAbove(sorted: Int32Array, limit: number): number | undefined {
  return sorted[firstIndexAbove(sorted, limit)];
}

function firstIndexAbove(sorted: Int32Array, limit: number): number {
  return indexAbove(sorted.length, (i) => sorted[i]!, limit);
}

/** The values of a sorted list between two, both included. */
export function within(sorted: Int32Array, first: number, last: number): Int32Array {
  return sorted.subarray(firstIndexAbove(sorted, first - 1), firstIndexAbove(sorted, last));
}

/** The last value of a sorted list that is at most `limit`; −1 when there is none. */
export function lastAtMost(sorted: Int32Array, limit: number): number {
  const above = firstIndexAbove(sorted, limit);
  return above > 0 ? sorted[above - 1]! : -1;
}
