import { describe, expect, test } from "vitest";
import { planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { layGround, walkAll, tripInput } from "../../test/ground.ts";
import type { Ground } from "../walk/ground.ts";
import { canBeSampled } from "./sampled.ts";

const laid = (stopM: number) =>
  tripInput(layGround(planOf({ stops: [stopOf("a", stopM)] }), [trackNorth({ lengthM: 100_000 })]));
const hours = (ground: Ground): number => walkAll(ground, 8).parts.reduce((sum, part) => sum + part.walkH, 0);

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

  test("is not used where a leg is too short for it", () => {
    const { sampled } = laid(3000);
    expect([canBeSampled(sampled, 0, 1), canBeSampled(sampled, 1, 2)]).toEqual([false, true]);
  });
});
