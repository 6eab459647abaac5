/** The stops this plan uses, in walking order: where legs begin and end. */
import { FINISH_ID, START_ID, type Plan, type Stop } from "../plan/schema.ts";
import { nodeAt } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";

export interface Halt {
  /** The stop's id, or `@start` / `@finish` where the trail's end is no stop. */
  stopId: string;
  /** Undefined for an end of the trail without a stop. */
  stop: Stop | undefined;
  node: number;
  nights: number;
  offTrailM: number;
  byRide: boolean;
}

/** A stop this close to an end of the trail is that end. */
const END_REACH_M = 1000;

/** At least two halts: both ends of the trail are always among them. Stops on one node keep the first. */
export function buildHalts(plan: Plan, profile: Profile): Halt[] {
  const halts: Halt[] = [];
  const reach = Math.min(Math.round(END_REACH_M / profile.cellM), Math.floor(profile.cellCount / 4));
  const stops = plan.stops.filter((stop) => stop.use).map((stop) => ({ stop, node: nodeAt(profile, stop.trackM) }));
  stops.sort((a, b) => a.node - b.node);
  for (const { stop, node } of stops) {
    const snapped = node <= reach ? 0 : node >= profile.cellCount - reach ? profile.cellCount : node;
    if (halts.at(-1)?.node === snapped) continue;
    halts.push({
      stopId: stop.id,
      stop,
      node: snapped,
      nights: stop.nights,
      offTrailM: stop.offTrailM,
      byRide: stop.access === "ride",
    });
  }
  const end = (stopId: string, node: number): Halt => ({
    stopId,
    stop: undefined,
    node,
    nights: 0,
    offTrailM: 0,
    byRide: false,
  });
  if (halts[0]?.node !== 0) halts.unshift(end(START_ID, 0));
  if (halts.at(-1)?.node !== profile.cellCount) halts.push(end(FINISH_ID, profile.cellCount));
  return halts;
}

const OFF_TRAIL_KMH = 4.5;
const RIDE_H = 1;

/** Hours one way between the trail and a stop. */
export function offTrailHours(halt: Halt): number {
  return halt.offTrailM === 0 ? 0 : halt.byRide ? RIDE_H : halt.offTrailM / 1000 / OFF_TRAIL_KMH;
}
