import { describe, expect, test } from "vitest";
import { planOf, stopOf } from "../../test/fixtures.ts";
import type { Stop } from "../plan/schema.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";
import { hoursOn, houseOpening, nextOpen, openDuring, postOpening, weekdayOf } from "./openings.ts";

const stop = (overrides: Record<string, unknown>): Stop => planOf({ stops: [stopOf("a", 1000, overrides)] }).stops[0]!;
const at = (date: string, clockH: number) => ({ day: dayNumber(date)!, clockH });
const next = (overrides: Record<string, unknown>, date: string, clockH: number) => {
  const found = nextOpen(houseOpening(stop(overrides)), at(date, clockH));
  return found && [isoOfDay(found.day), found.clockH];
};

test("days of the week: a leap day, a day before 1970", () => {
  expect(["1970-01-01", "2027-05-02", "2028-02-29", "1969-12-28"].map((date) => weekdayOf(dayNumber(date)!))).toEqual([
    "thu",
    "sun",
    "tue",
    "sun",
  ]);
});

describe("when a door opens next", () => {
  const shop = { opensH: 9, closesH: 17, closedOn: ["sun"] };

  test("at once while it is open, but not in the last quarter of an hour", () => {
    expect(next(shop, "2027-05-01", 12)).toEqual(["2027-05-01", 12]);
    expect(next(shop, "2027-05-01", 16.75)).toEqual(["2027-05-01", 16.75]);
    expect(next(shop, "2027-05-01", 16.8)).toEqual(["2027-05-03", 9]);
  });

  test("a clock beyond midnight is the next day's", () => {
    expect(next(shop, "2027-05-03", 24 + 8)).toEqual(["2027-05-04", 9]);
  });

  test("hours through midnight belong to the evening they begin on", () => {
    const bar = { opensH: 20, closesH: 2, closedOn: ["sun"] };
    // The night from Saturday into Sunday; on Sunday itself it stays closed.
    expect(next(bar, "2027-05-02", 1)).toEqual(["2027-05-02", 1]);
    expect(next(bar, "2027-05-02", 3)).toEqual(["2027-05-03", 20]);
    expect(next(bar, "2027-05-03", 1)).toEqual(["2027-05-03", 20]);
    // Midnight as 0 and as 24 is the same.
    expect(hoursOn(houseOpening(stop({ opensH: 8, closesH: 0 })), 0)).toEqual({ fromH: 8, toH: 24 });
  });

  test("with the season, across the new year too; never where every day is shut", () => {
    expect(next({ ...shop, openFrom: "06-01", openTo: "09-30" }, "2027-05-01", 12)).toEqual(["2027-06-01", 9]);
    expect(next({ openFrom: "12-01", openTo: "02-28" }, "2028-01-05", 6)).toEqual(["2028-01-05", 6]);
    expect(next({ closedOn: ["mon", "tue", "wed", "thu", "fri", "sat", "sun"] }, "2027-05-01", 6)).toBeUndefined();
  });
});

describe("whether it opens while one is there", () => {
  const open = (overrides: Record<string, unknown>, from: [string, number], to: [string, number], post = false) =>
    openDuring((post ? postOpening : houseOpening)(stop(overrides)), { from: at(...from), to: at(...to) });

  test("a night from Saturday evening to Monday morning", () => {
    const shop = { opensH: 9, closesH: 17, closedOn: ["sun"] };
    expect(open(shop, ["2027-05-01", 18], ["2027-05-02", 12])).toBe(false);
    expect(open(shop, ["2027-05-01", 18], ["2027-05-03", 9.1])).toBe(false);
    expect(open(shop, ["2027-05-01", 18], ["2027-05-03", 9.25])).toBe(true);
    expect(open(shop, ["2027-05-01", 16.5], ["2027-05-02", 7])).toBe(true);
  });

  test("it says what looking for the next opening says", () => {
    const shop = { opensH: 22, closesH: 1, closedOn: ["mon"] };
    for (let hours = 0; hours < 24 * 8; hours += 0.7)
      for (const stays of [0.2, 0.3, 5, 20, 30]) {
        const from = { day: dayNumber("2027-05-01")! + Math.floor(hours / 24), clockH: hours % 24 };
        const to = { day: from.day, clockH: from.clockH + stays };
        const opens = nextOpen(houseOpening(stop(shop)), from)!;
        const untilH = (opens.day - to.day) * 24 + opens.clockH + 0.25;
        expect(openDuring(houseOpening(stop(shop)), { from, to })).toBe(untilH <= to.clockH);
      }
  });

  test("a counter has the days and hours of its house where it says none of its own, and opens in no season without it", () => {
    const house = { opensH: 9, closesH: 17, closedOn: ["sun"], openFrom: "05-01", openTo: "10-31" };
    expect(open(house, ["2027-05-02", 8], ["2027-05-02", 20], true)).toBe(false);
    const own = { ...house, postClosedOn: ["sat"], postOpensH: 12, postClosesH: 13, postTo: "09-30" };
    expect(open(own, ["2027-05-02", 8], ["2027-05-02", 11], true)).toBe(false);
    expect(open(own, ["2027-05-02", 8], ["2027-05-02", 12.5], true)).toBe(true);
    expect(open(own, ["2027-04-29", 8], ["2027-04-29", 20], true)).toBe(false);
    expect(open(own, ["2027-10-05", 8], ["2027-10-05", 20], true)).toBe(false);
  });
});
