/** Resting metabolism, body mass, food. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { FOODS, FOUR_FIGURES, relative, rowsOf } from "../../test/published.ts";
import {
  bodyMass,
  forbesFatKg,
  kcalPerKgLost,
  lambertW,
  leanFractionOfEnergy,
  leanFractionOfMass,
  type MassState,
} from "./bodyMass.ts";
import { atwaterKcal, energyAvailability, proteinG, rehydrationG } from "./nutrition.ts";
import { estimatedFatFraction, resting } from "./resting.ts";

const near = (got: number, want: number, tolerance = FOUR_FIGURES): void =>
  expect(relative(got, want), `${got}, wanted ${want}`).toBeLessThanOrEqual(tolerance);

describe("resting metabolism, kcal a day", () => {
  const ids = [
    "mifflin-st-jeor",
    "harris-benedict-1919",
    "harris-benedict-1984",
    "cunningham-1980",
    "katch-mcardle",
    "oxford-2005",
  ];
  test.each([
    ["male", 70, 175, 30, 15, [1649, 1702, 1696, 1809, 1655, 1587]],
    ["female", 60, 165, 30, 25, [1320, 1394, 1384, 1490, 1342, 1278]],
    ["male", 85, 180, 62, 25, [1670, 1717, 1739, 1902, 1747, 1662]],
    ["female", 70, 160, 55, 35, [1264, 1363, 1352, 1501, 1353, 1376]],
    ["male", 62, 170, 22, 10, [1578, 1621, 1610, 1728, 1575, 1537]],
    ["female", 52, 158, 22, 18, [1236, 1342, 1323, 1438, 1291, 1239]],
  ] as const)("%s, %i kg, %i cm, %i y, %i %% fat", (sex, bodyKg, heightCm, ageY, fat, kcal) => {
    for (const [i, id] of ids.entries())
      near(
        resting.get(id).energyKcalPerDay({ sex, bodyKg, heightCm, ageY, bodyFatFraction: fat / 100 }),
        kcal[i]!,
        6e-4,
      );
  });

  test("Oxford's bands: a birthday counts, at 30 and at 60", () => {
    const man = { sex: "male", bodyKg: 70, heightCm: 175 } as const;
    const at = (ageY: number): number => resting.get("oxford-2005").energyKcalPerDay({ ...man, ageY });
    expect([29, 30, 59, 60].map(at)).toEqual([1665, 1587, 1587, 1459]);
  });

  test("height is in centimetres: metres would give 835 kcal by the 1919 equation", () => {
    const man = { sex: "male", bodyKg: 70, heightCm: 175, ageY: 30 } as const;
    near(resting.get("harris-benedict-1919").energyKcalPerDay({ ...man, heightCm: 1.75 }), 835.2);
    expect(resting.get("harris-benedict-1919").energyKcalPerDay(man)).toBeGreaterThan(1700);
  });

  test("the 1919 and 1984 figures are not mixed: they differ by some kcal for everybody", () => {
    const man = { sex: "male", bodyKg: 70, heightCm: 175, ageY: 30 } as const;
    near(
      resting.get("harris-benedict-1919").energyKcalPerDay(man) -
        resting.get("harris-benedict-1984").energyKcalPerDay(man),
      6,
      0.3,
    );
  });

  test("an unknown id says which there are", () => {
    expect(() => resting.get("mifflin")).toThrow(/Unknown resting model "mifflin".*katch-mcardle/);
    expect(resting.find("from-the-future")).toBeUndefined();
  });

  test("fat estimated from build: a lean man of 22.9 kg/m² about 18 %, and always within the held range", () => {
    near(estimatedFatFraction({ sex: "male", bodyKg: 70, heightCm: 175, ageY: 30 }), 0.1813, 0.01);
    expect(estimatedFatFraction({ sex: "female", bodyKg: 250, heightCm: 100, ageY: 90 })).toBe(0.55);
  });
});

describe("body mass", () => {
  test.each([
    [5, 0.6753, 0.2862, 4294],
    [8, 0.5652, 0.2004, 5133],
    [12, 0.4643, 0.1432, 5902],
    [16, 0.3939, 0.1114, 6438],
    [25, 0.2938, 0.07425, 7201],
    [40, 0.2063, 0.04773, 7868],
  ])("Forbes at %f kg of fat", (fatKg, mass, energy, kcal) => {
    near(leanFractionOfMass(fatKg), mass);
    near(leanFractionOfEnergy(fatKg), energy);
    near(kcalPerKgLost(fatKg), kcal);
  });

  test.each([
    [10, -5, 7.708],
    [16, -5, 13.09],
    [16, -10, 10.44],
    [25, -10, 18.26],
    [20, 5, 23.38],
  ])("fat after a large change: %f kg, %f kg", (fatKg, change, end) => near(forbesFatKg(fatKg, change), end));

  test("Lambert's W undoes w·eʷ", () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 300, noNaN: true }), (w) => {
        expect(Math.abs(lambertW(w * Math.exp(w)) - w)).toBeLessThan(1e-9 * (1 + w));
      }),
    );
  });

  // 120 days; Cunningham 1991 at rest, other cost in proportion to mass or fixed.
  const walked = (start: MassState, tee: number, intake: number, falls: boolean): MassState => {
    const rest = (state: MassState): number => 370 + 21.6 * (state.bodyKg - state.fatKg);
    const other = tee - rest(start);
    let state = start;
    for (let day = 0; day < 120; day++) {
      const expenditure = falls ? rest(state) + (other * state.bodyKg) / start.bodyKg : tee;
      state = bodyMass.get("forbes-dynamic").step(state, intake - expenditure);
    }
    return state;
  };
  test.each([
    [80, 16, 4500, 3500, 15.58, 21.72, 13.59],
    [80, 16, 4500, 4000, 7.792, 9.894, 6.59],
    [60, 15, 3500, 2900, 9.351, 12.38, 7.931],
    [95, 28, 4800, 3500, 20.26, 22.94, 16.5],
    [68, 8, 4300, 3600, 10.91, 20.75, 10.13],
  ])("120 days of %f kg with %f kg fat, %f kcal out, %f in", (bodyKg, fatKg, tee, intake, rule, fixed, falling) => {
    const start = { bodyKg, fatKg };
    let byRule: MassState = start;
    for (let day = 0; day < 120; day++) byRule = bodyMass.get("rule-7700").step(byRule, intake - tee);
    near(bodyKg - byRule.bodyKg, rule, 1e-3);
    // A day is our step; the reference integrates more finely.
    near(bodyKg - walked(start, tee, intake, false).bodyKg, fixed, 0.02);
    near(bodyKg - walked(start, tee, intake, true).bodyKg, falling, 0.01);
  });

  test("the energy lost is the tissue lost", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 45, max: 120, noNaN: true }),
        fc.double({ min: 0.1, max: 0.4, noNaN: true }),
        fc.double({ min: -3000, max: 3000, noNaN: true }),
        (bodyKg, fat, balance) => {
          const start = { bodyKg, fatKg: bodyKg * fat };
          const end = bodyMass.get("forbes-dynamic").step(start, balance);
          const fatKcal = 9440 * (end.fatKg - start.fatKg);
          const leanKcal = 1820 * (end.bodyKg - end.fatKg - (start.bodyKg - start.fatKg));
          expect(Math.abs(fatKcal + leanKcal - balance)).toBeLessThan(1e-6);
        },
      ),
    );
  });
});

describe("food", () => {
  test.each(rowsOf(FOODS))("%s", (...cells: string[]) => {
    const [protein, carbohydrate, fibre, fat, plain, withFibre] = cells.slice(0, 6).map(Number);
    const macros = { proteinG: protein!, carbohydrateG: carbohydrate!, fibreG: fibre!, fatG: fat! };
    near(atwaterKcal(macros, true) / 100, plain!, 2e-3);
    near(atwaterKcal(macros) / 100, withFibre!, 2e-3);
  });

  test("protein, energy availability and the water a meal takes up", () => {
    expect(proteinG(85, 1.6)).toBeCloseTo(136, 9);
    near(energyAvailability(1785, 0, 59.5), 30);
    for (const [dry, wet, grams] of [
      [0.05, 0.6, 1.375],
      [0.05, 0.7, 2.167],
      [0.05, 0.75, 2.8],
      [0.08, 0.7, 2.067],
      [0.1, 0.65, 1.571],
      [0.03, 0.8, 3.85],
    ] as const)
      near(rehydrationG(dry, wet), grams);
    expect(rehydrationG(0.8, 0.5)).toBe(0);
  });
});
