/**
 * A sample of the ground, every eighth cell standing for eight: the weights settle on it for an eighth
 * of the cost, and the whole ground then starts from weights that are right to some tens of grams. Sampled,
 * not averaged: the mean of an up and a down is no climb, but costs one.
 */
import type { Profile } from "../track/profile.ts";
import { clamp } from "../units/constants.ts";
import type { PlacedSource } from "../walk/sources.ts";
import type { Ground } from "../walk/ground.ts";
import { Workspace } from "../walk/workspace.ts";

const CELLS_PER_SAMPLE = 8;
/** Shorter legs than this many samples say too little. */
const LEAST_SAMPLES = 12;

/** Which cells stand for which: it follows from the number of cells alone. */
export interface Sampling {
  count: number;
  /** Sampled cell under each cell of the whole ground. */
  sampleOf: Uint32Array;
  /** Cell and node of the whole ground under each of the sample. */
  cells: Uint32Array;
  nodes: Uint32Array;
  /** Cells of the whole for one of the sample. */
  ratio: number;
}

export function sampling({ cellCount }: { cellCount: number }): Sampling {
  const count = Math.max(1, Math.round(cellCount / CELLS_PER_SAMPLE));
  const ratio = cellCount / count;
  return {
    count,
    ratio,
    sampleOf: Uint32Array.from({ length: cellCount }, (_, c) => Math.min(count - 1, Math.floor(c / ratio))),
    cells: Uint32Array.from({ length: count }, (_, k) => Math.min(cellCount - 1, Math.floor((k + 0.5) * ratio))),
    nodes: Uint32Array.from({ length: count + 1 }, (_, k) => Math.min(cellCount, Math.round(k * ratio))),
  };
}

/** Node of the sample nearest to a node of the whole. */
export function sampledNode({ count, ratio }: Sampling, node: number): number {
  return clamp(Math.round(node / ratio), 0, count);
}

/** Is every leg of a block long enough to be sampled? */
export function canBeSampled({ halts }: Ground, firstLeg: number, endLeg: number): boolean {
  for (let leg = firstLeg; leg < endLeg; leg++)
    if (halts[leg + 1]!.node - halts[leg]!.node < LEAST_SAMPLES) return false;
  return true;
}

export interface SampleInput {
  ground: Ground;
  sampling: Sampling;
  /** On the sample's nodes. */
  sources: readonly PlacedSource[];
  workspace: Workspace;
}

/** The sampled ground; its arrays are its own. */
export function sampleGround({ ground, sampling, sources, workspace }: SampleInput): Ground {
  const { profile, terrain, camps } = ground;
  const { count, cells, nodes, ratio } = sampling;
  const nodeOf = (node: number): number => sampledNode(sampling, node);
  const sampled: Profile = {
    ...profile,
    cellCount: count,
    cellM: profile.lengthM / count,
    heightM: picked(profile.heightM, new Float64Array(count + 1), nodes),
    lonDeg: picked(profile.lonDeg, new Float64Array(count + 1), nodes),
    latDeg: picked(profile.latDeg, new Float64Array(count + 1), nodes),
    gradeFraction: picked(profile.gradeFraction, new Float64Array(count), cells),
    climbM: picked(profile.climbM, new Float64Array(count), cells),
    descentM: picked(profile.descentM, new Float64Array(count), cells),
  };
  return {
    ...ground,
    workspace,
    profile: sampled,
    halts: ground.halts.map((halt) => ({ ...halt, node: nodeOf(halt.node) })),
    pins: ground.pins.map((pin) => ({ ...pin, node: nodeOf(pin.node) })),
    past: {
      nights: ground.past.nights.map((night) => ({ ...night, node: nodeOf(night.node) })),
      endNode: new Map([...ground.past.endNode].map(([day, node]) => [day, nodeOf(node)])),
      lastDay: ground.past.lastDay,
    },
    terrain: {
      bare: picked(terrain.bare, new Uint8Array(count), cells),
      snow: picked(terrain.snow, new Int8Array(count), cells),
      snowFromDay: picked(terrain.snowFromDay, new Int16Array(count), cells),
      snowToDay: picked(terrain.snowToDay, new Int16Array(count), cells),
      depths: terrain.depths,
    },
    camps: {
      forbidden: picked(camps.forbidden, new Uint8Array(count + 1), nodes),
      listed: camps.listed.map(nodeOf),
      beds: new Map([...camps.beds].map(([node, bed]) => [nodeOf(node), bed])),
      hollow: new Set([...camps.hollow].map(nodeOf)),
      bans: camps.bans.map((ban) => ({ ...ban, fromNode: nodeOf(ban.fromNode), toNode: nodeOf(ban.toNode) })),
      carryPast: camps.carryPast.map((row) => ({
        ...row,
        fromNode: nodeOf(row.fromNode),
        toNode: nodeOf(row.toNode),
      })),
      wet: camps.wet.moved(sources),
      nightL: camps.nightL,
      dinnerL: camps.dinnerL,
    },
    baseH: ground.baseH.map((hours) => picked(hours, new Float64Array(count), cells).map((h) => h * ratio)),
    slowPerKg: picked(ground.slowPerKg, new Float64Array(count), cells),
    slopes: ground.slopes.map((slope) => slope && picked(slope, new Float64Array(count), cells)),
    gradePercent: picked(ground.gradePercent, new Float64Array(count), cells),
  };
}

export function sampleSources(given: { sources: readonly PlacedSource[]; sampling: Sampling }): PlacedSource[] {
  return given.sources.map((source) => ({ ...source, node: sampledNode(given.sampling, source.node) }));
}

function picked<T extends { [index: number]: number; length: number }>(from: T, into: T, where: Uint32Array): T {
  for (let k = 0; k < where.length; k++) into[k] = from[where[k]!]!;
  return into;
}
