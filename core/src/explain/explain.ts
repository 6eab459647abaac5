/**
 * Why: the headline figures taken apart, on demand. Each node's parts combine to its value by the
 * node's own rule, which a test holds over random plans. A new figure is a member of one of these lists.
 */
import type { Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import type { Derivation } from "./derivation.ts";
import { schoolsOf, type WhyContext } from "./figure.ts";
import { journeyFigures } from "./journey.ts";
import { nightFigures } from "./nights.ts";
import { packFigures } from "./pack.ts";

const FIGURES = [...packFigures, ...journeyFigures, ...nightFigures] as const;

export type Explained = (typeof FIGURES)[number]["id"];
export const EXPLAINED: readonly Explained[] = FIGURES.map((figure) => figure.id);

export interface ExplainPath {
  legIndex: number;
  hikerId: string;
  figure: Explained;
  /** Which of the leg's carries; the largest without. */
  carryIndex?: number;
  /** Which cell's speed; the slowest of the leg without. */
  cell?: number;
}

/** Undefined when the path names no leg or no hiker of this result, or the leg has no such figure. */
export function explain(plan: Plan, result: PlanFigures, path: ExplainPath): Derivation | undefined {
  const leg = result.legs[path.legIndex];
  const who = plan.hikers.findIndex((candidate) => candidate.id === path.hikerId);
  const row = leg?.hikers[who];
  const hiker = plan.hikers[who];
  if (!leg || !row || !hiker) return undefined;
  const context: WhyContext = {
    plan,
    result,
    leg,
    row,
    hiker,
    who,
    schools: schoolsOf(hiker),
    carryIndex: path.carryIndex,
    cell: path.cell,
  };
  return FIGURES.find((figure) => figure.id === path.figure)?.explain(context);
}
