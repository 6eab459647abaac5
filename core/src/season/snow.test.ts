/** Snow along a trail: the same at a place as on its cells, and through the year as day by day. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { planOf, stationOf, trackNorth } from "../../test/fixtures.ts";
import { buildPlane, PLANE_DAYS, seasonOf } from "../conditions/plane.ts";
import { computePlan } from "../session/session.ts";
import { SURFACE_FACTORS } from "../walk/surfaces.ts";
import { repairTracks } from "../track/repair.ts";
import { walkedOf } from "../track/place.ts";
import { buildProfile } from "../track/profile.ts";
import { dayNumber, dayOfYear } from "../units/day.ts";
import { seasonHolds } from "../walk/terrain.ts";
import { meltIndex } from "../models/ford.ts";
import { meltBetween, meltSums } from "./melt.ts";
import { throughYear } from "./months.ts";
import { climateAt, stationWeights, wetChanceAt } from "./season.ts";
import { buildSnow, cellThreshold, snowAt, snowDays, type Snow } from "./snow.ts";
import { daylight } from "./sun.ts";

const LOW = [-8, -7, -4, -1, 3, 7, 11, 10, 6, 1, -4, -7];
const HIGH = [3, 5, 9, 13, 18, 24, 29, 28, 23, 15, 7, 3];
const RAIN = [110, 95, 95, 65, 45, 25, 12, 12, 25, 50, 100, 110];
const station = (over: Record<string, unknown> = {}) => ({
  ...stationOf(0, 0),
  heightM: 1500,
  lowC: LOW,
  highC: HIGH,
  lowSdK: 4.5,
  highSdK: 4.5,
  precipMm: RAIN,
  wetDays: RAIN.map((mm) => mm / 8),
  ...over,
});
/** Up over 3,000 m and down. */
const track = trackNorth({ lengthM: 60_000, heightM: (m) => 1500 + 1500 * Math.sin((Math.PI * m) / 60_000) });
const profile = buildProfile(repairTracks([track]), false);
const climateOf = (over: Record<string, unknown> = {}) =>
  planOf({ climate: { stations: [station(), station({ id: "b", trackM: 60_000, heightM: 1400 })], ...over } }).climate;
const day = (monthDay: string): number => dayOfYear(dayNumber(`2028-${monthDay}`)!);

describe("cells", () => {
  const { snow } = seasonOf({ climate: climateOf() }, profile);
  const days = snowDays({ snow: snow!, profile });

  test("thresholds are even over any run of neighbours", () => {
    for (const from of [0, 333, 5000]) {
      const run = Array.from({ length: 100 }, (_, i) => cellThreshold(from + i)).sort((a, b) => a - b);
      expect(run[0]!).toBeLessThan(0.08);
      expect(run.at(-1)!).toBeGreaterThan(0.92);
      for (let i = 1; i < run.length; i++) expect(run[i]! - run[i - 1]!).toBeLessThan(0.04);
    }
  });

  test("as many are white as the cover says, on any day", () => {
    for (const monthDay of ["01-15", "04-01", "05-15", "06-10", "06-25", "09-01", "11-20"]) {
      const yearDay = day(monthDay);
      let white = 0;
      let cover = 0;
      for (let c = 0; c < profile.cellCount; c++) {
        if (days.from[c]! >= 0 && seasonHolds(days.from[c]!, days.to[c]!, yearDay)) white++;
        cover += snowAt(
          snow!,
          walkedOf(profile, c),
          (profile.heightM[c]! + profile.heightM[c + 1]!) / 2,
          yearDay,
        ).cover;
      }
      expect(Math.abs(white - cover) / profile.cellCount, monthDay).toBeLessThan(0.07);
    }
  });

  test("a warmer or a drier year has fewer, a colder or a snowier one more", () => {
    const whiteDays = (over: Record<string, unknown>): number => {
      const other = snowDays({ snow: seasonOf({ climate: climateOf(over) }, profile).snow!, profile });
      let sum = 0;
      for (let c = 0; c < profile.cellCount; c++)
        if (other.from[c]! >= 0) sum += (other.to[c]! - other.from[c]! + 366) % 366;
      return sum;
    };
    const usual = whiteDays({});
    expect(whiteDays({ warmth: "warm" })).toBeLessThan(usual);
    expect(whiteDays({ warmth: "cold" })).toBeGreaterThan(usual);
    expect(whiteDays({ snowYear: "low" })).toBeLessThan(usual);
    expect(whiteDays({ snowYear: "high" })).toBeGreaterThan(usual);
  });
});

test("the plane says what the core says, at two hundred random places and dates", () => {
  const forecastDays = [{ date: "2028-05-03", lowC: -6, highC: 2, wetChance: 0.9 }];
  const forecasts = [
    { id: "f", name: "f", fromM: 0, toM: 60_000, heightM: 500, issued: "2028-05-01", days: forecastDays },
  ];
  const readings = [{ id: "r", date: "2028-06-10", trackM: 20_000, heightM: 900, lowC: 1 }];
  const climate = climateOf({ forecasts, readings, snowYear: "high" });
  const { season, snow } = seasonOf({ climate }, profile);
  const columns = 37;
  const months = [1, 1, 1, 1, 0.9, 0.7, 0.4, 0.2, 0.3, 0.6, 0.9, 1];
  const { sources } = planOf({ sources: [{ id: "s", name: "s", trackM: 5000, chanceByMonth: months }] });
  const { values } = buildPlane({ climate, sources, stretches: [] }, profile, columns);
  const usual = buildSnow({ season, profile, year: "usual" });
  const first = dayNumber("2028-01-01")!;
  fc.assert(
    fc.property(fc.nat(columns - 1), fc.nat(365), (column, yearDay) => {
      const node = Math.round(((column + 0.5) / columns) * profile.cellCount);
      const at = column * PLANE_DAYS + yearDay;
      const [walkedM, heightM] = [walkedOf(profile, node), profile.heightM[node]!];
      const there = climateAt(season, walkedM, heightM, first + yearDay);
      expect(values.coldNightC[at]).toBeCloseTo(there.coldNightC, 3);
      expect(values.hotDayC[at]).toBeCloseTo(there.hotDayC, 3);
      expect(values.snowCover[at]).toBeCloseTo(snowAt(snow!, walkedM, heightM, yearDay).cover, 4);
      expect(values.wetChance[at]).toBeCloseTo(wetChanceAt(season, walkedM, first + yearDay), 5);
      const light = daylight(first + yearDay, 0, profile.latDeg[node]!).daylightH;
      expect(Math.abs(values.daylightH[at]! - light)).toBeLessThan(4 / 60);
      const melt = (of: Snow) => meltBetween(meltSums(of), stationWeights(season, walkedM), heightM, heightM + 500);
      expect(values.streams[at]).toBeCloseTo(meltIndex(melt(snow!)[yearDay]!, Math.max(...melt(usual))), 3);
      const near = Math.abs(walkedM - 5000) <= 10_000;
      if (near) expect(values.sources[at]).toBeCloseTo(throughYear(months, yearDay), 5);
      else expect(values.sources[at]).toBeNaN();
      expect(values.insects[at]).toBeGreaterThanOrEqual(0);
      expect(values.insects[at]).toBeLessThanOrEqual(3);
    }),
    { numRuns: runs(200), endOnFailure: true },
  );
});

describe("the walk", () => {
  const surfaces = (over: Record<string, unknown>, startDate: string) => {
    const plan = planOf({
      climate: { stations: [station()], ...over },
      trip: { name: "t", startDate },
      stretches: over["stretches"] ?? [],
    });
    const result = computePlan(plan, [track]);
    return [...result.surface].map((surface) => SURFACE_FACTORS[surface]!.id);
  };
  const white = (ids: readonly string[]): number => ids.filter((id) => id.endsWith("snow")).length / ids.length;

  test("goes over snow in spring and over bare ground in late summer; crust in the morning, soft later", () => {
    const spring = surfaces({}, "2027-05-05");
    expect(white(spring)).toBeGreaterThan(0.3);
    expect(spring).toContain("firm-snow");
    expect(spring).toContain("soft-snow");
    expect(white(surfaces({}, "2027-08-25"))).toBe(0);
    expect(white(surfaces({ snowBy: "by-hand" }, "2027-05-05"))).toBe(0);
  });

  test("a stretch that says where snow lies goes before the season", () => {
    const stretch = {
      id: "s",
      name: "Dry by hand",
      kind: "snow",
      fromM: 0,
      toM: 60_000,
      fromMonthDay: "01-01",
      toMonthDay: "02-01",
    };
    expect(white(surfaces({ stretches: [stretch] }, "2027-05-05"))).toBe(0);
  });
});
