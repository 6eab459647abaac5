import { describe, expect, test } from "vitest";
import { hikerOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, moneyTotal, stopFigures, type Plan } from "../index.ts";
import { dayNumber } from "../units/day.ts";

const track = [trackNorth({ lengthM: 240_000 })];
const prices = {
  smallShop: { priceOf1000Kcal: 7 },
  fullShop: { priceOf1000Kcal: 5 },
  posted: { priceOf1000Kcal: 3 },
  parcelPrice: 9,
};
const plan = (stops: unknown[], overrides: Record<string, unknown> = {}): Plan =>
  planOf({ stops, resupply: prices, ...overrides });
const staysIn = (given: Plan) => {
  const result = computePlan(given, track);
  return { result, at: stopFigures(given, result) };
};
const kcal = (result: ReturnType<typeof computePlan>, ...legs: number[]): number =>
  legs.reduce((sum, leg) => sum + result.legs[leg]!.hikers.reduce((all, { food }) => all + food.menuKcal, 0), 0);

test("food is bought where there is a shop, and posted where there is none; a chosen way goes first", () => {
  const trips = (services: string[], foodBy?: string) =>
    staysIn(plan([stopOf("a", 80_000, { services, foodBy })])).at[0]!.foodBy;
  expect(trips(["shop-small", "post"])).toBe("buy");
  expect(trips(["post"])).toBe("drop");
  expect(trips([])).toBe("buy");
  expect(trips(["shop-full", "post"], "bounce")).toBe("bounce");
});

describe("money", () => {
  test("food by the kilocalories taken and where they come from, beds by nights and people, rides both ways", () => {
    const given = plan(
      [
        stopOf("a", 80_000, {
          services: ["shop-small", "bed"],
          nights: 2,
          bedPrice: 30,
          offTrailM: 5000,
          access: "hitch",
          ridePrice: 4,
        }),
        stopOf("b", 160_000, { services: ["post"], postFee: 2 }),
      ],
      { hikers: [hikerOf(), hikerOf({ id: "b", name: "B" })] },
    );
    const { result, at } = staysIn(given);
    expect(at[0]!.money).toEqual({ food: (kcal(result, 1) / 1000) * 7, parcel: 0, beds: 120, rides: 16 });
    expect(at[1]!.money).toEqual({ food: (kcal(result, 2) / 1000) * 3, parcel: 11, beds: 0, rides: 0 });
    expect(moneyTotal(at[1]!.money)).toBe(at[1]!.money.food + 11);
  });

  test("what is carried past a stop without food is paid where it was taken", () => {
    const given = plan([
      stopOf("a", 80_000, { services: ["shop-full"] }),
      stopOf("hut", 140_000, { services: ["bed"], bedPrice: 20 }),
    ]);
    const { result, at } = staysIn(given);
    expect(at[0]!.money.food).toBeCloseTo((kcal(result, 1, 2) / 1000) * 5, 9);
    expect(at[1]!.money).toEqual({ food: 0, parcel: 0, beds: 20, rides: 0 });
  });

  test("what a visitor brings costs nothing", () => {
    expect(staysIn(plan([stopOf("a", 80_000, { foodBy: "visitor" })])).at[0]!.money.food).toBe(0);
  });
});

describe("boxes", () => {
  test("from home: by a day that is right for who comes early, with its chance", () => {
    const { at } = staysIn(plan([stopOf("a", 120_000, { services: ["post"] })]));
    const { box, stay } = at[0]!;
    expect(box!.sentDay).toBeUndefined();
    expect(box!.chance).toBeGreaterThan(0.95);
    expect(box!.sending.byDay).toBeLessThan(stay.from.day - 5);
  });

  test("bought ahead: sent on the day of being there, with the chance that it overtakes one", () => {
    const stops = (services: string[], postLeastDays: number) => [
      stopOf("a", 60_000, { services: ["shop-full", "post"] }),
      stopOf("b", 160_000, { services, foodBy: "ahead", foodFromStopId: "a", postLeastDays }),
    ];
    const { at } = staysIn(plan(stops(["post"], 1)));
    expect(at[1]!.box!.sentDay).toBe(at[0]!.stay.from.day);
    expect(at[1]!.box!.chance).toBeGreaterThan(0);
    expect(staysIn(plan(stops(["post"], 6))).at[1]!.box!.chance).toBeLessThan(1e-6);
  });
});

test("a stay lasts from coming to leaving, with the nights between", () => {
  const { at, result } = staysIn(plan([stopOf("a", 80_000, { nights: 3 })]));
  const [{ stay, nights }] = at as [(typeof at)[number]];
  expect(nights).toBe(3);
  expect(stay.from.day).toBe(dayNumber(result.legs[0]!.endDate));
  expect(stay.to).toEqual({ day: stay.from.day + 3, clockH: 7 });
});
