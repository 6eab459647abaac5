/** Is what is left in the evening enough to the next stop: food, fuel, charge and treatment against what the plan has for the rest. */
import { storeOf } from "../power/power.ts";
import type { Plan } from "../plan/schema.ts";
import type { LegResult, PlanFigures } from "../result/result.ts";
import { isUsedUp, treatedLegs } from "../water/treat.ts";
import { cardsOf, type CardFigures } from "./cards.ts";

export interface Left {
  what: "food" | "fuel" | "charge" | "treatment";
  /** kg, g, Wh and the litres that the treatment lasts. */
  have: number;
  /** Planned to be left that evening, and wanted for the rest of the leg. */
  planned: number;
  wanted: number;
  isEnough: boolean;
}

export interface RationState {
  last: CardFigures;
  leg: LegResult;
  /** To the next stop. */
  aheadM: number;
  aheadH: number;
  /** Back to the stop that was left. */
  backM: number;
  left: Left[];
}

/** Undefined without a card, and at the end of the walk. */
export function rationState(plan: Plan, result: PlanFigures): RationState | undefined {
  const cards = cardsOf(plan, result);
  const last = cards.at(-1);
  const leg = last && result.legs.find(({ fromNode, toNode }) => fromNode <= last.toNode && last.toNode < toNode);
  if (!last || !leg) return undefined;
  const { cellH, profile, days } = result;
  const hoursBetween = (from: number, to: number): number => {
    let hours = 0;
    for (let c = from; c < to; c++) hours += cellH[c]!;
    return hours;
  };
  const aheadH = hoursBetween(last.toNode, leg.toNode);
  const legH = hoursBetween(leg.fromNode, leg.toNode);
  const share = legH > 0 ? aheadH / legH : 0;
  const row = leg.hikers[0]!;
  const { foodKg, fuelG, chargeFraction } = last.card;
  const left: Left[] = [];
  const add = (what: Left["what"], have: number | undefined, wanted: number, spare: number): void => {
    if (have !== undefined) left.push({ what, have, planned: wanted + spare, wanted, isEnough: have >= wanted });
  };
  add("food", foodKg, row.food.eatenKg * share, row.food.reserveKg + row.food.forLaterKg);
  add("fuel", fuelG, row.fuel.needG * share, row.fuel.endG);
  const store = result.power && storeOf(result.power, plan.hikers[0]!.id);
  const whole = store?.legs[leg.index];
  if (store && whole && whole.capacityWh > 0) {
    const rest = store.days.filter((day, i) => day.legIndex === leg.index && days[i]!.toNode > last.toNode);
    const wanted = rest.reduce((sum, { usedWh, solarWh, shortWh }) => sum + usedWh + shortWh - solarWh, 0);
    const evening = store.days.findLast((_, i) => days[i]!.date <= last.card.date);
    add(
      "charge",
      chargeFraction === undefined ? undefined : chargeFraction * whole.capacityWh,
      Math.max(0, wanted),
      Math.max(0, (evening?.storedWh ?? 0) - Math.max(0, wanted)),
    );
  }
  const treatment = treatmentLeft(plan, result, { cards, leg, share });
  if (treatment) add("treatment", treatment.haveL, treatment.wantedL, 0);
  return {
    last,
    leg,
    aheadM: (leg.toNode - last.toNode) * profile.cellM,
    aheadH,
    backM: (last.toNode - leg.fromNode) * profile.cellM,
    left,
  };
}

/** Of the first hiker: what was drunk on the days of the leg that tell it has gone through; undefined where nothing wears. */
function treatmentLeft(
  plan: Plan,
  result: PlanFigures,
  { cards, leg, share }: { cards: readonly CardFigures[]; leg: LegResult; share: number },
): { haveL: number; wantedL: number } | undefined {
  const { treatment } = plan.hikers[0]!.water;
  if (!isUsedUp(treatment.method)) return undefined;
  const legs = treatedLegs(plan, result, 0);
  const { litres } = legs[leg.index]!;
  const before = leg.index === 0 ? treatment.usedL : legs[leg.index - 1]!.litresSoFar;
  const drunk = cards
    .filter(({ fromNode }) => fromNode >= leg.fromNode && fromNode < leg.toNode)
    .map(({ card }) => card.drankL);
  if (!drunk.some((one) => one !== undefined)) return undefined;
  const known = drunk.reduce<number>((sum, one) => sum + (one ?? 0), 0);
  const used = drunk.every((one) => one !== undefined) ? known : Math.max(known, litres * (1 - share));
  return { haveL: Math.max(0, treatment.lifeL - before - used), wantedL: litres * share };
}
