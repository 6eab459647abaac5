/** The stops this plan uses, in walking order: where legs start and end. */
import { RIDE, TRANSFER, walkEnds } from "../plan/ids.ts";
import type { Resupply, Stop, StoveSettings } from "../plan/schema.ts";
import { nodeOf, placeAt, walkedOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";

/** What the walk has to know of a stop: not its name, nor anything else that may change without consequence. */
// prettier-ignore
export type HaltStop = Pick<
  Stop,
  | "id" | "trackM" | "alternateId" | "use" | "nights" | "offTrailM" | "access" | "accessClimbM" | "backClimbM"
  | "walkOnBeforeH" | "rideMin" | "rideBackMin" | "shuttleClocks" | "shuttleBackClocks" | "services" | "lacks" | "closesH" | "foodBy"
>;

export function haltStop(stop: Stop): HaltStop {
  const { id, trackM, alternateId, use, nights, offTrailM, access, accessClimbM, backClimbM, rideMin, rideBackMin } =
    stop;
  const { shuttleClocks, shuttleBackClocks, services, lacks, closesH, foodBy, walkOnBeforeH } = stop;
  // prettier-ignore
  return {
    id, trackM, alternateId, use, nights, offTrailM, access, accessClimbM, backClimbM, rideMin, rideBackMin,
    shuttleClocks, shuttleBackClocks, services, lacks, closesH, foodBy, walkOnBeforeH,
  };
}

export interface Halt {
  /** The stop's id, or `@start` / `@finish` where the trail's end is no stop. */
  stopId: string;
  node: number;
  nights: number;
  /** One way between the trail and the stop on foot, metres, and how many level ones take as long there, and back. */
  footM: number;
  thereM: number;
  backM: number;
  /** Hours of clock of the ride there and back, and the hours at which it leaves; at any where there are none. */
  rideH: number;
  rideBackH: number;
  rides: readonly number[];
  ridesBack: readonly number[];
  hasSocket: boolean;
  /** Whether one sleeps in a bed there, and eats what one has not carried; a stop that says nothing is taken to offer both. */
  hasBed: boolean;
  feeds: boolean;
  /** Whether food and fuel for the way on are available: bought, or food out of a box. Else they are carried past. */
  sellsFood: boolean;
  sellsFuel: boolean;
  /** Density of the food from there as a multiple of the hiker's own. */
  foodDensity: number;
  /** Never closes where undefined. */
  closesH: number | undefined;
  /** Hours of clock that passing through takes. */
  passH: number;
  /** Come to before it, the one night there is not spent, and one walks on; undefined to spend it. */
  walkOnBeforeH: number | undefined;
}

type Fuel = StoveSettings["fuel"];
type Services = readonly HaltStop["services"][number][];

export const SELLS_FOOD: Services = ["shop-small", "shop-full"];
/** What is cooked by others counts as well as what one buys. */
const FEEDS: Services = [...SELLS_FOOD, "meals"];
/** Who sleeps or eats there charges as well, where a socket is told or not [L]. */
const CHARGES: Services = ["socket", "bed", "meals"];
/** Fuel, and small pieces of kit. */
export const SELLS_GOODS: Services = ["shop-small", "shop-full", "outfitter"];

/** Passing through a stop takes so long: to buy, to eat, to pack. Engineering [E]. */
const PASS_THROUGH_H = 1.5;

/** A place this close to an end of the trail is that end. */
const END_REACH_M = 1000;

/** Nodes within reach of an end count as that end; on a short trail never more than a quarter of it. */
export function endReachNodes(profile: Profile): number {
  return Math.min(Math.round(END_REACH_M / profile.cellM), Math.floor(profile.cellCount / 4));
}

/** The node a stop counts as: the end of the trail, or the place of a transfer, that it is within reach of. */
export function haltNode(profile: Profile, node: number): number {
  const reach = endReachNodes(profile);
  if (node <= reach) return 0;
  if (node >= profile.cellCount - reach) return profile.cellCount;
  const transfer = profile.joints.find((joint) => joint.kind === "transfer" && Math.abs(joint.node - node) <= reach);
  return transfer?.node ?? node;
}

/** Level metres that take as long as a metre of climb: Scarf 2007 (J Sports Sci 25:719), from results of fell races. */
const LEVEL_M_PER_CLIMB_M = 7.92;

/** What the stops' offers are to this party. */
export interface Wanted {
  /** What their stoves burn. */
  fuels: readonly Fuel[];
  densities: Densities;
  /** The hour of the plan, see `Halt`. */
  walkOnBeforeH?: number | undefined;
}

export function densitiesOf({ smallShop, fullShop, posted }: Resupply): Densities {
  return {
    smallShop: smallShop.densityFactor,
    fullShop: fullShop.densityFactor,
    posted: posted.densityFactor,
  };
}

export type Densities = Readonly<Record<"smallShop" | "fullShop" | "posted", number>>;

export interface HaltsInput extends Wanted {
  stops: readonly HaltStop[];
  profile: Profile;
}

/**
 * At least two halts: both ends of the trail are always among them, and where the walk goes on elsewhere there is
 * one. Stops on one node are one, that of the first, with what all of them offer. Of stops all are on the route.
 */
export function buildHalts({ stops, profile, ...wanted }: HaltsInput): Halt[] {
  const halts: Halt[] = [];
  const used = stops.filter((stop) => stop.use).map((stop) => ({ stop, node: nodeOf(profile, stop) }));
  used.sort((a, b) => a.node - b.node);
  for (const { stop, node } of used) {
    const snapped = haltNode(profile, node);
    const halt = haltAt(stop, snapped, wanted);
    const last = halts.at(-1);
    if (last?.node !== snapped) halts.push(halt);
    else if (Math.abs(last.footM - halt.footM) <= TOGETHER_M) halts[halts.length - 1] = joined(last, halt);
  }
  const { firstId, lastId } = walkEnds(profile.reversed ? "reverse" : "forward");
  if (halts[0]?.node !== 0) halts.unshift(trailEnd(firstId, 0));
  // Who sets out from a town in the middle may come to it again, between the parts or at the end.
  const again = (...nodes: number[]): HaltStop | undefined =>
    used.find(({ stop }) => nodes.some((node) => isAt(profile, stop, node)))?.stop;
  const last = profile.cellCount;
  if (halts.at(-1)?.node !== last) {
    const stop = profile.joints.length > 0 ? again(last) : undefined;
    halts.push(stop ? haltAt(stop, last, wanted) : trailEnd(lastId, last));
  }
  for (const joint of profile.joints) {
    const stop = joint.kind === "transfer" ? again(joint.node - 1, joint.node) : undefined;
    goOnElsewhere(halts, joint, stop && haltAt(stop, joint.node, wanted));
  }
  return halts;
}

export function haltAt(stop: HaltStop, node: number, { fuels, densities, walkOnBeforeH }: Wanted): Halt {
  const { access, offTrailM, services } = stop;
  const onFoot = access === "foot";
  const rides = !onFoot && offTrailM > 0;
  const shuttle = rides && access === "shuttle";
  return {
    stopId: stop.id,
    node,
    nights: stop.nights,
    footM: onFoot ? offTrailM : 0,
    thereM: onFoot ? offTrailM + LEVEL_M_PER_CLIMB_M * stop.accessClimbM : 0,
    backM: onFoot ? offTrailM + LEVEL_M_PER_CLIMB_M * stop.backClimbM : 0,
    rideH: rides ? stop.rideMin / 60 : 0,
    rideBackH: rides ? (stop.rideBackMin ?? stop.rideMin) / 60 : 0,
    rides: shuttle ? ascending(stop.shuttleClocks) : [],
    ridesBack: shuttle ? ascending(stop.shuttleBackClocks) : [],
    hasSocket: CHARGES.some((service) => services.includes(service)),
    hasBed: offers(stop, ["bed"]),
    feeds: offers(stop, FEEDS),
    sellsFood: foodComes(stop),
    sellsFuel: offers(stop, SELLS_GOODS) && !fuels.some((fuel) => lacksFuel(stop, fuel)),
    foodDensity: densities[supplierOf(stop)],
    closesH: stop.closesH,
    passH: PASS_THROUGH_H,
    walkOnBeforeH: stop.nights === 1 ? (stop.walkOnBeforeH ?? walkOnBeforeH) : undefined,
  };
}

/** Places so near each other off the trail, too, are one: the hostel, the shop and the post of a crossing. */
const TOGETHER_M = 500;

/** What either offers is there; open as long as the one that closes last. */
function joined(first: Halt, other: Halt): Halt {
  const closes = first.closesH === undefined || other.closesH === undefined;
  return {
    ...first,
    nights: Math.max(first.nights, other.nights),
    hasSocket: first.hasSocket || other.hasSocket,
    hasBed: first.hasBed || other.hasBed,
    feeds: first.feeds || other.feeds,
    sellsFood: first.sellsFood || other.sellsFood,
    sellsFuel: first.sellsFuel || other.sellsFuel,
    foodDensity: first.sellsFood ? first.foodDensity : other.foodDensity,
    closesH: closes ? undefined : Math.max(first.closesH!, other.closesH!),
  };
}

const ascending = (clocks: readonly number[]): number[] => [...clocks].sort((a, b) => a - b);

/** Where the food for the way on comes from. */
export function supplierOf({ services, foodBy }: Pick<HaltStop, "services" | "foodBy">): keyof Densities {
  if ((foodBy ?? "buy") !== "buy") return "posted";
  if (services.length === 0 || services.includes("shop-full")) return "fullShop";
  return services.includes("shop-small") ? "smallShop" : "posted";
}

/** Is food for the way on available there, in the way that is chosen? */
export function foodComes(stop: Pick<HaltStop, "services" | "foodBy">): boolean {
  if (stop.foodBy === "visitor") return true;
  if (stop.foodBy === "buy") return offers(stop, SELLS_FOOD);
  return offers(stop, stop.foodBy === undefined ? [...SELLS_FOOD, "post"] : ["post"]);
}

const SOLD_AS: Readonly<Partial<Record<Fuel, Stop["lacks"][number]>>> = {
  "gas-canister": "gas",
  "gas-heat-exchanger": "gas",
  alcohol: "alcohol",
  tablets: "tablets",
  "liquid-fuel": "liquid-fuel",
};

function lacksFuel({ lacks }: Pick<HaltStop, "lacks">, fuel: Fuel): boolean {
  const sold = SOLD_AS[fuel];
  return sold !== undefined && lacks.includes(sold);
}

/** Does a stop are within reach of a node, whenever else the walk passes it? */
function isAt(profile: Profile, { trackM, alternateId }: HaltStop, node: number): boolean {
  const place = placeAt(profile, walkedOf(profile, node));
  return place.alternateId === alternateId && Math.abs(place.trackM - trackM) <= END_REACH_M;
}

/** A day of travel: with a transfer longer than this a night more goes by. */
const TRAVEL_DAY_H = 12;

/**
 * A transfer is spent as in town, by the day: nights at the stop that is there, or at one of its own. A ride past
 * a closure is a place to pass through where nothing is available, with its hours.
 */
function goOnElsewhere(
  halts: Halt[],
  { kind, id, hours, node }: Profile["joints"][number],
  stop: Halt | undefined,
): void {
  const there = halts.find((halt) => halt.node === node);
  const nights = kind === "transfer" ? Math.ceil(hours / TRAVEL_DAY_H) : 0;
  if (there) {
    there.nights = Math.max(there.nights, nights);
    if (nights > 0) there.walkOnBeforeH = undefined;
    there.passH += kind === "ride" ? hours : 0;
    return;
  }
  const at = halts.findIndex((halt) => halt.node > node);
  const between =
    kind === "transfer"
      ? (stop ?? trailEnd(`${TRANSFER}${id}`, node))
      : { ...trailEnd(`${RIDE}${id}`, node), ...NOTHING_THERE, passH: hours };
  halts.splice(at < 0 ? halts.length - 1 : at, 0, {
    ...between,
    nights: Math.max(between.nights, nights),
    walkOnBeforeH: undefined,
  });
}

const NOTHING_THERE = { hasBed: false, feeds: false, sellsFood: false, sellsFuel: false };

/** A stop that says nothing is taken to offer everything. */
export function offers({ services }: Pick<Stop, "services">, wanted: Services): boolean {
  return services.length === 0 || wanted.some((service) => services.includes(service));
}

function trailEnd(stopId: string, node: number): Halt {
  return {
    stopId,
    node,
    nights: 0,
    footM: 0,
    thereM: 0,
    backM: 0,
    rideH: 0,
    rideBackH: 0,
    rides: [],
    ridesBack: [],
    hasSocket: false,
    hasBed: true,
    feeds: true,
    sellsFood: true,
    sellsFuel: true,
    foodDensity: 1,
    closesH: undefined,
    passH: PASS_THROUGH_H,
    walkOnBeforeH: undefined,
  };
}
