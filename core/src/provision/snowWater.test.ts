/** Snow by the way as water: where it runs, where it takes a stove, and what is under it. */
import { describe, expect, test } from "vitest";
import { hikerOf, planOf, sourceOf, stationOf, trackNorth } from "../../test/fixtures.ts";
import { SNOW_ID } from "../plan/ids.ts";
import { computePlan } from "../session/session.ts";

const tracks = [trackNorth({ lengthM: 60_000 })];
/** So much rain in winter that snow is to the end of May. */
const white = (lowC: number, highC: number) => ({
  climate: { stations: [stationOf(lowC, highC)] },
  stretches: [{ id: "x", name: "snow", kind: "snow", surface: "soft-snow", fromM: 0, toM: 60_000 }],
});
const of = (over: Record<string, unknown>) => computePlan(planOf(over), tracks).legs[0]!.hikers[0]!;
const longest = (row: ReturnType<typeof of>): number => Math.max(...row.carries.map(({ distanceM }) => distanceM));
const bare = (lowC: number, highC: number) => ({ climate: { stations: [stationOf(lowC, highC)] }, stretches: [] });

test("where it melts water runs every five kilometres, and needs no fuel", () => {
  const row = of(white(1, 9));
  expect(longest(row)).toBeLessThanOrEqual(10_000);
  expect(row.carries.some(({ fromSourceId }) => fromSourceId === SNOW_ID)).toBe(true);
  expect(row.fuel.meltL).toBe(0);
  expect(longest(of({ ...bare(1, 9), climate: { ...bare(1, 9).climate, snowBy: "by-hand" } }))).toBeGreaterThan(50_000);
});

test("in frost it is melted, at longer ways, and camps are not dry", () => {
  const row = of(white(-18, -8));
  expect(longest(row)).toBeGreaterThan(10_000);
  expect(longest(row)).toBeLessThan(32_000);
  expect(row.fuel.meltL).toBeGreaterThan(1);
  expect(row.carries.every(({ dryCamps }) => dryCamps === 0)).toBe(true);
  // Four minutes a litre, told with the days on which it is melted.
  const { legs, days } = computePlan(planOf(white(-18, -8)), tracks);
  const { fuel } = legs[0]!.hikers[0]!;
  expect(fuel.meltH).toBeCloseTo((4 / 60) * fuel.meltL, 9);
  const onLeg = days.filter(({ legIndex }) => legIndex === 0);
  expect(onLeg.reduce((sum, { meltH }) => sum + meltH[0]!, 0)).toBeCloseTo(fuel.meltH, 9);
});

test("without a stove frozen snow is no water, running meltwater is", () => {
  const soaks = { hikers: [hikerOf({ stove: { fuel: "none" } })] };
  expect(longest(of({ ...white(-18, -8), ...soaks }))).toBeGreaterThan(50_000);
  expect(longest(of({ ...white(1, 9), ...soaks }))).toBeLessThanOrEqual(10_000);
});

describe("water under a closed cover", () => {
  const every = (kind: string) => Array.from({ length: 29 }, (_, i) => sourceOf(`w${i}`, 2000 * (i + 1), { kind }));
  test.each([
    ["creek", true],
    ["tank", true],
    ["spring", false],
    ["cache", false],
  ])("a %s in frost that thaws by day: melted %s", (kind, melted) => {
    // A day above freezing, so that nothing is frozen but by the snow; too cold for meltwater to run.
    const row = of({ ...white(-16, 0.5), sources: every(kind) });
    expect(row.carries.some(({ isIce }) => isIce)).toBe(melted);
  });

  test("when the melt runs it is reached again", () => {
    expect(of({ ...white(1, 9), sources: every("creek") }).carries.some(({ isIce }) => isIce)).toBe(false);
  });
});
