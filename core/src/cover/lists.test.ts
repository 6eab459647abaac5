import fc from "fast-check";
import { expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../index.ts";
import { compareLists, listNow, listOnLeg, type ListedPiece } from "./lists.ts";

const row = (id: string, massG: number, more: Partial<ListedPiece> = {}): ListedPiece => ({
  id, name: id, group: "G", massG, quantity: 1, wear: "packed", hikerId: "a", ...more,
}); // prettier-ignore

test("by hand: added, left, changed, moved; groups and sums; what has another id is the same by its name", () => {
  const before = [
    row("tent", 1200),
    row("pot", 150),
    row("book", 300),
    row("bag", 800),
    row("k1", 90, { name: "Cup" }),
  ];
  const after = [
    row("tent", 1200, { hikerId: "b" }),
    row("pot", 96, { name: "pot" }),
    row("bag", 800),
    row("lamp", 40, { group: "Small" }),
    row("k9", 90, { name: " cup" }),
  ];
  const { changes, groups, beforeG, afterG } = compareLists(before, after);
  expect(changes.map(({ kind, changeG, before: old, after: now }) => [kind, changeG, (now ?? old)!.name])).toEqual([
    ["moved", 0, "tent"],
    ["changed", -54, "pot"],
    ["left", -300, "book"],
    ["added", 40, "lamp"],
  ]);
  expect(groups).toEqual([
    { group: "G", beforeG: 2540, afterG: 2186 },
    { group: "Small", beforeG: 0, afterG: 40 },
  ]);
  expect([beforeG, afterG]).toEqual([2540, 2226]);
});

test("laws: nothing differs from itself; turned round, all turns round; the changes add up to the difference", () => {
  const list = fc
    .uniqueArray(fc.constantFrom("a", "b", "c", "d", "e"))
    .chain((ids) => fc.tuple(...ids.map((id) => fc.integer({ min: 0, max: 900 }).map((massG) => row(id, massG)))));
  fc.assert(
    fc.property(list, list, (one, other) => {
      expect(compareLists(one, one).changes).toEqual([]);
      const there = compareLists(one, other);
      const back = compareLists(other, one);
      const count = (kind: string, { changes }: typeof there) =>
        changes.filter((change) => change.kind === kind).length;
      expect(count("added", there)).toBe(count("left", back));
      expect(count("changed", there)).toBe(count("changed", back));
      expect(there.changes.reduce((sum, { changeG }) => sum + changeG, 0)).toBe(there.afterG - there.beforeG);
    }),
    { numRuns: Number(process.env["RUNS"] ?? 300) },
  );
});

test("of a plan: all that goes along; what is on a leg, and of one hiker alone", () => {
  const kit = [
    pieceOf("tent", 1200, { shared: true, carrierId: "b" }),
    pieceOf("axe", 400, { spans: [{ fromStopId: "m", toStopId: "@finish", begins: "posted" }] }),
    pieceOf("home", 100, { spans: [] }),
  ];
  const plan = planOf({ hikers: [hikerOf(), hikerOf({ id: "b", name: "B" })], kit, stops: [stopOf("m", 20_000)] });
  const result = computePlan(plan, [trackNorth({ lengthM: 40_000 })]);
  const ids = (pieces: ListedPiece[]) => pieces.map(({ id }) => id);
  expect(ids(listNow(plan))).toEqual(["tent", "axe"]);
  expect(ids(listOnLeg(plan, result, 0))).toEqual(["tent"]);
  expect(ids(listOnLeg(plan, result, 1))).toEqual(["tent", "axe"]);
  expect(ids(listOnLeg(plan, result, 1, 0))).toEqual(["axe"]);
  expect(listOnLeg(plan, result, 0)[0]!.hikerId).toBe("b");
});
