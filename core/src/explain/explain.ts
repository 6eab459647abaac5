/**
 * Why: the headline figures taken apart, on demand. Each node's parts combine to its value by the
 * node's own rule, which a test holds over random plans.
 */
import type { Plan } from "../plan/schema.ts";
import type { PlanResult } from "../result/result.ts";
import type { Derivation } from "./derivation.ts";
import { explainArrival, explainDays, explainEnergy, explainSpeed, slowestCell } from "./journey.ts";
import { explainBattery, explainPad, explainWarmth } from "./nights.ts";
import { explainBase, explainCarry, explainFood, explainFuel, explainStart } from "./pack.ts";

// prettier-ignore
export const EXPLAINED = [
  "start", "base", "food", "carry", "fuel", "energy", "days", "arrival", "speed", "warmth", "pad", "battery",
] as const;
export type Explained = (typeof EXPLAINED)[number];

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
export function explain(plan: Plan, result: PlanResult, path: ExplainPath): Derivation | undefined {
  const leg = result.legs[path.legIndex];
  const row = leg?.hikers.find((hiker) => hiker.hikerId === path.hikerId);
  const hiker = plan.hikers.find((candidate) => candidate.id === path.hikerId);
  if (!leg || !row || !hiker) return undefined;
  switch (path.figure) {
    case "start":
      return explainStart(plan, result, hiker, row, leg.index);
    case "base":
      return explainBase(plan, result, hiker, row, leg.index);
    case "food":
      return explainFood(hiker, row);
    case "carry":
      return explainCarry(hiker, row, path.carryIndex ?? row.largestCarry);
    case "fuel":
      return explainFuel(hiker, row);
    case "energy":
      return explainEnergy(hiker, row);
    case "days":
      return explainDays(hiker, leg);
    case "arrival":
      return explainArrival(plan, result, leg);
    case "speed": {
      const cell = path.cell ?? slowestCell(result, leg);
      return result.cellH[cell] === undefined ? undefined : explainSpeed(plan, result, hiker, cell);
    }
    case "warmth":
      return explainWarmth(result, leg, row);
    case "pad":
      return explainPad(result, leg);
    case "battery":
      return explainBattery(result, leg.index);
  }
}
