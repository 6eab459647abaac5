/** Other first days: each figure is that of the plan computed with it. */
import { expect, test } from "vitest";
import { planOf, stationOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../session/session.ts";
import { startsAround, sweepStarts } from "./starts.ts";

const track = [trackNorth({ lengthM: 80_000, heightM: () => 1500 })];
const LOW = [-8, -7, -4, -1, 3, 7, 11, 10, 6, 1, -4, -7];
const plan = planOf({
  trip: { name: "t", startDate: "2027-05-01" },
  climate: { stations: [stationOf(0, 0, { heightM: 1500, lowC: LOW, highC: LOW.map((c) => c + 12) })] },
});

test("days around the first, the nearest first", () => {
  expect(startsAround("2027-03-01", 2)).toEqual(["2027-03-01", "2027-03-02", "2027-02-28", "2027-03-03", "2027-02-27"]);
});

test("the figures of each are those of the plan with it, and spring gets warmer", () => {
  const dates = ["2027-02-01", "2027-05-01", "2027-07-01"];
  const rows = [...sweepStarts(plan, dates, (other) => computePlan(other, track))];
  expect(rows.map(({ startDate }) => startDate)).toEqual(dates);
  for (const row of rows) {
    const result = computePlan({ ...plan, trip: { ...plan.trip, startDate: row.startDate } }, track);
    expect(row.finishDate).toBe(result.finishDate);
    expect(row.coldNightC).toBe(Math.min(...result.legs.map((leg) => leg.coldNightC)));
    expect(row.heaviestKg).toBe(Math.max(...result.legs.flatMap((leg) => leg.hikers.map((hiker) => hiker.heaviestKg))));
  }
  expect(rows[0]!.coldNightC).toBeLessThan(rows[1]!.coldNightC);
  expect(rows[1]!.coldNightC).toBeLessThan(rows[2]!.coldNightC);
  expect(rows[0]!.snowM).toBeGreaterThan(rows[2]!.snowM);
  expect(rows[2]!.snowM).toBe(0);
});
