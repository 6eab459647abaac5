/** Swaps by the plan itself: what is carried changes the days, and the days what is asked for; so it is searched again. */
import { legConditions } from "../conditions/legs.ts";
import type { Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { demandsOf } from "./demands.ts";
import { searchSwaps, withSwaps, type Swaps } from "./swaps.ts";

/** Of the whole hike, by the plan. */
export interface SwapFigures {
  /** All packs, kg·km. */
  kgKm: number;
  heaviestKg: number;
  finishDate: string;
}

export interface FoundSwaps {
  swaps: Swaps;
  now: SwapFigures;
  then: SwapFigures;
  rounds: number;
  /** The last round asked for nothing else. */
  settled: boolean;
}

/** Spans and days come to rest in two or three. */
export const MOST_SWAP_ROUNDS = 4;

/**
 * What is found after every round. Only the last is told: it is the one whose demands are those of the days that come of
 * it, where a lighter one of before was found for other days.
 */
export function* swapRounds(
  plan: Plan,
  now: PlanFigures,
  compute: (plan: Plan) => PlanFigures,
): Generator<FoundSwaps, void> {
  const before = figuresOf(now);
  let at = now;
  let spans = "";
  for (let rounds = 1; rounds <= MOST_SWAP_ROUNDS; rounds++) {
    const swaps = searchSwaps(plan, at, demandsOf(plan, at, legConditions(plan, at)), now.carrier);
    const found = JSON.stringify(swaps.changes.map(({ pieceId, then }) => [pieceId, then]));
    const settled = found === spans;
    if (!settled) at = compute(withSwaps(plan, swaps.changes));
    yield { swaps, now: before, then: figuresOf(at), rounds, settled };
    if (settled) return;
    spans = found;
  }
}

function figuresOf({ legs, finishDate }: PlanFigures): SwapFigures {
  const rows = legs.flatMap(({ hikers, distanceM }) => hikers.map((row) => ({ row, km: distanceM / 1000 })));
  return {
    kgKm: rows.reduce((sum, { row, km }) => sum + row.meanKg * km, 0),
    heaviestKg: Math.max(...rows.map(({ row }) => row.heaviestKg)),
    finishDate,
  };
}
