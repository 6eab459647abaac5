/** What the supplies of a hiker depend on, and nothing else of them: not the name, nor the pack. */
import type { MenuPlan } from "../food/menu.ts";
import type { HikerSchools } from "../models/hiker.ts";
import { stoveOwner } from "./stoves.ts";
import type { FoodSettings, Hiker, StoveSettings, WaterSettings } from "../plan/schema.ts";

export type Body = Pick<Hiker, "bodyKg" | "heightCm" | "ageY" | "sex" | "bodyFatFraction">;

export interface HikerNeeds {
  body: Body;
  schools: HikerSchools;
  food: FoodSettings;
  water: WaterSettings;
  stove: StoveSettings;
  /** Whose stove it is, by place in the party; undefined where it is the own one. */
  cooksOn: number | undefined;
  /** Without menus all food has the hiker's one density. */
  menus: MenuPlan | undefined;
  /** Own cost of walking as a multiple of the effort school's. */
  effortFactor: number;
  /** Breaks as a fraction of the walking hours. */
  breakFraction: number;
}

export function bodyOf({ bodyKg, heightCm, ageY, sex, bodyFatFraction }: Hiker): Body {
  return { bodyKg, heightCm, ageY, sex, bodyFatFraction };
}

/** What dinner and breakfast are made with is the menu's to say, where there is one. */
export function waterByMenu({ water, menus }: Pick<HikerNeeds, "water" | "menus">): WaterSettings {
  return menus ? { ...water, dinnerL: menus.dinnerL, breakfastL: menus.breakfastL } : water;
}

export function needsOf(
  hiker: Hiker,
  schools: HikerSchools,
  body: Body = bodyOf(hiker),
  water: WaterSettings = hiker.water,
  menus?: MenuPlan,
  party: readonly Hiker[] = [hiker],
): HikerNeeds {
  const { food, stove, pace } = hiker;
  return {
    body,
    schools,
    food,
    water,
    stove,
    menus,
    cooksOn: stoveOwner(party, hiker),
    effortFactor: pace.effortFactor,
    breakFraction: pace.breakFraction,
  };
}

/** At rest for a whole day at a body mass that may have changed along the trail, kcal. */
export function restingKcalPerDay({ body, schools }: Pick<HikerNeeds, "body" | "schools">, bodyKg: number): number {
  return schools.resting.energyKcalPerDay({ ...body, bodyKg });
}
