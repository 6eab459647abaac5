/** Bags that are filled beside the page, one leg after the other, with progress and stop. */
import { buildPantry, legFill, type BagAnswer, type Hiker } from "@gepack/core";
import { takeFilled } from "../../edit/food.ts";
import { whenShown } from "../../store/liveDocument.ts";
import { calculator } from "../../store/trail.ts";
import { stopName } from "../../words/names.ts";
import { useLongRun } from "../../worker/useLongRun.ts";

export interface FillAnswer {
  legIndex: number;
  answer: BagAnswer;
  /** Of the bag before it, for comparison. */
  beforeG: number;
}

/** What was typed a moment before the bag is filled counts in it. */
export function useFill(hikerId: string) {
  const { rows, fraction, start, stop, clear } = useLongRun<FillAnswer>();
  const fill = (legs: readonly number[]): void =>
    start(legs.length, async (onRow, signal) => {
      const { plan, result } = await whenShown();
      const who = plan.hikers.findIndex(({ id }) => id === hikerId);
      const hiker: Hiker | undefined = plan.hikers[who];
      if (!hiker) return;
      const pantry = buildPantry(plan.foods);
      const found: FillAnswer[] = [];
      for (const legIndex of legs) {
        if (signal.aborted || legIndex >= result.legs.length) return;
        const { portions, limits } = legFill(plan, result, who, legIndex, pantry);
        const answer = await calculator().fillBag({ portions, limits });
        const row = { legIndex, answer, beforeG: 1000 * result.legs[legIndex]!.hikers[who]!.food.startKg };
        found.push(row);
        onRow(row);
      }
      if (signal.aborted) return;
      const taken = found.flatMap(({ legIndex, answer }) => {
        if ("impossible" in answer) return [];
        const { fromStopId, hikers } = result.legs[legIndex]!;
        const { food } = hikers[who]!;
        // The reserve is in the bag, and a day of the menu is a day without it.
        const days = Math.max(0.5, food.eatenKg > 0 ? (food.mealDays * food.startKg) / food.eatenKg : food.mealDays);
        const name = `${stopName(plan, fromStopId)}, filled`;
        return [{ legIndex, fromStopId, name, days, filled: answer }];
      });
      if (taken.length > 0) takeFilled(hiker, taken);
    });
  return { rows, fraction, fill, stop, clear };
}
