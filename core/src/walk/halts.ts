/** The stops this plan uses, in walking order: where legs begin and end. */
import { walkEnds } from "../plan/ids.ts";
import type { Stop } from "../plan/schema.ts";
import { nodeAt } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";

/** What the walk has to know of a stop: not its name, nor anything else that may change without consequence. */
export type HaltStop = Pick<
  Stop,
  "id" | "trackM" | "use" | "nights" | "offTrailM" | "access" | "rideMin" | "services" | "closesH"
>;

export interface Halt {
  /** The stop's id, or `@start` / `@finish` where the trail's end is no stop. */
  stopId: string;
  node: number;
  nights: number;
  /** One way between the trail and the stop: metres on foot, or hours of clock by ride. */
  footM: number;
  rideH: number;
  hasSocket: boolean;
  /** Whether one sleeps in a bed there, and eats what one has not carried; a stop that says nothing is taken to offer both. */
  hasBed: boolean;
  feeds: boolean;
  /** Whether food and fuel for the way on are to be had: bought, or food out of a box. Else they are carried past. */
  sellsFood: boolean;
  sellsFuel: boolean;
  /** Never closes where undefined. */
  closesH: number | undefined;
}

type Services = readonly HaltStop["services"][number][];

export const SELLS_FOOD: Services = ["shop-small", "shop-full"];
/** Fuel, and small pieces of kit. */
export const SELLS_GOODS: Services = ["shop-small", "shop-full", "outfitter"];

/** A place this close to an end of the trail is that end. */
const END_REACH_M = 1000;

/** Nodes within reach of an end count as that end; on a short trail never more than a quarter of it. */
export function endReachNodes(profile: Profile): number {
  return Math.min(Math.round(END_REACH_M / profile.cellM), Math.floor(profile.cellCount / 4));
}

/** At least two halts: both ends of the trail are always among them. Stops on one node keep the first. */
export function buildHalts({ stops, profile }: { stops: readonly HaltStop[]; profile: Profile }): Halt[] {
  const halts: Halt[] = [];
  const reach = endReachNodes(profile);
  const used = stops.filter((stop) => stop.use).map((stop) => ({ stop, node: nodeAt(profile, stop.trackM) }));
  used.sort((a, b) => a.node - b.node);
  for (const { stop, node } of used) {
    const snapped = node <= reach ? 0 : node >= profile.cellCount - reach ? profile.cellCount : node;
    if (halts.at(-1)?.node === snapped) continue;
    halts.push({
      stopId: stop.id,
      node: snapped,
      nights: stop.nights,
      footM: stop.access === "foot" ? stop.offTrailM : 0,
      rideH: stop.access === "ride" && stop.offTrailM > 0 ? stop.rideMin / 60 : 0,
      hasSocket: stop.services.includes("socket"),
      hasBed: offers(stop, ["bed"]),
      feeds: offers(stop, SELLS_FOOD),
      sellsFood: offers(stop, [...SELLS_FOOD, "post"]),
      sellsFuel: offers(stop, SELLS_GOODS),
      closesH: stop.closesH,
    });
  }
  const { firstId, lastId } = walkEnds(profile.reversed ? "reverse" : "forward");
  if (halts[0]?.node !== 0) halts.unshift(trailEnd(firstId, 0));
  if (halts.at(-1)?.node !== profile.cellCount) halts.push(trailEnd(lastId, profile.cellCount));
  return halts;
}

/** A stop that says nothing is taken to offer everything. */
export function offers({ services }: Pick<HaltStop, "services">, wanted: Services): boolean {
  return services.length === 0 || wanted.some((service) => services.includes(service));
}

function trailEnd(stopId: string, node: number): Halt {
  return {
    stopId,
    node,
    nights: 0,
    footM: 0,
    rideH: 0,
    hasSocket: false,
    hasBed: true,
    feeds: true,
    sellsFood: true,
    sellsFuel: true,
    closesH: undefined,
  };
}
