/** The coldest of several nights against tables worked out independently. */
import { expect, test } from "vitest";
import { anyNightBelow, coldestOfNightsC } from "./coldNight.ts";

const alike = (nights: number) => Array.from({ length: nights }, () => ({ meanC: 0, sdK: 1 }));

test.each([
  [1, 1.282, 1.282],
  [3, 1.751, 1.683],
  [5, 1.968, 1.886],
  [7, 2.108, 2.022],
  [14, 2.383, 2.301],
])("%d nights: standard deviations below the mean at correlations 0.5 and 0.7", (nights, half, seven) => {
  expect(-coldestOfNightsC(alike(nights), 0.1, 0.5)).toBeCloseTo(half, 2);
  expect(-coldestOfNightsC(alike(nights), 0.1, 0.7)).toBeCloseTo(seven, 2);
});

test("the night of one in ten is passed on a third of legs of seven nights; camps may differ", () => {
  expect(Math.abs(anyNightBelow(-1.2816, alike(7)) - 0.348)).toBeLessThan(0.002);
  const camps = [4, 2, -1, 0, 3].map((meanC) => ({ meanC, sdK: 4 }));
  expect(Math.abs(anyNightBelow(-4, camps) - 0.3046)).toBeLessThan(0.002);
  expect(anyNightBelow(-4, [])).toBe(0);
  const apart = coldestOfNightsC(camps, 0.1, 0);
  expect(
    1 - camps.reduce((p, { meanC, sdK }) => p * (anyNightBelow(apart, [{ meanC, sdK }], 0) - 1) * -1, 1),
  ).toBeCloseTo(0.1, 3);
});
