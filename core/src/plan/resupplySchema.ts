/** What food costs and weighs by where it comes from, how the post runs, and what a search for stops weighs. */
import { z } from "zod";
import { postageSchema } from "./boxSchema.ts";
import { amount, fraction, label, whole } from "./values.ts";

/** Judgement [L]: a small shop is dear. Density is a multiple of the hiker's own, and nothing is assumed of it. */
const supplier = (priceOf1000Kcal: number) =>
  z
    .looseObject({
      densityFactor: fraction(0.3, 2).default(1),
      priceOf1000Kcal: amount("money", 0, 100_000).default(priceOf1000Kcal),
    })
    .prefault({});

export const resupplySchema = z.looseObject({
  /** What money is called. */
  money: label.default(""),
  smallShop: supplier(6),
  fullShop: supplier(4),
  /** Packed at home, or bought elsewhere and posted. */
  posted: supplier(4),
  parcelPrice: amount("money", 0, 100_000).default(10),
  /** By mass, ascending; beyond the last, and without any, a parcel costs `parcelPrice`. */
  postage: z.array(postageSchema).max(20).default([]),
  /** The heaviest parcel that the carrier takes [L]. */
  mostParcelKg: amount("kg", 0.1, 50).default(20),
  /** Chance of each further working day that a parcel is on its way, in two stages (science of post [L]). */
  transitQ: fraction(0, 0.95).default(0.35),
  lostFraction: fraction(0, 0.5).default(0.01),
  /** Where the search may go: days of food in the bag, and your comfort. */
  mostFoodDays: amount("days", 1, 30).default(8),
  withinComfort: z.boolean().default(false),
  withinPack: z.boolean().default(false),
  mostMoney: amount("money", 0, 10_000_000).optional(),
  /** What is worth a kilogram carried for a kilometre: a day, a unit of money, a stop (judgement [L]). */
  dayKgKm: amount("kg·km", 0, 10_000).default(60),
  moneyKgKm: amount("kg·km", 0, 10_000).default(1),
  stopKgKm: amount("kg·km", 0, 10_000).default(20),
  /** The longest wait for a shop or a counter that is closed, in nights. */
  mostWaitNights: whole("", 0, 7).default(2),
});

export type Resupply = z.infer<typeof resupplySchema>;
