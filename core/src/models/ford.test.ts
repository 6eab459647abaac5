/** Fords against tables worked out independently: the basin, the day's course, depth and speed, classes. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { climateAt, dayOf, DAYS } from "../../test/snowStation.ts";
import {
  courseAt,
  crossingAt,
  dayCourse,
  flowAt,
  fordClass,
  meltIndex,
  unmeasuredClass,
  type StreamDay,
} from "./ford.ts";
import { meltBetween, meltSums } from "../season/melt.ts";
import type { Snow } from "../season/snow.ts";
import { snowYear } from "./snow.ts";

/** One station, and bands of 100 m from 2000 to 3000 m. */
function basinMelt(fallFactor: number): Float64Array {
  const years = Array.from({ length: 11 }, (_, i) => snowYear(climateAt(2000 + 100 * i), fallFactor));
  const sums = meltSums({ years: [years], lowestM: 2000, bands: years.length } as unknown as Snow);
  return meltBetween(sums, Float64Array.of(1), 2000, 3000);
}

test("a basin from 2000 to 3000 m: its greatest melt and the index of eight days", () => {
  const melt = basinMelt(1);
  const greatest = DAYS.reduce((a, b) => (melt[b]! > melt[a]! ? b : a));
  expect(melt[greatest]).toBeCloseTo(9.246, 1);
  expect(Math.abs(greatest - dayOf(5, 7))).toBeLessThanOrEqual(1);
  const index = (month: number, day: number): number => meltIndex(melt[dayOf(month, day)]!, melt[greatest]!);
  for (const [month, day, want] of [
    [4, 1, 0.51],
    [5, 1, 0.98],
    [5, 15, 0.96],
    [6, 1, 0.59],
    [6, 15, 0.23],
    [7, 1, 0.05],
    [7, 15, 0.01],
    [8, 1, 0],
  ] as const)
    expect(Math.abs(index(month, day) - want)).toBeLessThan(0.015);
});

test("in a high year the index exceeds the normal one's; small melts make no flood", () => {
  const normal = Math.max(...basinMelt(1));
  const high = basinMelt(1.5);
  expect(Math.abs(meltIndex(high[dayOf(6, 15)]!, normal) - 0.74)).toBeLessThan(0.1);
  expect(meltIndex(1.5, 0.1)).toBe(0.5);
});

const hours = (clock: string): number => Number(clock.slice(0, 2)) + Number(clock.slice(3)) / 60;
// Melt without a base: the whole of the day's course.
const stream = (snowDepthM: number, snowDistanceKm: number, basinKm2: number): StreamDay => ({
  index: 1,
  snowDepthM,
  snowDistanceKm,
  basinKm2,
  glacier: true,
});

test.each([
  [0.3, 2, 10, "15:36", "05:36", 1.34, 0.6625, 2.031],
  [0.5, 5, 50, "17:00", "07:00", 1.304, 0.7037, 1.873],
  [1.0, 10, 150, "20:00", "10:00", 1.232, 0.8554, 1.604],
  [1.5, 40, 1000, "04:00", "18:00", 1.061, 1.055, 1.129],
])(
  "snow %d m deep, %d km up, %d km²: the day's course",
  (depth, distance, basin, crest, low, atCrest, atSix, ratio) => {
    const course = dayCourse(stream(depth, distance, basin));
    expect(course.crestClockH).toBeCloseTo(hours(crest), 2);
    expect(course.lowClockH).toBeCloseTo(hours(low), 2);
    expect(1 + course.amplitude).toBeCloseTo(atCrest, 3);
    expect(1 + course.amplitude * courseAt(6, course)).toBeCloseTo(atSix, 3);
    expect((1 + course.amplitude) / (1 - course.amplitude)).toBeCloseTo(ratio, 2);
  },
);

test.each([
  [0.1, 0.1991, 0.4114, 0],
  [0.5, 0.3789, 0.711, 1],
  [1, 0.5, 0.9, 2],
  [1.5, 0.588, 1.033, 3],
  [2.5, 0.7213, 1.229, 4],
])("%d times the flow it was measured at: depth, speed, class", (ratio, depthM, speedMps, wanted) => {
  const there = crossingAt({ depthM: 0.5, speedMps: 0.9, flow: 0.4 }, 0.4 * ratio);
  expect(there.depthM).toBeCloseTo(depthM, 3);
  expect(there.speedMps).toBeCloseTo(speedMps, 2);
  expect(fordClass(there.depthM, there.speedMps, 120)).toBe(wanted);
});

test("deep or fast is bad by itself, and for small people sooner; nothing measured is never easy", () => {
  expect([0.7, 0.95, 1.3].map((depthM) => fordClass(depthM, 0.05, 120))).toEqual([2, 3, 4]);
  expect(fordClass(0.01, 3.2, 120)).toBe(4);
  expect(fordClass(0.45, 0.9, 120)).toBe(2);
  expect(fordClass(0.45, 0.9, 45)).toBe(4);
  expect(fordClass(0.55, 0.05, 45)).toBe(4);
  expect([0, 0.69, 0.7, 2].map(unmeasuredClass)).toEqual([2, 2, 3, 3]);
});

test("more melt is never less water at any hour, and between low and crest it only rises", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 1.5, noNaN: true }),
      fc.double({ min: 0, max: 2, noNaN: true }),
      fc.double({ min: 1, max: 2000, noNaN: true }),
      fc.double({ min: 0, max: 24, noNaN: true }),
      (index, snowDepthM, basinKm2, clockH) => {
        const of = (melt: number): StreamDay => ({
          index: melt,
          snowDepthM,
          snowDistanceKm: 3,
          basinKm2,
          glacier: false,
        });
        const [less, more] = [of(index), of(index + 0.1)];
        const mean = (one: StreamDay): number =>
          Array.from({ length: 240 }, (_, h) => flowAt(one, h / 10)).reduce((sum, flow) => sum + flow, 0) / 240;
        const course = dayCourse(less);
        const [early, late] = [course.lowClockH + clockH * (10 / 24), course.lowClockH + clockH * (10 / 24) + 0.1];
        return (
          mean(more) > mean(less) &&
          (clockH > 23.5 || flowAt(less, late) >= flowAt(less, early) - 1e-12) &&
          flowAt(less, clockH) > 0
        );
      },
    ),
    { numRuns: runs(100), endOnFailure: true },
  );
});
