/**
 * A sample of the ground, every eighth cell standing for eight: the weights settle on it for an eighth
 * of the cost, and the whole ground then starts from weights that are right to some grams. Sampled,
 * not averaged: the mean of an up and a down is no climb, but costs one.
 */
import type { Profile } from "../track/profile.ts";
import { clamp } from "../units/constants.ts";
import { Scratch } from "../units/scratch.ts";
import type { WalkGround } from "./ground.ts";

const CELLS_PER_SAMPLE = 8;
/** Shorter legs than this many samples say too little. */
const LEAST_SAMPLES = 12;

export interface CoarseGround {
  ground: WalkGround;
  /** Sampled cell under each cell of the whole ground. */
  sampleOf: Uint32Array;
  /** Node of the sampled ground nearest to a node of the whole. */
  nodeOf: (node: number) => number;
}

/** Is every leg of a block long enough to be sampled? */
export function samples(coarse: CoarseGround, firstLeg: number, endLeg: number): boolean {
  const { halts } = coarse.ground;
  for (let leg = firstLeg; leg < endLeg; leg++)
    if (halts[leg + 1]!.node - halts[leg]!.node < LEAST_SAMPLES) return false;
  return true;
}

export function coarseGround(ground: WalkGround): CoarseGround {
  const { profile, terrain, camps } = ground;
  const count = Math.max(1, Math.round(profile.cellCount / CELLS_PER_SAMPLE));
  const ratio = profile.cellCount / count;
  const nodeOf = (node: number): number => clamp(Math.round(node / ratio), 0, count);
  const cells = Uint32Array.from({ length: count }, (_, k) =>
    Math.min(profile.cellCount - 1, Math.floor((k + 0.5) * ratio)),
  );
  const nodes = Uint32Array.from({ length: count + 1 }, (_, k) => Math.min(profile.cellCount, Math.round(k * ratio)));
  const at = <T extends { [index: number]: number; length: number }>(from: T, into: T, where: Uint32Array): T => {
    for (let k = 0; k < where.length; k++) into[k] = from[where[k]!]!;
    return into;
  };
  const sampled: Profile = {
    ...profile,
    cellCount: count,
    cellM: profile.lengthM / count,
    heightM: at(profile.heightM, new Float64Array(count + 1), nodes),
    lonDeg: at(profile.lonDeg, new Float64Array(count + 1), nodes),
    latDeg: at(profile.latDeg, new Float64Array(count + 1), nodes),
    gradeFraction: at(profile.gradeFraction, new Float64Array(count), cells),
    climbM: at(profile.climbM, new Float64Array(count), cells),
    descentM: at(profile.descentM, new Float64Array(count), cells),
  };
  return {
    nodeOf,
    sampleOf: Uint32Array.from({ length: profile.cellCount }, (_, c) => Math.min(count - 1, Math.floor(c / ratio))),
    ground: {
      ...ground,
      scratch: new Scratch(),
      profile: sampled,
      halts: ground.halts.map((halt) => ({ ...halt, node: nodeOf(halt.node) })),
      terrain: {
        bare: at(terrain.bare, new Uint8Array(count), cells),
        snow: at(terrain.snow, new Int8Array(count), cells),
        snowFromDay: at(terrain.snowFromDay, new Int16Array(count), cells),
        snowToDay: at(terrain.snowToDay, new Int16Array(count), cells),
      },
      camps: {
        forbidden: at(camps.forbidden, new Uint8Array(count + 1), nodes),
        listed: camps.listed.map(nodeOf),
        hollow: new Set([...camps.hollow].map(nodeOf)),
        wet: camps.wet.map((month) => month.map(nodeOf)),
      },
      baseH: ground.baseH.map((hours) => at(hours, new Float64Array(count), cells).map((h) => h * ratio)),
      slowPerKg: at(ground.slowPerKg, new Float64Array(count), cells),
    },
  };
}
