/** What the supplies of a hiker depend on, and nothing else of them: not the name, nor the pack. */
import type { HikerSchools } from "../models/hiker.ts";
import type { FoodSettings, Hiker, StoveSettings, WaterSettings } from "../plan/schema.ts";

export type Body = Pick<Hiker, "bodyKg" | "heightCm" | "ageY" | "sex" | "bodyFatFraction">;

export interface HikerNeeds {
  body: Body;
  schools: HikerSchools;
  food: FoodSettings;
  water: WaterSettings;
  stove: StoveSettings;
}

export function bodyOf({ bodyKg, heightCm, ageY, sex, bodyFatFraction }: Hiker): Body {
  return { bodyKg, heightCm, ageY, sex, bodyFatFraction };
}

export function needsOf(hiker: Hiker, schools: HikerSchools, body: Body = bodyOf(hiker)): HikerNeeds {
  return { body, schools, food: hiker.food, water: hiker.water, stove: hiker.stove };
}

/** At rest for a whole day at a body mass that may have changed on the way, kcal. */
export function restingKcalPerDay({ body, schools }: Pick<HikerNeeds, "body" | "schools">, bodyKg: number): number {
  return schools.resting.energyKcalPerDay({ ...body, bodyKg });
}
