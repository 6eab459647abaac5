/** Forecasts and own readings over the normals: tables worked out independently, and what must hold of any. */
import { describe, expect, test } from "vitest";
import { planOf, stationOf, trackNorth } from "../../test/fixtures.ts";
import type { Forecast, ThermometerReading } from "../plan/schema.ts";
import type { TrackM, WalkedM } from "../units/lengths.ts";
import { repairTracks } from "../track/repair.ts";
import { buildProfile } from "../track/profile.ts";
import { dayNumber } from "../units/day.ts";
import { biasK, buildKnown, forecastWeight, rainWeight, spreadLeftK } from "./known.ts";
import { buildSeason, climateAt, seasonWith, skyAt, stationFacts, wetChanceAt } from "./season.ts";

const profile = buildProfile(repairTracks([trackNorth({ lengthM: 200_000, heightM: () => 1000 })]), false);
const plan = planOf({ climate: { stations: [stationOf(5, 15, { heightM: 1000, lowSdK: 4, highSdK: 4 })] } });
const normals = buildSeason({ stations: plan.climate.stations.map(stationFacts), profile, warmth: "usual" });
const day = (iso: string): number => dayNumber(iso)!;
const forecast = (over: Partial<Forecast>): Forecast => ({
  id: "f",
  name: "forecast",
  fromM: 0 as TrackM,
  toM: 100_000 as TrackM,
  heightM: 1000,
  issued: "2027-05-01",
  days: [],
  ...over,
});
const reading = (over: Partial<ThermometerReading>): ThermometerReading => ({
  id: "r",
  date: "2027-05-01",
  trackM: 0 as TrackM,
  heightM: 1000,
  ...over,
});
const at = (forecasts: Forecast[], readings: ThermometerReading[], iso: string, metres = 50_000, heightM = 1000) =>
  climateAt(seasonWith({ season: normals, forecasts, readings }), metres as WalkedM, heightM, day(iso));

describe("forecasts", () => {
  test.each([
    [1, 0.9863, -1.904, 0.7837],
    [3, 0.8829, -1.18, 0.6713],
    [5, 0.7075, 0.04752, 0.5188],
    [7, 0.5075, 1.447, 0.399],
    [10, 0.2506, 3.246, 0.3183],
  ])("%d days ahead: weight, the low of −2 over 5, the chance of 0.8 over 0.3", (lead, weight, low, wet) => {
    expect(forecastWeight(lead)).toBeCloseTo(weight, 3);
    expect(0.3 + rainWeight(lead) * 0.5).toBeCloseTo(wet, 3);
    // As the whole season answers it.
    const date = `2027-05-${String(1 + lead).padStart(2, "0")}`;
    const given = forecast({ days: [{ date, lowC: -2, wetChance: 0.8 }] });
    expect(at([given], [], date).lowC).toBeCloseTo(low, 2);
    const season = seasonWith({ season: normals, forecasts: [given], readings: [] });
    const before = wetChanceAt(normals, 50_000 as WalkedM, day(date));
    expect(wetChanceAt(season, 50_000 as WalkedM, day(date))).toBeCloseTo(
      before + rainWeight(lead) * (0.8 - before),
      9,
    );
  });

  test("what single nights still differ by never grows, and never falls under two kelvin", () => {
    for (const sd of [1, 2, 3, 4, 6])
      for (const lead of [0, 1, 3, 7, 15]) {
        const left = spreadLeftK(sd, forecastWeight(lead));
        expect(left).toBeLessThanOrEqual(sd);
        expect(left).toBeGreaterThanOrEqual(Math.min(sd, 2) - 1e-9);
      }
    expect(spreadLeftK(4, 0.8829)).toBeCloseTo(Math.hypot(1.878, 2), 2);
  });

  test("it is brought to the camp's height, fades out beyond its stretch, and says nothing of other days", () => {
    const given = forecast({ days: [{ date: "2027-05-02", lowC: -2, highC: 8 }] });
    const there = at([given], [], "2027-05-02");
    expect(at([given], [], "2027-05-02", 50_000, 2000).lowC).toBeCloseTo(there.lowC - 4.5, 6);
    expect(at([given], [], "2027-05-02", 50_000, 2000).highC).toBeCloseTo(there.highC - 6.5, 6);
    const [near, far] = [at([given], [], "2027-05-02", 110_000), at([given], [], "2027-05-02", 121_000)];
    expect(near.lowC).toBeGreaterThan(there.lowC);
    expect(near.lowC).toBeLessThan(5);
    expect(far.lowC).toBeCloseTo(5, 6);
    expect(at([given], [], "2027-05-03").lowC).toBeCloseTo(5, 6);
  });

  test("the newer issue stands over the older, whatever their order; one made after the day is none", () => {
    const old = forecast({ issued: "2027-04-25", days: [{ date: "2027-05-02", lowC: 12 }] });
    const fresh = forecast({ id: "g", issued: "2027-05-01", days: [{ date: "2027-05-02", lowC: -2 }] });
    expect(at([old, fresh], [], "2027-05-02").lowC).toBe(at([fresh, old], [], "2027-05-02").lowC);
    expect(at([old, fresh], [], "2027-05-02").lowC).toBeLessThan(-1.7);
    const late = forecast({ issued: "2027-05-03", days: [{ date: "2027-05-02", lowC: -20 }] });
    expect(at([late], [], "2027-05-02").lowC).toBeCloseTo(5, 6);
  });

  test("rain without a chance, and wind at the walker", () => {
    const given = (rainMm: number) =>
      seasonWith({
        season: normals,
        forecasts: [forecast({ issued: "2027-05-02", days: [{ date: "2027-05-02", rainMm, windMps: 10 }] })],
        readings: [],
      });
    expect(wetChanceAt(given(6), 0 as WalkedM, day("2027-05-02"))).toBeCloseTo(0.9, 6);
    expect(wetChanceAt(given(0), 0 as WalkedM, day("2027-05-02"))).toBeCloseTo(0.1, 6);
    expect(skyAt(given(0), 0 as WalkedM, day("2027-05-02")).windMps).toBeCloseTo(6, 6);
    expect(skyAt(given(0), 0 as WalkedM, day("2027-05-03")).windMps).toBe(1.5);
  });
});

describe("own readings", () => {
  /** Nights of spread 3 K, every one so much off the normals, the last a day before the day asked for. */
  const offBy = (nights: number, byK: number): number => {
    const readings = Array.from({ length: nights }, (_, i) =>
      reading({ date: `2027-05-${String(10 + i).padStart(2, "0")}`, lowC: byK }),
    );
    const known = buildKnown([], readings, () => ({ lowC: 0, coldLowC: 0, highC: 10, lowSdK: 3, highSdK: 3 }))!;
    return biasK(known, "lowK", 0 as TrackM, day(`2027-05-${String(10 + nights - 1).padStart(2, "0")}`));
  };
  test.each([
    [1, -2, -0.6154],
    [3, -2, -1.096],
    [7, -2, -1.404],
    [14, -2, -1.559],
    [7, 1, 0.7021],
  ])("%d nights off by %d K: the correction", (nights, byK, want) => {
    expect(offBy(nights, byK)).toBeCloseTo(want, 2);
  });

  test("they count at any height alike, less further off, and a warm one makes no cold night warmer", () => {
    const cold = [reading({ lowC: 0 })];
    const high = [reading({ lowC: 0 - 4.5, heightM: 2000 })];
    expect(at([], cold, "2027-05-01").lowC).toBeLessThan(5);
    expect(at([], high, "2027-05-01").lowC).toBeCloseTo(at([], cold, "2027-05-01").lowC, 6);
    expect(at([], cold, "2027-05-01", 190_000).lowC).toBeGreaterThan(at([], cold, "2027-05-01").lowC);
    expect(at([], cold, "2027-06-20").lowC).toBeGreaterThan(4.9);
    const warm = [reading({ lowC: 12, highC: 20 })];
    const plain = at([], [], "2027-05-01");
    expect(at([], warm, "2027-05-01").lowC).toBeGreaterThan(plain.lowC);
    expect(at([], warm, "2027-05-01").highC).toBeGreaterThan(plain.highC);
    expect(at([], warm, "2027-05-01").coldNightC).toBe(plain.coldNightC);
    expect(at([], cold, "2027-05-01").coldNightC).toBeLessThan(plain.coldNightC);
  });

  test("nothing known is the same season", () => {
    expect(seasonWith({ season: normals, forecasts: [], readings: [] })).toBe(normals);
  });
});
