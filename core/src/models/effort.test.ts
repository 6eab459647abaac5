import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { EFFORT_GRID, FOUR_FIGURES, numbersOf, relative } from "../../test/published.ts";
import {
  acsmVo2,
  effort,
  J_PER_ML_OXYGEN,
  lcdaWPerKg,
  ludlowWeyandVo2,
  minettiJPerKgM,
  pandolfRawW,
  santeeCorrectionW,
} from "./effort.ts";

const near = (got: number, want: number, tolerance = FOUR_FIGURES): void =>
  expect(relative(got, want, 0.1), `${got}, wanted ${want}`).toBeLessThanOrEqual(tolerance);
const BODY_KG = 70;
const perKg = (vo2: number): number => (vo2 * J_PER_ML_OXYGEN) / 60;

describe("the published equations, side by side", () => {
  const corrected = (L: number, V: number, G: number): number =>
    pandolfRawW(BODY_KG, L, V, G, 1) - (G < 0 ? santeeCorrectionW(BODY_KG, L, V, G, 1) : 0);
  test.each(numbersOf(EFFORT_GRID))("%f kg, %f m/s, %f %%", (L, V, G, raw, santee, lcda, minetti, acsm, ludlow) => {
    const total = BODY_KG + L!;
    near(pandolfRawW(BODY_KG, L!, V!, G!, 1), raw!);
    near(corrected(L!, V!, G!), santee!);
    near(total * lcdaWPerKg(V!, G!), lcda!);
    near(total * V! * minettiJPerKgM(G! / 100) + 1.44 * BODY_KG, minetti!);
    if (G! >= 0) {
      near(total * perKg(acsmVo2(V! * 60, G! / 100)), acsm!);
      near(total * perKg(ludlowWeyandVo2(V!, G!)), ludlow!);
    }
  });

  test.each([
    [70, 0, 0, 0, 1, 105.0],
    [70, 0, 1.34, 0, 1, 293.5],
    [70, 20, 1.2, 0, 1, 314.1],
    [70, 20, 1.2, 10, 1, 692.1],
    [70, 20, 1.2, 0, 2.1, 527.9],
    [60, 30, 0.8, 15, 1.2, 692.3],
    [70, 20, 0.8, 0, 1.71, 267.4],
    [70, 20, 0.8, 0, 4.17, 480.0],
  ])("Pandolf: %f + %f kg, %f m/s, %f %%, η %f", (W, L, V, G, eta, watts) => near(pandolfRawW(W, L, V, G, eta), watts));

  test.each([
    [70, 0, 1.2, -5, -97.44],
    [70, 0, 1.2, -10, -232.4],
    [70, 20, 1.2, -20, -845.6],
    [60, 15, 0.8, -15, -334.0],
  ])("Santee's correction: %f + %f kg, %f m/s, %f %%", (W, L, V, G, watts) =>
    near(santeeCorrectionW(W, L, V, G, 1), watts),
  );

  test.each([
    [0, 0, 1.44],
    [1, 0, 3.62],
    [1.34, 0, 4.414],
    [1.2, 10, 7.82],
    [1.2, -10, 2.836],
    [0.8, -32, 3.301],
  ])("LCDA: %f m/s, %f %% is %f W/kg", (S, G, watts) => near(lcdaWPerKg(S, G), watts));

  test.each([
    [-0.45, 3.605],
    [-0.2, 1.087],
    [-0.1, 1.127],
    [0, 2.5],
    [0.1, 4.899],
    [0.45, 17.6],
  ])("Minetti: i %f is %f J/kg/m", (i, cost) => near(minettiJPerKgM(i), cost));

  test.each([
    [0.9, 0, 8.9, 8.935],
    [1.2, 5, 17.18, 15.85],
    [1.2, 10, 23.66, 21.09],
    [1.5, 20, 44.9, 41.91],
  ])("oxygen at %f m/s, %f %%", (V, G, acsm, ludlow) => {
    near(acsmVo2(V * 60, G / 100), acsm);
    near(ludlowWeyandVo2(V, G), ludlow);
  });
});

/** A school's power by figures in the order of the papers. */
const wattsOf =
  (id: string) =>
  (bodyKg: number, loadKg: number, speedMps: number, gradePercent: number, terrain: number): number =>
    effort.get(id).powerW({ bodyKg, loadKg, speedMps, gradePercent, terrain });

test("every school's own loop over the cells says what the school says of each", () => {
  const cell = fc.record({
    cellH: fc.double({ min: 0.01, max: 0.5, noNaN: true }),
    grade: fc.double({ min: -60, max: 60, noNaN: true }),
    load: fc.double({ min: 0, max: 90, noNaN: true }),
    surface: fc.integer({ min: 0, max: 2 }),
  });
  fc.assert(
    fc.property(
      fc.array(cell, { minLength: 2, maxLength: 30 }),
      fc.double({ min: 30, max: 200, noNaN: true }),
      (rows, W) => {
        const terrain = Float64Array.of(1, 1.5, 2.94);
        const gradePercent = Float64Array.from(rows, (row) => row.grade);
        const loadKg = Float64Array.from(rows, (row) => row.load);
        const cellH = Float64Array.from(rows, (row) => row.cellH);
        const surface = Uint8Array.from(rows, (row) => row.surface);
        for (const school of effort.all) {
          const slope = school.slope && gradePercent.map(school.slope);
          const into = new Float64Array(rows.length).fill(-1);
          school.fillW(
            into,
            { cellM: 100, cellH, gradePercent, surface, terrain, slope },
            1,
            rows.length,
            W,
            loadKg,
            0.7,
          );
          expect(into[0]).toBe(-1);
          for (let c = 1; c < rows.length; c++) {
            const speedMps = 100 / 3600 / cellH[c]!;
            const want = wattsOf(school.id)(W, loadKg[c]! + 0.7, speedMps, gradePercent[c]!, terrain[surface[c]!]!);
            expect(relative(into[c]!, want), `${school.id}, cell ${c}`).toBeLessThan(1e-9);
          }
        }
      },
    ),
  );
});

describe("traps", () => {
  const watts = wattsOf("pandolf-santee");

  test("the correction is taken off with the grade negative: 241.7 W, not −369.5, −66.9 or −63.9", () => {
    near(watts(70, 20, 1.2, -10, 1), 241.7);
    expect(santeeCorrectionW(70, 20, 1.2, -10, 1)).toBeLessThan(0);
    expect(pandolfRawW(70, 20, 1.2, -10, 1)).toBeLessThan(0);
  });

  test("the grade is in percent: as a fraction +10 % would be 317.9 W instead of 692.1", () => {
    near(watts(70, 20, 1.2, 10, 1), 692.1);
    near(watts(70, 20, 1.2, 0.1, 1), 317.9);
  });

  test("Minetti takes a fraction: his school turns our percent into one", () => {
    near(wattsOf("minetti")(70, 0, 1.2, 10, 1), 512.3);
    expect(minettiJPerKgM(-0.6)).toBeLessThan(0);
  });

  test("ACSM takes metres a minute: m/s would leave little but rest", () => {
    near(wattsOf("acsm")(70, 0, 1.2, 0, 1), 261.2);
    expect(perKg(acsmVo2(1.2, 0)) * 70).toBeLessThan(90);
  });

  test("the load term is squared, and η leaves standing alone", () => {
    near(watts(70, 20, 0, 0, 1) - watts(70, 0, 0, 0, 1), 14.69);
    expect(watts(70, 20, 0, 0, 2.1)).toBe(watts(70, 20, 0, 0, 1));
  });

  test("resting is inside: standing costs more than lying by Mifflin, so the two may not be added", () => {
    for (const school of effort.all) {
      const still = school.powerW({ bodyKg: 70, loadKg: 0, speedMps: 0, gradePercent: 0, terrain: 1 });
      expect(still, school.id).toBeGreaterThan((1649 * 4184) / 86_400);
    }
  });
});

describe("our use of them", () => {
  test.each([
    [0, 1, 349.1],
    [10, 1, 689.7],
    [-10, 1, 241.1],
    [0, 2.1, 606.1],
  ])("LCDA with 20 kg at %f %%, η %f", (G, eta, watts) => near(wattsOf("lcda")(70, 20, 1.2, G, eta), watts));

  const anything = {
    W: fc.double({ min: 30, max: 250, noNaN: true }),
    L: fc.double({ min: 0, max: 200, noNaN: true }),
    V: fc.double({ min: 0, max: 3, noNaN: true }),
    G: fc.double({ min: -300, max: 300, noNaN: true }),
    eta: fc.double({ min: 1, max: 5, noNaN: true }),
  };

  test("every school answers a finite power of at least standing for whatever it is asked", () => {
    fc.assert(
      fc.property(fc.record(anything), ({ W, L, V, G, eta }) => {
        for (const school of effort.all) {
          const power = wattsOf(school.id)(W, L, V, G, eta);
          const least =
            school.id === "acsm" || school.id === "ludlow-weyand" ? (W * 3.5 * J_PER_ML_OXYGEN) / 60 : 1.44 * W;
          if (!(power >= least - 1e-6) || !Number.isFinite(power)) throw new Error(`${school.id}: ${power} W`);
        }
      }),
      { numRuns: 2000 },
    );
  });

  test("uphill, more grade, more load and more speed never cost less", () => {
    fc.assert(
      fc.property(fc.record(anything), fc.double({ min: 0, max: 20, noNaN: true }), ({ W, L, V, G, eta }, more) => {
        const grade = Math.abs(G);
        for (const { id } of effort.all) {
          const watts = wattsOf(id);
          const here = watts(W, L, V, grade, eta) - 1e-6;
          if (watts(W, L, V, grade + more, eta) < here) throw new Error(`${id}: grade`);
          if (watts(W, L + more, V, grade, eta) < here) throw new Error(`${id}: load`);
          if (watts(W, L, V + more / 10, grade, eta) < here) throw new Error(`${id}: speed`);
        }
      }),
      { numRuns: 1000 },
    );
  });

  test("outside says which figure left its range, and the answer still comes", () => {
    const steep = { bodyKg: 70, loadKg: 10, speedMps: 1, gradePercent: -30, terrain: 1 };
    const school = effort.get("pandolf-santee");
    expect(school.outside(steep)).toEqual([{ quantity: "gradePercent", value: -30, low: -12, high: 25 }]);
    expect(school.powerW(steep)).toBe(school.powerW({ ...steep, gradePercent: -12 }));
    expect(school.outside({ ...steep, gradePercent: -5 })).toEqual([]);
  });
});
