import { unitsSchema } from "@gepack/core";
import { expect, test } from "vitest";
import { kitMass, type KitUnit } from "./kitMass.ts";

const metric = unitsSchema.parse({});
const imperial = unitsSchema.parse({ mass: "lb", smallMass: "oz" });

test.each<[KitUnit, number, string]>([
  ["g", 1352, "1,352 g"],
  ["kg", 1352, "1.35 kg"],
  ["oz", 1352, "47.7 oz"],
  ["lb-oz", 1352, "2 lb 15.7 oz"],
  ["lb-oz", 100, "3.5 oz"],
  // Never sixteen ounces beside pounds.
  ["lb-oz", 453.5, "1 lb 0.0 oz"],
  ["plan", 1352, "1,352 g"],
])("in %s, %d g are %s", (unit, grams, words) => {
  expect(kitMass(grams, unit, metric)).toBe(words);
});

test("as the trip has it, sums are in its large unit", () => {
  expect(kitMass(7800, "plan", metric, true)).toBe("7.8 kg");
  expect(kitMass(7800, "plan", imperial, true)).toBe("17.2 lb");
  expect(kitMass(73, "plan", imperial)).toBe("2.6 oz");
});
