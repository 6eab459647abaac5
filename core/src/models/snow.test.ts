/** Snow by degree days against tables worked out independently, and against what must hold of any snow. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { climateAt, dayOf, DAYS } from "../../test/snowStation.ts";
import {
  degreeDayFactor,
  firmAfterSunriseH,
  positiveDegrees,
  snowDepthM,
  SNOW_YEARS,
  snowYear,
  solidFraction,
  tabledLaws,
  YEAR_DAYS,
} from "./snow.ts";

const peakOf = (water: Float32Array): number => DAYS.reduce((a, b) => (water[b]! > water[a]! ? b : a));
/** First day below the share after the peak. */
function meltOut(heightM: number, factor: number, below = 0.1): number {
  const { cover, waterMm } = snowYear(climateAt(heightM), factor);
  const peak = peakOf(waterMm);
  for (let i = 1; i < YEAR_DAYS; i++) if (cover[(peak + i) % YEAR_DAYS]! < below) return (peak + i) % YEAR_DAYS;
  return -1;
}

test.each([
  [-8, 0.06792, 0.9746, 0.1827, 0.3337],
  [-3, 0.68, 0.8072, 1.829, 3.341],
  [0, 1.795, 0.5859, 4.828, 8.819],
  [3, 3.68, 0.3322, 9.897, 18.08],
  [8, 8.068, 0.06444, 21.7, 39.63],
])("at a mean of %d °C: positive degrees, solid share, melt in March and June", (mean, degrees, solid, march, june) => {
  expect(positiveDegrees(mean, 4.5)).toBeCloseTo(degrees, 2);
  expect(solidFraction(mean, 4.5)).toBeCloseTo(solid, 3);
  expect(degreeDayFactor(dayOf(3, 1), false) * positiveDegrees(mean, 4.5)).toBeCloseTo(march, 1);
  expect(degreeDayFactor(dayOf(6, 1), false) * positiveDegrees(mean, 4.5)).toBeCloseTo(june, 1);
});

test.each([
  [1500, 73, [2, 12], [3, 7], [3, 25], [4, 8]],
  [2000, 281, [3, 2], [4, 16], [5, 2], [5, 15]],
  [2500, 520, [3, 22], [5, 15], [5, 30], [6, 13]],
  [3000, 759, [4, 10], [6, 9], [6, 25], [7, 10]],
  [3500, 985, [4, 27], [7, 1], [7, 19], [8, 11]],
] as const)(
  "at %d m: most water, its day, and melt-out in a low, usual and high year",
  (heightM, water, peak, low, usual, high) => {
    const year = snowYear(climateAt(heightM), 1);
    const top = peakOf(year.waterMm);
    expect(Math.abs(year.waterMm[top]! - water)).toBeLessThanOrEqual(1.5);
    expect(Math.abs(top - dayOf(peak[0], peak[1]))).toBeLessThanOrEqual(1);
    for (const [word, [month, day]] of [
      ["low", low],
      ["usual", usual],
      ["high", high],
    ] as const)
      expect(Math.abs(meltOut(heightM, SNOW_YEARS[word]) - dayOf(month, day))).toBeLessThanOrEqual(1);
  },
);

test.each([
  [2500, "usual", [0.79, 0.08, 0.01, 0]],
  [3000, "low", [0.97, 0.24, 0.04, 0]],
  [3000, "usual", [1, 0.63, 0.25, 0.04]],
  [3000, "high", [1, 0.88, 0.56, 0.2]],
] as const)("cover at %d m in a %s year on 1 May, 1 June, 15 June, 1 July", (heightM, word, covers) => {
  const { cover } = snowYear(climateAt(heightM), SNOW_YEARS[word]);
  const days = [dayOf(5, 1), dayOf(6, 1), dayOf(6, 15), dayOf(7, 1)];
  for (const [i, day] of days.entries()) expect(Math.abs(cover[day]! - covers[i]!)).toBeLessThan(0.012);
});

test("depth, crust and footprints", () => {
  expect(snowDepthM(600, dayOf(4, 1), false)).toBeCloseTo(1.437, 2);
  expect(snowDepthM(600, (dayOf(4, 1) + 183) % YEAR_DAYS, true)).toBeCloseTo(1.437, 2);
  // −6, −1, +1 °C under few clouds, +1 under many, −3 under all: capped at five hours.
  expect([firmAfterSunriseH(-6, 0.2), firmAfterSunriseH(-1, 0.2), firmAfterSunriseH(1, 0.2)]).toEqual([5, 3.2, 2.2]);
  expect([firmAfterSunriseH(1, 0.9), firmAfterSunriseH(-3, 1)]).toEqual([0, 3]);
});

test("laws from tables are the laws, to a few ten-thousandths, at every spread", () => {
  for (const sdK of [0, 0.3, 0.5, 1, 3, 4.5, 8]) {
    const { positive, solid } = tabledLaws(sdK);
    for (let meanC = -40; meanC <= 45; meanC += 0.173) {
      expect(Math.abs(positive(meanC) - positiveDegrees(meanC, sdK))).toBeLessThan(5e-4);
      expect(Math.abs(solid(meanC) - solidFraction(meanC, sdK))).toBeLessThan(2e-4);
    }
  }
});

describe("what holds of any snow", () => {
  const heights = fc.integer({ min: 500, max: 4500 });
  const EARLY = 0.01;
  const factors = fc.constantFrom(0.6, 1, 1.5);

  test("warmer never means more, a higher place never less, a higher fall never less", () => {
    fc.assert(
      fc.property(heights, factors, fc.double({ min: 0.1, max: 4, noNaN: true }), (heightM, factor, warmerK) => {
        const now = snowYear(climateAt(heightM), factor);
        const warm = snowYear(climateAt(heightM, { warmerK }), factor);
        const higher = snowYear(climateAt(heightM + 100), factor);
        const more = snowYear(climateAt(heightM), factor * 1.2);
        // From midwinter on, and up to what an early cover leaves: where it stays, its melting is remembered as well.
        for (let day = 0; day < 244; day++) {
          expect(warm.cover[day]!).toBeLessThanOrEqual(now.cover[day]! + EARLY);
          expect(higher.cover[day]!).toBeGreaterThanOrEqual(now.cover[day]! - EARLY);
          expect(more.cover[day]!).toBeGreaterThanOrEqual(now.cover[day]! - EARLY);
          expect(warm.waterMm[day]!).toBeLessThanOrEqual(now.waterMm[day]! + 100 * EARLY);
        }
      }),
      { numRuns: runs(60), endOnFailure: true },
    );
  });

  test("after its peak it never grows in spring; the south is the north half a year later", () => {
    fc.assert(
      fc.property(heights, factors, (heightM, factor) => {
        const { waterMm, cover } = snowYear(climateAt(heightM), factor);
        const peak = Math.max(dayOf(5, 1), peakOf(waterMm));
        for (let day = peak + 1; day < 240; day++)
          if (waterMm[peak]! > 0) expect(waterMm[day]!).toBeLessThanOrEqual(waterMm[day - 1]! + 1e-3);
        const south = snowYear(climateAt(heightM, { south: true }), factor);
        for (let day = 0; day < YEAR_DAYS; day += 7)
          // Months of 30 and 31 days change places.
          expect(Math.abs(south.cover[(day + 183) % YEAR_DAYS]! - cover[day]!)).toBeLessThan(0.12);
      }),
      { numRuns: runs(60), endOnFailure: true },
    );
  });
});
