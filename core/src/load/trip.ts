/**
 * The whole trip, block after block. Blocks that have been solved from the same state with the same kit
 * are taken from memory: an answer is the same either way, because a block knows nothing but its input.
 */
import type { KitPlan } from "../kit/kit.ts";
import { estimatedFatFraction } from "../models/resting.ts";
import type { Hiker } from "../plan/schema.ts";
import type { HikerSupply } from "../provision/provision.ts";
import type { PlacedSource } from "../walk/camps.ts";
import type { CoarseGround } from "../walk/coarse.ts";
import type { PartConditions } from "../walk/conditions.ts";
import type { WalkGround } from "../walk/ground.ts";
import { blocksOf, type Block, type DayPart } from "../walk/walk.ts";
import type { LegLoad } from "./load.ts";
import { kitOf, settleTwice, type Settled, type TripState } from "./settle.ts";

/** One settled block with copies of its own of all that stood in working arrays. */
export interface SolvedBlock {
  block: Block;
  fromNode: number;
  toNode: number;
  parts: DayPart[];
  conditions: PartConditions[];
  /** By hiker; `drinkL` is gone with the working arrays. */
  supplies: Omit<HikerSupply, "drinkL">[];
  loads: LegLoad[][];
  /** On the block's cells. */
  loadKg: Float32Array[];
  cellH: Float32Array;
  cellC: Float32Array;
  surface: Uint8Array;
  before: TripState;
  after: TripState;
  rounds: number;
  settled: boolean;
  lastMoveG: number;
}

export interface Trip {
  blocks: SolvedBlock[];
  /** Most rounds that any block took. */
  rounds: number;
  settled: boolean;
  lastMoveG: number;
}

/** Remembers the last answer of every block. */
export class BlockMemory {
  private readonly known = new Map<number, { key: string; solved: SolvedBlock }>();

  get(index: number, key: string, solve: () => SolvedBlock): SolvedBlock {
    const found = this.known.get(index);
    if (found?.key === key) return found.solved;
    const solved = solve();
    this.known.set(index, { key, solved });
    return solved;
  }
}

export function startState(hikers: readonly Hiker[], startDay: number): TripState {
  return {
    walk: { day: startDay, walkedDays: 0, fromStop: false },
    supply: hikers.map((hiker) => ({
      bodyKg: hiker.bodyKg,
      fatKg: hiker.bodyKg * (hiker.bodyFatFraction ?? estimatedFatFraction(hiker)),
      openFuelG: 0,
      deficitKcal: 0,
    })),
  };
}

/** `groundKey` names everything but the state and the kit that a block's answer depends on. */
export function solveTrip(
  fine: WalkGround,
  coarse: CoarseGround,
  kit: KitPlan,
  sources: readonly PlacedSource[],
  memory: BlockMemory,
  groundKey: string,
): Trip {
  const coarseSources = sources.map(({ source, node }) => ({ source, node: coarse.nodeOf(node) }));
  let state = startState(fine.hikers, fine.startDay);
  const blocks = blocksOf(fine.halts).map((block, index) => {
    const before = state;
    const kitLegs = kitOf(kit, block);
    const key = `${groundKey} ${JSON.stringify(before)} ${JSON.stringify(kitLegs)}`;
    const solved = memory.get(index, key, () =>
      kept(fine, block, before, settleTwice(fine, coarse, { block, before, kit: kitLegs, sources }, coarseSources)),
    );
    state = solved.after;
    return solved;
  });
  return {
    blocks,
    rounds: Math.max(...blocks.map((block) => block.rounds)),
    settled: blocks.every((block) => block.settled),
    lastMoveG: Math.max(...blocks.map((block) => block.lastMoveG)),
  };
}

function kept(ground: WalkGround, block: Block, before: TripState, settled: Settled): SolvedBlock {
  const fromNode = ground.halts[block.firstLeg]!.node;
  const toNode = ground.halts[block.endLeg]!.node;
  const { walk, loads, supplies } = settled;
  return {
    block,
    fromNode,
    toNode,
    parts: walk.parts,
    conditions: settled.conditions,
    supplies: supplies.map(withoutArrays),
    loads: loads.map((load) => load.legs),
    loadKg: loads.map((load) => float32(load.loadKg, fromNode, toNode)),
    cellH: float32(walk.cellH, fromNode, toNode),
    cellC: float32(walk.cellC, fromNode, toNode),
    surface: walk.surface.slice(fromNode, toNode),
    before,
    after: settled.after,
    rounds: settled.rounds,
    settled: settled.settled,
    lastMoveG: settled.lastMoveG,
  };
}

function withoutArrays(supply: HikerSupply): Omit<HikerSupply, "drinkL"> {
  const { energies, parts, food, fuel, body, carries, after } = supply;
  return { energies, parts, food, fuel, body, carries, after };
}

/** Plain loop: several times faster here than the typed array's own conversion. */
function float32(values: Float64Array, from: number, to: number): Float32Array {
  const out = new Float32Array(to - from);
  for (let i = from; i < to; i++) out[i - from] = values[i]!;
  return out;
}
