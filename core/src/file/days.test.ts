/** The calendar's days: every date once, rest days among them, the same way and climb as the walk. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { calendarDays, computePlan, dayNumber, writeDaysCsv } from "../index.ts";

test("no date is missing or there twice, and the ways follow each other, on every random plan", () => {
  fc.assert(
    fc.property(arbitraryPlan, ({ plan, tracks }) => {
      const result = computePlan(plan, tracks);
      const days = calendarDays(plan, result);
      expect(days[0]!.date).toBe(plan.trip.startDate);
      let date = dayNumber(days[0]!.date)! - 1;
      let at = 0;
      let climbM = 0;
      for (const day of days) {
        expect(dayNumber(day.date)).toBe(++date);
        expect(day.tripDay).toBe(date - dayNumber(plan.trip.startDate)! + 1);
        expect(Math.abs((day.rests ? day.toM : day.fromM) - at)).toBeLessThan(1e-6);
        at = day.toM;
        climbM += day.climbM;
      }
      expect(Math.abs(at - result.profile.lengthM)).toBeLessThan(1e-6);
      expect(Math.abs(climbM - result.legs.reduce((sum, leg) => sum + leg.climbM, 0))).toBeLessThan(1e-6);
    }),
    { numRuns: runs(60), endOnFailure: true },
  );
});

const plan = planOf({
  hikers: [hikerOf({ pace: { hoursFreshH: 6, hoursFitH: 6 } })],
  climate: { stations: [stationOf(6, 16)] },
  stops: [stopOf("m", 40_000, { name: "Mill, upper", nights: 3, services: ["shop-full", "bed"] })],
  camps: [{ id: "c", name: "Ledge", trackM: 61_000 }],
  pins: [{ id: "p", trackM: 61_100 }],
});
const result = computePlan(plan, [trackNorth({ lengthM: 90_000 })]);

test("nights are told by what is there, a pin among them, and rest days follow their stop", () => {
  const days = calendarDays(plan, result);
  const stop = days.filter(({ place }) => place === "Mill, upper");
  expect(stop.map(({ rests }) => rests)).toEqual([false, true, true]);
  expect(days.find(({ pinId }) => pinId === "p")).toMatchObject({ place: "Ledge", night: "camp" });
  expect(days.at(-1)!.night).toBe("end");
  expect(days[0]!.lightLeftH).toBeGreaterThan(0);
});

test("as CSV: a row a day, names with commas in quotes, clocks as local solar time", () => {
  const rows = writeDaysCsv(plan, result).trim().split("\n");
  expect(rows).toHaveLength(calendarDays(plan, result).length + 1);
  expect(rows[0]).toContain("leaves (local solar time)");
  expect(rows.find((row) => row.includes("Mill"))).toContain('"Mill, upper"');
  expect(rows[1]).toMatch(/^2027-05-01,1,1,0\.0,.*,07:00,1\d:\d\d,camp,/);
});
