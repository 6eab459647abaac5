/** What another kit comes to over the whole hike, by the plan itself: packs change the days, and the days the packs. */
import { packTotals, type PackFigures } from "../figures/headline.ts";
import type { Piece, Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";

/** Of the party. */
export interface KitFigures extends Pick<PackFigures, "kgKm" | "heaviestKg"> {
  finishDate: string;
}

export function kitFigures(plan: Plan, result: Pick<PlanFigures, "legs" | "finishDate">): KitFigures {
  const { kgKm, heaviestKg } = packTotals(plan, result).party;
  return { kgKm, heaviestKg, finishDate: result.finishDate };
}

/** A kit by a name, whatever differs from the plan's own. */
export interface KitVariant {
  key: string;
  kit?: readonly Piece[];
}

export interface WeighedKit extends KitFigures {
  key: string;
}

export function* weighKits(
  plan: Plan,
  variants: readonly KitVariant[],
  compute: (plan: Plan) => PlanFigures,
): Generator<WeighedKit, void> {
  for (const { key, kit = plan.kit } of variants)
    yield { key, ...kitFigures(plan, compute({ ...plan, kit: [...kit] })) };
}
