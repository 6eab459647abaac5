import { expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../index.ts";
import { kitWeights } from "./weights.ts";

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
