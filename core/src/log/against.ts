/** Fact beside plan, day by day, of every quantity that a card tells: what the chart of the log draws. */
import type { Plan } from "../plan/schema.ts";
import type { DayResult, PlanFigures } from "../result/result.ts";
import type { CardFigures } from "./cards.ts";
import { campLitres, leftLess, partsOf, walkLitres } from "./dayFacts.ts";

export const AGAINST = ["hours", "eaten", "drunk", "low", "food", "body"] as const;
/** Hours on the feet; kcal out of the bag; litres drunk; °C of the night; kg of food left; kg of oneself. */
export type Against = (typeof AGAINST)[number];

export interface AgainstDay {
  date: string;
  tripDay: number;
  fact: number | undefined;
  planned: number | undefined;
}

/** Of the first hiker; a day without a fact stands there with its plan. */
export function againstPlan(
  plan: Plan,
  result: PlanFigures,
  cards: readonly CardFigures[],
  what: Against,
): AgainstDay[] {
  return cards.map((figures, i) => {
    const parts = partsOf(result, figures.card.date);
    return {
      date: figures.card.date,
      tripDay: figures.tripDay,
      ...pairOf(what, figures, cards[i - 1], { plan, result, parts }),
    };
  });
}

interface Beside {
  plan: Plan;
  result: PlanFigures;
  parts: readonly DayResult[];
}

function pairOf(
  what: Against,
  { card, groundH, toNode }: CardFigures,
  before: CardFigures | undefined,
  { plan, result, parts }: Beside,
): Pick<AgainstDay, "fact" | "planned"> {
  const last = parts.at(-1);
  const leg = last && result.legs[last.legIndex]!.hikers[0]!;
  switch (what) {
    case "hours":
      return { fact: card.walkedH, planned: groundH };
    case "eaten": {
      const kcalPerKg = leg && leg.food.eatenKg > 0 ? leg.food.menuKcal / leg.food.eatenKg : undefined;
      const need = parts.reduce((sum, { energyKcal }) => sum + energyKcal[0]!, 0);
      const went = leftLess(before?.card.foodKg, card.foodKg);
      const share = leg && leg.food.needKcal > 0 ? leg.food.menuKcal / leg.food.needKcal : 1;
      return {
        fact: went !== undefined && kcalPerKg !== undefined ? went * kcalPerKg : undefined,
        planned: parts.length > 0 ? need * share : undefined,
      };
    }
    case "drunk":
      return { fact: card.drankL, planned: parts.length > 0 ? walkLitres(parts) + campLitres(plan) : undefined };
    case "low":
      return { fact: card.lowC, planned: last?.lowC };
    case "food":
      return { fact: card.foodKg, planned: result.packs[0]!.foodKg[Math.max(0, toNode - 1)] };
    case "body":
      return { fact: card.bodyKg, planned: leg?.body.bodyKg };
  }
}
