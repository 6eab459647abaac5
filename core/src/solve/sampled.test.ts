import { describe, expect, test } from "vitest";
import { planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { layGround, walkAll, tripInput } from "../../test/ground.ts";
import type { Ground } from "../walk/ground.ts";
import { canBeSampled, sampling } from "./sampled.ts";

const laid = (stopM: number) =>
  tripInput(layGround(planOf({ stops: [stopOf("a", stopM)] }), [trackNorth({ lengthM: 100_000 })]));
const hours = (ground: Ground): number => walkAll(ground, 8).parts.reduce((sum, part) => sum + part.walkH, 0);

describe("which cells stand for which", () => {
  test.each([1, 7, 12, 100, 1003])(
    "of %i cells: in order, to the end, each in the middle of those it stands for",
    (cellCount) => {
      const { count, ratio, cells, nodes, sampleOf } = sampling({ cellCount });
      expect([cells.length, nodes.length, sampleOf.length]).toEqual([count, count + 1, cellCount]);
      expect([nodes[0], nodes[count], sampleOf[0], sampleOf[cellCount - 1]]).toEqual([0, cellCount, 0, count - 1]);
      for (let k = 0; k < count; k++) {
        expect(nodes[k + 1]! - nodes[k]!).toBeGreaterThan(ratio - 1.01);
        expect(sampleOf[cells[k]!]).toBe(k);
        expect(Math.abs(cells[k]! + 0.5 - (nodes[k]! + nodes[k + 1]!) / 2)).toBeLessThanOrEqual(1.01);
      }
    },
  );
});

describe("the sampled ground", () => {
  test("keeps length, ends and order, and walks it in about the same time", () => {
    const { ground, sampled, sampling } = laid(41_300);
    const { profile, halts } = sampled;
    expect(profile.cellM * profile.cellCount).toBeCloseTo(ground.profile.lengthM, 6);
    expect(halts[1]!.node * profile.cellM).toBeCloseTo(41_300, -3);
    expect(halts.at(-1)!.node).toBe(profile.cellCount);
    expect(hours(sampled) / hours(ground)).toBeCloseTo(1, 1);
    expect(sampling.sampleOf.length).toBe(ground.profile.cellCount);
    expect(Math.max(...sampling.sampleOf)).toBe(profile.cellCount - 1);
    expect(canBeSampled(sampled, 0, 2)).toBe(true);
  });

  test("has a place of its own for every node, and the camps and hollows of the whole", () => {
    const camps = [{ id: "c", name: "c", trackM: 20_000, hollow: true }];
    const { sampled } = tripInput(
      layGround(planOf({ camps, dayRules: { sleepAt: "camps" } }), [trackNorth({ lengthM: 100_000 })]),
    );
    const { profile } = sampled;
    expect([profile.lonDeg.length, profile.latDeg.length]).toEqual(Array(2).fill(profile.cellCount + 1));
    expect(sampled.camps.forbidden.length).toBe(profile.cellCount + 1);
    const [hollow] = [...sampled.camps.hollow];
    expect(hollow! * profile.cellM).toBeCloseTo(20_000, -3);
  });

  test("is used from twelve samples a leg on", () => {
    const legOf = (nodes: number): Ground => ({ halts: [{ node: 0 }, { node: nodes }] }) as unknown as Ground;
    expect([11, 12].map((nodes) => canBeSampled(legOf(nodes), 0, 1))).toEqual([false, true]);
  });

  test("is not used where a leg is too short for it", () => {
    const { sampled } = laid(3000);
    expect([canBeSampled(sampled, 0, 1), canBeSampled(sampled, 1, 2)]).toEqual([false, true]);
  });
});
