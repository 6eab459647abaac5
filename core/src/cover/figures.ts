/** What another kit comes to over the whole hike, by the plan itself: packs change the days, and the days the packs. */
import type { Piece, Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";

export interface KitFigures {
  /** All packs, kg·km. */
  kgKm: number;
  heaviestKg: number;
  finishDate: string;
}

export function kitFigures({ legs, finishDate }: Pick<PlanFigures, "legs" | "finishDate">): KitFigures {
  const rows = legs.flatMap(({ hikers, distanceM }) => hikers.map((row) => ({ row, km: distanceM / 1000 })));
  return {
    kgKm: rows.reduce((sum, { row, km }) => sum + row.meanKg * km, 0),
    heaviestKg: Math.max(...rows.map(({ row }) => row.heaviestKg)),
    finishDate,
  };
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
  for (const { key, kit = plan.kit } of variants) yield { key, ...kitFigures(compute({ ...plan, kit: [...kit] })) };
}
