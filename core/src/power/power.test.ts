import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, pieceOf, planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { setsFor } from "../models/battery.ts";
import { computePlan, storeOf, type PlanResult } from "../index.ts";

const phone = { id: "phone", name: "Phone", ownerId: "a", kind: "rechargeable", mAh: 5000, whPerDay: 6 };
const bank = { id: "bank", name: "Bank", ownerId: "a", kind: "bank", mAh: 10_000, watts: 15 };
const track = [trackNorth({ lengthM: 150_000 })];
const of = (devices: object[], overrides: Record<string, unknown> = {}): PlanResult =>
  computePlan(planOf({ climate: { stations: [stationOf(20, 20)] }, devices, ...overrides }), track);

describe("the party's store of electricity", () => {
  test("by hand: 18.5 Wh in the phone, 26.7 Wh of the bank's 37 reach it, 6 Wh a day", () => {
    const { legs, days } = of([phone, bank]).power!.stores[0]!;
    expect(legs[0]!.capacityWh).toBeCloseTo(18.5 + 37 * 0.85 * 0.85, 6);
    expect(days[0]!.usedWh).toBeCloseTo(6, 6);
    expect(days[1]!.storedWh).toBeCloseTo(legs[0]!.capacityWh - 12, 6);
    expect(legs[0]!.shortWh).toBe(0);
  });

  test("runs flat without the bank, says when and how much is missing", () => {
    const result = of([{ ...phone, whPerDay: 8 }]);
    const leg = result.power!.stores[0]!.legs[0]!;
    const dayCount = result.power!.stores[0]!.days.length;
    expect(leg.lowestFraction).toBe(0);
    expect(leg.shortWh).toBeCloseTo(8 * dayCount - 18.5, 6);
    // 18.5 Wh last two days of 8 and not a third.
    expect(leg.flatDay).toBe(result.power!.stores[0]!.days[2]!.day);
    expect(result.checks.find((check) => check.code === "battery-flat")?.severity).toBe("caution");
  });

  test("a socket fills it up to the brim in a night, and no further", () => {
    const stops = [stopOf("town", 75_000, { services: ["socket"] })];
    const { days, legs } = of([phone, bank], { stops }).power!.stores[0]!;
    const arrival = days.find((day) => day.wallWh > 0)!;
    expect(arrival.storedWh).toBeCloseTo(legs[0]!.capacityWh, 6);
    expect(arrival.wallWh).toBeCloseTo(legs[0]!.capacityWh - arrival.leftWh, 6);
    expect(
      of([phone, bank], { stops: [stopOf("town", 75_000)] }).power!.stores[0]!.days.every((day) => day.wallWh === 0),
    ).toBe(true);
  });

  test("cold lets less out and gives it back", () => {
    const cold = of([phone, bank], { climate: { stations: [stationOf(-10, -10)] } }).power!.stores[0]!;
    const warm = of([phone, bank]).power!.stores[0]!;
    expect(cold.days[0]!.storedWh).toBeCloseTo(warm.days[0]!.storedWh, 6);
    expect(cold.days[0]!.usableFraction / warm.days[0]!.usableFraction).toBeCloseTo(0.7, 6);
  });

  test("the sun charges by day and cloud, never below freezing", () => {
    const panel = { id: "sun", name: "Panel", ownerId: "a", kind: "solar", watts: 10 };
    const sun = (lowC: number, highC: number): number =>
      of([phone, panel], { climate: { stations: [stationOf(lowC, highC)] } }).power!.stores[0]!.days[1]!.solarWh;
    expect(sun(10, 22)).toBeGreaterThan(5);
    expect(sun(-12, -2)).toBe(0);
  });

  test("a panel without a battery feeds what runs and stores nothing, whatever the cold", () => {
    const panel = { id: "sun", name: "Panel", ownerId: "a", kind: "solar", watts: 10 };
    const { days } = of([{ ...phone, mAh: 0, whPerDay: 4 }, panel], {
      climate: { stations: [stationOf(2, 6)] },
    }).power!.stores[0]!;
    for (const day of days) {
      expect(day.leftWh).toBe(0);
      expect(day.usedWh).toBeCloseTo(day.solarWh, 9);
      expect(day.usedWh).toBeLessThanOrEqual(4);
    }
    expect(days[0]!.usedWh).toBeGreaterThan(1);
  });

  test("a bank that is a piece of kit counts where the piece is carried, and joins charged", () => {
    const kit = [pieceOf("b", 200, { spans: [{ fromStopId: "town", toStopId: "@finish", begins: "posted" }] })];
    const stops = [stopOf("town", 75_000)];
    const { legs, days } = of([phone, { ...bank, pieceId: "b" }], { kit, stops }).power!.stores[0]!;
    expect(legs[1]!.capacityWh - legs[0]!.capacityWh).toBeCloseTo(37 * 0.85 * 0.85, 6);
    const night = days.findLastIndex((day) => day.legIndex === 0);
    expect(days[night]!.storedWh).toBeCloseTo(days[night]!.leftWh + 37 * 0.85 * 0.85, 6);
  });

  test("sets of cells: the one that is in it, and spares", () => {
    const lamp = { id: "lamp", name: "Lamp", ownerId: "a", kind: "spare-cells", daysPerSet: 2 };
    const short = of([{ ...lamp, spareSets: 0 }]).power!.stores[0]!.legs[0]!.spare[0]!;
    expect(short).toMatchObject({ deviceId: "lamp", haveSets: 0 });
    expect(short.neededSets).toBeGreaterThanOrEqual(1);
    expect(of([{ ...lamp, spareSets: 20 }]).power!.stores[0]!.legs[0]!.spare).toEqual([]);
  });

  test("spare sets that are a piece of kit are there where that is carried, and weigh", () => {
    const span = { fromStopId: "town", toStopId: "@finish", begins: "posted" };
    const kit = [pieceOf("cells", 35, { quantity: 20, spans: [span] })];
    const lamp = {
      id: "lamp",
      name: "Lamp",
      ownerId: "a",
      kind: "spare-cells",
      daysPerSet: 0.5,
      cellsPieceId: "cells",
    };
    const { power, legs } = of([lamp], { kit, stops: [stopOf("town", 75_000)] });
    const [before, after] = power!.stores[0]!.legs;
    expect(before!.spare).toMatchObject([{ deviceId: "lamp", haveSets: 0 }]);
    expect(after!.spare).toEqual([]);
    expect(legs[1]!.hikers[0]!.kit.baseKg - legs[0]!.hikers[0]!.kit.baseKg).toBeCloseTo(0.7, 9);
  });

  test("what is used by the hour walked comes on top of what a day takes", () => {
    const watch = { ...phone, whPerWalkH: 0.5 };
    const result = of([watch, bank]);
    expect(result.power!.stores[0]!.days[1]!.usedWh).toBeCloseTo(6 + 0.5 * result.days[1]!.walkH, 6);
  });

  test("each hiker lives out of the own store, where that is wanted", () => {
    const hikers = [hikerOf(), hikerOf({ id: "b", name: "B" }), hikerOf({ id: "c", name: "C" })];
    const devices = [phone, { ...bank, ownerId: "b" }, { ...phone, id: "second", ownerId: "b", whPerDay: 9 }];
    const shared = of(devices, { hikers }).power!;
    expect(shared.stores.map(({ hikerId }) => hikerId)).toEqual([undefined]);
    expect(storeOf(shared, "b")).toBe(shared.stores[0]);
    const own = of(devices, { hikers, charge: { stores: "own" } });
    expect(own.power!.stores.map(({ hikerId }) => hikerId)).toEqual(["a", "b"]);
    expect(storeOf(own.power!, "c")).toBeUndefined();
    expect(storeOf(own.power!, "b")!.legs[0]!.capacityWh).toBeCloseTo(18.5 + 37 * 0.85 * 0.85, 6);
    expect(storeOf(own.power!, "a")!.days[0]!.usedWh).toBeCloseTo(6, 6);
    // What one lacks, the other does not give.
    const flat = of(
      [
        { ...phone, whPerDay: 12 },
        { ...bank, ownerId: "b" },
      ],
      { hikers, charge: { stores: "own" } },
    );
    expect(flat.checks.find(({ code }) => code === "battery-flat")).toMatchObject({ hikerId: "a" });
  });

  test("no devices, no figures", () => expect(of([]).power).toBeUndefined());
});

test("watt hours are never made: what is there is what was there, less use, plus sun, wall and what joins", () => {
  fc.assert(
    fc.property(arbitraryPlan, ({ plan, tracks }) => {
      const { power } = computePlan(plan, tracks);
      for (const { legs, days } of power?.stores ?? []) {
        let before = legs[0]!.capacityWh;
        for (const day of days) {
          const { capacityWh } = legs[day.legIndex]!;
          expect(day.leftWh).toBeCloseTo(before + day.solarWh - day.usedWh, 6);
          expect(day.leftWh).toBeGreaterThanOrEqual(-1e-9);
          expect(day.leftWh).toBeLessThanOrEqual(capacityWh + 1e-9);
          expect(Math.min(day.usedWh, day.shortWh, day.wallWh, day.usableFraction)).toBeGreaterThanOrEqual(-1e-9);
          before = day.storedWh;
        }
      }
    }),
    { numRuns: runs(500), endOnFailure: true },
  );
});

// Worked out apart: Wh a day, days, usable Wh of a set, and sets for the mean, 95 and 99 of 100; a spread of 0.3 a day.
test.each([
  [3, 5, 8, 2, 3, 3],
  [3, 7, 8, 3, 4, 4],
])("%d Wh for %d days of sets of %d Wh: %d, %d, %d", (perDay, days, usable, mean, likely, sure) => {
  const of = (certainty: "mean" | "95" | "99"): number => setsFor(days, usable / perDay, certainty);
  expect([of("mean"), of("95"), of("99")]).toEqual([mean, likely, sure]);
  expect(setsFor(0, 5, "99")).toBe(0);
});
