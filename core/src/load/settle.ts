/**
 * The feedback solved: load slows the walk, a slower walk needs more food and water, and they are load.
 *
 * Nothing later on the trail bears on what is earlier, so blocks of legs are settled one after the
 * other: first on a sample of the cells, then on all, until no leg's starting weight moves by more than
 * 10 g, at most twelve rounds. Steps back are halved when the moves stop shrinking; from the seventh
 * round on days keep their ends.
 */
import type { KitLeg, KitPlan } from "../kit/kit.ts";
import { provision, type HikerSupply, type SupplyState } from "../provision/provision.ts";
import type { PlacedSource } from "../walk/camps.ts";
import { samples, type CoarseGround } from "../walk/coarse.ts";
import { partConditions, type PartConditions } from "../walk/conditions.ts";
import type { WalkGround } from "../walk/ground.ts";
import { walkBlock, type Block, type DayPart, type Walk, type WalkState } from "../walk/walk.ts";
import { hikerLoad, type HikerLoad } from "./load.ts";

/** The party between two blocks. */
export interface TripState {
  walk: WalkState;
  /** By hiker. */
  supply: SupplyState[];
}

export interface Settled {
  walk: Walk;
  conditions: PartConditions[];
  supplies: HikerSupply[];
  loads: HikerLoad[];
  after: TripState;
  rounds: number;
  settled: boolean;
  /** Largest move of a starting weight in the last round, grams. */
  lastMoveG: number;
}

export interface SettleInput {
  block: Block;
  before: TripState;
  /** By leg of the block, then by hiker. */
  kit: readonly (readonly KitLeg[])[];
  sources: readonly PlacedSource[];
}

export const SETTLE_KG = 0.01;
const COARSE_SETTLE_KG = 0.05;
export const MOST_ROUNDS = 12;
const FREEZE_AFTER = 6;
const GUESS_M_PER_DAY = 20_000;
const GUESS_FOOD_KG_PER_DAY = 0.7;
const GUESS_WATER_KG = 1;

export function kitOf(kit: KitPlan, block: Block): KitLeg[][] {
  return kit.legs.slice(block.firstLeg, block.endLeg);
}

export function settle(
  ground: WalkGround,
  input: SettleInput,
  guessKg: readonly Float64Array[] = firstGuess(ground, input),
  toleranceKg = SETTLE_KG,
): Settled {
  const { block, before, kit, sources } = input;
  const { scratch, hikers } = ground;
  const { cellCount } = ground.profile;
  const from = ground.halts[block.firstLeg]!.node;
  const to = ground.halts[block.endLeg]!.node;
  const kitOfHiker = hikers.map((_, h) => kit.map((leg) => leg[h]!));
  const wornKg = kitOfHiker.map((legs) => legs.map((leg) => leg.wornKg));
  let loadKg = guessKg;
  let starts: number[] | undefined;
  let lastMove = Infinity;
  let frozen: DayPart[] | undefined;
  let damped = false;

  for (let round = 1; ; round++) {
    const walk = walkBlock(ground, block, before.walk, loadKg, frozen);
    const conditions = partConditions(ground, walk.parts);
    const supplies = hikers.map((hiker, h) =>
      provision({
        hiker,
        ground,
        block,
        walk,
        conditions,
        sources,
        loadKg: loadKg[h]!,
        wornKg: wornKg[h]!,
        before: before.supply[h]!,
        drinkL: scratch.float64(`drink ${h}`, cellCount + 1),
      }),
    );
    const loads = hikers.map((hiker, h) =>
      hikerLoad(hiker, walk.parts, supplies[h]!, kitOfHiker[h]!, {
        // Two sets of loads in turn: this round's answer must not overwrite what it was made from.
        loadKg: scratch.float64(`load ${h} ${round % 2}`, cellCount),
        waterKg: scratch.float64("water", cellCount),
      }),
    );
    const nextStarts = loads.flatMap((load) => load.legs.map((leg) => leg.startKg));
    let move = Infinity;
    if (starts) {
      move = 0;
      for (const [i, start] of nextStarts.entries()) move = Math.max(move, Math.abs(start - (starts[i] ?? 0)));
    }
    const settled = move <= toleranceKg;
    if (settled || round === MOST_ROUNDS)
      return {
        walk,
        conditions,
        supplies,
        loads,
        after: { walk: walk.after, supply: supplies.map((supply) => supply.after) },
        rounds: round,
        settled,
        lastMoveG: Number.isFinite(move) ? move * 1000 : 0,
      };

    if (round > 2 && move > 0.7 * lastMove) damped = true;
    lastMove = move;
    starts = nextStarts;
    if (round === FREEZE_AFTER) frozen = walk.parts;
    loadKg = loads.map((load, h) => {
      if (!damped) return load.loadKg;
      const was = loadKg[h]!;
      const now = load.loadKg;
      for (let c = from; c < to; c++) now[c] = (now[c]! + was[c]!) / 2;
      return now;
    });
  }
}

/** Settles on the sampled ground first, where the block is long enough, and from its weights on the whole. */
export function settleTwice(
  fine: WalkGround,
  coarse: CoarseGround,
  input: SettleInput,
  coarseSources: readonly PlacedSource[],
): Settled {
  const { block } = input;
  if (!samples(coarse, block.firstLeg, block.endLeg)) return settle(fine, input);
  const { loads } = settle(coarse.ground, { ...input, sources: coarseSources }, undefined, COARSE_SETTLE_KG);
  const { sampleOf } = coarse;
  const from = fine.halts[block.firstLeg]!.node;
  const to = fine.halts[block.endLeg]!.node;
  const firstSample = coarse.ground.halts[block.firstLeg]!.node;
  const lastSample = coarse.ground.halts[block.endLeg]!.node - 1;
  const guessKg = loads.map(({ loadKg }, h) => {
    const spread = fine.scratch.float64(`guess ${h}`, fine.profile.cellCount);
    for (let c = from; c < to; c++) {
      const sample = sampleOf[c]!;
      // Rounding may put the block's ends on a neighbour's sample, whose weights are not this block's.
      spread[c] = loadKg[sample < firstSample ? firstSample : sample > lastSample ? lastSample : sample]!;
    }
    return spread;
  });
  return settle(fine, input, guessKg);
}

/** Base weight, food falling evenly over each leg, a litre of water. */
function firstGuess(ground: WalkGround, { block, kit }: SettleInput): Float64Array[] {
  const { profile, halts } = ground;
  return ground.hikers.map((_, h) => {
    const load = ground.scratch.float64(`guess ${h}`, profile.cellCount);
    for (let leg = block.firstLeg; leg < block.endLeg; leg++) {
      const from = halts[leg]!.node;
      const to = halts[leg + 1]!.node;
      const foodKg = (((to - from) * profile.cellM) / GUESS_M_PER_DAY) * GUESS_FOOD_KG_PER_DAY;
      const { baseKg, consumableKg } = kit[leg - block.firstLeg]![h]!;
      const fixedKg = baseKg + consumableKg + GUESS_WATER_KG;
      for (let c = from; c < to; c++) load[c] = fixedKg + (foodKg * (to - c)) / (to - from);
    }
    return load;
  });
}
