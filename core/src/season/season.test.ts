import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { ClimateStation } from "../plan/schema.ts";
import { stationOf, trackNorth } from "../../test/fixtures.ts";
import { rowsOf, SUN } from "../../test/published.ts";
import { repairTracks } from "../track/repair.ts";
import { buildProfile } from "../track/profile.ts";
import { dayNumber } from "../units/day.ts";
import type { WalkedM } from "../units/lengths.ts";
import { belowHigh, DiurnalTable, STEPS_PER_H } from "./diurnal.ts";
import { buildSeason, climateAt as climateOf, skyAt as skyOf, type Season } from "./season.ts";
import { daylight } from "./sun.ts";

const profile = buildProfile(repairTracks([trackNorth({ lengthM: 120_000 })]), false);
const season = (...stations: Record<string, unknown>[]) =>
  buildSeason({ stations: stations as ClimateStation[], profile, warmth: "usual" });
const climateAt = (of: Season, walkedM: number, heightM: number, at: number) =>
  climateOf(of, walkedM as WalkedM, heightM, at);
const skyAt = (of: Season, walkedM: number, month: number) =>
  skyOf(of, walkedM as WalkedM, day(`2027-${String(month + 1).padStart(2, "0")}-15`));
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
  // Station and camp height, station low, camp low at 4.5 K/km.
  test.each([
    [500, 1500, 10, 5.5],
    [500, 2500, 8, -1],
    [1200, 3000, 5, -3.1],
    [2000, 1200, 2, 5.6],
  ])("station %i m, camp %i m, %f °C gives %f °C", (stationM, campM, stationC, campC) => {
    expect(
      climateAt(season(stationOf(stationC, 30, { heightM: stationM })), 0, campM, day("2027-05-05")).lowC,
    ).toBeCloseTo(campC, 6);
  });

  test("the coldest night in ten takes the colder lapse either way, and no height where the track has none", () => {
    const one = (heightM: number) => season(stationOf(5, 20, { heightM }));
    const coldest = (heightM: number, campM: number) => climateAt(one(heightM), 0, campM, day("2027-05-05")).coldNightC;
    expect(coldest(1000, 2000)).toBeCloseTo(5 - 5.5 - 1.2816 * 3, 6);
    expect(coldest(1000, 0)).toBeCloseTo(5 + 3 - 1.2816 * 3, 6);
    const flat = { ...one(2000), heightless: true };
    expect(climateAt(flat, 0, 0, day("2027-05-05"))).toMatchObject({ highC: 20, lowC: 5 });
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
  test("the clock is the place's own, whatever its longitude", () => {
    for (const lonDeg of [-179, -148, 0, 90, 179])
      expect(Math.abs(daylight(day("2026-06-21"), lonDeg, 45).sunriseH - clock("04:13"))).toBeLessThan(0.1);
  });

  test("midnight sun and polar night", () => {
    expect(daylight(day("2026-06-21"), 0, 75).daylightH).toBe(24);
    expect(daylight(day("2026-12-21"), 0, 75).daylightH).toBe(0);
    // Where the sun does not come up there is some hours' light about noon all the same; elsewhere the sun decides.
    const polar = daylight(day("2026-12-21"), 0, 69);
    expect(polar.daylightH).toBe(0);
    expect(polar.lightToH - polar.lightFromH).toBeGreaterThan(3);
    expect(polar.lightFromH).toBeLessThan(11);
    const midway = daylight(day("2026-12-21"), 0, 45);
    expect([midway.lightFromH, midway.lightToH]).toEqual([midway.sunriseH, midway.sunsetH]);
  });
});

describe("the course of a day", () => {
  test("coldest at sunrise, warmest at three, and in between without a jump", () => {
    expect(belowHigh(6, 6)).toBeCloseTo(1, 9);
    expect(belowHigh(15, 6)).toBeCloseTo(0, 9);
    expect(belowHigh(10.5, 6)).toBeCloseTo(0.5, 9);
    // The night falls towards the next sunrise.
    expect(belowHigh(22, 6)).toBeGreaterThan(belowHigh(18, 6));
    expect(belowHigh(4, 6)).toBeGreaterThan(belowHigh(1, 6));
    for (let h = 0; h < 24; h += 0.1) expect(Math.abs(belowHigh(h + 0.1, 6) - belowHigh(h, 6))).toBeLessThan(0.03);
    expect(Math.abs(belowHigh(23.99, 6) - belowHigh(0, 6))).toBeLessThan(0.01);
  });

  test("the table holds it in quarters of an hour, for any sunrise", () => {
    const tables = new DiurnalTable();
    fc.assert(
      fc.property(fc.double({ min: 0, max: 12, noNaN: true }), fc.integer({ min: 0, max: 95 }), (sunriseH, step) => {
        const want = belowHigh(step / STEPS_PER_H, Math.round(sunriseH * 10) / 10);
        expect(tables.at(sunriseH)[step]).toBeCloseTo(want, 9);
        expect(want).toBeGreaterThanOrEqual(0);
        expect(want).toBeLessThanOrEqual(1);
      }),
    );
    expect(tables.at(6)).toBe(tables.at(6.04));
  });
});

test("humidity, cloud and wind are those of the nearest station, mild where it says nothing", () => {
  const humid = Array<number>(12).fill(0.9);
  const two = season(
    stationOf(5, 15),
    stationOf(5, 15, { id: "u", trackM: 90_000, humidity: humid, cloud: humid, windMps: 4 }),
  );
  expect(skyAt(two, 80_000, 6)).toEqual({ humidity: 0.9, cloud: 0.9, windMps: 4 });
  expect(skyAt(two, 10_000, 6)).toMatchObject({ humidity: 0.5, cloud: 0.4 });
  expect(skyAt(season(), 0, 0).windMps).toBe(1.5);
});

/** The reference's whole year: sixteen dates at three latitudes. */
test.each(rowsOf(SUN))("sun on %s at %s° N: %s to %s", (iso, latDeg, rise, set) => {
  const clock = (text: string): number => Number(text.slice(0, 2)) + Number(text.slice(3)) / 60;
  const sun = daylight(day(iso!), 0, Number(latDeg));
  expect(Math.abs(sun.sunriseH - clock(rise!))).toBeLessThan(0.1);
  expect(Math.abs(sun.sunsetH - clock(set!))).toBeLessThan(0.1);
});
