/** What more food in reserve is worth: each reserve computed as a plan of its own, and met by the same thousand hikes. */
import type { Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { simulate, type Chance } from "./simulate.ts";

export interface ReserveOdds {
  reserveDays: number;
  reserveFraction: number;
  /** As the plan has it. */
  isNow: boolean;
  /** Short of food on the leg on which that happens most, and somewhere on the hike. */
  worst: Chance & { legIndex: number };
  somewhere: Chance;
  heaviestKg: number;
}

export const TRIED_RESERVES = [0.5, 1, 1.5, 2, 3] as const;

/** The plan as it is first. */
export function* reserveOdds(
  plan: Plan,
  who: number,
  compute: (plan: Plan) => PlanFigures,
  runs = 1000,
): Generator<ReserveOdds> {
  const { reserveDays, reserveFraction } = plan.hikers[who]!.food;
  yield oddsWith(plan, { reserveDays, reserveFraction }, true);
  for (const days of TRIED_RESERVES)
    if (days !== reserveDays || reserveFraction !== 0)
      yield oddsWith(plan, { reserveDays: days, reserveFraction: 0 }, false);

  function oddsWith(base: Plan, reserve: Pick<ReserveOdds, "reserveDays" | "reserveFraction">, isNow: boolean) {
    const hikers = base.hikers.map((hiker, h) =>
      h === who ? { ...hiker, food: { ...hiker.food, ...reserve } } : hiker,
    );
    const then = isNow ? base : { ...base, hikers };
    const result = compute(then);
    const odds = simulate(then, result, { runs, who });
    const worst = odds.legs.reduce((a, b) => (b.chances.food.found > a.chances.food.found ? b : a));
    return {
      ...reserve,
      isNow,
      worst: { ...worst.chances.food, legIndex: worst.legIndex },
      somewhere: odds.somewhere.food,
      heaviestKg: Math.max(...result.legs.map((leg) => leg.hikers[who]!.heaviestKg)),
    };
  }
}
