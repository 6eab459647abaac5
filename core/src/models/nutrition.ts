/** Food as energy and as protein, and how much water a dry meal takes up. */

/** kcal per gram: Merrill & Watt 1973, USDA Handbook 74. Fibre at 2 is the EU's rule (1169/2011). */
export const ATWATER = { protein: 4, carbohydrate: 4, fat: 9, alcohol: 7, fibre: 2 } as const;

export interface Macros {
  proteinG: number;
  /** With the fibre in it, as US tables count. */
  carbohydrateG: number;
  fibreG?: number;
  fatG: number;
  alcoholG?: number;
}

/** Energy by the general factors, kcal; nuts give 5 to 30 % less than this. */
export function atwaterKcal(macros: Macros, fibreAsCarbohydrate = false): number {
  const fibreG = macros.fibreG ?? 0;
  const sugarsG = fibreAsCarbohydrate ? macros.carbohydrateG : macros.carbohydrateG - fibreG;
  return (
    ATWATER.protein * macros.proteinG +
    ATWATER.carbohydrate * sugarsG +
    (fibreAsCarbohydrate ? 0 : ATWATER.fibre * fibreG) +
    ATWATER.fat * macros.fatG +
    ATWATER.alcohol * (macros.alcoholG ?? 0)
  );
}

/** g per kg of body and day: RDA 0.8; endurance 1.2 to 2.0 (ACSM, AND & DC 2016); in deficit 1.6 (Pasiakos 2013). */
export const PROTEIN_G_PER_KG = { least: 0.8, endurance: 1.2, deficit: 1.6, most: 2 } as const;

export function proteinG(bodyKg: number, gPerKg: number): number {
  return bodyKg * gPerKg;
}

/** kcal left per kg of fat-free mass and day after exercise. Below 30 hormones suffer (Loucks & Thuma 2003); 45 is well fed. */
export const ENERGY_AVAILABILITY = { least: 30, advised: 45 } as const;

export function energyAvailability(intakeKcal: number, exerciseKcal: number, fatFreeKg: number): number {
  return (intakeKcal - exerciseKcal) / fatFreeKg;
}

/** Deficits that add up: performance falls little below the first, plainly beyond the second (Murphy and others 2018). */
export const DEFICIT_KCAL = { felt: 19_000, large: 40_000 } as const;

/** Fat below which hormones and warmth fail (Friedl and others 1994 for men), with room to spare. */
export const LEAST_FAT_FRACTION = { male: 0.06, female: 0.14 } as const;

/** Denser than 5.5 kcal/g is no menu. */
export const DENSEST_KCAL_PER_G = 5.5;

/** Grams of water a gram of dry food takes up to reach a water fraction. */
export function rehydrationG(dryWaterFraction: number, targetWaterFraction: number): number {
  return Math.max(0, (1 - dryWaterFraction) / (1 - targetWaterFraction) - 1);
}
