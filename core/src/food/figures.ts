/**
 * What some grams of a food, or of a mix of foods, bring: energy, mass, volume, nutrients, water, money. A mix is
 * the sum of its parts; it is cooked as its own row says.
 */
import type { Food } from "../plan/schema.ts";
import { foldFoods } from "./foldFoods.ts";

/** Sums over an amount of food. */
export interface FoodFigures {
  massG: number;
  energyKcal: number;
  proteinG: number;
  fatG: number;
  carbohydrateG: number;
  fibreG: number;
  sodiumMg: number;
  volumeL: number;
  price: number;
  /** Water it is made with, and what of it is boiled. */
  waterL: number;
  boiledL: number;
}

export const NO_FOOD: Readonly<FoodFigures> = {
  massG: 0,
  energyKcal: 0,
  proteinG: 0,
  fatG: 0,
  carbohydrateG: 0,
  fibreG: 0,
  sodiumMg: 0,
  volumeL: 0,
  price: 0,
  waterL: 0,
  boiledL: 0,
};

/** `a` and so many times `b`; field by field, since every day of every round of a plan adds up its meals. */
export function plusFood(a: FoodFigures, b: FoodFigures, times = 1): FoodFigures {
  return {
    massG: a.massG + times * b.massG,
    energyKcal: a.energyKcal + times * b.energyKcal,
    proteinG: a.proteinG + times * b.proteinG,
    fatG: a.fatG + times * b.fatG,
    carbohydrateG: a.carbohydrateG + times * b.carbohydrateG,
    fibreG: a.fibreG + times * b.fibreG,
    sodiumMg: a.sodiumMg + times * b.sodiumMg,
    volumeL: a.volumeL + times * b.volumeL,
    price: a.price + times * b.price,
    waterL: a.waterL + times * b.waterL,
    boiledL: a.boiledL + times * b.boiledL,
  };
}

/** Figures of one gram of every food of a pantry, by id. */
export type Pantry = ReadonlyMap<string, FoodFigures>;

export function buildPantry(foods: readonly Food[]): Pantry {
  return foldFoods<FoodFigures>(foods, single, (food, parts) => {
    let sum: FoodFigures = NO_FOOD;
    for (const [part, massG] of parts) sum = plusFood(sum, part, massG);
    const perGram = sum.massG > 0 ? plusFood(NO_FOOD, sum, 1 / sum.massG) : NO_FOOD;
    const waterL = food.waterL / 100;
    return { ...perGram, waterL, boiledL: food.eaten === "boiled" ? waterL : 0 };
  });
}

function single(food: Food): FoodFigures {
  const { energyKcal, proteinG, fatG, carbohydrateG, fibreG, sodiumMg, price, waterL } = food;
  const per100 = {
    massG: 100,
    energyKcal,
    proteinG,
    fatG,
    carbohydrateG,
    fibreG,
    sodiumMg,
    volumeL: 0.1 / food.bulkKgPerL,
    price,
    waterL,
    boiledL: food.eaten === "boiled" ? waterL : 0,
  };
  return plusFood(NO_FOOD, per100, 0.01);
}

/** Whether a mix is a part of itself, or of one of its parts. */
export function holdsItself({ id }: Food, foods: readonly Food[]): boolean {
  const rows = new Map(foods.map((food) => [food.id, food]));
  const seen = new Set<string>();
  const open = [id];
  while (open.length > 0)
    for (const { foodId } of rows.get(open.pop()!)?.parts ?? []) {
      if (foodId === id) return true;
      if (seen.has(foodId)) continue;
      seen.add(foodId);
      open.push(foodId);
    }
  return false;
}
