/** Simulated normals against values worked out apart from this code. */
import { describe, expect, test } from "vitest";
import { planOf, trackNorth } from "../../test/fixtures.ts";
import { climateStationSchema } from "../plan/climateSchema.ts";
import { buildProfile } from "../track/profile.ts";
import { repairTracks } from "../track/repair.ts";
import { computePlan } from "../session/session.ts";
import { simulatedNormals } from "./normals.ts";
import { guessSea, simulatedStations } from "./simulated.ts";

const JAN = 0;
const JUL = 6;

describe("the six rows of the reference", () => {
  test.each([
    ["mid-continent", 45, 300, 1500, 0, JAN, -14.3, -2.9, 4.5, 20, 3.7, 0.45, 0.32, 2.0],
    ["mid-continent", 45, 300, 1500, 0, JUL, 12.8, 29.4, 2.9, 59, 9.5, 0.34, 0.43, 1.3],
    ["west coast", 48, 50, 10, 1, JAN, 1.6, 8.1, 2.6, 155, 19.1, 0.68, 0.62, 3.0],
    ["west coast", 48, 50, 10, 1, JUL, 12.2, 22.7, 2.5, 14, 2.6, 0.37, 0.3, 2.0],
    ["dry-summer range", 38, 2000, 250, 1, JUL, 5.3, 20.5, 2.7, 36, 6.2, 0.32, 0.37, 2.2],
    ["subarctic", 65, 200, 600, 0, JAN, -33.6, -21.9, 4.2, 16, 3.0, 0.37, 0.31, 1.9],
  ])(
    "%s at %d°",
    (_, latDeg, heightM, seaKm, west, month, lowC, highC, sdK, rainMm, wetDays, humidity, cloud, windMps) => {
      const normals = simulatedNormals({ latDeg, heightM, seaKm, west });
      const near = (got: number[], want: number, within: number): void =>
        expect(Math.abs(got[month]! - want)).toBeLessThanOrEqual(within);
      near(normals.lowC, lowC, 0.06);
      near(normals.highC, highC, 0.06);
      near(normals.sdK, sdK, 0.06);
      near(normals.rainMm, rainMm, 0.6);
      near(normals.wetDays, wetDays, 0.06);
      near(normals.humidity, humidity, 0.006);
      near(normals.cloud, cloud, 0.006);
      near(normals.windMps, windMps, 0.06);
    },
  );
});

test("in the south every season is half a year later, and the nights are below the days everywhere", () => {
  const place = { heightM: 500, seaKm: 200, west: 0 };
  const north = simulatedNormals({ latDeg: 42, ...place });
  const south = simulatedNormals({ latDeg: -42, ...place });
  // Half a year of months of unequal length: some tenths of a kelvin apart.
  for (let month = 0; month < 12; month++) expect(south.highC[month]).toBeCloseTo(north.highC[(month + 6) % 12]!, -1);
  expect(south.highC[JAN]! - south.highC[JUL]!).toBeGreaterThan(10);
  for (let latDeg = -90; latDeg <= 90; latDeg += 5)
    for (const seaKm of [0, 40, 2000])
      for (const west of [0, 0.5, 1]) {
        const { lowC, highC, humidity, wetDays } = simulatedNormals({ latDeg, heightM: 3000, seaKm, west });
        for (let month = 0; month < 12; month++) {
          expect(highC[month]!).toBeGreaterThan(lowC[month]! + 1);
          expect(humidity[month]!).toBeGreaterThan(0);
          expect(wetDays[month]!).toBeLessThan(28);
        }
      }
});

describe("along a trail that has no station", () => {
  const profileOf = (lengthM: number, heightM: (m: number) => number) =>
    buildProfile(repairTracks([trackNorth({ lengthM, spacingM: 500, heightM })]), false);

  test("one every 150 km, and one for every 800 m of heights, each with its own year", () => {
    const flat = simulatedStations(
      profileOf(400_000, () => 300),
      "inland",
    );
    expect(flat).toHaveLength(4);
    expect(flat.every((station) => climateStationSchema.parse(station).simulated)).toBe(true);
    const hilly = simulatedStations(
      profileOf(400_000, (m) => 300 + 2400 * Math.sin((Math.PI * m) / 400_000)),
      "inland",
    );
    expect(hilly.length).toBeGreaterThanOrEqual(6);
    const heights = hilly.map(({ heightM }) => heightM);
    expect(Math.max(...heights) - Math.min(...heights)).toBeGreaterThan(2200);
    const high = hilly.find(({ heightM }) => heightM === Math.max(...heights))!;
    const low = hilly.find(({ heightM }) => heightM === Math.min(...heights))!;
    expect(low.highC[JUL]! - high.highC[JUL]!).toBeGreaterThan(8);
  });

  test("one at least, however short", () => {
    expect(
      simulatedStations(
        profileOf(200, () => 10),
        "coast",
      ),
    ).toHaveLength(1);
    expect(
      simulatedStations(
        profileOf(4_500_000, () => 10),
        "coast",
      ),
    ).toHaveLength(32);
  });

  test("the sea is guessed from the heights, and from nothing else", () => {
    expect(guessSea(profileOf(50_000, (m) => m / 100))).toBe("coast");
    expect(guessSea(profileOf(50_000, () => 100))).toBe("near");
    expect(guessSea(profileOf(50_000, () => 400))).toBe("inland");
    expect(guessSea(profileOf(50_000, () => 1200))).toBe("deep");
    expect(guessSea(profileOf(50_000, () => NaN))).toBe("inland");
  });

  test("a plan on them follows date and height, and says that they are simulated", () => {
    const tracks = [trackNorth({ lengthM: 120_000, heightM: (m) => 200 + m / 60 })];
    const stations = simulatedStations(buildProfile(repairTracks(tracks), false), "inland");
    const on = (startDate: string) =>
      computePlan(planOf({ trip: { name: "T", startDate }, climate: { stations } }), tracks);
    expect(on("2027-07-01").legs[0]!.highC).toBeGreaterThan(on("2027-03-01").legs[0]!.highC + 8);
    const codes = on("2027-07-01").checks.map(({ code }) => code);
    expect(codes).toContain("climate-simulated");
    expect(codes).not.toContain("climate-assumed");
  });
});
