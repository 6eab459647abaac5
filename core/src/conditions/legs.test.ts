/** What legs meet: read from the plan where it says so, and from the season where it does not. */
import { expect, test } from "vitest";
import { hikerOf, planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../session/session.ts";
import { legConditions } from "./legs.ts";

const tracks = [trackNorth({ lengthM: 120_000, heightM: (m) => 800 + 200 * Math.sin(m / 9000) })];
const at = (over: Record<string, unknown>) => {
  const plan = planOf({
    hikers: [hikerOf()],
    stops: [stopOf("m", 60_000)],
    climate: { stations: [stationOf(4, 15)] },
    ...over,
  });
  const result = computePlan(plan, tracks);
  return { result, rows: legConditions(plan, result) };
};

test("a row a leg, with the plan's own nights, days and snow", () => {
  const { result, rows } = at({});
  expect(rows).toHaveLength(2);
  for (const [i, row] of rows.entries()) {
    const leg = result.legs[i]!;
    expect([row.coldNightC, row.hotDayC, row.snowM]).toEqual([leg.coldNightC, leg.hotDayC, leg.snowM]);
    const dates = new Set(result.days.filter(({ legIndex }) => legIndex === i).map(({ date }) => date));
    expect(row.days).toBe(dates.size);
    // Nine wet days of some thirty.
    expect(row.wetMean).toBeCloseTo((row.days * 9) / 30.4, 0);
    expect(row.noneWetChance).toBeGreaterThan(0);
    expect(row.longestWetDays).toBeLessThanOrEqual(row.wetMean + 1);
    // Half an hour and a little at 40° in spring.
    expect(row.twilightH).toBeGreaterThan(0.4);
    expect(row.twilightH).toBeLessThan(0.6);
    expect(row.uvIndex).toBeGreaterThan(6);
    expect(row.leastDaylightH).toBe(
      Math.min(...result.days.filter(({ legIndex }) => legIndex === i).map(({ daylightH }) => daylightH)),
    );
  }
});

test("over all nights of a leg it gets colder than in one of ten, and by no more than some spreads", () => {
  const { result, rows } = at({});
  for (const row of rows) {
    const leg = result.legs[row.legIndex]!;
    expect(row.coldestOfAllC).toBeLessThanOrEqual(row.coldNightC + 0.1);
    expect(row.coldestOfAllC).toBeGreaterThan(row.coldNightC - 1.5 * leg.coldestSdK);
  }
});

test("nights in beds are none to be cold in; a leg without others tells the one in ten of its end", () => {
  const beds = { stops: [stopOf("m", 60_000, { services: ["bed", "shop-full"], nights: 3 })] };
  const camps = { stops: [stopOf("m", 60_000, { services: ["shop-full"], nights: 3 })] };
  const [inBed, outside] = [at(beds), at(camps)];
  const days = (of: typeof inBed) => of.result.days.filter(({ legIndex }) => legIndex === 0);
  expect(
    days(inBed)
      .filter((day) => day.night === "stop")
      .map((day) => day.outside),
  ).toEqual([false]);
  expect(
    days(outside)
      .filter((day) => day.night === "stop")
      .map((day) => day.outside),
  ).toEqual([true]);
  // Three nights more in the open: one of them is colder in more hikes.
  expect(outside.rows[0]!.coldestOfAllC).toBeLessThan(inBed.rows[0]!.coldestOfAllC - 0.05);
});
