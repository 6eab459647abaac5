/** What a day of the log and of the plan has in it, as learning and drawing both read it; of the first hiker. */
import type { Plan } from "../plan/schema.ts";
import type { DayResult, PlanFigures } from "../result/result.ts";

/** A day with a stop in the middle has several parts. */
export function partsOf({ days }: Pick<PlanFigures, "days">, date: string): DayResult[] {
  return days.filter((day) => day.date === date);
}

export function walkLitres(parts: readonly DayResult[]): number {
  return parts.reduce((sum, { walkL }) => sum + walkL[0]!, 0);
}

/** Drunk and cooked with in camp; what the menu asks beside it is not distinguished by a card. */
export function campLitres({ hikers }: Plan): number {
  const { dinnerL, nightL, breakfastL } = hikers[0]!.water;
  return dinnerL + nightL + breakfastL;
}

/** What went between two evenings; unknown where there is more than before, or one is not given. */
export function leftLess(before: number | undefined, now: number | undefined): number | undefined {
  return before !== undefined && now !== undefined && before > now ? before - now : undefined;
}
