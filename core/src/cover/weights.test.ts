import { expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../index.ts";
import { groupsAlong, kitWeights, typicalPack } from "./weights.ts";

test("by hand: groups, base with and without canister, the big four, skin-out; what a partner carries is the partner's", () => {
  const kit = [
    pieceOf("bag", 700, { group: "Sleep", role: "bag", comfortC: 0 }),
    pieceOf("pack", 900, { group: "Pack", role: "pack" }),
    pieceOf("canister", 1000, { group: "Food", role: "hard-canister", capacityL: 10 }),
    pieceOf("socks", 50, { group: "Clothes", quantity: 2, wear: "worn" }),
    pieceOf("shirt", 150, { group: "Clothes" }),
    pieceOf("cream", 60, { group: "Clothes", wear: "consumable" }),
    pieceOf("tent", 1200, { group: "Sleep", role: "shelter", shared: true, carrierId: "b" }),
    pieceOf("axe", 400, { group: "Snow", spans: [{ fromStopId: "town", toStopId: "@finish", begins: "posted" }] }),
  ];
  const hikers = [hikerOf(), hikerOf({ id: "b", name: "B" })];
  const plan = planOf({ hikers, kit, stops: [stopOf("town", 20_000)] });
  const result = computePlan(plan, [trackNorth({ lengthM: 40_000 })]);
  const first = kitWeights(plan, result, 0, 0);
  expect(first).toMatchObject({ baseG: 2750, withoutFoodStoreG: 1750, bigFourG: 1600, wornG: 100, consumableG: 60 });
  expect(first.groups.map(({ group }) => group)).toEqual(["Food", "Pack", "Sleep", "Clothes"]);
  expect(first.groups[3]).toEqual({ group: "Clothes", packedG: 150, wornG: 100, consumableG: 60, pieces: 4 });
  const row = result.legs[0]!.hikers[0]!;
  expect(first.baseG / 1000).toBeCloseTo(row.kit.baseKg, 9);
  expect(first.skinOutG).toBeCloseTo(100 + 1000 * row.startKg, 6);
  expect(kitWeights(plan, result, 1, 0).baseG).toBe(3150);
  expect(kitWeights(plan, result, 0, 1)).toMatchObject({ baseG: 1200, bigFourG: 1200 });
});

test("a pack as people tell it: base, what is used up, so many days of the leg's food, so much water", () => {
  const plan = planOf({ kit: [pieceOf("pack", 900, { role: "pack" }), pieceOf("cream", 60, { wear: "consumable" })] });
  const leg = computePlan(plan, [trackNorth({ lengthM: 60_000 })]).legs[0]!;
  const { food, fuel } = leg.hikers[0]!;
  const pack = typicalPack(leg, 0, { days: 3, litres: 1.5 });
  expect(pack.baseKg).toBeCloseTo(0.9, 9);
  expect(pack.foodKg).toBeCloseTo((3 * food.eatenKg) / food.mealDays, 9);
  expect(pack.usedUpKg).toBeCloseTo(0.06 + fuel.startKg + fuel.containerKg, 9);
  expect(pack.totalKg).toBeCloseTo(pack.baseKg + pack.usedUpKg + pack.foodKg + 1.5, 9);
  expect(typicalPack(leg, 0, { days: 0, litres: 0 }).totalKg).toBeCloseTo(pack.baseKg + pack.usedUpKg, 9);
});

test("groups along the trail: grams leg by leg without what is worn; in all what one owns", () => {
  const kit = [
    pieceOf("socks", 50, { group: "Clothes", quantity: 2, wear: "worn" }),
    pieceOf("shirt", 150, { group: "Clothes" }),
    pieceOf("axe", 400, { group: "Snow", spans: [{ fromStopId: "town", toStopId: "@finish", begins: "posted" }] }),
    pieceOf("chair", 800, { group: "Snow", spans: [] }),
  ];
  const plan = planOf({ kit, stops: [stopOf("town", 20_000)] });
  const result = computePlan(plan, [trackNorth({ lengthM: 40_000 })]);
  const rows = groupsAlong(plan, result, 0).map(({ group, packedG, inAllG }) => [group, [...packedG], inAllG]);
  expect(rows).toEqual([
    ["Clothes", [150, 150], 250],
    ["Snow", [0, 400], 1200],
  ]);
  const sum = groupsAlong(plan, result, 0).reduce((total, { packedG }) => total + packedG[1]!, 0);
  expect(sum).toBeCloseTo(kitWeights(plan, result, 1, 0).baseG, 9);
});
