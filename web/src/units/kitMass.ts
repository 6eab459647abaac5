/** Weights of gear as people's lists have them: in one unit throughout, or in pounds and ounces. */
import { KG_PER_LB, type Units } from "@gepack/core";
import { fixed, quantity } from "./quantity.ts";

export const KIT_UNITS = ["plan", "g", "kg", "oz", "lb-oz"] as const;
/** `plan` follows the trip: small weights in its small unit, sums in its large one. */
export type KitUnit = (typeof KIT_UNITS)[number];

const G_PER_OZ = (1000 * KG_PER_LB) / 16;
const OZ_PER_LB = 16;

/** `isSum` is a whole pack or a base weight, which the trip tells in its large unit. */
export function kitMass(grams: number, unit: KitUnit, units: Units, isSum = false): string {
  switch (unit) {
    case "plan":
      return isSum ? quantity("mass", grams / 1000, units) : quantity("smallMass", grams, units);
    case "g":
      return `${fixed(grams, 0)} g`;
    case "kg":
      return `${fixed(grams / 1000, 2)} kg`;
    case "oz":
      return `${fixed(grams / G_PER_OZ, 1)} oz`;
    case "lb-oz": {
      const tenths = Math.round((10 * grams) / G_PER_OZ);
      const pounds = Math.floor(tenths / (10 * OZ_PER_LB));
      const ounces = `${fixed(tenths / 10 - pounds * OZ_PER_LB, 1)} oz`;
      return pounds === 0 ? ounces : `${pounds} lb ${ounces}`;
    }
  }
}
