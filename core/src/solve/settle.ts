/**
 * The feedback solved: load slows the walk, a slower walk needs more food and water, and they are load.
 *
 * A round walks on given loads and answers the loads that follow. It is over when the next round could
 * move no starting weight by more than 10 g: because this one did not, or because what the loads still
 * differ by, times the gain of the feedback, is less. At most twelve rounds; steps are halved when the
 * moves stop shrinking; from the seventh round on days keep their ends,
 * and so do the ways to water.
 *
 * Where two answers hold (one day more carries the food that makes one more day) the loads come from the
 * heavy side, so that the heavier one is given: see `trip.ts`.
 */
import type { KitLeg } from "../kit/kit.ts";
import { hikerLoad, type HikerLoad } from "../load/load.ts";
import type { PaceSettings } from "../plan/schema.ts";
import type { HikerNeeds } from "../provision/needs.ts";
import { provision } from "../provision/provision.ts";
import { SnowWater } from "../provision/snowWater.ts";
import type { HikerSupply, SupplyState } from "../provision/supply.ts";
import type { PlacedSource } from "../walk/sources.ts";
import { partConditions, type PartConditions } from "../walk/conditions.ts";
import { allDetours, sameDetours, type DetourSources } from "../walk/detours.ts";
import type { Ground } from "../walk/ground.ts";
import { SLOWEST_BY_LOAD } from "../walk/slow.ts";
import { levelHours } from "../walk/stride.ts";
import { walkBlock, type Block, type DayPart, type Walk, type WalkState } from "../walk/walk.ts";

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
  /** Water off the trail that the party walks to. */
  detours: DetourSources;
  after: TripState;
  rounds: number;
  settled: boolean;
  /** The most by which a starting weight moved in the last round, or could have moved in the next, grams. */
  lastMoveG: number;
}

export interface SettleInput {
  ground: Ground;
  block: Block;
  before: TripState;
  /** By hiker. */
  needs: readonly HikerNeeds[];
  /** By leg of the block, then by hiker. */
  kit: readonly (readonly KitLeg[])[];
  sources: readonly PlacedSource[];
  /** Told at every round, so that who waits can tell long work from none. */
  onRound?: (() => void) | undefined;
}

export const SETTLE_KG = 0.01;
export const MOST_ROUNDS = 12;
const FREEZE_AFTER = 6;
/** What the next move is taken as, as a multiple of what the gain says: schools differ from Pandolf's. */
const CAUTION = 2;

/** Heavier than any plan comes to rest at: hearty days, water for a desert, a walk as slow as load makes it. */
const HEAVY = { kcalPerDay: 7000, waterKg: 8, slowness: 1 / SLOWEST_BY_LOAD } as const;

/** Loads and detours to start with. */
export interface Guess {
  loadKg: readonly Float64Array[];
  detours: DetourSources;
}

export function settle(input: SettleInput, guess: Guess, toleranceKg = SETTLE_KG): Settled {
  const { ground, block, before, needs, kit, sources } = input;
  const { hikers } = ground.workspace;
  const { from, to } = span(ground, block);
  const kitOfHiker = needs.map((_, h) => kit.map((leg) => leg[h]!));
  const wornKg = kitOfHiker.map((legs) => legs.map((leg) => leg.wornKg));
  const bottleL = kitOfHiker.map((legs) => legs.map((leg) => leg.bottleL));
  let { loadKg, detours } = guess;
  let starts: number[] | undefined;
  let lastMove = Infinity;
  let frozen: DayPart[] | undefined;
  let last: DayPart[] | undefined;
  let damped = false;

  for (let round = 1; ; round++) {
    input.onRound?.();
    const walk: Walk = walkBlock(ground, block, before.walk, loadKg, detours, frozen, last);
    last = walk.parts;
    const walkedOn = loadKg;
    const walkedTo = detours;
    const conditions = partConditions(ground, walk.parts);
    const snow = SnowWater.of(ground, block, walk);
    const supplies: HikerSupply[] = [];
    // Who cooks on another's stove comes first: what is burnt is that one's.
    const isGuest = (h: number): boolean => needs[h]!.cooksOn !== undefined;
    const order = [...needs.keys()].sort((a, b) => Number(isGuest(b)) - Number(isGuest(a)));
    for (const h of order)
      supplies[h] = provision({
        needs: needs[h]!,
        cooksFor: supplies.flatMap(({ cookedFor }, other) =>
          cookedFor && needs[other]!.cooksOn === h ? [cookedFor] : [],
        ),
        ground,
        slope: ground.slopes[h],
        block,
        walk,
        conditions,
        sources,
        snow,
        loadKg: loadKg[h]!,
        wornKg: wornKg[h]!,
        bottleL: bottleL[h]!,
        walkedTo,
        detourH: (distanceM, cell) => levelHours(ground, walkedOn, distanceM, cell),
        before: before.supply[h]!,
        drinkL: hikers[h]!.drinkL,
      });
    const loads = needs.map((need, h) =>
      hikerLoad({
        wrapperFraction: need.food.wrapperFraction,
        parts: walk.parts,
        supply: supplies[h]!,
        kitLegs: kitOfHiker[h]!,
        into: hikers[h]!.packs[round % 2 === 0 ? 0 : 1],
      }),
    );
    const nextStarts = loads.flatMap((load) => load.legs.map((leg) => leg.startKg));
    let move = Infinity;
    if (starts) {
      move = 0;
      for (const [i, start] of nextStarts.entries()) move = Math.max(move, Math.abs(start - (starts[i] ?? 0)));
    }
    const wanted = allDetours(supplies.map((supply) => supply.wanted));
    const stays = frozen !== undefined || sameDetours(wanted, detours);
    const ahead = Math.min(move, nextMoveKg(input, loadKg, supplies, loads));
    if ((ahead <= toleranceKg && stays) || round === MOST_ROUNDS)
      return {
        walk,
        conditions,
        supplies,
        loads,
        detours,
        after: { walk: walk.after, supply: supplies.map((supply) => supply.after) },
        rounds: round,
        settled: ahead <= toleranceKg,
        lastMoveG: ahead * 1000,
      };

    if (round > 2 && move > 0.7 * lastMove) damped = true;
    lastMove = move;
    starts = nextStarts;
    if (round === FREEZE_AFTER) frozen = walk.parts;
    else if (!frozen) detours = wanted;
    loadKg = loads.map((load, h) => {
      if (!damped) return load.loadKg;
      const was = loadKg[h]!;
      const now = load.loadKg;
      for (let c = from; c < to; c++) now[c] = (now[c]! + was[c]!) / 2;
      return now;
    });
  }
}

/**
 * What another round could move a starting weight by while days keep their ends, to first order: the hours
 * that the difference of the loads walked on and those answered is worth, and the power, which rises by
 * about 2 / body a kilogram (Pandolf's equation, with its squared term), on food and what is drunk.
 */
function nextMoveKg(
  { ground, block, needs, before }: SettleInput,
  walkedOn: readonly Float64Array[],
  supplies: readonly HikerSupply[],
  loads: readonly HikerLoad[],
): number {
  const { halts, slowPerKg, workspace } = ground;
  const { cellH } = workspace;
  let most = 0;
  for (let leg = block.firstLeg; leg < block.endLeg; leg++) {
    const from = halts[leg]!.node;
    const to = halts[leg + 1]!.node;
    let slower = 0;
    for (let h = 0; h < needs.length; h++) {
      const was = walkedOn[h]!;
      const now = loads[h]!.loadKg;
      let hours = 0;
      let kgHours = 0;
      let slowHours = 0;
      for (let c = from; c < to; c++) {
        const onCell = cellH[c]!;
        const by = onCell * (now[c]! - was[c]!);
        hours += onCell;
        kgHours += by;
        slowHours += slowPerKg[c]! * by;
      }
      // The party walks as its slowest: whoever's hours move most may move everybody's.
      slower = Math.max(slower, Math.abs(slowHours) / hours / SLOWEST_BY_LOAD);
      const { schools } = needs[h]!;
      const dearer = (2 * Math.abs(kgHours)) / hours / before.supply[h]!.bodyKg;
      const foodKg = supplies[h]!.food[leg - block.firstLeg]!.startKg;
      const waterKg = loads[h]!.legs[leg - block.firstLeg]!.startWaterKg;
      const thirstier = schools.water.kind === "balance" ? dearer : 0;
      most = Math.max(most, CAUTION * (foodKg * (slower + dearer) + waterKg * (slower + thirstier)));
    }
  }
  return most;
}

/** The block's cells: from the first to one before the last. */
export function span(ground: Ground, block: Block): { from: number; to: number } {
  return { from: ground.halts[block.firstLeg]!.node, to: ground.halts[block.endLeg]!.node };
}

/** Loads on the heavy side of every answer: food falling evenly over each leg, and far too much of it. */
export function heavyGuess({ ground, block, needs, kit }: SettleInput): Guess {
  const { halts, workspace, baseH, slowness } = ground;
  const hoursPerDay = Math.min(...ground.paces.map(fewestHours));
  const slowestGround = Math.max(...slowness);
  const leastDensity = Math.min(...halts.slice(block.firstLeg, block.endLeg).map(({ foodDensity }) => foodDensity));
  const loadKg = needs.map(({ food, menus }, h) => {
    const load = workspace.hikers[h]!.guessKg;
    const kcalPerG = (menus?.leastKcalPerG ?? food.densityKcalPerG) * leastDensity;
    const kgPerDay = (HEAVY.kcalPerDay / (1000 * kcalPerG)) * (1 + food.reserveFraction);
    let laterKg = 0;
    for (let leg = block.endLeg - 1; leg >= block.firstLeg; leg--) {
      const from = halts[leg]!.node;
      const to = halts[leg + 1]!.node;
      if (halts[leg + 1]!.sellsFood) laterKg = 0;
      const plainH = Math.max(...baseH.map((hours) => sumOf(hours, from, to)));
      const days = 1 + (plainH * HEAVY.slowness * slowestGround) / hoursPerDay;
      const { baseKg, consumableKg } = kit[leg - block.firstLeg]![h]!;
      const fixedKg = baseKg + consumableKg + HEAVY.waterKg + laterKg;
      for (let c = from; c < to; c++) load[c] = fixedKg + (days * kgPerDay * (to - c)) / (to - from);
      laterKg += days * kgPerDay;
    }
    return load;
  });
  return { loadKg, detours: [] };
}

function sumOf(values: Float64Array, from: number, to: number): number {
  let sum = 0;
  for (let i = from; i < to; i++) sum += values[i]!;
  return sum;
}

function fewestHours({ hoursFreshH, hoursFitH, ramp }: PaceSettings): number {
  return ramp.length > 0 ? Math.min(...ramp.map((stage) => stage.hoursH)) : Math.min(hoursFreshH, hoursFitH);
}
