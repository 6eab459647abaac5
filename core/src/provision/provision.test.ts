import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { hikerSchema, type Hiker } from "../plan/schema.ts";
import { hikerOf } from "../../test/fixtures.ts";
import type { Profile } from "../track/profile.ts";
import { cellHighC, type PartConditions } from "../walk/conditions.ts";
import { pandolfSanteeW } from "../walk/effort.ts";
import { SURFACE_FACTORS } from "../walk/surfaces.ts";
import { dayEnergy, partWalkKcal } from "./energy.ts";
import { appetite, partMeals } from "./food.ts";
import { boilGrams, boilingPointC, plannedBoilGrams } from "./fuel.ts";
import { carryLitres, heatFactor, heatMetres, mostLitres, trusted } from "./water.ts";
import type { DayPart } from "../walk/walk.ts";

const hiker = (overrides: Record<string, unknown> = {}): Hiker => hikerSchema.parse(hikerOf(overrides));

describe("energy of a day", () => {
  test("a hand-worked day: 8 h at 2,400 kcal, the other hours at rest, digestion once", () => {
    // Mifflin 1,648.75 kcal; 8 h awake at 1.2 and 8 h asleep at 1.0 of 68.698 kcal/h = 1,209.08.
    const day = dayEnergy(hiker(), 20_000, 0, 8, 2400, 12);
    expect(day.restKcal).toBeCloseTo(1209.08, 1);
    expect(day.thermicKcal).toBeCloseTo(360.91, 1);
    expect(day.coldKcal).toBe(0);
    expect(day.totalKcal).toBeCloseTo(3969.99, 1);
  });

  test("resting cost is not counted for the hours walked", () => {
    const short = dayEnergy(hiker(), 0, 0, 2, 0, 10).restKcal;
    const long = dayEnergy(hiker(), 0, 0, 10, 0, 10).restKcal;
    expect(short - long).toBeCloseTo((8 * 1.2 * 1648.75) / 24, 3);
  });

  test("the cold allowance is 100 kcal per 10 K below freezing", () => {
    expect(dayEnergy(hiker(), 0, 0, 8, 2000, -15).coldKcal).toBeCloseTo(150, 9);
  });

  test("walking twenty hours still leaves a day of 24", () => {
    expect(dayEnergy(hiker(), 0, 0, 20, 5000, 5).restKcal).toBeCloseTo((4 * 1648.75) / 24, 6);
  });
});

describe("meals out of the bag", () => {
  const part = (overrides: Partial<DayPart>): DayPart => ({
    legIndex: 0,
    day: 0,
    startNode: 0,
    endNode: 10,
    startClockH: 7,
    endClockH: 16,
    walkH: 7,
    offTrailStartH: 0,
    offTrailEndH: 0,
    budgetH: 7,
    daylightH: 13,
    sunsetH: 19,
    night: "camp",
    zeroDays: 0,
    ...overrides,
  });
  const total = (meals: { breakfastShare: number; dayShare: number; dinnerShare: number }): number =>
    meals.breakfastShare + meals.dayShare + meals.dinnerShare;

  test("a day from camp to camp is a whole day's food", () => {
    expect(total(partMeals(part({}), true, false))).toBeCloseTo(1, 9);
  });

  test("town's breakfast and dinner are not carried", () => {
    expect(partMeals(part({}), true, true).breakfastShare).toBe(0);
    expect(partMeals(part({ night: "stop" }), true, false).dinnerShare).toBe(0);
  });

  test("arriving early, part of the day's food is eaten in town", () => {
    expect(partMeals(part({ night: "stop", endClockH: 13 }), true, false).dayShare).toBeCloseTo(0.225, 9);
    expect(partMeals(part({ night: "stop", endClockH: 8 }), true, false).dayShare).toBe(0);
  });

  test("two parts of one day share its food and never eat it twice", () => {
    const before = partMeals(part({ night: "none", endClockH: 12 }), true, false);
    const after = partMeals(part({ startClockH: 12, endClockH: 18 }), false, false);
    expect(total(before) + total(after)).toBeCloseTo(1, 9);
  });

  test("appetite grows by the week", () => {
    expect([0, 6, 7, 14, 21, 200].map((day) => appetite(hiker(), day))).toEqual([0.75, 0.75, 0.85, 0.95, 1, 1]);
  });
});

describe("fuel", () => {
  // ISA pressure and Antoine; steam tables give 89.9 °C at 70 kPa.
  test.each([
    [0, 100.0],
    [1000, 96.68],
    [2000, 93.36],
    [3000, 90.03],
    [4000, 86.68],
  ])("water boils at %i m at %f °C", (heightM, celsius) => expect(boilingPointC(heightM)).toBeCloseTo(celsius, 1));

  test.each([
    ["gas-canister", 17.02],
    ["gas-heat-exchanger", 13.09],
    ["alcohol", 34.63],
    ["tablets", 39.61],
  ] as const)("%s: %f g for a litre from 10 °C at sea level", (fuel, grams) =>
    expect(boilGrams(fuel, 1, 0)).toBeCloseTo(grams, 1),
  );

  test("own measured grams replace the model; no stove burns nothing", () => {
    expect(plannedBoilGrams(hiker({ stove: { fuel: "alcohol", gramsPerBoil: 11 } }), 3000)).toBe(11);
    expect(plannedBoilGrams(hiker({ stove: { fuel: "none", gramsPerBoil: 11 } }), 0)).toBe(0);
    expect(plannedBoilGrams(hiker({ stove: { fuel: "gas-canister", boilL: 1 } }), 0)).toBeCloseTo(17.02 * 1.2, 1);
  });

  test("a boil higher up needs less heat", () => {
    expect(boilGrams("gas-canister", 1, 3000)).toBeLessThan(boilGrams("gas-canister", 1, 0));
  });
});

describe("water", () => {
  test.each([
    [-10, 1],
    [20, 1],
    [26, 1.5],
    [32, 2],
    [45, 2],
  ])("the rate at %i °C is multiplied by %f", (celsius, factor) => expect(heatFactor(celsius)).toBeCloseTo(factor, 9));

  test("24 km without a camp, by hand: 3 L and 15 % reserve, half a litre drunk before", () => {
    const need = carryLitres(hiker(), 24 * 0.125, 0);
    expect(need).toMatchObject({ campL: 0, drunkL: 0.5 });
    expect(need.litres).toBeCloseTo(2.95, 9);
  });

  test("a dry camp adds dinner, night and breakfast, and their reserve", () => {
    const [dry, wet] = [carryLitres(hiker(), 3, 1), carryLitres(hiker(), 3, 0)];
    expect(dry.campL).toBeCloseTo(1.4, 9);
    expect(dry.litres - wet.litres).toBeCloseTo(1.4 * 1.15, 9);
  });

  test("a longer stretch never lowers the carry, and none is negative", () => {
    const litres = fc.double({ min: 0, max: 20, noNaN: true });
    fc.assert(
      fc.property(litres, litres, fc.integer({ min: 0, max: 3 }), (need, more, camps) => {
        const carry = carryLitres(hiker(), need, camps).litres;
        return carry >= 0 && carryLitres(hiker(), need + more, camps).litres >= carry - 1e-12;
      }),
    );
  });

  test("the most to drink: 1.42 L an hour and 11.36 L a day, less for small people", () => {
    expect(mostLitres(hiker({ bodyKg: 90 }), 4, 0)).toBeCloseTo(5.68, 6);
    expect(mostLitres(hiker({ bodyKg: 90 }), 24, 0)).toBeCloseTo(11.36, 6);
    expect(mostLitres(hiker({ bodyKg: 49 }), 4, 0)).toBeCloseTo(5.68 * 0.7, 6);
  });

  test("trust: reliable only, by the month's chance, or all", () => {
    const source = {
      id: "w",
      name: "w",
      trackM: 0,
      kind: "creek" as const,
      reliable: false,
      offTrailM: 0,
      chanceByMonth: [0.9, 0.9, 0.9, 0.9, 0.7, 0.5, 0.2, 0.1, 0.2, 0.5, 0.8, 0.9],
    };
    const by = (trust: string, month: number): boolean => trusted(source, hiker({ water: { trust } }), month);
    expect([by("reliable", 0), by("all", 7), by("chance", 4), by("chance", 5)]).toEqual([false, true, true, false]);
    const plain = { ...source, chanceByMonth: undefined };
    expect(trusted({ ...plain, reliable: true }, hiker(), 7)).toBe(true);
  });
});

describe("fast paths against the plain way", () => {
  const cells = 120;
  const random = (seed: number) => {
    let state = seed;
    return (): number => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
  };

  test("the energy loop agrees with the effort model cell by cell", () => {
    const next = random(77);
    const profile = {
      cellM: 100,
      cellCount: cells,
      gradeFraction: Float64Array.from({ length: cells }, () => (next() - 0.5) * 0.9),
    } as Profile;
    const walk = {
      parts: [],
      cellH: Float64Array.from({ length: cells }, () => 0.015 + next() * 0.1),
      surface: Uint8Array.from({ length: cells }, () => Math.floor(next() * SURFACE_FACTORS.length)),
    };
    const load = Float64Array.from({ length: cells }, () => next() * 90);
    const part = { startNode: 0, endNode: cells, offTrailStartH: 0, offTrailEndH: 0 } as DayPart;
    let slow = 0;
    for (let c = 0; c < cells; c++) {
      const hours = walk.cellH[c]!;
      const eta = SURFACE_FACTORS[walk.surface[c]!]!.terrainFactor;
      slow += hours * pandolfSanteeW(70, load[c]! + 1.5, 0.1 / 3.6 / hours, profile.gradeFraction[c]! * 100, eta);
    }
    const fast = partWalkKcal(hiker(), profile, walk, part, load, 1.5);
    expect(Math.abs(fast / ((slow * 3600) / 4184) - 1)).toBeLessThan(1e-9);
  });

  test("heat metres are the sum of every cell's heat factor", () => {
    const next = random(5);
    const heightM = Float64Array.from({ length: cells + 1 }, () => next() * 3000);
    const parts = [0, 50].map((startNode, i) => ({ startNode, endNode: [50, cells][i]! }) as DayPart);
    const conditions = [28, 41].map((highC) => ({ midHeightM: 800, walking: { highC } }) as PartConditions);
    const got = heatMetres({ heightM, cellM: 100 } as Profile, parts, conditions, new Float64Array(cells + 1));
    let want = 0;
    for (let c = 0; c < cells; c++) {
      want += 100 * heatFactor(cellHighC(conditions[c < 50 ? 0 : 1]!, heightM[c]!));
      expect(got[c + 1]).toBeCloseTo(want, 6);
    }
  });
});
