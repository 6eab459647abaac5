/** Thin air: who is not used to it walks slower, and gets used to it. */
import { describe, expect, test } from "vitest";
import { planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, explain, type LegResult } from "../index.ts";
import { heightSlowPerM, heightSpeedFactor, nightsUpAfter } from "./slow.ts";

describe("the rule", () => {
  test("6 % for every 1,000 m above 2,000 m, never below half", () => {
    const fresh = heightSlowPerM(0.06, 0);
    expect([0, 2000, 3000, 4800].map((m) => heightSpeedFactor(m, fresh))).toEqual([
      1,
      1,
      expect.closeTo(0.94, 9),
      expect.closeTo(0.832, 9),
    ]);
    expect(heightSpeedFactor(8900, heightSlowPerM(0.3, 0))).toBe(0.5);
  });

  test("half of it after two weeks up there; a night below takes back what a night above gave", () => {
    expect(heightSlowPerM(0.06, 14)).toBeCloseTo(heightSlowPerM(0.06, 0) / 2, 12);
    expect(heightSlowPerM(0.06, 7)).toBeCloseTo(0.75 * heightSlowPerM(0.06, 0), 12);
    expect([
      nightsUpAfter(3, 2500, 2),
      nightsUpAfter(3, 1500, 2),
      nightsUpAfter(13, 4000, 5),
      nightsUpAfter(0, 0, 1),
    ]).toEqual([5, 1, 14, 0]);
  });
});

describe("on the walk", () => {
  const legs = (heightM: number, dayRules: Record<string, unknown> = {}): LegResult[] =>
    computePlan(
      planOf({
        stops: [1, 2, 3].map((i) => stopOf(`s${i}`, i * 150_000)),
        climate: { stations: [stationOf(4, 16, { heightM })] },
        dayRules,
      }),
      [trackNorth({ lengthM: 600_000, spacingM: 500, heightM: () => heightM })],
    ).legs;

  test("4,800 m is slower than 100 m, less so weeks later, and as fast where the rule is off", () => {
    const low = legs(100);
    const high = legs(4800);
    const slower = high.map(({ trailH }, i) => trailH / low[i]!.trailH);
    expect(slower[0]).toBeGreaterThan(1.15);
    expect(slower.at(-1)!).toBeLessThan(1.11);
    expect(slower.at(-1)!).toBeGreaterThan(1.07);
    const off = legs(4800, { heightSlowPerKm: 0 });
    expect(off[0]!.trailH / low[0]!.trailH).toBeCloseTo(1, 2);
  });

  test("and the why of a speed names it", () => {
    const plan = planOf({ climate: { stations: [stationOf(4, 16, { heightM: 3500 })] } });
    const result = computePlan(plan, [trackNorth({ heightM: () => 3500 })]);
    const tree = explain(plan, result, { legIndex: 0, hikerId: "a", figure: "speed", cell: 5 })!;
    expect(tree.parts.find(({ code }) => code === "height-slow-factor")?.value).toBeCloseTo(0.91, 3);
  });
});
