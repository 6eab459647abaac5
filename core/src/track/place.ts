/** Where places are on the profile: between metres along the recorded lines, nodes and coordinates. */
import { clamp } from "../units/constants.ts";
import { distanceM, unitVector } from "./geodesic.ts";
import type { TrackM, WalkedM } from "../units/lengths.ts";
import type { Profile } from "./profile.ts";
import { alongRoute, MAIN, mainBeside, onRoute, partsOnRoute, placeOnRoute } from "./route.ts";

/** A place of a plan: metres along the main trail, or along the alternate it names. */
export interface Placed {
  trackM: TrackM;
  alternateId?: string | undefined;
}

/** Walking-order node nearest to a place; where the route leaves it out, to where it leaves and rejoins. */
export function nodeOf(profile: Profile, { trackM, alternateId }: Placed): number {
  return clamp(Math.round(walkedAt(profile, trackM, alternateId) / profile.cellM), 0, profile.cellCount);
}

/** Where a node is in walking order. */
export function walkedOf(profile: Profile, node: number): WalkedM {
  return (node * profile.cellM) as WalkedM;
}

/** Distance in walking order of a distance along a recorded line. */
export function walkedAt(profile: Profile, trackM: TrackM, alternateId: string = MAIN): WalkedM {
  return turned(profile, alongRoute(profile.route, alternateId, trackM).atM) as WalkedM;
}

/** Does the walk pass the place? */
export function isWalked(profile: Profile, { trackM, alternateId = MAIN }: Placed): boolean {
  return onRoute(profile.route, alternateId, trackM);
}

/** Distance along the main trail of a distance in walking order; of one on an alternate, what is beside it. */
export function trackAt(profile: Profile, walkedM: WalkedM): TrackM {
  return mainBeside(profile.route, turned(profile, walkedM));
}

/** The place so far along the walk, on the line that is walked there. */
export function placeAt(profile: Profile, walkedM: WalkedM): Placed {
  const { line, metres } = placeOnRoute(profile.route, turned(profile, walkedM));
  return { trackM: metres as TrackM, ...(line === MAIN ? {} : { alternateId: line }) };
}

/** First and last node of every part of a stretch that is walked, in walking order. */
export function nodesOn(
  profile: Profile,
  { fromM, toM, alternateId = MAIN }: { fromM: TrackM; toM: TrackM; alternateId?: string | undefined },
): [from: number, to: number][] {
  const nodeAt = (routeM: number): number =>
    clamp(Math.round(turned(profile, routeM) / profile.cellM), 0, profile.cellCount);
  const last = alternateId === MAIN ? profile.route.mainLengthM : Infinity;
  return partsOnRoute(profile.route, alternateId, Math.min(fromM, last), Math.min(toM, last))
    .map(([a, b]): [number, number] => [nodeAt(a), nodeAt(b)])
    .map(([a, b]) => [Math.min(a, b), Math.max(a, b)]);
}

function turned(profile: Profile, metres: number): number {
  const within = clamp(metres, 0, profile.lengthM);
  return profile.reversed ? profile.lengthM - within : within;
}

export interface Located extends Placed {
  /** How far the coordinates are from the trail. */
  offM: number;
}

/** The nearest node to coordinates, searched over all nodes: by the chord through the earth, right at every place. */
export function locate(profile: Profile, lonDeg: number, latDeg: number): Located {
  const nodes = directionsOf(profile);
  const [x, y, z] = unitVector(lonDeg, latDeg);
  let best = 0;
  let bestScore = Infinity;
  for (let i = 0; i <= profile.cellCount; i++) {
    const dx = nodes[3 * i]! - x;
    const dy = nodes[3 * i + 1]! - y;
    const dz = nodes[3 * i + 2]! - z;
    const score = dx * dx + dy * dy + dz * dz;
    if (score < bestScore) {
      bestScore = score;
      best = i;
    }
  }
  return {
    ...placeAt(profile, walkedOf(profile, best)),
    offM: distanceM(profile.lonDeg[best]!, profile.latDeg[best]!, lonDeg, latDeg),
  };
}

const directions = new WeakMap<Profile, Float64Array>();

/** Unit vectors of all nodes, made once for the hundreds of places that are looked for. */
function directionsOf(profile: Profile): Float64Array {
  const known = directions.get(profile);
  if (known) return known;
  const nodes = new Float64Array(3 * (profile.cellCount + 1));
  for (let i = 0; i <= profile.cellCount; i++) nodes.set(unitVector(profile.lonDeg[i]!, profile.latDeg[i]!), 3 * i);
  directions.set(profile, nodes);
  return nodes;
}
