import { expect, test } from "vitest";
import { pieceOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../session/session.ts";
import type { KitLeg } from "./kit.ts";
import { TubesInUse } from "./tubes.ts";

const legOf = (consumableKg: number, tubes: KitLeg["tubes"]): KitLeg => ({
  baseKg: 5, wornKg: 1, consumableKg, tubes, volumeL: 0, bottleL: 0, canisterL: 0, canisterVolumeL: 0,
}); // prettier-ignore

test("by hand: two grams a day over the days that passed, never more than is in it; the same use is the same object", () => {
  const rows = [[legOf(0.16, [{ pieceId: "cream", kgPerDay: 0.002, mostKg: 0.05 }])]];
  const inUse = new TubesInUse();
  expect(inUse.packed(rows)[0]).toBe(rows[0]);
  inUse.pass(rows, 10);
  expect(inUse.packed(rows)[0]![0]!.consumableKg).toBeCloseTo(0.14, 12);
  expect(inUse.packed(rows)[0]).toBe(inUse.packed(rows)[0]);
  // 25 days in all: with ten left it is as it was, with fewer there is a new one.
  inUse.pass(rows, 5);
  expect(inUse.packed(rows)[0]![0]!.consumableKg).toBeCloseTo(0.13, 12);
  inUse.pass(rows, 1);
  expect(inUse.packed(rows)[0]).toBe(rows[0]);
  // Not on all legs of a block: not surely used.
  const other = new TubesInUse();
  other.pass([rows[0]!, [legOf(0, [])]], 10);
  expect(other.packed(rows)[0]).toBe(rows[0]);
});

test("in a plan: each leg begins lighter by what was used on those before, and the tube itself stays", () => {
  const town = { nights: 1, services: ["shop-full", "bed"] };
  const compute = (cream: Record<string, unknown>) =>
    computePlan(
      planOf({
        stops: [stopOf("a", 60_000, town), stopOf("b", 120_000, town)],
        kit: [pieceOf("pack", 5000), pieceOf("cream", 100, { wear: "consumable", ...cream })],
      }),
      [trackNorth({ lengthM: 180_000 })],
    ).legs.map(({ startDate, hikers }) => ({
      startDate,
      kg: hikers[0]!.kit.consumableKg,
      startKg: hikers[0]!.startKg,
    }));
  const full = compute({});
  const used = compute({ perDayG: 2, emptyG: 12 });
  const day = (i: number) => (Date.parse(used[i]!.startDate) - Date.parse(used[0]!.startDate)) / 86_400_000;
  expect(used.map(({ kg }) => kg)).toEqual([0.1, 0.1 - 0.002 * day(1), 0.1 - 0.002 * day(2)]);
  for (const i of [0, 1, 2]) expect(full[i]!.startKg - used[i]!.startKg).toBeCloseTo(full[i]!.kg - used[i]!.kg, 2);
  // Used up within two days, and new at each stop.
  expect(compute({ perDayG: 50, emptyG: 12 }).map(({ kg }) => kg)).toEqual([0.1, 0.1, 0.1]);
});
