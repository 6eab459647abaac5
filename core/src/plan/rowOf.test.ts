/** A row by its id, as looking through the list finds it. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { rowOf } from "./rowOf.ts";

const ids = fc.uniqueArray(fc.string({ maxLength: 3 }), { maxLength: 12 });

test("as looking through the list finds it, one that was changed in between too", () => {
  fc.assert(
    fc.property(ids, ids, fc.string({ maxLength: 3 }), (before, after, wanted) => {
      const rows = before.map((id) => ({ id }));
      expect(rowOf(rows, wanted)).toBe(rows.find(({ id }) => id === wanted));
      rows.splice(0, rows.length, ...after.map((id) => ({ id })));
      for (const id of [...before, ...after, wanted]) expect(rowOf(rows, id)).toBe(rows.find((row) => row.id === id));
    }),
    { numRuns: runs(200) },
  );
});

test("nothing is called by no name", () => {
  expect(rowOf([{ id: "a" }], undefined)).toBeUndefined();
});
