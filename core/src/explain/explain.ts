/**
 * Why: the headline figures taken apart, on demand. Each node's parts combine to its value by the
 * node's own rule, which a test holds over random plans.
 */
import type { Hiker, Plan } from "../plan/schema.ts";
import type { LegHiker, PlanResult } from "../result/result.ts";

export type DerivationUnit =
  "kg" | "g" | "L" | "kcal" | "kcal/day" | "kcal/kg" | "L/camp" | "count" | "share" | "h" | "days" | "g/boil";

export interface Derivation {
  /** What it is; the interface has the words. */
  code: string;
  value: number;
  unit: DerivationUnit;
  /** How the parts make the value: added, multiplied, or the first divided by the second. */
  combine: "sum" | "product" | "quotient" | "leaf";
  /** Key of a published source or rule; the interface cites it. */
  source?: string;
  parts: Derivation[];
}

export const EXPLAINED = ["start", "food", "carry", "energy"] as const;
export type Explained = (typeof EXPLAINED)[number];

export interface ExplainPath {
  legIndex: number;
  hikerId: string;
  figure: Explained;
}

/** Undefined when the path names no leg or no hiker of this result. */
export function explain(plan: Plan, result: PlanResult, path: ExplainPath): Derivation | undefined {
  const row = result.legs[path.legIndex]?.hikers.find((hiker) => hiker.hikerId === path.hikerId);
  const hiker = plan.hikers.find((candidate) => candidate.id === path.hikerId);
  if (!row || !hiker) return undefined;
  switch (path.figure) {
    case "start":
      return explainStart(hiker, row);
    case "food":
      return explainFood(hiker, row);
    case "carry":
      return explainCarry(hiker, row, row.largestCarry);
    case "energy":
      return explainEnergy(row);
  }
}

function leaf(code: string, value: number, unit: DerivationUnit, source?: string): Derivation {
  return source === undefined
    ? { code, value, unit, combine: "leaf", parts: [] }
    : { code, value, unit, combine: "leaf", source, parts: [] };
}

function node(
  code: string,
  value: number,
  unit: DerivationUnit,
  combine: Derivation["combine"],
  parts: Derivation[],
  source?: string,
): Derivation {
  return { ...leaf(code, value, unit, source), combine, parts };
}

function explainStart(hiker: Hiker, row: LegHiker): Derivation {
  const water = explainCarry(hiker, row, 0);
  return node("start", row.startKg, "kg", "sum", [
    leaf("base", row.kit.baseKg, "kg"),
    leaf("consumables", row.kit.consumableKg, "kg"),
    explainFood(hiker, row),
    { ...water, code: "water", unit: "kg", source: "one-litre-one-kilogram" },
    explainFuel(row),
  ]);
}

function explainFuel(row: LegHiker): Derivation {
  return node("fuel", row.fuel.startKg, "kg", "product", [
    leaf("boils", row.fuel.boils, "count"),
    leaf("grams-per-boil", row.fuel.gramsPerBoil, "g/boil", "fuel-heat"),
    leaf("kg-per-g", 0.001, "share"),
  ]);
}

function explainFood(hiker: Hiker, row: LegHiker): Derivation {
  const { food } = row;
  const shortfall = food.needKcal > 0 ? food.menuKcal / food.needKcal / (1 - hiker.food.shortfallFraction) : 1;
  const eaten = node("food-eaten", food.eatenKg, "kg", "quotient", [
    node("menu", food.menuKcal, "kcal", "product", [
      node("meals-need", food.needKcal, "kcal", "product", [
        leaf("meal-days", food.mealDays, "days", "meals-not-in-town"),
        leaf("need-per-day", food.mealDays > 0 ? food.needKcal / food.mealDays : 0, "kcal/day", "energy"),
      ]),
      leaf("appetite", shortfall, "share", "appetite-ramp"),
      leaf("covered", 1 - hiker.food.shortfallFraction, "share", "own-setting"),
    ]),
    leaf("density", hiker.food.densityKcalPerG * 1000, "kcal/kg", "own-setting"),
  ]);
  return node("food", food.startKg, "kg", "sum", [eaten, leaf("food-reserve", food.reserveKg, "kg", "own-setting")]);
}

function explainCarry(hiker: Hiker, row: LegHiker, index: number): Derivation {
  const carry = row.carries[index];
  if (!carry) return leaf("carry", 0, "L");
  const perCampL = hiker.water.dinnerL + hiker.water.nightL + hiker.water.breakfastL;
  return node("carry", carry.litres, "L", "sum", [
    leaf("carry-walking", carry.walkingL, "L", "heat-and-distance"),
    node("carry-camps", carry.campL, "L", "product", [
      leaf("dry-camps", carry.dryCamps, "count"),
      leaf("per-dry-camp", perCampL, "L/camp", "own-setting"),
    ]),
    leaf("carry-reserve", carry.reserveL, "L", "own-setting"),
    leaf("drunk-at-source", -carry.drunkL, "L", "own-setting"),
  ]);
}

function explainEnergy(row: LegHiker): Derivation {
  const { energy } = row;
  return node("energy", energy.totalKcal, "kcal/day", "sum", [
    node("walking", energy.walkKcal, "kcal/day", "product", [
      leaf("walk-hours", energy.walkH, "h"),
      leaf("walk-per-hour", energy.walkH > 0 ? energy.walkKcal / energy.walkH : 0, "kcal", "pandolf-santee"),
    ]),
    leaf("resting", energy.restKcal, "kcal/day", "mifflin-st-jeor"),
    leaf("thermic", energy.thermicKcal, "kcal/day", "thermic"),
    leaf("cold", energy.coldKcal, "kcal/day", "cold-allowance"),
  ]);
}
