/** Swaps by the plan itself: what is carried changes the days, and the days what is needed; so it is searched again. */
import { legAsks } from "../conditions/legs.ts";
import { seasonOf } from "../conditions/plane.ts";
import type { Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { demandsOf } from "./demands.ts";
import { kitFigures, type KitFigures } from "./figures.ts";
import { searchSwaps, withSwaps, type Swaps } from "./swaps.ts";

export interface FoundSwaps {
  swaps: Swaps;
  now: KitFigures;
  then: KitFigures;
  rounds: number;
  /** The last round asked for nothing else. */
  settled: boolean;
}

/** Spans and days come to rest in two or three. */
export const MOST_SWAP_ROUNDS = 4;

/**
 * What is found after every round. Only the last is given: it is the one whose demands are those of the days that come of
 * it, where a lighter one of before was found for other days.
 */
export function* swapRounds(
  plan: Plan,
  now: PlanFigures,
  compute: (plan: Plan) => PlanFigures,
): Generator<FoundSwaps, void> {
  const before = kitFigures(plan, now);
  let at = now;
  let spans = "";
  for (let rounds = 1; rounds <= MOST_SWAP_ROUNDS; rounds++) {
    // Nothing that fords ask for is sent to and fro.
    const asks = legAsks(at, [], seasonOf(plan, at.profile));
    const swaps = searchSwaps(plan, at, demandsOf(plan, at, asks), now.carrier);
    const found = JSON.stringify(swaps.changes.map(({ pieceId, then }) => [pieceId, then]));
    const settled = found === spans;
    if (!settled) at = compute(withSwaps(plan, swaps.changes));
    yield { swaps, now: before, then: kitFigures(plan, at), rounds, settled };
    if (settled) return;
    spans = found;
  }
}
