/** Foods with their figures, mixes of them, and menus: what a day eats. */
import { z } from "zod";
import { BOUGHT_IN, EATEN, MEALS } from "./ids.ts";
import { amount, fraction, id, isoDate, label, name, stopId, whole } from "./values.ts";

const gramsPer100G = amount("g/100 g", 0, 100);

/** Figures are per 100 g of the food as it is packed; those of a mix are worked out from its parts. */
export const pantryFoodSchema = z.looseObject({
  id,
  name,
  energyKcal: amount("kcal/100 g", 0, 902).default(0),
  proteinG: gramsPer100G.default(0),
  fatG: gramsPer100G.default(0),
  carbohydrateG: gramsPer100G.default(0),
  fibreG: gramsPer100G.default(0),
  sodiumMg: amount("mg/100 g", 0, 40_000).default(0),
  bulkKgPerL: amount("kg/L", 0.02, 2).default(0.5),
  /** What one takes of it at once: the bag is filled in these. */
  portionG: amount("g", 1, 2000).default(50),
  /** What is in one pack of the shop's; sold by weight where missing. */
  packG: amount("g", 1, 20_000).optional(),
  price: amount("money/100 g", 0, 100_000).default(0),
  /** Water it is made with, litres for 100 g, and minutes of a running stove. */
  waterL: amount("L/100 g", 0, 20).default(0),
  minutes: amount("min", 0, 240).default(0),
  eaten: z.enum(EATEN).default("cold"),
  soakH: amount("h", 0, 48).default(0),
  /** Days it keeps at 20 °C once open. */
  keepsDays: amount("days", 0, 3650).default(365),
  /** Softens in the pack from this warmth on. */
  meltsC: amount("C", 0, 100).optional(),
  /** The meal it usually is. */
  meal: z.enum(MEALS).default("way"),
  boughtIn: z.enum(BOUGHT_IN).default("shop-full"),
  tags: z.array(label).max(12).default([]),
  source: label.default(""),
  /** Of a mix: what it is made of. */
  parts: z
    .array(z.looseObject({ id, foodId: id, massG: amount("g", 0, 20_000) }))
    .max(40)
    .default([]),
});

const menuItemSchema = z.looseObject({
  id,
  foodId: id,
  massG: amount("g", 0, 5000),
  /** Whether a day that needs more takes more of it. */
  grows: z.boolean().default(true),
});

export const menuSchema = z.looseObject({
  id,
  name,
  meals: z
    .looseObject(
      Object.fromEntries(MEALS.map((meal) => [meal, z.array(menuItemSchema).max(40).default([])])) as Record<
        (typeof MEALS)[number],
        z.ZodDefault<z.ZodArray<typeof menuItemSchema>>
      >,
    )
    .prefault({}),
});

/**
 * Which menu a hiker eats when: a day's own before a leg's, before that of a day without a flame, of a dry camp, of a
 * cold day, and the usual one at last.
 */
export const menuChoiceSchema = z.looseObject({
  /** One density for all food where missing. */
  defaultId: id.optional(),
  coldId: id.optional(),
  /** Mean of the day at or below which it is cold. */
  coldBelowC: amount("C", -60, 40).default(3),
  /** Where a fire ban forbids the hiker's stove on the day's way. */
  noFlameId: id.optional(),
  /** On days that end at a camp to which most of its water is carried. */
  dryCampId: id.optional(),
  legs: z
    .array(z.looseObject({ fromStopId: stopId, menuId: id }))
    .max(2000)
    .default([]),
  days: z
    .array(z.looseObject({ date: isoDate, menuId: id }))
    .max(2000)
    .default([]),
});

/** Limits within which a bag is filled. */
export const fillSchema = z.looseObject({
  least: z.enum(["mass", "money", "cooking"]).default("mass"),
  /** Grams of protein per kilogram of body and day. */
  proteinGPerKg: amount("g/kg", 0, 4).default(1.2),
  /** Share of the energy that may come from fat. */
  mostFatFraction: fraction(0.1, 1).default(0.5),
  /** What a body loses at rest, the adequate intake (National Academies 2019); sweat is given beside it. */
  sodiumMgADay: amount("mg/day", 0, 20_000).default(1500),
  /** Tags of what one does not eat. */
  without: z.array(label).max(20).default([]),
  /** Portions of one food a day. */
  mostOfOneADay: amount("", 0.1, 50).default(2),
  /** Kinds of dinner in five days, where there are so many. */
  dinnersInFive: whole("", 1, 5).default(3),
});

export type Food = z.infer<typeof pantryFoodSchema>;
export type Menu = z.infer<typeof menuSchema>;
export type MenuItem = z.infer<typeof menuItemSchema>;
export type MenuChoice = z.infer<typeof menuChoiceSchema>;
export type FillSettings = z.infer<typeof fillSchema>;
export type Meal = (typeof MEALS)[number];
