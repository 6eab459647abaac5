import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { dayNumber, dayOfYear, isoOfDay, monthOfDay } from "./day.ts";

describe("day numbers", () => {
  test.each([
    ["1970-01-01", 0],
    ["1970-01-02", 1],
    ["2000-03-01", 11_017],
    ["2027-03-29", 20_906],
  ])("%s is day %i", (iso, day) => {
    expect(dayNumber(iso)).toBe(day);
    expect(isoOfDay(day)).toBe(iso);
  });

  test.each(["2027-02-29", "2027-13-01", "2027-04-31", "27-04-01", "2027-4-1", "", "tomorrow", "2027-03-29T00:00"])(
    "%s is no day",
    (text) => {
      expect(dayNumber(text)).toBeUndefined();
    },
  );

  test("a leap day exists in a leap year", () => {
    expect(dayNumber("2028-02-29")).toBeDefined();
  });

  test("any day survives the way to text and back", () => {
    fc.assert(fc.property(fc.integer({ min: -100_000, max: 100_000 }), (day) => dayNumber(isoOfDay(day)) === day));
  });

  test("day of the year and month", () => {
    expect(dayOfYear(dayNumber("2027-01-01")!)).toBe(0);
    expect(dayOfYear(dayNumber("2027-12-31")!)).toBe(365);
    expect([dayNumber("2027-02-28")!, dayNumber("2027-03-01")!].map(dayOfYear)).toEqual([58, 60]);
    expect(dayOfYear(dayNumber("2028-12-31")!)).toBe(365);
    expect(monthOfDay(dayNumber("2027-08-05")!)).toBe(7);
  });

  test("arithmetic agrees with the calendar of the language, over seven centuries", () => {
    fc.assert(
      fc.property(fc.integer({ min: -130_000, max: 130_000 }), (day) => {
        const date = new Date(day * 86_400_000);
        expect(monthOfDay(day)).toBe(date.getUTCMonth());
        // The same date in a leap year.
        const inLeap = Date.UTC(2028, date.getUTCMonth(), date.getUTCDate());
        expect(dayOfYear(day)).toBe(Math.round((inLeap - Date.UTC(2028, 0, 1)) / 86_400_000));
      }),
      { numRuns: 2000 },
    );
  });
});
