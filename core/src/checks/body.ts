/** What the menu does to the body over the trip: deficits, fat, energy left after walking, protein. Never medical advice. */
import {
  DEFICIT_KCAL,
  DENSEST_KCAL_PER_G,
  energyAvailability,
  ENERGY_AVAILABILITY,
  LEAST_FAT_FRACTION,
  PROTEIN_G_PER_KG,
} from "../models/nutrition.ts";
import type { Hiker } from "../plan/schema.ts";
import type { LegResult } from "../result/result.ts";
import { dayNumber } from "../units/day.ts";
import { defineCheck } from "./check.ts";

const KCAL_PER_G_PROTEIN = 4;

const deficitAddsUp = defineCheck({
  code: "deficit-adds-up",
  units: { have: "kcal", limit: "kcal", lost: "kg" },
  *find({ plan, result }) {
    for (const [who, hiker] of plan.hikers.entries()) {
      const { body, deficitKcal } = result.finish[who]!;
      if (deficitKcal <= DEFICIT_KCAL.felt) continue;
      const large = deficitKcal > DEFICIT_KCAL.large;
      yield {
        severity: large ? "caution" : "note",
        hikerId: hiker.id,
        have: deficitKcal,
        limit: large ? DEFICIT_KCAL.large : DEFICIT_KCAL.felt,
        lost: hiker.bodyKg - body.bodyKg,
      };
    }
  },
});

const fatTooLow = defineCheck({
  code: "fat-too-low",
  units: { have: "%", limit: "%" },
  *find({ plan, result }) {
    for (const [who, hiker] of plan.hikers.entries()) {
      const { body } = result.finish[who]!;
      const least = LEAST_FAT_FRACTION[hiker.sex];
      const fat = body.fatKg / body.bodyKg;
      if (fat < least) yield { severity: "blocker", hikerId: hiker.id, have: 100 * fat, limit: 100 * least };
    }
  },
});

const foodTooDense = defineCheck({
  code: "food-too-dense",
  units: { have: "kcal/g", limit: "kcal/g" },
  *find({ plan }) {
    for (const { id, food } of plan.hikers)
      if (food.densityKcalPerG > DENSEST_KCAL_PER_G)
        yield { severity: "caution", hikerId: id, have: food.densityKcalPerG, limit: DENSEST_KCAL_PER_G };
  },
});

const proteinLow = defineCheck({
  code: "protein-low",
  units: { have: "g/kg", limit: "g/kg" },
  *find({ plan, result }) {
    for (const [who, hiker] of plan.hikers.entries()) {
      const have = proteinPerKg(hiker, result.legs, who);
      if (have !== undefined && have < PROTEIN_G_PER_KG.endurance)
        yield { severity: "note", hikerId: hiker.id, have, limit: PROTEIN_G_PER_KG.endurance };
    }
  },
});

const lowAvailability = defineCheck({
  code: "energy-availability",
  units: { have: "kcal/kg", limit: "kcal/kg" },
  *find({ plan, result }) {
    for (const [who, hiker] of plan.hikers.entries()) {
      const have = lastingAvailability(result.legs, who);
      if (have !== undefined && have < ENERGY_AVAILABILITY.least)
        yield { severity: "caution", hikerId: hiker.id, have, limit: ENERGY_AVAILABILITY.least };
    }
  },
});

/** Grams a day and kilogram of body that the carried menu holds once appetite has come, over the whole trip. */
function proteinPerKg(hiker: Hiker, legs: readonly LegResult[], who: number): number | undefined {
  let grams = 0;
  let days = 0;
  for (const leg of legs) {
    const { needKcal, menuKcal, mealDays, proteinG } = leg.hikers[who]!.food;
    const whole = needKcal * (1 - hiker.food.shortfallFraction);
    const ofMenu = menuKcal > 0 ? (whole / menuKcal) * (proteinG ?? 0) : 0;
    grams += proteinG === undefined ? (whole * hiker.food.proteinFraction) / KCAL_PER_G_PROTEIN : ofMenu;
    days += mealDays;
  }
  return days > 1 ? grams / days / hiker.bodyKg : undefined;
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

export const bodyChecks = [deficitAddsUp, fatTooLow, foodTooDense, proteinLow, lowAvailability] as const;
