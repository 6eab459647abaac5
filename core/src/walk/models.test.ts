import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { pandolfSanteeW } from "./effort.ts";
import { loadSpeedFactor, slowdownPerKg, toblerMps } from "./pace.ts";
import { mifflinStJeorKcalPerDay } from "./resting.ts";
import { SURFACE_FACTORS, surfaceIndex } from "./surfaces.ts";
import { monthDayIndex, seasonHolds } from "./terrain.ts";

/** Relative tolerance for regression values of four significant figures. */
const FOUR_FIGURES = 5e-4;
const near = (got: number, want: number, tolerance = FOUR_FIGURES): void =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(tolerance * Math.abs(want));

describe("Tobler 1993", () => {
  test.each([
    [-0.3, 2.501],
    [-0.1, 5.037],
    [-0.05, 6],
    [0, 5.037],
    [0.1, 3.549],
    [0.3, 1.763],
  ])("grade %f: %f km/h", (grade, kmh) => near(toblerMps(grade) * 3.6, kmh));

  test("the grade is a fraction: percent would stop the walker", () => {
    expect(toblerMps(0.1)).toBeGreaterThan(0.9);
    expect(toblerMps(10)).toBeLessThan(1e-14);
  });

  test("10 km with 600 m up takes 2.449 h, with 600 m down 1.726 h", () => {
    near(10_000 / toblerMps(0.06) / 3600, 2.449);
    near(10_000 / toblerMps(-0.06) / 3600, 1.726);
  });

  test("up and down may not be averaged: ±12 % over 10 km is 2.576 h, not 1.985 h", () => {
    near(5000 / toblerMps(0.12) / 3600 + 5000 / toblerMps(-0.12) / 3600, 2.576);
    near(10_000 / toblerMps(0) / 3600, 1.985);
  });
});

describe("load and speed", () => {
  test("0.7 % per kg on the flat and downhill, 1 % from +10 %, never more than 45 %", () => {
    expect(slowdownPerKg(0)).toBeCloseTo(0.007, 9);
    expect(slowdownPerKg(-0.2)).toBeCloseTo(0.007, 9);
    expect(slowdownPerKg(0.05)).toBeCloseTo(0.0085, 9);
    expect(slowdownPerKg(0.25)).toBeCloseTo(0.01, 9);
    expect(loadSpeedFactor(10, 0)).toBeCloseTo(0.93, 9);
    expect(loadSpeedFactor(80, 0.2)).toBe(0.55);
  });

  test("more load is never faster", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (kg, more, grade) => loadSpeedFactor(kg + more, grade) <= loadSpeedFactor(kg, grade),
      ),
    );
  });
});

describe("Pandolf, Givoni & Goldman 1977", () => {
  test.each([
    [70, 0, 0, 0, 1.0, 105.0],
    [70, 0, 1.34, 0, 1.0, 293.5],
    [70, 20, 1.2, 0, 1.0, 314.1],
    [70, 20, 1.2, 10, 1.0, 692.1],
    [70, 20, 1.2, 0, 2.1, 527.9],
    [60, 30, 0.8, 15, 1.2, 692.3],
    [70, 10, 1.5, 20, 1.0, 1218],
    [70, 20, 0.8, 5, 1.0, 332.1],
  ])("%i + %i kg, %f m/s, %i %%, η %f: %f W", (body, load, speed, grade, eta, watts) =>
    near(pandolfSanteeW(body, load, speed, grade, eta), watts),
  );

  test("traps: grade in percent, load term squared, terrain factor on locomotion only", () => {
    near(pandolfSanteeW(70, 20, 1.2, 10, 1), 692.1);
    near(pandolfSanteeW(70, 20, 1.2, 0.1, 1), 317.9);
    // At 70 + 20 kg standing: 105 W and 14.69 W for the load; unsquared it would be 51.43 W.
    near(pandolfSanteeW(70, 20, 0, 0, 1), 105 + 14.69);
    expect(pandolfSanteeW(70, 20, 0, 0, 2.1)).toBeCloseTo(pandolfSanteeW(70, 20, 0, 0, 1), 9);
  });
});

describe("downhill correction, Santee and others 2003", () => {
  test.each([
    [70, 0, 1.2, -5, 206.6],
    [70, 0, 1.2, -10, 194.6],
    [70, 20, 1.2, -5, 257.1],
    [70, 20, 1.2, -10, 241.7],
    [70, 0, 0.8, -10, 127.8],
    [70, 10, 1.5, -5, 318.1],
    [70, 20, 0.8, -5, 159.9],
  ])("%i + %i kg, %f m/s, %i %%: %f W", (body, load, speed, grade, watts) =>
    near(pandolfSanteeW(body, load, speed, grade, 1), watts),
  );

  test("beyond −12 % the grade is clamped: the correction is extrapolation there", () => {
    expect(pandolfSanteeW(70, 20, 1.2, -30, 1)).toBe(pandolfSanteeW(70, 20, 1.2, -12, 1));
  });

  test("never below standing, and never a wrong sign (−63.91 W uncorrected, −369.5 W with the sign turned)", () => {
    const weight = fc.double({ min: 30, max: 150, noNaN: true });
    fc.assert(
      fc.property(
        weight,
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 2.2, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (body, load, speed, grade, eta) => {
          const standing = 1.5 * body + 2 * (body + load) * (load / body) ** 2;
          return pandolfSanteeW(body, load, speed, grade, eta) >= standing - 1e-9;
        },
      ),
    );
  });

  test("uphill, steeper never costs less", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 25, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (grade, more) => pandolfSanteeW(70, 15, 1.1, grade + more, 1.1) >= pandolfSanteeW(70, 15, 1.1, grade, 1.1),
      ),
    );
  });
});

describe("Mifflin, St Jeor and others 1990", () => {
  test.each([
    ["male", 70, 175, 30, 1649],
    ["female", 60, 165, 30, 1320],
    ["male", 85, 180, 62, 1670],
    ["female", 70, 160, 55, 1264],
    ["male", 62, 170, 22, 1578],
    ["female", 52, 158, 22, 1236],
  ] as const)("%s %i kg %i cm %i y: %i kcal", (sex, bodyKg, heightCm, ageY, kcal) => {
    expect(Math.abs(mifflinStJeorKcalPerDay({ sex, bodyKg, heightCm, ageY }) - kcal)).toBeLessThanOrEqual(0.8);
  });
});

describe("surfaces and seasons underfoot", () => {
  test("published terrain factors", () => {
    const eta = (id: string): number => SURFACE_FACTORS.find((row) => row.id === id)!.terrainFactor;
    expect([eta("road"), eta("trail"), eta("light-brush"), eta("heavy-brush"), eta("bog"), eta("sand")]).toEqual([
      1.0, 1.1, 1.2, 1.5, 1.8, 2.1,
    ]);
    // 1.30 + 0.082 per cm of footprint; tabulated 2.5 at 15 cm.
    expect(eta("soft-snow")).toBeCloseTo(2.94, 6);
  });

  test("an unnamed surface is plain trail", () => {
    expect(SURFACE_FACTORS[surfaceIndex(undefined)]!.id).toBe("trail");
  });

  test.each([
    ["10-01", "06-30", "2027-12-31", true],
    ["10-01", "06-30", "2027-06-30", true],
    ["10-01", "06-30", "2027-07-01", false],
    ["05-01", "05-31", "2027-05-31", true],
    ["05-01", "05-31", "2027-04-30", false],
  ])("season %s to %s on %s: %s", (from, to, iso, holds) => {
    expect(seasonHolds(monthDayIndex(from), monthDayIndex(to), monthDayIndex(iso.slice(5)))).toBe(holds);
  });
});
