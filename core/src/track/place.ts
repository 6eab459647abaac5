/** Where places lie on the profile: between metres along the recorded track, nodes and coordinates. */
import { clamp } from "../units/constants.ts";
import { distanceM, unitVector } from "./geodesic.ts";
import type { TrackM, WalkedM } from "../units/lengths.ts";
import type { Profile } from "./profile.ts";

/** Walking-order node nearest to a distance along the recorded track. */
export function nodeAt(profile: Profile, trackM: TrackM): number {
  return clamp(Math.round(walkedAt(profile, trackM) / profile.cellM), 0, profile.cellCount);
}

/** Where a node lies in walking order. */
export function walkedOf(profile: Profile, node: number): WalkedM {
  return (node * profile.cellM) as WalkedM;
}

/** Distance in walking order of a distance along the recorded track. */
export function walkedAt(profile: Profile, trackM: TrackM): WalkedM {
  return turned(profile, trackM) as WalkedM;
}

/** Distance along the recorded track of a distance in walking order. */
export function trackAt(profile: Profile, walkedM: WalkedM): TrackM {
  return turned(profile, walkedM) as TrackM;
}

function turned(profile: Profile, metres: number): number {
  const within = clamp(metres, 0, profile.lengthM);
  return profile.reversed ? profile.lengthM - within : within;
}

export interface Located {
  trackM: TrackM;
  /** How far the coordinates lie from the trail. */
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
    trackM: trackAt(profile, walkedOf(profile, best)),
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
