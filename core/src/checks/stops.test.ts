/** Checks of stops: doors, rides, boxes and what a shop is out of. */
import { describe, expect, test } from "vitest";
import { planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, WEEKDAYS, weekdayOf, type Check, type CheckCode } from "../index.ts";
import { dayNumber } from "../units/day.ts";

const tracks = [trackNorth({ lengthM: 80_000 })];
const checksOf = (over: Record<string, unknown>): Check[] =>
  computePlan(planOf({ climate: { stations: [stationOf(8, 18)] }, ...over }), tracks).checks;
const found = <C extends CheckCode>(checks: Check[], code: C) =>
  checks.filter((check): check is Extract<Check, { code: C }> => check.code === code);

describe("doors, rides and boxes", () => {
  const at = (overrides: Record<string, unknown>) =>
    checksOf({ stops: [stopOf("m", 40_000, { services: ["shop-small", "post", "bed"], ...overrides })] });
  const all = [...WEEKDAYS];

  test("a shop that is shut from coming to leaving: a caution with the nights that it takes", () => {
    const open = found(at({ opensH: 8, closesH: 18 }), "shop-shut");
    expect(open).toEqual([]);
    const [check] = found(at({ closedOn: all.filter((day) => day !== "thu") }), "shop-shut");
    expect(check).toMatchObject({ severity: "caution", legIndex: 0, stop: "m", opensH: 0 });
    expect(weekdayOf(dayNumber(check!.opens)!)).toBe("thu");
    // With those nights more it is open.
    const nights = 1 + check!.wait;
    expect(found(at({ closedOn: all.filter((day) => day !== "thu"), nights }), "shop-shut")).toEqual([]);
    const fewer = found(at({ closedOn: all.filter((day) => day !== "thu"), nights: nights - 1 }), "shop-shut");
    expect(fewer).toHaveLength(1);
  });

  test("who slept there waits a morning for it: a note; who walks on at once does not", () => {
    // One comes in the evening, and leaves at seven.
    const late = { opensH: 9, closesH: 9.5 };
    expect(found(at(late), "shop-shut")).toMatchObject([{ severity: "note", wait: 0, opensH: 9 }]);
    expect(found(at({ ...late, nights: 0 }), "shop-shut").map(({ severity }) => severity)).not.toContain("note");
    expect(found(at({ opensH: 11, closesH: 12 }), "shop-shut")).toMatchObject([{ severity: "caution", wait: 1 }]);
  });

  test("a counter matters where the food comes by it; a visitor needs no door", () => {
    const counter = { postClosedOn: all };
    expect(found(at(counter), "counter-shut")).toEqual([]);
    expect(found(at({ postOpensH: 11, postClosesH: 12, foodBy: "drop" }), "counter-shut")).toMatchObject([{ wait: 1 }]);
    expect(found(at({ closedOn: all, foodBy: "visitor" }), "shop-shut")).toEqual([]);
  });

  test("food sent on from a stop: from one that comes before, and with the chance that it is there", () => {
    const nowhere = found(at({ foodBy: "ahead" }), "box-from-nowhere");
    expect(nowhere).toMatchObject([{ severity: "caution", stop: "m" }]);
    expect(found(at({ foodBy: "drop" }), "box-from-nowhere")).toEqual([]);
    const two = (postLeastDays: number) => ({
      stops: [
        stopOf("a", 20_000, { services: ["shop-full", "post"] }),
        stopOf("b", 60_000, { services: ["post"], foodBy: "bounce", foodFromStopId: "a", postLeastDays }),
      ],
    });
    const [late] = found(checksOf(two(4)), "box-unsure");
    expect(late).toMatchObject({ severity: "caution", stop: "b" });
    expect(late!.chance).toBeLessThan(50);
    expect(found(checksOf(two(4)), "box-from-nowhere")).toEqual([]);
  });

  test("no day is good for a box that is held for a day only", () => {
    const far = { stops: [stopOf("m", 70_000, { services: ["post"], postHoldDays: 1 })] };
    expect(found(checksOf(far), "box-unsure")).toMatchObject([{ severity: "caution", stop: "m", stopId: "m" }]);
  });

  test("a stop that is come to in the morning after little walking, and slept at", () => {
    const near = (km: number, nights = 1) =>
      found(checksOf({ stops: [stopOf("m", 1000 * km, { nights })] }), "stop-in-the-morning");
    const [note] = near(9);
    expect(note).toMatchObject({ severity: "note", stop: "m" });
    expect(note!.comesH).toBeLessThan(12);
    expect(note!.have).toBeLessThan(3);
    expect([near(9, 0), near(9, 2), near(20)]).toEqual([[], [], []]);
  });

  test("the last shuttle of the day is gone", () => {
    const ride = { access: "shuttle", offTrailM: 9000, rideMin: 20 };
    expect(found(at({ ...ride, shuttleClocks: [23.9] }), "ride-gone")).toEqual([]);
    // A stop on the trail needs no ride.
    expect(found(at({ ...ride, offTrailM: 0, shuttleClocks: [3.5] }), "ride-gone")).toEqual([]);
    // Nobody can be there at half past three in the night.
    expect(found(at({ ...ride, shuttleClocks: [3.5] }), "ride-gone")).toMatchObject([{ last: 3.5, stop: "m" }]);
  });

  test("what a shop is out of is carried past it", () => {
    expect(found(at({ lacks: ["alcohol"] }), "fuel-not-sold")).toEqual([]);
    expect(found(at({ lacks: ["gas"] }), "fuel-not-sold")).toHaveLength(1);
    expect(found(at({ foodBy: "buy", services: ["post"] }), "food-not-sold")).toHaveLength(1);
  });
});
