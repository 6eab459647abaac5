/** What the menu does to the body: deficits, fat, energy left after walking, protein. Never medical advice. */
import {
  DEFICIT_KCAL,
  DENSEST_KCAL_PER_G,
  energyAvailability,
  ENERGY_AVAILABILITY,
  LEAST_FAT_FRACTION,
  PROTEIN_G_PER_KG,
} from "../models/nutrition.ts";
import type { Hiker } from "../plan/schema.ts";
import type { LegHiker, LegResult, PlanResult } from "../result/result.ts";
import type { Add } from "./add.ts";

const KCAL_PER_G_PROTEIN = 4;

/** Once for the trip. */
export function bodyChecks(hiker: Hiker, who: number, result: Omit<PlanResult, "checks">, add: Add): void {
  const { body, deficitKcal } = result.finish[who]!;
  const where = { hikerId: hiker.id };
  if (deficitKcal > DEFICIT_KCAL.felt)
    add(
      "deficit-adds-up",
      deficitKcal > DEFICIT_KCAL.large ? "caution" : "note",
      where,
      {
        have: { value: deficitKcal, unit: "kcal" },
        limit: { value: deficitKcal > DEFICIT_KCAL.large ? DEFICIT_KCAL.large : DEFICIT_KCAL.felt, unit: "kcal" },
        lost: { value: hiker.bodyKg - body.bodyKg, unit: "kg" },
      },
      ["less-shortfall"],
    );
  const least = LEAST_FAT_FRACTION[hiker.sex];
  const fat = body.fatKg / body.bodyKg;
  if (fat < least)
    add(
      "fat-too-low",
      "blocker",
      where,
      { have: { value: fat * 100, unit: "%" }, limit: { value: least * 100, unit: "%" } },
      ["less-shortfall"],
    );
  if (hiker.food.densityKcalPerG > DENSEST_KCAL_PER_G)
    add(
      "food-too-dense",
      "caution",
      where,
      {
        have: { value: hiker.food.densityKcalPerG, unit: "kcal/g" },
        limit: { value: DENSEST_KCAL_PER_G, unit: "kcal/g" },
      },
      ["own-menu"],
    );
  const protein = proteinPerKg(hiker, result.legs, who);
  if (protein !== undefined && protein < PROTEIN_G_PER_KG.endurance)
    add(
      "protein-low",
      "note",
      where,
      { have: { value: protein, unit: "g/kg" }, limit: { value: PROTEIN_G_PER_KG.endurance, unit: "g/kg" } },
      ["more-protein"],
    );
}

/** Grams a day and kilogram of body that the carried menu holds, over the whole trip. */
function proteinPerKg(hiker: Hiker, legs: readonly LegResult[], who: number): number | undefined {
  let kcal = 0;
  let days = 0;
  for (const leg of legs) {
    kcal += leg.hikers[who]!.food.menuKcal;
    days += leg.hikers[who]!.food.mealDays;
  }
  return days > 1 ? (kcal * hiker.food.proteinFraction) / KCAL_PER_G_PROTEIN / days / hiker.bodyKg : undefined;
}

/** On a leg: what is left of the menu after the walking, per kilogram that is not fat. */
export function availabilityCheck(hiker: Hiker, leg: LegResult, row: LegHiker, add: Add): void {
  const { food, energy, body } = row;
  // A leg of a meal or two says nothing about a diet.
  if (food.mealDays < 2 || food.needKcal === 0) return;
  const eatenKcal = energy.totalKcal * (food.menuKcal / food.needKcal);
  const left = energyAvailability(eatenKcal, energy.walkKcal, body.bodyKg - body.fatKg);
  if (left < ENERGY_AVAILABILITY.least)
    add(
      "energy-availability",
      "caution",
      { legIndex: leg.index, hikerId: hiker.id, atM: leg.fromM },
      { have: { value: left, unit: "kcal/kg" }, limit: { value: ENERGY_AVAILABILITY.least, unit: "kcal/kg" } },
      ["less-shortfall"],
    );
}
