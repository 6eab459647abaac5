import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { Station } from "../plan/schema.ts";
import { stationOf } from "../../test/fixtures.ts";
import { dayNumber } from "../units/day.ts";
import { buildSeason, climateAt } from "./season.ts";
import { daylight } from "./sun.ts";

const season = (...stations: Record<string, unknown>[]) => buildSeason(stations as Station[], (m) => m);
const day = (iso: string): number => dayNumber(iso)!;

describe("normals along the year", () => {
  const monthly = [0, 1, 5, 9, 14, 18, 20, 19, 15, 10, 5, 1];
  const one = season(stationOf(0, 0, { lowC: monthly, highC: monthly.map((c) => c + 10) }));

  test("the middle of a month has the month's mean", () => {
    expect(climateAt(one, 0, 100, day("2027-01-16")).lowC).toBeCloseTo(0, 0);
    expect(climateAt(one, 0, 100, day("2027-07-16")).lowC).toBeCloseTo(20, 0.5);
    expect(climateAt(one, 0, 100, day("2027-04-15")).highC).toBeCloseTo(19, 0);
  });

  test("no jump at any midnight, the new year's included", () => {
    let before = climateAt(one, 0, 100, day("2026-12-01")).lowC;
    for (let d = day("2026-12-02"); d < day("2028-02-01"); d++) {
      const now = climateAt(one, 0, 100, d).lowC;
      expect(Math.abs(now - before)).toBeLessThan(0.35);
      before = now;
    }
  });

  test("in spring a later start is never colder at the same place", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: day("2027-02-15"), max: day("2027-06-20") }),
        fc.integer({ min: 1, max: 25 }),
        (start, later) => climateAt(one, 5000, 900, start + later).lowC >= climateAt(one, 5000, 900, start).lowC,
      ),
    );
  });
});

describe("normals brought to the place", () => {
  // Reference: station and camp height, station low, camp low at 4.5 K/km up and 6.5 K/km down.
  test.each([
    [500, 1500, 10, 5.5],
    [500, 2500, 8, -1],
    [1200, 3000, 5, -3.1],
    [2000, 1200, 2, 7.2],
  ])("station %i m, camp %i m, %f °C gives %f °C", (stationM, campM, stationC, campC) => {
    expect(
      climateAt(season(stationOf(stationC, 30, { heightM: stationM })), 0, campM, day("2027-05-05")).lowC,
    ).toBeCloseTo(campC, 6);
  });

  test("day highs fall 6.5 K per km both ways", () => {
    const one = season(stationOf(-20, 20, { heightM: 1000 }));
    expect(climateAt(one, 0, 2000, day("2027-05-05")).highC).toBeCloseTo(13.5, 6);
    expect(climateAt(one, 0, 0, day("2027-05-05")).highC).toBeCloseTo(26.5, 6);
  });

  test("between two stations the nearer counts more, and neither is overshot", () => {
    const two = season(stationOf(0, 10), stationOf(10, 20, { id: "u", trackM: 100_000 }));
    const at = (m: number): number => climateAt(two, m, 100, day("2027-05-05")).lowC;
    expect(at(50_000)).toBeCloseTo(5, 6);
    expect(at(10_000)).toBeLessThan(2);
    expect(at(0)).toBeGreaterThan(0);
    expect(at(100_000)).toBeLessThan(10);
  });

  test("one night in ten is 1.2816 deviations below the mean", () => {
    const { lowC, coldNightC, highC, hotDayC } = climateAt(
      season(stationOf(4, 20, { lowSdK: 3, highSdK: 2 })),
      0,
      100,
      day("2027-05-05"),
    );
    expect(lowC - coldNightC).toBeCloseTo(3.8448, 4);
    expect(hotDayC - highC).toBeCloseTo(2.5632, 4);
  });

  test("without stations the assumed weather holds at any height", () => {
    const none = season();
    expect(none.assumed).toBe(true);
    expect(climateAt(none, 0, 3000, day("2027-05-05")).lowC).toBeCloseTo(5, 6);
  });
});

describe("daylight", () => {
  const clock = (text: string): number => Number(text.slice(0, 2)) + Number(text.slice(3)) / 60;
  // NOAA/Meeus equations, 2026, longitude 0, local mean time; 6 minutes allowed.
  test.each([
    ["2026-03-21", 35, "06:02", "18:12"],
    ["2026-03-21", 55, "05:59", "18:15"],
    ["2026-06-21", 35, "04:46", "19:17"],
    ["2026-06-21", 45, "04:13", "19:50"],
    ["2026-06-21", 55, "03:21", "20:43"],
    ["2026-12-21", 35, "07:04", "16:52"],
    ["2026-12-21", 55, "08:23", "15:33"],
    ["2026-02-15", 45, "07:01", "17:27"],
    ["2026-04-15", 55, "04:56", "19:04"],
    ["2026-08-15", 45, "05:02", "19:07"],
    ["2026-10-15", 35, "06:06", "17:26"],
    ["2026-11-15", 55, "07:32", "15:57"],
  ])("%s at %i° N: %s to %s", (iso, latDeg, rise, set) => {
    const sun = daylight(day(iso), 0, latDeg);
    expect(Math.abs(sun.sunriseH - clock(rise))).toBeLessThan(0.1);
    expect(Math.abs(sun.sunsetH - clock(set))).toBeLessThan(0.1);
    expect(sun.daylightH).toBeCloseTo(sun.sunsetH - sun.sunriseH, 9);
  });

  test("the clock is the place's own, whatever its longitude", () => {
    for (const lonDeg of [-179, -148, 0, 90, 179])
      expect(Math.abs(daylight(day("2026-06-21"), lonDeg, 45).sunriseH - clock("04:13"))).toBeLessThan(0.1);
  });

  test("midnight sun and polar night", () => {
    expect(daylight(day("2026-06-21"), 0, 75).daylightH).toBe(24);
    expect(daylight(day("2026-12-21"), 0, 75).daylightH).toBe(0);
  });
});
