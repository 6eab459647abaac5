import fc from "fast-check";
import { expect, test } from "vitest";
import { simulatedScale, trueGrams } from "./simulatedScale.ts";

test("the same piece weighs the same, a little off what is told, and another is off otherwise", () => {
  const fleece = trueGrams({ name: "Fleece", listedG: 250 });
  expect(trueGrams({ name: "Fleece", listedG: 250 })).toBe(fleece);
  expect(trueGrams({ name: "Pot", listedG: 250 })).not.toBe(fleece);
});

test("it swings, settles near the truth, and drifts on by grams a minute at most", () => {
  const at = (elapsedMs: number) => simulatedScale({ name: "Fleece", listedG: 250, elapsedMs });
  expect(at(0)).toEqual({ simulated: true, grams: 0, settled: false });
  expect(new Set([100, 300, 500, 700].map((ms) => at(ms).grams)).size).toBe(4);
  expect(at(2500).settled).toBe(true);
  expect(Math.abs(at(2500).grams - trueGrams({ name: "Fleece", listedG: 250 }))).toBeLessThanOrEqual(1);
  expect(at(62_500).grams - at(2500).grams).toBeGreaterThanOrEqual(1);
});

test("whatever is on it, it shows no less than nothing and settles in four seconds", () => {
  fc.assert(
    fc.property(
      fc.string(),
      fc.double({ min: 0, max: 50_000, noNaN: true }),
      fc.nat(4000),
      (name, listedG, elapsedMs) => {
        const reading = simulatedScale({ name, listedG, elapsedMs });
        expect(reading.grams).toBeGreaterThanOrEqual(0);
        expect(Number.isInteger(reading.grams)).toBe(true);
        expect(simulatedScale({ name, listedG, elapsedMs: 4000 }).settled).toBe(true);
        expect(trueGrams({ name, listedG })).toBeGreaterThanOrEqual(listedG * 0.979);
        expect(trueGrams({ name, listedG })).toBeLessThanOrEqual(listedG * 1.071);
      },
    ),
  );
});
