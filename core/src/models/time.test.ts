import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { FOUR_FIGURES, relative } from "../../test/published.ts";
import { gradeOf, irmischerClarkeMps, swissMps, time, toblerMps, type Section, type Walker } from "./time.ts";

const near = (got: number, want: number, tolerance = FOUR_FIGURES): void =>
  expect(relative(got, want), `${got}, wanted ${want}`).toBeLessThanOrEqual(tolerance);

const flat: Section[] = [{ distanceM: 10_000, climbM: 0, descentM: 0 }];
const up: Section[] = [{ distanceM: 10_000, climbM: 600, descentM: 0 }];
const down: Section[] = [{ distanceM: 10_000, climbM: 0, descentM: 600 }];
const over: Section[] = [
  { distanceM: 6000, climbM: 900, descentM: 0 },
  { distanceM: 6000, climbM: 0, descentM: 900 },
];

/** Hours of a school for a row of sections. */
const hoursBy =
  (id: string) =>
  ({ sections, ...walker }: Walker & { sections: readonly Section[] }): number =>
    sections.reduce((hours, section) => hours + time.get(id).sectionH(section, walker), 0);

describe("hours without rests", () => {
  test.each([
    ["naismith", {}, 2, 3, 2, 3.9],
    ["aitken", { offPath: true }, 2.5, 3.5, 2.5, 4.5],
    ["langmuir", {}, 2, 3, 2, 3.4],
    ["tobler", {}, 1.985, 2.449, 1.726, 3.433],
    ["tobler", { offPath: true }, 3.309, 4.082, 2.877, 5.721],
    ["swiss-polynomial", {}, 2.379, 2.868, 2.213, 4.186],
    ["munter", {}, 1.667, 4, 2.667, 6.25],
    ["irmischer-clarke", {}, 2.534, 2.658, 2.504, 3.408],
    ["irmischer-clarke", { sex: "female" }, 2.667, 2.798, 2.636, 3.588],
    ["irmischer-clarke", { offPath: true }, 3.568, 3.671, 3.589, 4.764],
  ] as const)("%s %o", (id, walker, flatH, upH, downH, overH) => {
    const durationH = hoursBy(id);
    near(durationH({ ...walker, sections: flat }), flatH);
    near(durationH({ ...walker, sections: up }), upH);
    near(durationH({ ...walker, sections: down }), downH);
    near(durationH({ ...walker, sections: over }), overH);
  });

  test("DIN 33466, the whole mountain as one section as signs do", () => {
    const durationH = hoursBy("din33466");
    near(durationH({ sections: flat }), 2.5);
    near(durationH({ sections: up }), 3.5);
    near(durationH({ sections: down }), 3.1);
    near(durationH({ sections: [{ distanceM: 12_000, climbM: 900, descentM: 900 }] }), 6.3);
  });

  test.each([
    [-30, 2.501, 2.94, 1.956, 2.18],
    [-10, 5.037, 3.946, 2.724, 4.223],
    [-5, 6, 3.996, 2.796, 4.53],
    [0, 5.037, 3.946, 2.803, 4.204],
    [10, 3.549, 3.573, 2.623, 3],
    [30, 1.763, 2.219, 1.762, 1.23],
  ])("km/h on %i %%", (percent, tobler, onPath, offPath, swiss) => {
    near(3.6 * toblerMps(percent / 100), tobler);
    near(3.6 * irmischerClarkeMps(percent / 100, {}), onPath);
    near(3.6 * irmischerClarkeMps(percent / 100, { offPath: true }), offPath);
    near(3.6 * swissMps(percent / 100), swiss);
  });

  test("own pace takes one's own figures", () => {
    const durationH = hoursBy("own-pace");
    expect(durationH({ sections: up, ownFlatKmh: 5, ownClimbMPerH: 600 })).toBeCloseTo(3, 9);
    expect(durationH({ sections: up, ownFlatKmh: 2.5, ownClimbMPerH: 300 })).toBeCloseTo(6, 9);
  });
});

describe("traps", () => {
  test("the slope is a fraction: percent would stop the walker", () => {
    near(3.6 * toblerMps(10), 3.2e-15, 0.02);
    expect(3.6 * toblerMps(0.1)).toBeGreaterThan(3);
  });

  test("up and down may not be averaged: ±12 % over 10 km is 2.576 h by section, 1.985 h as if flat", () => {
    const half = (climbM: number, descentM: number): Section => ({ distanceM: 5000, climbM, descentM });
    const durationH = hoursBy("tobler");
    near(durationH({ sections: [half(600, 0), half(0, 600)] }), 2.576);
    near(durationH({ sections: [{ distanceM: 10_000, climbM: 600, descentM: 600 }] }), 1.985);
  });

  test("Langmuir's limits are degrees: 6 % is 3.4° and saves nothing, 15 % is 8.5° and does, 25 % costs", () => {
    const durationH = hoursBy("langmuir");
    const drop = (descentM: number): number =>
      durationH({ sections: [{ distanceM: 6000, climbM: 0, descentM }] }) - 1.2;
    expect(drop(360)).toBe(0);
    expect(drop(900)).toBeCloseTo(-0.5, 9);
    expect(drop(1500)).toBeCloseTo(5 / 6, 9);
  });

  test("Irmischer & Clarke is in m/s, and slopes are judged outside beyond 40 %", () => {
    expect(irmischerClarkeMps(-0.05, {})).toBeCloseTo(1.11, 9);
    const steep = { gradeFraction: gradeOf({ distanceM: 100, climbM: 50, descentM: 0 }) };
    expect(
      time
        .get("irmischer-clarke")
        .outside(steep)
        .map((reason) => reason.quantity),
    ).toEqual(["gradeFraction"]);
    expect(time.get("tobler").outside(steep)).toEqual([]);
  });
});

test("every school gives a positive finite time for any section, and more distance takes no less", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 10, max: 30_000, noNaN: true }),
      fc.double({ min: 0, max: 3000, noNaN: true }),
      fc.double({ min: 0, max: 3000, noNaN: true }),
      (distanceM, climbM, descentM) => {
        for (const school of time.all) {
          const hours = hoursBy(school.id)({ sections: [{ distanceM, climbM, descentM }] });
          if (!(hours > 0) || !Number.isFinite(hours)) throw new Error(`${school.id}: ${hours} h`);
          if (school.kind === "slope-law") {
            const grade = climbM / distanceM;
            const more = hoursBy(school.id)({
              sections: [{ distanceM: 2 * distanceM, climbM: 2 * grade * distanceM, descentM: 0 }],
            });
            const once = hoursBy(school.id)({ sections: [{ distanceM, climbM, descentM: 0 }] });
            expect(more / once).toBeCloseTo(2, 9);
          }
        }
      },
    ),
    { numRuns: 1000 },
  );
});
