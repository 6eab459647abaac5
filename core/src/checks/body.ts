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
import type { LegResult, PlanResult } from "../result/result.ts";
import { dayNumber } from "../units/day.ts";
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
  const left = lastingAvailability(result.legs, who);
  if (left !== undefined && left < ENERGY_AVAILABILITY.least)
    add(
      "energy-availability",
      "caution",
      where,
      { have: { value: left, unit: "kcal/kg" }, limit: { value: ENERGY_AVAILABILITY.least, unit: "kcal/kg" } },
      ["less-shortfall"],
    );
}

/** Grams a day and kilogram of body that the carried menu holds once appetite has come, over the whole trip. */
function proteinPerKg(hiker: Hiker, legs: readonly LegResult[], who: number): number | undefined {
  let kcal = 0;
  let days = 0;
  for (const leg of legs) {
    kcal += leg.hikers[who]!.food.needKcal * (1 - hiker.food.shortfallFraction);
    days += leg.hikers[who]!.food.mealDays;
  }
  return days > 1 ? (kcal * hiker.food.proteinFraction) / KCAL_PER_G_PROTEIN / days / hiker.bodyKg : undefined;
}

/** Weeks of appetite catching up are short on purpose; what counts is what goes on after them. */
const AFTER_DAYS = 21;

/** What is left of the menu after the walking, per kilogram that is not fat: the mean of the legs after week three. */
function lastingAvailability(legs: readonly LegResult[], who: number): number | undefined {
  const begun = dayNumber(legs[0]!.startDate) ?? 0;
  let left = 0;
  let days = 0;
  for (const leg of legs) {
    const { food, energy, body } = leg.hikers[who]!;
    if ((dayNumber(leg.startDate) ?? 0) - begun < AFTER_DAYS || food.needKcal === 0) continue;
    const eatenKcal = energy.totalKcal * (food.menuKcal / food.needKcal);
    // Exercise counts without the rest that those hours would have cost anyway.
    const restPerHour = energy.restKcal / Math.max(1, 24 - energy.walkH);
    const exerciseKcal = Math.max(0, energy.walkKcal - restPerHour * energy.walkH);
    left += food.mealDays * energyAvailability(eatenKcal, exerciseKcal, body.bodyKg - body.fatKg);
    days += food.mealDays;
  }
  return days > 0 ? left / days : undefined;
}
