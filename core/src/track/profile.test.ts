import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { trackNorth } from "../../test/fixtures.ts";
import { distanceM } from "./geodesic.ts";
import { repairTracks } from "./repair.ts";
import { locate, nodeOf, trackAt, walkedAt } from "./place.ts";
import type { TrackM, WalkedM } from "../units/lengths.ts";
import type { TrackPoints } from "./points.ts";
import { buildProfile, CLIMB_THRESHOLD_M, confirmedClimb } from "./profile.ts";

const sum = (values: Iterable<number>): number => [...values].reduce((a, b) => a + b, 0);

/** Deterministic white noise of unit deviation, good enough for counting. */
function noise(seed: number): () => number {
  let state = seed;
  const uniform = (): number => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}

describe("confirmed climb", () => {
  test.each([
    ["a ramp", [0, 50, 100], 100, 0],
    ["a hill", [0, 50, 100, 40, 0], 100, 100],
    ["noise under the threshold", [0, 3, 0, 3, 0, 3], 3, 0],
    ["a small dip in a climb", [0, 50, 47, 100], 100, 0],
    ["a dip that counts", [0, 50, 30, 100], 120, 20],
    ["flat", [7, 7, 7], 0, 0],
    ["descent first", [100, 50, 0, 60], 60, 100],
  ])("%s", (_, heights, climbM, descentM) => {
    const found = confirmedClimb(Float64Array.from(heights), CLIMB_THRESHOLD_M);
    expect(found.totalClimbM).toBeCloseTo(climbM, 9);
    expect(found.totalDescentM).toBeCloseTo(descentM, 9);
  });

  test("climb less descent is the difference of the ends, cells add up, and no more is counted than was stepped", () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 300, noNaN: true }), { minLength: 2, maxLength: 80 }), (list) => {
        const heights = Float64Array.from(list);
        const { climbM, descentM, totalClimbM, totalDescentM } = confirmedClimb(heights, CLIMB_THRESHOLD_M);
        expect(totalClimbM - totalDescentM).toBeCloseTo(heights.at(-1)! - heights[0]!, 6);
        expect(sum(climbM)).toBeCloseTo(totalClimbM, 6);
        expect(sum(descentM)).toBeCloseTo(totalDescentM, 6);
        expect(Math.min(...climbM, ...descentM)).toBeGreaterThanOrEqual(0);
        let steps = 0;
        for (let i = 1; i < heights.length; i++) steps += Math.max(0, heights[i]! - heights[i - 1]!);
        expect(totalClimbM).toBeLessThanOrEqual(steps + 1e-6);
      }),
    );
  });
});

describe("profile", () => {
  const hills = (m: number): number => 500 + 120 * Math.sin(m / 900);
  /** 2 × amplitude per wave over the length, each rise once. */
  const trueClimb = (lengthM: number): number => {
    let climb = 0;
    for (let m = 1; m <= lengthM; m++) climb += Math.max(0, hills(m) - hills(m - 1));
    return climb;
  };

  test("even cells of about 100 m fill the trail", () => {
    const profile = buildProfile(repairTracks([trackNorth({ lengthM: 12_340 })]), false);
    expect(profile.cellM * profile.cellCount).toBeCloseTo(profile.lengthM, 6);
    expect(profile.cellM).toBeGreaterThan(95);
    expect(profile.cellM).toBeLessThan(105);
    expect(profile.lengthM).toBeCloseTo(12_340, -2);
  });

  test.each([0, 1, 3, 5])(
    "climb of known hills within 4 %% under noise of %i m, where raw sums overestimate",
    (deviationM) => {
      const random = noise(11);
      const track = trackNorth({ lengthM: 60_000, spacingM: 40, heightM: (m) => hills(m) + deviationM * random() });
      const profile = buildProfile(repairTracks([track]), false);
      expect(Math.abs(profile.totalClimbM / trueClimb(60_000) - 1)).toBeLessThan(0.04);
      expect(profile.heightNoiseM).toBeCloseTo(deviationM, deviationM === 0 ? 0 : -0.3);
      if (deviationM >= 3) expect(profile.rawClimbM).toBeGreaterThan(1.25 * trueClimb(60_000));
    },
  );

  test("phantom climb on the flat is a small part of the raw sum (N − 1)·s/√π", () => {
    const random = noise(5);
    const profile = buildProfile(
      repairTracks([trackNorth({ lengthM: 40_000, spacingM: 40, heightM: () => 100 + 3 * random() })]),
      false,
    );
    expect(profile.rawClimbM).toBeGreaterThan(0.9 * 1000 * (3 / Math.sqrt(Math.PI)));
    expect(profile.totalClimbM).toBeLessThan(0.05 * profile.rawClimbM);
  });

  test("the other way round climb and descent change places", () => {
    const repaired = repairTracks([trackNorth({ lengthM: 30_000, heightM: (m) => hills(m) + m / 100 })]);
    const forward = buildProfile(repaired, false);
    const back = buildProfile(repaired, true);
    expect(back.totalClimbM).toBeCloseTo(forward.totalDescentM, 6);
    expect(back.heightM[0]).toBeCloseTo(forward.heightM[forward.cellCount]!, 9);
    expect(back.lengthM).toBe(forward.lengthM);
  });

  test("places are found where they lie, both ways", () => {
    const repaired = repairTracks([trackNorth({ lengthM: 30_000 })]);
    for (const reversed of [false, true]) {
      const profile = buildProfile(repaired, reversed);
      const { trackM, offM } = locate(profile, -150, 40 + 12_000 / 111_040);
      expect(trackM).toBeCloseTo(12_000, -2);
      expect(offM).toBeLessThan(60);
      const at = 12_000 as TrackM;
      expect(nodeOf(profile, { trackM: at })).toBe(Math.round(walkedAt(profile, at) / profile.cellM));
      expect(trackAt(profile, walkedAt(profile, 7000 as TrackM))).toBeCloseTo(7000, 6);
      expect(trackAt(profile, 7000 as WalkedM)).toBeCloseTo(reversed ? profile.lengthM - 7000 : 7000, 6);
    }
  });
});

describe("places on trails that cross the date line or pass a pole, however far apart the points are", () => {
  const sparse = (points: readonly (readonly [lonDeg: number, latDeg: number])[]): TrackPoints => ({
    id: "t",
    name: "t",
    lonDeg: Float64Array.from(points, ([lonDeg]) => lonDeg),
    latDeg: Float64Array.from(points, ([, latDeg]) => latDeg),
    heightM: new Float32Array(points.length),
    segmentStarts: new Uint32Array([0]),
  });

  test.each<[string, (readonly [number, number])[], readonly [number, number]]>([
    [
      "the date line, 200 m apart",
      [
        [179.998, 50],
        [-179.999, 50.0001],
        [-179.996, 50],
      ],
      [-179.9985, 50.00005],
    ],
    [
      "the date line, 220 km apart",
      [
        [179, 10],
        [-179, 10],
        [-178, 11],
      ],
      [180, 10.0013],
    ],
    [
      "a whole degree either way, far north",
      [
        [179, 80],
        [-179, 80],
        [-175, 80.5],
      ],
      [-180, 80.0015],
    ],
    [
      "over the pole",
      [
        [10, 89.9],
        [-170, 89.9],
        [-170, 89.5],
      ],
      [-170, 89.95],
    ],
  ])("%s", (_, points, [lonDeg, latDeg]) => {
    const profile = buildProfile(repairTracks([sparse(points)]), false);
    const { trackM, offM } = locate(profile, lonDeg, latDeg);
    expect(offM).toBeLessThan(80);
    expect(trackM).toBeGreaterThan(0);
    expect(trackM).toBeLessThan(profile.lengthM);
  });

  test("no node of the trail is nearer than the one found, anywhere on earth", () => {
    const lon = fc.double({ min: -180, max: 180, noNaN: true });
    const lat = fc.oneof(fc.double({ min: -90, max: 90, noNaN: true }), fc.double({ min: 89, max: 90, noNaN: true }));
    fc.assert(
      fc.property(fc.array(fc.tuple(lon, lat), { minLength: 2, maxLength: 3 }), lon, lat, (points, lonDeg, latDeg) => {
        const repaired = repairTracks([sparse(points)]);
        fc.pre(repaired.alongM.length > 1 && repaired.alongM.at(-1)! < 3_000_000);
        const profile = buildProfile(repaired, false);
        const { offM } = locate(profile, lonDeg, latDeg);
        for (let node = 0; node <= profile.cellCount; node++)
          expect(distanceM(profile.lonDeg[node]!, profile.latDeg[node]!, lonDeg, latDeg)).toBeGreaterThanOrEqual(
            0.99 * offM,
          );
      }),
      { numRuns: 60 },
    );
  });
});

describe("mending", () => {
  const line = (): TrackPoints => trackNorth({ lengthM: 5000, spacingM: 50 });

  test("a clean track is left alone", () => {
    const { repairs: repaired, alongM } = repairTracks([line()]);
    expect(repaired).toMatchObject({ doubledPoints: 0, flungPoints: 0, missingHeights: 0, spikedHeights: 0, gaps: [] });
    expect(repaired.spacingM).toBeCloseTo(50, -1);
    expect(alongM.length).toBe(101);
  });

  test("doubled points are dropped", () => {
    const track = line();
    track.latDeg[40] = track.latDeg[39]!;
    expect(repairTracks([track]).repairs.doubledPoints).toBe(1);
  });

  test("a point flung 2 km aside is dropped and adds no length", () => {
    const track = line();
    track.lonDeg[50] = -150.024;
    const { repairs: repaired, alongM } = repairTracks([track]);
    expect(repaired.flungPoints).toBe(1);
    expect(alongM.at(-1)).toBeCloseTo(5000, -2);
  });

  test("missing heights become straight lines, also at the ends", () => {
    const track = line();
    for (let i = 0; i <= 100; i++) track.heightM[i] = i;
    for (const i of [0, 1, 50, 51, 52, 100]) track.heightM[i] = NaN;
    const { heightM, repairs: repaired } = repairTracks([track]);
    expect(repaired.missingHeights).toBe(6);
    expect([heightM[0], heightM[1], heightM[51], heightM[100]].map((h) => Math.round(h!))).toEqual([2, 2, 51, 99]);
  });

  test("no heights at all is said, not guessed", () => {
    const track = line();
    track.heightM.fill(NaN);
    const { hasHeights, heightM } = repairTracks([track]);
    expect(hasHeights).toBe(false);
    expect(heightM.every((h) => h === 0)).toBe(true);
  });

  test("a spiked height is mended, a cliff is not", () => {
    const track = line();
    track.heightM[30] = 900;
    for (let i = 60; i <= 100; i++) track.heightM[i] = 400;
    const { heightM, repairs: repaired } = repairTracks([track]);
    expect(repaired.spikedHeights).toBe(1);
    expect(heightM[30]).toBeCloseTo(100, 6);
    expect(heightM[60]).toBe(400);
  });

  test("gaps are walked straight and reported where they begin", () => {
    const track = line();
    for (let i = 50; i <= 100; i++) track.latDeg[i] = track.latDeg[i]! + 2000 / 111_040;
    const { repairs: repaired, alongM } = repairTracks([track]);
    expect(repaired.gaps).toHaveLength(1);
    expect(repaired.gaps[0]!.atM).toBeCloseTo(2450, -1);
    expect(repaired.gaps[0]!.lengthM).toBeCloseTo(2050, -1);
    expect(alongM.at(-1)).toBeCloseTo(7000, -2);
  });

  test("a track whose points lie far apart is no row of gaps, and a hole in it is one", () => {
    const track = line();
    for (let i = 0; i < track.latDeg.length; i++)
      track.latDeg[i] = track.latDeg[0]! + (i * 700 + (i > 60 ? 9000 : 0)) / 111_040;
    const { repairs: repaired } = repairTracks([track]);
    expect(repaired.spacingM).toBeCloseTo(700, -1);
    expect(repaired.gaps.map(({ lengthM }) => Math.round(lengthM / 100))).toEqual([97]);
  });
});
