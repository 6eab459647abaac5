import { describe, expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { layGround } from "../../test/ground.ts";
import { computePlan, type Plan } from "../index.ts";
import { coarseGround } from "../walk/coarse.ts";
import { BlockMemory, solveTrip, startState } from "./trip.ts";

const tracks = [trackNorth({ lengthM: 200_000, heightM: (m) => 600 + 200 * Math.sin(m / 4000) })];
const plan = (overrides: Record<string, unknown> = {}): Plan =>
  planOf({
    climate: { stations: [stationOf(6, 24)] },
    stops: [stopOf("a", 60_000), stopOf("b", 110_000, { nights: 0 }), stopOf("c", 150_000)],
    sources: [sourceOf("w", 30_000), sourceOf("v", 90_000), sourceOf("u", 170_000)],
    kit: [pieceOf("pack", 4000)],
    ...overrides,
  });

/** Counts the blocks that had to be solved. */
function solver() {
  const memory = new BlockMemory();
  let solved = 0;
  const { get } = memory;
  memory.get = function (index, key, solve) {
    return get.call(memory, index, key, () => {
      solved++;
      return solve();
    });
  };
  return (given: Plan) => {
    solved = 0;
    const { ground, kit, sources } = layGround(given, tracks);
    const trip = solveTrip(ground, coarseGround(ground), kit, sources, memory, "same ground");
    return { trip, solved };
  };
}

describe("blocks one after the other", () => {
  test("run from planned night to planned night, and hand on day, body and fuel", () => {
    const { trip } = solver()(plan());
    expect(trip.blocks.map(({ block }) => [block.firstLeg, block.endLeg])).toEqual([
      [0, 1],
      [1, 3],
      [3, 4],
    ]);
    for (let i = 1; i < trip.blocks.length; i++) {
      expect(trip.blocks[i]!.before).toBe(trip.blocks[i - 1]!.after);
      expect(trip.blocks[i]!.fromNode).toBe(trip.blocks[i - 1]!.toNode);
      expect(trip.blocks[i]!.before.walk.day).toBeGreaterThan(trip.blocks[i - 1]!.before.walk.day);
      expect(trip.blocks[i]!.before.supply[0]!.bodyKg).toBeLessThan(70);
    }
    const fuel = trip.blocks[0]!.supplies[0]!.fuel[0]!;
    expect(Math.abs(trip.blocks[1]!.before.supply[0]!.openFuelG - fuel.endG)).toBeLessThanOrEqual(0.5);
  });

  test("the same plan again is taken from memory", () => {
    const solve = solver();
    expect(solve(plan()).solved).toBe(3);
    expect(solve(plan()).solved).toBe(0);
  });

  test("a piece on the last leg leaves the blocks before it alone", () => {
    const solve = solver();
    const before = solve(plan()).trip;
    const late = pieceOf("axe", 350, { spans: [{ fromStopId: "c", toStopId: "@finish", begins: "posted" }] });
    const { trip, solved } = solve(plan({ kit: [pieceOf("pack", 4000), late] }));
    expect(solved).toBe(1);
    expect(trip.blocks[1]).toBe(before.blocks[1]);
    expect(trip.blocks[2]!.loads[0]![0]!.startKg).toBeGreaterThan(before.blocks[2]!.loads[0]![0]!.startKg + 0.3);
  });

  test("a heavier piece on the first leg moves what follows only through the state", () => {
    const solve = solver();
    const before = solve(plan()).trip;
    const early = pieceOf("stone", 3000, { spans: [{ fromStopId: "@start", toStopId: "a", ends: "sent-home" }] });
    const { trip } = solve(plan({ kit: [pieceOf("pack", 4000), early] }));
    expect(trip.blocks[0]!.after.supply[0]!.bodyKg).toBeLessThanOrEqual(before.blocks[0]!.after.supply[0]!.bodyKg);
    // Carrying three kilograms for four days costs some grams of body, and the next pack hardly knows.
    expect(Math.abs(trip.blocks[1]!.loads[0]![0]!.startKg - before.blocks[1]!.loads[0]![0]!.startKg)).toBeLessThan(
      0.02,
    );
  });

  test("the state is round: ten grams of body, a gram of fuel, a kilocalorie", () => {
    const { supply } = solver()(plan()).trip.blocks.at(-1)!.after;
    const { bodyKg, fatKg, openFuelG, deficitKcal } = supply[0]!;
    for (const hundredths of [bodyKg * 100, fatKg * 100, openFuelG, deficitKcal])
      expect(Math.abs(hundredths - Math.round(hundredths))).toBeLessThan(1e-6);
  });

  test("a hiker begins with the fat given, or with that of the build", () => {
    const own = planOf({ hikers: [hikerOf({ bodyFatFraction: 0.2 }), hikerOf({ id: "b", name: "B" })] });
    const { supply } = startState(own.hikers, 0);
    expect(supply[0]!.fatKg).toBeCloseTo(14, 9);
    // 1.2 · 22.86 + 0.23 · 30 − 16.2 percent.
    expect(supply[1]!.fatKg / 70).toBeCloseTo(0.1813, 3);
  });
});

test("a lighter body burns less: with a shortfall the same ground costs less at the end than fed", () => {
  const flat = [trackNorth({ lengthM: 600_000 })];
  const stops = Array.from({ length: 5 }, (_, i) => stopOf(`s${i}`, 100_000 * (i + 1)));
  const last = (shortfallFraction: number): number => {
    const food = { shortfallFraction, appetiteByWeek: [1, 1, 1, 1], densityKcalPerG: 9 };
    const hikers = [hikerOf({ food, pace: { rampDays: 0 } })];
    return computePlan(planOf({ stops, hikers, climate: { stations: [stationOf(8, 16)] } }), flat).legs.at(-1)!
      .hikers[0]!.energy.totalKcal;
  };
  expect(last(0.4)).toBeLessThan(0.97 * last(0));
});
