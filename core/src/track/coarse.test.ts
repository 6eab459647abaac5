/** Trails from tables: as long, as high and as steep as the table says. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { planOf } from "../../test/fixtures.ts";
import { runs } from "../../test/arbitraryPlan.ts";
import { computePlan } from "../index.ts";
import { coarseTrack, type CoarseRow } from "./coarse.ts";
import { repairTracks } from "./repair.ts";
import { buildProfile, type Profile } from "./profile.ts";

const place = { id: "t", name: "Table", startLatDeg: 44, endLatDeg: 47 };
const row = (km: number, heightM?: number, climbM?: number): CoarseRow => ({ alongM: km * 1000, heightM, climbM });
const profileOf = (rows: readonly CoarseRow[], at = place): Profile =>
  buildProfile(repairTracks([coarseTrack(rows, at)!]), false);

test("length, heights and climbs are the table’s", () => {
  const profile = profileOf([row(0, 200), row(12, 1400, 1300), row(40, 600, 900), row(62, 620, 400), row(80, 200)]);
  expect(profile.lengthM).toBeCloseTo(80_000, -2);
  const heightAt = (km: number): number => profile.heightM[Math.round((km * 1000) / profile.cellM)]!;
  for (const [km, heightM] of [
    [0, 200],
    [80, 200],
    [40, 600],
  ] as const)
    expect(Math.abs(heightAt(km) - heightM)).toBeLessThan(15);
  // 1,200 up to the first, then what the rows tell.
  expect(profile.totalClimbM / (1200 + 1300 + 900 + 400)).toBeGreaterThan(0.93);
  expect(profile.totalClimbM / (1200 + 1300 + 900 + 400)).toBeLessThan(1.02);
  expect(profile.repairs.gaps).toEqual([]);
});

test("it runs from one latitude to the other, or as far as it reaches", () => {
  const track = coarseTrack([row(0, 5), row(600, 5)], place)!;
  expect([track.latDeg[0], track.latDeg.at(-1)]).toEqual([44, 47]);
  const short = coarseTrack([row(0, 5), row(100, 5)], place)!;
  expect(short.latDeg.at(-1)! - 44).toBeCloseTo((0.95 * 100_000) / 111_100, 1);
});

test("heights that are missing lie between those that are known; with none at all there are none", () => {
  const profile = profileOf([row(0, 100), row(10), row(20, 300)]);
  expect(profile.heightM[Math.round(10_000 / profile.cellM)]).toBeCloseTo(200, -1);
  const flat = profileOf([row(0), row(30)]);
  expect([flat.hasHeights, flat.lengthM]).toEqual([false, expect.closeTo(30_000, -2)]);
});

test("a plan is computed on it; one row, or all at one place, make no trail", () => {
  const tracks = [coarseTrack([row(0, 200), row(90, 900, 2000)], place)!];
  expect(computePlan(planOf(), tracks).days.length).toBeGreaterThan(3);
  expect(coarseTrack([row(4, 1)], place)).toBeUndefined();
  expect(coarseTrack([row(4, 1), row(4, 9)], place)).toBeUndefined();
  expect(coarseTrack([], place)).toBeUndefined();
});

test("any table makes a trail of its length, without a hole and with real places", () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          stepM: fc.integer({ min: 0, max: 60_000 }),
          heightM: fc.option(fc.integer({ min: -400, max: 6000 }), { nil: undefined }),
          climbM: fc.option(fc.integer({ min: 0, max: 6000 }), { nil: undefined }),
        }),
        { minLength: 2, maxLength: 12 },
      ),
      fc.double({ min: -65, max: 65, noNaN: true }),
      fc.double({ min: -65, max: 65, noNaN: true }),
      (steps, startLatDeg, endLatDeg) => {
        let alongM = 0;
        const rows = steps.map(({ stepM, ...rest }) => ({ alongM: (alongM += stepM), ...rest }));
        const track = coarseTrack(rows, { ...place, startLatDeg, endLatDeg });
        const wantedM = rows.at(-1)!.alongM - rows[0]!.alongM;
        expect(track === undefined).toBe(wantedM < 250);
        if (!track) return;
        expect([...track.lonDeg].every((lon) => Math.abs(lon) <= 180)).toBe(true);
        const { lengthM } = buildProfile(repairTracks([track]), false);
        expect(Math.abs(lengthM / wantedM - 1)).toBeLessThan(0.01);
      },
    ),
    { numRuns: runs(200), endOnFailure: true },
  );
});
