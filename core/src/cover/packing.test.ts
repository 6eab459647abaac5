import { expect, test } from "vitest";
import { pieceOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../index.ts";
import { isInside, packingOf, rideOf } from "./packing.ts";

const made = (more: Record<string, unknown>[] = []) => {
  const kit = [
    pieceOf("pack", 900, { role: "pack" }),
    pieceOf("quilt", 600, { role: "bag", volumeL: 6 }),
    pieceOf("tent", 1200, { role: "shelter", volumeL: 4 }),
    pieceOf("Rain jacket", 200, { volumeL: 1 }),
    pieceOf("bottle", 40, { role: "bottle", capacityL: 1 }),
    pieceOf("shirt", 150, { wear: "worn", volumeL: 1 }),
    pieceOf("things", 300),
    ...more,
  ];
  const plan = planOf({ kit, stops: [stopOf("m", 30_000)] });
  const result = computePlan(plan, [trackNorth({ lengthM: 60_000 })]);
  return { row: result.legs[0]!.hikers[0]!, ...packingOf(plan, result, 0, 0) };
};

test("by hand: bottom to top, then outside; inside are the pieces, food in its bag, and a guess for what has no size", () => {
  const { items, insideL, packL, row } = made();
  expect(items.map(({ pieceId, what, ride }) => `${pieceId ?? what} ${ride}`)).toEqual([
    "quilt bottom",
    ...(row.food.startKg / row.food.bulkKgPerL > 4 ? ["food core", "tent core"] : ["tent core", "food core"]),
    "things core",
    "Rain jacket top",
    "water pockets",
    "bottle pockets",
    "pack body",
    "shirt body",
  ]);
  const foodL = row.food.startKg / row.food.bulkKgPerL;
  expect(insideL).toBeCloseTo(6 + 4 + 1 + 0.3 / 0.3 + foodL, 9);
  expect(packL).toBe(55);
});

test("laws: kilograms are those of the pack and the body; a canister takes its own space, and food in it none", () => {
  const bare = made();
  const locked = made([pieceOf("canister", 1000, { role: "hard-canister", capacityL: 20, volumeL: 21 })]);
  for (const { items, row } of [bare, locked]) {
    const sum = items.reduce((kg, item) => kg + item.kg, 0);
    expect(sum).toBeCloseTo(row.startKg + row.kit.wornKg - row.fuel.startKg - row.fuel.containerKg, 6);
  }
  expect(locked.items.some(({ what }) => what === "food")).toBe(false);
  const foodL = bare.row.food.startKg / bare.row.food.bulkKgPerL;
  expect(locked.insideL).toBeCloseTo(bare.insideL - foodL + 21, 6);
});

test("a place told goes before the guess; spikes hang outside, papers lie in the lid", () => {
  expect(rideOf({ name: "Microspikes", wear: "packed", volumeL: 1 })).toBe("outside");
  expect(rideOf({ name: "Microspikes", wear: "packed", volumeL: 1, rides: "lid" })).toBe("lid");
  expect(rideOf({ name: "Permit", wear: "packed", volumeL: 0 })).toBe("lid");
  expect(rideOf({ name: "Foam", role: "pad", wear: "packed", volumeL: 0 })).toBe("outside");
  expect(rideOf({ name: "Down jacket", wear: "worn", volumeL: 3 })).toBe("body");
  expect(isInside("lid")).toBe(true);
  expect(isInside("pockets")).toBe(false);
});
