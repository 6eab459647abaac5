/** Where places lie on the profile: between metres along the recorded track, nodes and coordinates. */
import { clamp } from "../units/constants.ts";
import { distanceM } from "./geodesic.ts";
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

/** The nearest node to coordinates, searched over all nodes. */
export function locate(profile: Profile, lonDeg: number, latDeg: number): Located {
  let best = 0;
  let bestScore = Infinity;
  const cos = Math.cos((latDeg * Math.PI) / 180);
  for (let i = 0; i <= profile.cellCount; i++) {
    let dLon = Math.abs(profile.lonDeg[i]! - lonDeg);
    if (dLon > 180) dLon = 360 - dLon;
    const x = dLon * cos;
    const y = profile.latDeg[i]! - latDeg;
    const score = x * x + y * y;
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
