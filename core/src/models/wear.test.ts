import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { chanceWornOut, changesAt, gramsFor, lifeAtChanceKm } from "./wear.ts";

// Worked out apart from this code.
test.each([
  [800, 0, 400, 0.04131],
  [800, 400, 150, 0.1029],
  [800, 600, 150, 0.265],
  [600, 400, 200, 0.4182],
])("mean life %d km, worn %d, %d km to the next stop: %f", (mean, worn, more, chance) =>
  expect(chanceWornOut(mean, worn, more) / chance).toBeCloseTo(1, 3),
);

test.each([
  [800, 0.05, 420],
  [800, 0.1, 502.8],
  [800, 0.5, 805.3],
])("mean life %d km at %f: %f km", (mean, chance, km) => expect(lifeAtChanceKm(mean, chance)).toBeCloseTo(km, 0));

describe("where to change", () => {
  const stops = [180, 410, 640, 900, 1130, 1400, 1650, 1890, 2120];
  test.each([
    [800, 0.05, [410, 640, 900, 1130, 1400, 1650, 1890]],
    [800, 0.2, [410, 900, 1400, 1890]],
    [700, 0.1, [410, 640, 900, 1130, 1400, 1650, 1890]],
    [1000, 0.05, [410, 900, 1400, 1890]],
  ])("mean life %d km, %f a pair", (mean, chance, at) =>
    expect(changesAt(stops, 2300, lifeAtChanceKm(mean, chance)).map((i) => stops[i])).toEqual(at),
  );

  test("as few as any choice of stops that keeps the limit", () => {
    const gaps = fc.array(fc.integer({ min: 20, max: 300 }), { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(gaps, fc.integer({ min: 300, max: 900 }), fc.integer({ min: 0, max: 250 }), (list, limit, worn) => {
        let km = 0;
        const at = list.map((gap) => (km += gap));
        const end = km + 100;
        let fewest = Infinity;
        for (let set = 0; set < 1 << at.length; set++) {
          const chosen = at.filter((_, i) => set & (1 << i));
          const marks = [-worn, ...chosen, end];
          if (marks.every((mark, i) => i === 0 || mark - marks[i - 1]! <= limit))
            fewest = Math.min(fewest, chosen.length);
        }
        if (fewest === Infinity) return;
        expect(changesAt(at, end, limit, worn)).toHaveLength(fewest);
      }),
    );
  });

  test("where no stop is in time, the next one is taken; where none is left, none", () => {
    expect(changesAt([500, 1000], 1400, 300)).toEqual([0, 1]);
    expect(changesAt([], 5000, 300)).toEqual([]);
  });
});

test.each([
  [1.5, 30, 0.2, 59.8],
  [5, 7, 0.35, 55.15],
  [1, 30, 0.4, 49.74],
  [4, 7, 0.6, 55.63],
])("%f g a day for %d days, spread %f: %f g for 5 %%", (perDay, days, cv, grams) =>
  expect(gramsFor(perDay, days, cv, 1.645)).toBeCloseTo(grams, 1),
);
