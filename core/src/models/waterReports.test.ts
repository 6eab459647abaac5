import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { allDry, reportedChance, TAU_DAYS, type Report } from "./waterReports.ts";

const flowing = (day: number): Report => ({ day, said: "flowing" });
const trickle = (day: number): Report => ({ day, said: "trickle" });
const dry = (day: number): Report => ({ day, said: "dry" });

describe("chance of water after reports", () => {
  // Worked out apart: chance at the report, reports, chance of the month now, day now, tau days, posterior.
  test.each([
    [0.7, [flowing(0)], 0.7, 1, 25, 0.9708],
    [0.7, [flowing(0)], 0.7, 20, 25, 0.8267],
    [0.7, [dry(0)], 0.7, 5, 25, 0.2173],
    [0.7, [dry(0)], 0.5, 20, 25, 0.2351],
    [0.7, [dry(0), flowing(3)], 0.7, 5, 25, 0.8232],
    // A trickle fades twice as fast: a tau of 25 is one of 12.5.
    [0.4, [trickle(0)], 0.3, 6, 25, 0.5785],
    [0.9, [dry(0)], 0.9, 2, 8, 0.4512],
  ])("%d, %o, now %d on day %d: tau %d gives %d", (then, reports, now, day, tauDays, chance) => {
    const prior = (at: number): number => (at < day ? then : now);
    expect(reportedChance({ prior, reports, day, tauDays })).toBeCloseTo(chance, 4);
  });

  const anyReport = fc.record({
    day: fc.integer({ min: -400, max: 0 }),
    said: fc.constantFrom("flowing" as const, "trickle" as const, "dry" as const),
  });
  const anyReports = fc.array(anyReport, { maxLength: 6 }).map((rows) => [...rows].sort((a, b) => a.day - b.day));

  test("a chance whatever was said, back to the month's when it is old, and never raised by “dry”", () => {
    fc.assert(
      fc.property(
        anyReports,
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        fc.constantFrom(...Object.values(TAU_DAYS)),
        fc.integer({ min: 0, max: 60 }),
        (reports, month, tauDays, day) => {
          const of = (rows: readonly Report[]): number =>
            reportedChance({ prior: () => month, reports: rows, day, tauDays });
          const chance = of(reports);
          expect(chance).toBeGreaterThanOrEqual(0);
          expect(chance).toBeLessThanOrEqual(1);
          expect(of([])).toBeCloseTo(month, 12);
          expect(of([...reports, dry(0)])).toBeLessThanOrEqual(chance + 1e-12);
          expect(of([...reports, flowing(0)])).toBeGreaterThanOrEqual(chance - 1e-12);
        },
      ),
    );
  });

  test("what was seen last year counts into the month: four years of it, and one that was wet", () => {
    expect(reportedChance({ prior: () => 0.5, reports: [flowing(-365)], day: 0, tauDays: 25 })).toBeCloseTo(0.6, 12);
    expect(reportedChance({ prior: () => 0.5, reports: [dry(-365)], day: 0, tauDays: 25 })).toBeCloseTo(0.4, 12);
  });
});

// Worked out apart: chances of the next sources, and that all of them are dry.
test.each([
  [[0.95, 0.9], 0.0185],
  [[0.8, 0.8], 0.088],
  [[0.6, 0.7, 0.9], 0.0384],
  [[0.5, 0.5, 0.95], 0.02375],
  [[0.95], 0.05],
  [[1, 0.2], 0],
])("all of %o are dry: %d", (chances, both) => expect(allDry(chances)).toBeCloseTo(both, 10));
