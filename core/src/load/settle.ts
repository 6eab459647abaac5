/**
 * The feedback solved: load slows the walk, a slower walk needs more food and water, and they are
 * load. Repeated until no leg's starting weight moves by more than 10 g, at most twelve rounds.
 * Steps back are halved when the moves stop shrinking; from the seventh round on days keep their ends.
 */
import type { KitPlan } from "../kit/kit.ts";
import type { Plan } from "../plan/schema.ts";
import { partConditions, type PartConditions } from "../walk/conditions.ts";
import { heatMetres } from "../provision/water.ts";
import { provision, type HikerSupply, type PlacedSource } from "../provision/provision.ts";
import type { Season } from "../season/season.ts";
import type { CoarseGround } from "../walk/coarse.ts";
import { walkDays, type DayPart, type Walk, type WalkGround } from "../walk/walk.ts";
import { hikerLoad, type HikerLoad } from "./load.ts";

export interface Settled {
  walk: Walk;
  conditions: PartConditions[];
  supplies: HikerSupply[];
  loads: HikerLoad[];
  rounds: number;
  settled: boolean;
  /** Largest move of a starting weight in the last round, grams. */
  lastMoveG: number;
}

export const SETTLE_KG = 0.01;
const COARSE_SETTLE_KG = 0.05;
export const MOST_ROUNDS = 12;
const FREEZE_AFTER = 6;
const GUESS_M_PER_DAY = 20_000;
const GUESS_FOOD_KG_PER_DAY = 0.7;
const GUESS_WATER_KG = 1;

export function settle(
  plan: Plan,
  ground: WalkGround,
  season: Season,
  kit: KitPlan,
  sources: readonly PlacedSource[],
  guessKg: readonly Float64Array[] = firstGuess(plan, ground, kit),
  toleranceKg = SETTLE_KG,
): Settled {
  let loadKg = guessKg;
  let starts: number[] | undefined;
  let lastMove = Infinity;
  let frozen: DayPart[] | undefined;
  let damped = false;
  const { scratch } = ground;
  const { cellCount } = ground.profile;

  for (let round = 1; ; round++) {
    const walk = walkDays(ground, loadKg, frozen);
    const conditions = partConditions(ground.profile, season, walk.parts);
    const heatM = heatMetres(ground.profile, walk.parts, conditions, scratch.float64("heat", cellCount + 1));
    const supplies = plan.hikers.map((hiker, h) =>
      provision({
        hiker,
        profile: ground.profile,
        walk,
        halts: ground.halts,
        conditions,
        sources,
        startDay: ground.startDay,
        loadKg: loadKg[h]!,
        heatM,
        wornKgByLeg: kit.legs.map((leg) => leg[h]!.wornKg),
      }),
    );
    const loads = plan.hikers.map((hiker, h) =>
      hikerLoad(
        hiker,
        walk.parts,
        supplies[h]!,
        kit.legs.map((leg) => leg[h]!),
        heatM,
        // Two sets of loads in turn: this round's answer must not overwrite what it was made from.
        { loadKg: scratch.float64(`load ${h} ${round % 2}`, cellCount), waterKg: scratch.float64("water", cellCount) },
      ),
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
      const before = loadKg[h]!;
      const now = load.loadKg;
      for (let c = 0; c < now.length; c++) now[c] = (now[c]! + before[c]!) / 2;
      return now;
    });
  }
}

/** Settles on the sampled ground first, where there is one, and from its weights on the whole. */
export function settleTwice(
  plan: Plan,
  fine: WalkGround,
  coarse: CoarseGround | undefined,
  season: Season,
  kit: KitPlan,
  sources: readonly PlacedSource[],
): Settled {
  if (!coarse) return settle(plan, fine, season, kit, sources);
  const sampledSources = sources.map(({ source, node }) => ({ source, node: coarse.nodeOf(node) }));
  const { loads } = settle(plan, coarse.ground, season, kit, sampledSources, undefined, COARSE_SETTLE_KG);
  const guessKg = loads.map(({ loadKg }, h) => {
    const spread = fine.scratch.float64(`guess ${h}`, fine.profile.cellCount);
    for (let c = 0; c < spread.length; c++) spread[c] = loadKg[coarse.sampleOf[c]!]!;
    return spread;
  });
  return settle(plan, fine, season, kit, sources, guessKg);
}

/** Base weight, food falling evenly over each leg, a litre of water. */
function firstGuess(plan: Plan, ground: WalkGround, kit: KitPlan): Float64Array[] {
  const { profile, halts } = ground;
  return plan.hikers.map((_, h) => {
    const load = ground.scratch.float64(`guess ${h}`, profile.cellCount);
    for (let leg = 0; leg + 1 < halts.length; leg++) {
      const from = halts[leg]!.node;
      const to = halts[leg + 1]!.node;
      const foodKg = (((to - from) * profile.cellM) / GUESS_M_PER_DAY) * GUESS_FOOD_KG_PER_DAY;
      const fixedKg = kit.legs[leg]![h]!.baseKg + kit.legs[leg]![h]!.consumableKg + GUESS_WATER_KG;
      for (let c = from; c < to; c++) load[c] = fixedKg + (foodKg * (to - c)) / (to - from);
    }
    return load;
  });
}
