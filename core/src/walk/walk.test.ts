import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { hikerOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import type { Plan } from "../plan/schema.ts";
import { DaylightTable, daylight } from "../season/sun.ts";
import { mendTracks } from "../track/mend.ts";
import { buildProfile, type Profile } from "../track/profile.ts";
import { dayNumber } from "../units/day.ts";
import { coarseGround } from "./coarse.ts";
import { buildHalts, type Halt } from "./halts.ts";
import { loadSpeedFactor, toblerMps } from "./pace.ts";
import { buildTerrain } from "./terrain.ts";
import { buildGround, offTrailHours, wantedHours, walkDays, type Walk, type WalkGround } from "./walk.ts";

const START = dayNumber("2027-05-01")!;

interface Made {
  plan: Plan;
  profile: Profile;
  halts: Halt[];
  ground: WalkGround;
  walk: Walk;
}

function walkOf(
  overrides: Record<string, unknown> = {},
  lengthM = 100_000,
  loadKg = 0,
  heightM = (): number => 100,
): Made {
  const plan = planOf(overrides);
  const profile = buildProfile(mendTracks([trackNorth({ lengthM, heightM })]), plan.trip.direction === "reverse");
  const halts = buildHalts(plan, profile);
  const ground = buildGround(plan, profile, buildTerrain(profile, plan.stretches), halts, START, new DaylightTable());
  const load = new Float64Array(profile.cellCount).fill(loadKg);
  return {
    plan,
    profile,
    halts,
    ground,
    walk: walkDays(
      ground,
      plan.hikers.map(() => load),
    ),
  };
}

describe("halts", () => {
  test("a trail without stops has its two ends", () => {
    expect(walkOf().halts.map((halt) => halt.stopId)).toEqual(["@start", "@finish"]);
  });

  test("stops come in walking order, those not used are passed by", () => {
    const stops = [stopOf("b", 60_000), stopOf("x", 50_000, { use: false }), stopOf("a", 20_000)];
    expect(walkOf({ stops }).halts.map((halt) => halt.stopId)).toEqual(["@start", "a", "b", "@finish"]);
    const back = walkOf({ stops, trip: { name: "x", startDate: "2027-05-01", direction: "reverse" } });
    expect(back.halts.map((halt) => halt.stopId)).toEqual(["@start", "b", "a", "@finish"]);
  });

  test("a stop within a kilometre of an end is that end; of two on one node the first counts", () => {
    const stops = [stopOf("port", 800), stopOf("a", 40_000), stopOf("twin", 40_010), stopOf("cape", 99_500)];
    expect(walkOf({ stops }).halts.map((halt) => halt.stopId)).toEqual(["port", "a", "cape"]);
  });

  test("a stop beyond the end of the track counts as the end", () => {
    expect(walkOf({ stops: [stopOf("far", 500_000)] }).halts.map((halt) => halt.stopId)).toEqual(["@start", "far"]);
  });

  test("the way off the trail: 4.5 km/h on foot, an hour by ride, nothing on the trail", () => {
    const halt = walkOf({ stops: [stopOf("a", 50_000, { offTrailM: 9000 })] }).halts[1]!;
    expect(offTrailHours(halt)).toBeCloseTo(2, 9);
    expect(offTrailHours({ ...halt, byRide: true })).toBe(1);
    expect(offTrailHours({ ...halt, offTrailM: 0, byRide: true })).toBe(0);
  });
});

describe("days", () => {
  test("hours grow from fresh to fit and stay there", () => {
    const { hikers } = planOf({ hikers: [hikerOf({ pace: { hoursFreshH: 5, hoursFitH: 8, rampDays: 10 } })] });
    expect([0, 5, 10, 50].map((day) => wantedHours(hikers, day))).toEqual([5, 6.5, 8, 8]);
    const steady = planOf({ hikers: [hikerOf({ pace: { hoursFreshH: 5, hoursFitH: 8, rampDays: 0 } })] });
    expect(wantedHours(steady.hikers, 0)).toBe(8);
  });

  test("every cell takes Tobler's time at the load, cell by cell", () => {
    const { walk, profile, plan } = walkOf({}, 20_000, 14, () => 100);
    for (let c = 0; c < profile.cellCount; c++) {
      const grade = profile.gradeFraction[c]!;
      const mps = toblerMps(grade) * plan.hikers[0]!.pace.speedFactor * loadSpeedFactor(14, grade);
      expect(walk.cellH[c]).toBeCloseTo(profile.cellM / mps / 3600, 9);
    }
  });

  test("no day goes over its hours, but for the last push to a stop of at most an hour", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 9 }),
        fc.integer({ min: 20_000, max: 90_000 }),
        fc.double({ min: 0, max: 25, noNaN: true }),
        (hours, stopM, loadKg) => {
          const { walk } = walkOf(
            { stops: [stopOf("a", stopM)], hikers: [hikerOf({ pace: { hoursFreshH: hours, hoursFitH: hours } })] },
            100_000,
            loadKg,
          );
          for (const part of walk.parts) {
            const most = part.night === "camp" ? part.budgetH : part.budgetH + 1;
            expect(part.walkH).toBeLessThanOrEqual(most + 1e-9);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  test("a long wanted day ends at dusk", () => {
    const { walk } = walkOf(
      { hikers: [hikerOf({ pace: { hoursFreshH: 20, hoursFitH: 20, breakShare: 0 } })] },
      200_000,
    );
    const part = walk.parts[0]!;
    expect(part.endClockH).toBeLessThanOrEqual(part.sunsetH + 0.1);
    expect(part.walkH).toBeGreaterThan(10);
  });

  test("nobody sets out before sunrise", () => {
    const { walk } = walkOf({ hikers: [hikerOf({ pace: { startClockH: 3 } })] });
    expect(walk.parts[0]!.startClockH).toBeCloseTo(daylight(START, 0, 40).sunriseH, 1);
  });

  test("a stop meant to be passed through becomes the night when the day is over", () => {
    const pace = { hoursFreshH: 6, hoursFitH: 6 };
    const at = (stopM: number) =>
      walkOf({ stops: [stopOf("a", stopM, { nights: 0 })], hikers: [hikerOf({ pace })] }).walk.parts;
    expect(at(10_000)[0]!.night).toBe("none");
    expect(at(23_500)[0]!.night).toBe("stop");
  });

  test("with frozen ends, days keep their camps at another load", () => {
    const { ground, walk, profile } = walkOf({}, 100_000, 5);
    const heavier = walkDays(ground, [new Float64Array(profile.cellCount).fill(20)], walk.parts);
    expect(heavier.parts.map((part) => part.endNode)).toEqual(walk.parts.map((part) => part.endNode));
    expect(heavier.parts[0]!.walkH).toBeGreaterThan(walk.parts[0]!.walkH);
  });
});

describe("the sampled ground", () => {
  test("keeps length, ends and order, and walks it in about the same time", () => {
    const { ground, walk } = walkOf({ stops: [stopOf("a", 41_300)] }, 100_000, 8);
    const coarse = coarseGround(ground)!;
    const { profile, halts } = coarse.ground;
    expect(profile.cellM * profile.cellCount).toBeCloseTo(ground.profile.lengthM, 6);
    expect(halts[1]!.node * profile.cellM).toBeCloseTo(41_300, -3);
    expect(halts.at(-1)!.node).toBe(profile.cellCount);
    const sampled = walkDays(coarse.ground, [new Float64Array(profile.cellCount).fill(8)]);
    const hours = (given: Walk): number => given.parts.reduce((sum, part) => sum + part.walkH, 0);
    expect(hours(sampled) / hours(walk)).toBeCloseTo(1, 1);
    expect(coarse.sampleOf.length).toBe(ground.profile.cellCount);
    expect(Math.max(...coarse.sampleOf)).toBe(profile.cellCount - 1);
  });

  test("is not used where a leg is too short for it", () => {
    expect(coarseGround(walkOf({ stops: [stopOf("a", 3000)] }).ground)).toBeUndefined();
    expect(coarseGround(walkOf({}, 4000).ground)).toBeUndefined();
  });
});
