import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, planOf, trackNorth } from "../../test/fixtures.ts";
import { simmerGramsPerMin } from "../models/fuel.ts";
import { choiceOf, resolveHiker } from "../models/hiker.ts";
import { models } from "../models/index.ts";
import { hikerSchema, type Hiker } from "../plan/schema.ts";
import { computePlan } from "../session/session.ts";
import { boilGrams, cooked, legFuel, lightestCans, type FuelLeft } from "./fuel.ts";

const hiker = (overrides: Record<string, unknown> = {}): Hiker => hikerSchema.parse(hikerOf(overrides));
const plannedBoilGrams = (who: Hiker, heightM: number): number =>
  boilGrams(resolveHiker(choiceOf(who)).fuel, who.stove, heightM);

describe("fuel", () => {
  test("own measured grams replace the model; no stove burns nothing", () => {
    expect(plannedBoilGrams(hiker({ stove: { fuel: "alcohol", gramsPerBoil: 11 } }), 3000)).toBe(11);
    expect(plannedBoilGrams(hiker({ stove: { fuel: "none", gramsPerBoil: 11 } }), 0)).toBe(0);
    // A planned fifth for wind and spill on what the litre takes.
    expect(plannedBoilGrams(hiker({ stove: { fuel: "gas-canister", boilL: 1 } }), 0)).toBeCloseTo(17.02 * 1.2, 1);
    expect(plannedBoilGrams(hiker(), 3000)).toBeLessThan(plannedBoilGrams(hiker(), 0));
  });

  const can = { sizes: [{ netG: 100, emptyG: 80 }], exact: false, exchange: false };
  const open = (fuelG: number) => ({ fuelG, cans: [fuelG > 0 ? 1 : 0] });
  test("canisters are whole, the open one is burnt first, and what is left goes on", () => {
    expect(legFuel(can, cooked(10, 130))).toMatchObject({
      bought: 2,
      containers: 2,
      startKg: 0.2,
      endG: 70,
      openLasts: false,
    });
    expect(legFuel(can, cooked(5, 60), open(70))).toMatchObject({
      bought: 0,
      containers: 1,
      startKg: 0.07,
      endG: 10,
      openLasts: true,
    });
    expect(legFuel(can, cooked(5, 60), open(10))).toMatchObject({
      bought: 1,
      containers: 2,
      containerKg: 0.16,
      startKg: 0.11,
      endG: 50,
    });
    expect(legFuel(can, cooked(0, 0))).toMatchObject({ bought: 0, containers: 0, startKg: 0, openLasts: false });
  });

  test("a bottle is filled by need and a tenth; tablets come in nothing", () => {
    const bottle = { sizes: [{ netG: 400, emptyG: 25 }], exact: true, exchange: false };
    const burn = legFuel(bottle, cooked(20, 300));
    expect(burn.containers).toBe(1);
    expect(burn.startKg).toBeCloseTo(0.33, 9);
    expect(legFuel({ ...bottle, sizes: [{ netG: 0, emptyG: 0 }] }, cooked(4, 80))).toMatchObject({
      containers: 0,
      containerKg: 0,
    });
  });

  test("grams a boil are told of the need; a last whiff in the canister is none", () => {
    expect(legFuel(can, cooked(10, 130)).gramsPerBoil).toBe(13);
    expect(legFuel(can, cooked(0, 0), open(50)).gramsPerBoil).toBe(0);
    expect(legFuel(can, cooked(5, 97.5)).endG).toBe(0);
    expect(legFuel(can, cooked(5, 97)).endG).toBe(0);
    expect(legFuel(can, cooked(5, 96.5)).endG).toBe(3.5);
  });

  test("where nothing is burnt, nothing is filled, and what is in the bottle stays", () => {
    const bottle = { sizes: [{ netG: 400, emptyG: 25 }], exact: true, exchange: false };
    expect(legFuel(bottle, cooked(0, 0), open(120))).toMatchObject({
      bought: 1,
      startKg: 0.12,
      endG: 120,
      openLasts: false,
    });
    expect(legFuel(bottle, cooked(0, 0))).toMatchObject({ bought: 0, startKg: 0, containers: 0 });
  });

  test("of three sizes the lightest that hold the need, as enumeration finds them", () => {
    const sizes = [
      { netG: 100, emptyG: 95 },
      { netG: 230, emptyG: 150 },
      { netG: 450, emptyG: 210 },
    ];
    const massG = (cans: readonly number[]) =>
      cans.reduce((sum, count, size) => sum + count * (sizes[size]!.netG + sizes[size]!.emptyG), 0);
    expect(lightestCans(sizes, 0)).toEqual([0, 0, 0]);
    expect(lightestCans(sizes, 90)).toEqual([1, 0, 0]);
    expect(lightestCans(sizes, 120)).toEqual([0, 1, 0]);
    expect(lightestCans(sizes, 480)).toEqual([1, 0, 1]);
    // However much it is, it is found at once, and holds.
    const tonnes = lightestCans(sizes, 2e7);
    expect(450 * tonnes[2]! + 230 * tonnes[1]! + 100 * tonnes[0]!).toBeGreaterThanOrEqual(2e7);
    expect(tonnes[2]).toBeGreaterThan(44_000);
    fc.assert(
      fc.property(fc.double({ min: 1, max: 1400, noNaN: true }), (wantedG) => {
        let leastG = Infinity;
        for (let small = 0; small <= 14; small++)
          for (let middle = 0; middle <= 7; middle++)
            for (let large = 0; large <= 4; large++)
              if (100 * small + 230 * middle + 450 * large >= wantedG)
                leastG = Math.min(leastG, 195 * small + 380 * middle + 660 * large);
        expect(massG(lightestCans(sizes, wantedG))).toBe(leastG);
      }),
      { numRuns: runs(40) },
    );
  });

  test("what is left over lies in the lightest that hold it", () => {
    const sizes = [
      { netG: 100, emptyG: 95 },
      { netG: 450, emptyG: 210 },
    ];
    const container = { sizes, exact: false, exchange: false };
    const first = legFuel(container, cooked(40, 430));
    expect(first).toMatchObject({ bought: 1, boughtOf: [{ count: 0 }, { netG: 450, count: 1 }], endCans: [0, 1] });
    // 20 g in the large one and a small one more: 70 g are left over, in the small.
    const second = legFuel(container, cooked(5, 50), { fuelG: first.endG, cans: first.endCans });
    expect(second).toMatchObject({ containers: 2, containerKg: 0.305, endG: 70, endCans: [1, 0] });
  });

  test("a part-full canister is left behind only where that is lighter, and only if wanted", () => {
    const gas = { sizes: [{ netG: 230, emptyG: 150 }], exact: false };
    const open20 = { fuelG: 20, cans: [1] };
    const kept = legFuel({ ...gas, exchange: false }, cooked(10, 100), open20);
    expect(kept).toMatchObject({ containers: 2, startKg: 0.25, leftBehindG: 0 });
    const left = legFuel({ ...gas, exchange: true }, cooked(10, 100), open20);
    expect(left).toMatchObject({ containers: 1, startKg: 0.23, leftBehindG: 20, endG: 130 });
    expect(legFuel({ ...gas, exchange: true }, cooked(20, 240), open20)).toMatchObject({ leftBehindG: 0, bought: 1 });
    expect(legFuel({ ...gas, exchange: true }, cooked(1, 10), open20)).toMatchObject({ leftBehindG: 0, bought: 0 });
  });

  test("simmering by hand: a lidded pot in still air burns what the burner cannot go below", () => {
    const perMin = (fuel: "gas-canister" | "alcohol", wind: number) =>
      simmerGramsPerMin(models.fuel.get(fuel), fuel, wind);
    expect(perMin("gas-canister", 0)).toBeCloseTo(0.7872, 4);
    expect(perMin("gas-canister", 1)).toBeCloseTo(0.7872, 4);
    expect(perMin("alcohol", 0)).toBeCloseTo(0.8407, 4);
    const of = (simmerMinPerDay: number) =>
      computePlan(planOf({ hikers: [hikerOf({ stove: { simmerMinPerDay } })] }), [trackNorth({ lengthM: 90_000 })])
        .legs[0]!.hikers[0]!.fuel;
    const { halfDays, needG, simmerG } = of(10);
    expect(simmerG).toBeCloseTo(5 * halfDays * 0.7872, 2);
    expect(needG - of(0).needG).toBeCloseTo(simmerG, 6);
  });

  test("fuel is never made nor lost over a row of legs, but for a canister's last grams", () => {
    const needs = fc.array(fc.double({ min: 0, max: 500, noNaN: true }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(needs, (list) => {
        let rest: FuelLeft = open(0);
        for (const needG of list) {
          const burn = legFuel(can, cooked(needG / 10, needG), rest);
          expect(1000 * burn.startKg).toBeCloseTo(rest.fuelG + 100 * burn.bought, 6);
          expect(1000 * burn.startKg).toBeGreaterThanOrEqual(needG - 1e-9);
          expect(burn.endG).toBeLessThan(100 + 1e-9);
          expect(burn.endCans).toEqual([Math.ceil(burn.endG / 100)]);
          rest = { fuelG: burn.endG, cans: burn.endCans };
        }
      }),
    );
  });
});
