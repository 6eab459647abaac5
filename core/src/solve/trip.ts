/**
 * The whole trip, block after block: nothing later on the trail bears on what is earlier.
 *
 * Every block settles on the sampled ground first, from the heavy side, and from its weights on the whole.
 * Then it is walked once more with a heavier pack: if that takes a day more, there may be a second answer
 * above this one, and the whole ground is settled from the heavy side too. So where one day more feeds
 * itself, the heavier answer is the one that is given, always.
 */
import type { KitLeg } from "../kit/kit.ts";
import { TubesInUse } from "../kit/tubes.ts";
import type { LegLoad } from "../load/load.ts";
import { estimatedFatFraction } from "../models/resting.ts";
import type { HikerNeeds } from "../provision/needs.ts";
import type { HikerSupply, LegFood } from "../provision/supply.ts";
import type { PlacedSource } from "../walk/sources.ts";
import type { PartConditions } from "../walk/conditions.ts";
import type { DetourSources } from "../walk/detours.ts";
import type { Ground } from "../walk/ground.ts";
import { blockFrom, walkBlock, walkedThrough, walksOn, type Block, type DayPart } from "../walk/walk.ts";
import { canBeSampled, type Sampling } from "./sampled.ts";
import { heavyGuess, settle, span, type Guess, type SettleInput, type Settled, type TripState } from "./settle.ts";

const SAMPLED_SETTLE_KG = 0.05;
/**
 * What a second answer would be heavier by: a day's food and wrappers, and a little water on the mean of the
 * leg. A pack that much heavier all the way is on the heavy side of it.
 */
const PROBE = { daysOfFood: 1.2, waterKg: 0.3 } as const;

/** One settled block with copies of its own of all that stood in working arrays. */
export interface SolvedBlock {
  block: Block;
  /** By leg of the block, then by hiker. */
  kit: readonly (readonly KitLeg[])[];
  fromNode: number;
  toNode: number;
  parts: DayPart[];
  conditions: PartConditions[];
  /** By hiker; `drinkL` is gone with the working arrays. */
  supplies: Omit<HikerSupply, "drinkL" | "wanted" | "cookedFor">[];
  loads: LegLoad[][];
  /** By hiker, on the block's cells. */
  packs: PackCells[];
  cellH: Float32Array;
  cellC: Float32Array;
  surface: Uint8Array;
  before: TripState;
  after: TripState;
  rounds: number;
  settled: boolean;
  lastMoveG: number;
}

/** The pack on every cell, kilograms: all of it, and what of it is food with its wrappers, and water. */
export interface PackCells {
  loadKg: Float32Array;
  foodKg: Float32Array;
  waterKg: Float32Array;
}

export interface Trip {
  blocks: SolvedBlock[];
  /** Most rounds that any block took. */
  rounds: number;
  settled: boolean;
  lastMoveG: number;
}

export function startState(needs: readonly Pick<HikerNeeds, "body">[], startDay: number): TripState {
  return {
    walk: { day: startDay, walkedDays: 0, fromStop: false, nightsUp: 0 },
    supply: needs.map(({ body }) => ({
      bodyKg: body.bodyKg,
      fatKg: body.bodyKg * (body.bodyFatFraction ?? estimatedFatFraction(body)),
      openFuelG: 0,
      cans: [],
      deficitKcal: 0,
    })),
  };
}

/** Everything that a block's answer depends on. */
export interface BlockInput {
  ground: Ground;
  sampled: Ground;
  sampling: Sampling;
  sources: readonly PlacedSource[];
  sampledSources: readonly PlacedSource[];
  needs: readonly HikerNeeds[];
  block: Block;
  before: TripState;
  /** Stops within it that are come to early and walked on from, by their place among the halts. */
  passed: readonly number[];
  /** By leg of the block, then by hiker. */
  kit: readonly (readonly KitLeg[])[];
  onRound?: (() => void) | undefined;
}

export interface TripInput extends Omit<BlockInput, "block" | "before" | "passed" | "kit"> {
  /** By leg, then by hiker. */
  kitLegs: readonly (readonly KitLeg[])[];
  /** `solveBlock`, or one that remembers what it solved before by where it begins and how many stops are walked on from. */
  solve: (input: BlockInput, key: number) => SolvedBlock;
}

export function solveTrip({ kitLegs, solve, ...given }: TripInput): Trip {
  const { ground, needs } = given;
  let state = startState(needs, ground.startDay);
  const tubes = new TubesInUse();
  const blocks: SolvedBlock[] = [];
  const { halts } = ground;
  let passed: number[] = [];
  for (let firstLeg = 0; firstLeg + 1 < halts.length;) {
    const block = blockFrom(walkedThrough(ground, passed).halts, firstLeg);
    const full = kitLegs.slice(block.firstLeg, block.endLeg);
    const key = firstLeg + passed.length * halts.length;
    const solved = solve({ ...given, block, before: state, passed, kit: tubes.packed(full) }, key);
    if (walksOn(ground, block, solved.parts)) {
      // What was come to early is passed through, and the day goes on into what follows.
      passed = [...passed, block.endLeg];
      continue;
    }
    tubes.pass(full, solved.after.walk.day - state.walk.day);
    state = solved.after;
    blocks.push(solved);
    passed = [];
    firstLeg = block.endLeg;
  }
  return {
    blocks,
    rounds: Math.max(...blocks.map((block) => block.rounds)),
    settled: blocks.every((block) => block.settled),
    lastMoveG: Math.max(...blocks.map((block) => block.lastMoveG)),
  };
}

export function solveBlock(given: BlockInput): SolvedBlock {
  const input = {
    ...given,
    ground: walkedThrough(given.ground, given.passed),
    sampled: walkedThrough(given.sampled, given.passed),
  };
  const { ground, sampled, block, before, needs, kit, sources, sampledSources, onRound } = input;
  const whole: SettleInput = { ground, block, before, needs, kit, sources, onRound };
  if (!canBeSampled(sampled, block.firstLeg, block.endLeg)) return kept(whole, fromHeavy(whole));
  const sample: SettleInput = { ...whole, ground: sampled, sources: sampledSources };
  const rough = settle(sample, heavyGuess(sample), SAMPLED_SETTLE_KG);
  const rested = settle(whole, { loadKg: spread(input, rough), detours: sameSources(rough.detours, sources) });
  const answer = kept(whole, rested);
  const heavier = { loadKg: heavierPacks(whole, answer), detours: rested.detours };
  if (answer.settled && !takesLonger(whole, answer, heavier)) return answer;
  const second = settle(whole, heavier);
  return second.settled || !answer.settled ? kept(whole, second) : answer;
}

/** From the heavy side, and where that does not come to rest from the other. */
function fromHeavy(whole: SettleInput): Settled {
  const settled = settle(whole, heavyGuess(whole));
  if (settled.settled) return settled;
  const loadKg = whole.ground.workspace.hikers.map(({ guessKg }) => guessKg.fill(0));
  return settle(whole, { loadKg, detours: [] });
}

function heavierPacks({ ground, block }: SettleInput, answer: SolvedBlock): Float64Array[] {
  const { from, to } = span(ground, block);
  return answer.packs.map(({ loadKg }, h) => {
    const load = ground.workspace.hikers[h]!.guessKg;
    const moreKg = PROBE.waterKg + PROBE.daysOfFood * dayOfFoodKg(answer.supplies[h]!.food);
    for (let c = from; c < to; c++) load[c] = loadKg[c - from]! + moreKg;
    return load;
  });
}

/** Does the party walk any leg of the block in more days with heavier packs? */
function takesLonger({ ground, block, before }: SettleInput, answer: SolvedBlock, heavier: Guess): boolean {
  const { parts } = walkBlock(ground, block, before.walk, heavier.loadKg, heavier.detours);
  if (parts.length !== answer.parts.length) return true;
  return parts.some((part, p) => part.legIndex !== answer.parts[p]!.legIndex);
}

/** What a day more would add to the bag, at most, kilograms. */
function dayOfFoodKg(food: readonly LegFood[]): number {
  return food.reduce((most, leg) => (leg.mealDays > 0 ? Math.max(most, leg.startKg / leg.mealDays) : most), 0);
}

/** The same sources on the whole ground. */
function sameSources(detours: DetourSources, sources: readonly PlacedSource[]): DetourSources {
  if (detours.length === 0) return [];
  const ids = new Set(detours.map(({ id }) => id));
  return sources.filter(({ id }) => ids.has(id));
}

/** The sample's weights on every cell of the whole. */
function spread({ ground, sampled, sampling, block }: BlockInput, { loads }: Settled): Float64Array[] {
  const { sampleOf } = sampling;
  const { from, to } = span(ground, block);
  const first = sampled.halts[block.firstLeg]!.node;
  const last = sampled.halts[block.endLeg]!.node - 1;
  return loads.map(({ loadKg }, h) => {
    const onCells = ground.workspace.hikers[h]!.guessKg;
    for (let c = from; c < to; c++) {
      const sample = sampleOf[c]!;
      // Rounding may put the block's ends on a neighbour's sample, whose weights are not this block's.
      onCells[c] = loadKg[sample < first ? first : sample > last ? last : sample]!;
    }
    return onCells;
  });
}

function kept({ ground, block, before, kit }: SettleInput, settled: Settled): SolvedBlock {
  const { from, to } = span(ground, block);
  const { walk, loads, supplies } = settled;
  return {
    block,
    kit,
    fromNode: from,
    toNode: to,
    parts: walk.parts,
    conditions: settled.conditions,
    supplies: supplies.map(withoutArrays),
    loads: loads.map((load) => load.legs),
    packs: loads.map(({ loadKg, foodKg, waterKg }) => ({
      loadKg: float32(loadKg, from, to),
      foodKg: float32(foodKg, from, to),
      waterKg: float32(waterKg, from, to),
    })),
    cellH: float32(walk.cellH, from, to),
    cellC: float32(walk.cellC, from, to),
    surface: walk.surface.slice(from, to),
    before,
    after: settled.after,
    rounds: settled.rounds,
    settled: settled.settled,
    lastMoveG: settled.lastMoveG,
  };
}

function withoutArrays(supply: HikerSupply): Omit<HikerSupply, "drinkL" | "wanted" | "cookedFor"> {
  const { energies, parts, food, fuel, body, carries, detours, after } = supply;
  return { energies, parts, food, fuel, body, carries, detours, after };
}

/** Plain loop: several times faster here than the typed array's own conversion. */
function float32(values: Float64Array, from: number, to: number): Float32Array {
  const out = new Float32Array(to - from);
  for (let i = from; i < to; i++) out[i - from] = values[i]!;
  return out;
}
