/** Wet days against tables worked out independently, and against every sequence of days there is. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { wetDays, wetOrNone } from "./rain.ts";

test.each([
  [5, 0.2, 0, 1, 0.3277, 0.05792, 0.831, 0.0208],
  [5, 0.2, 0.25, 1, 0.4176, 0.1044, 0.8995, 0.0704],
  [7, 0.4, 0.25, 2.8, 0.07059, 0.5512, 2.162, 0.3339],
  [7, 0.4, 0.5, 2.8, 0.1573, 0.5223, 2.455, 0.4254],
  [30, 0.3, 0.25, 9, 0.0004314, 0.9882, 3.423, 0.6966],
])("%d days at %d with persistence %d", (days, p, r, mean, none, three, longest, spell) => {
  const wet = wetDays(Array<number>(days).fill(p), r);
  expect(wet.mean).toBeCloseTo(mean, 9);
  expect(wet.noneChance).toBeCloseTo(none, 4);
  expect(wet.atLeast[3]).toBeCloseTo(three, 4);
  expect(wet.longestMean).toBeCloseTo(longest, 3);
  expect(wet.spellAtLeast[3]).toBeCloseTo(spell, 4);
});

test("chances that change from day to day: as adding up every sequence says", () => {
  const chances = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(chances, fc.double({ min: 0, max: 0.9, noNaN: true }), (chance, r) => {
      let mean = 0;
      let longestMean = 0;
      for (let bits = 0; bits < 2 ** chance.length; bits++) {
        let mass = 1;
        let run = 0;
        let longest = 0;
        let count = 0;
        for (const [i, p] of chance.entries()) {
          const wet = (bits >> i) & 1;
          const before = i > 0 && (bits >> (i - 1)) & 1;
          const wetChance = i === 0 ? p : before ? r + p * (1 - r) : p * (1 - r);
          mass *= wet ? wetChance : 1 - wetChance;
          run = wet ? run + 1 : 0;
          count += wet;
          longest = Math.max(longest, run);
        }
        mean += mass * count;
        longestMean += mass * longest;
      }
      const got = wetDays(chance, r);
      expect(got.mean).toBeCloseTo(mean, 9);
      expect(got.longestMean).toBeCloseTo(longestMean, 9);
      expect(got.atLeast[0]).toBeCloseTo(1, 9);
    }),
    { numRuns: runs(100), endOnFailure: true },
  );
});

test("in one pass the mean and the chance of none are those of the whole", () => {
  const chances = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 12 });
  fc.assert(
    fc.property(chances, fc.double({ min: 0, max: 0.9, noNaN: true }), (list, persistence) => {
      const whole = wetDays(list, persistence);
      const { mean, noneChance } = wetOrNone(list, persistence);
      expect(mean).toBeCloseTo(whole.mean, 9);
      expect(noneChance).toBeCloseTo(whole.noneChance, 9);
    }),
  );
});
