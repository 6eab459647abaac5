/**
 * The feedback solved: load slows the walk, a slower walk needs more food and water, and they are
 * load. Repeated until no leg's starting weight moves by more than 10 g, at most twelve rounds.
 * Steps back are halved when the moves stop shrinking; from the seventh round on days keep their ends.
 */
import type { KitPlan } from "../kit/kit.ts";
import type { Plan } from "../plan/schema.ts";
import { partConditions, type PartConditions } from "../walk/conditions.ts";
import { provision, type HikerSupply, type PlacedSource } from "../provision/provision.ts";
import type { Season } from "../season/season.ts";
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
): Settled {
  let loadKg = firstGuess(plan, ground, kit);
  let starts: number[] | undefined;
  let lastMove = Infinity;
  let frozen: DayPart[] | undefined;
  let damped = false;

  for (let round = 1; ; round++) {
    const walk = walkDays(ground, loadKg, frozen);
    const conditions = partConditions(ground.profile, season, walk.parts);
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
        wornKgByLeg: kit.legs.map((leg) => leg[h]!.wornKg),
      }),
    );
    const loads = plan.hikers.map((hiker, h) =>
      hikerLoad(
        hiker,
        ground.profile,
        walk.parts,
        supplies[h]!,
        kit.legs.map((leg) => leg[h]!),
      ),
    );
    const nextStarts = loads.flatMap((load) => load.legs.map((leg) => leg.startKg));
    let move = Infinity;
    if (starts) {
      move = 0;
      for (const [i, start] of nextStarts.entries()) move = Math.max(move, Math.abs(start - (starts[i] ?? 0)));
    }
    const settled = move <= SETTLE_KG;
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
      return load.loadKg.map((kg, c) => (kg + before[c]!) / 2);
    });
  }
}

/** Base weight, food falling evenly over each leg, a litre of water. */
function firstGuess(plan: Plan, ground: WalkGround, kit: KitPlan): Float64Array[] {
  const { profile, halts } = ground;
  return plan.hikers.map((_, h) => {
    const load = new Float64Array(profile.cellCount);
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
