import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { arbitraryPlan } from "../../test/arbitraryPlan.ts";
import { applyChanges, changesBetween, isEqual, type Change } from "./changes.ts";

const made = <T>(document: T, changes: Change[]): T => {
  const { value, dropped, overwritten } = applyChanges(document, changes);
  expect(dropped).toEqual([]);
  expect(overwritten).toEqual([]);
  return value;
};

const stored = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** Documents as they come: records in lists by id, lists of bare values, fields that are there or not. */
const rows = fc.uniqueArray(
  fc.record(
    { id: fc.string({ minLength: 1, maxLength: 2 }), n: fc.integer(), parts: fc.array(fc.integer(), { maxLength: 3 }) },
    { requiredKeys: ["id"] },
  ),
  { selector: ({ id }) => id, maxLength: 6 },
);
const documents = fc.record(
  { name: fc.string(), rows, deep: fc.record({ rows, text: fc.string() }), months: fc.array(fc.integer()) },
  { requiredKeys: ["rows"] },
);

describe("changes", () => {
  test("lead from any document to any other, and back", () => {
    fc.assert(
      fc.property(documents, documents, (a, b) => {
        expect(made(a, changesBetween(a, b))).toEqual(b);
        expect(made(b, changesBetween(b, a))).toEqual(a);
        expect(isEqual(a, b)).toBe(changesBetween(a, b).length === 0);
      }),
      { numRuns: 1000 },
    );
  });

  test("lead from one whole plan to another, as JSON too, and nothing else stays behind", () => {
    fc.assert(
      fc.property(arbitraryPlan, arbitraryPlan, (one, other) => {
        const [a, b] = [stored(one.plan), stored(other.plan)];
        expect(made(a, stored(changesBetween(a, b)))).toEqual(b);
      }),
      { numRuns: 60 },
    );
  });

  test("are none where nothing changes, and leave alone what they do not name", () => {
    const a = {
      rows: [
        { id: "a", n: 1 },
        { id: "b", n: 2 },
      ],
      deep: { text: "x" },
    };
    expect(changesBetween(a, structuredClone(a))).toEqual([]);
    const next = made(a, [{ op: "set", path: ["rows", { by: "id", is: "b" }, "n"], value: 3, was: 2 }]);
    expect(next).toEqual({
      ...a,
      rows: [
        { id: "a", n: 1 },
        { id: "b", n: 3 },
      ],
    });
    expect([next.rows[0], next.deep]).toEqual([a.rows[0], a.deep]);
    expect(next.rows[0]).toBe(a.rows[0]);
    expect(next.deep).toBe(a.deep);
  });
});

describe("two edits of one document", () => {
  const base = {
    rows: [
      { id: "a", n: 1, note: "" },
      { id: "b", n: 2, note: "" },
    ],
    word: "x",
  };
  type Doc = typeof base;
  const both = (mine: Doc, theirs: Doc) => applyChanges(theirs, changesBetween(base, mine));
  const row = (id: string, n = 0) => ({ id, n, note: "" });

  test("rows added, changed and removed by both are all kept", () => {
    const mine = { ...base, rows: [row("new"), { ...base.rows[0]!, n: 7 }, base.rows[1]!] };
    const theirs = { ...base, rows: [{ ...base.rows[0]!, note: "theirs" }, row("c")] };
    const { value, dropped, overwritten } = both(mine, theirs);
    expect(value.rows).toEqual([row("new"), { id: "a", n: 7, note: "theirs" }, row("c")]);
    expect([dropped, overwritten]).toEqual([[], []]);
  });

  test("a row that is gone drops what was changed of it, and only that", () => {
    const mine = { ...base, rows: [base.rows[0]!, { ...base.rows[1]!, n: 9 }], word: "mine" };
    const { value, dropped } = both(mine, { ...base, rows: [base.rows[0]!] });
    expect(value).toEqual({ rows: [base.rows[0]], word: "mine" });
    expect(dropped).toMatchObject([{ op: "set", path: ["rows", { is: "b" }, "n"] }]);
  });

  test("of two edits to one field the later stands and the earlier is reported; the same edit twice is no conflict", () => {
    const { value, overwritten } = both({ ...base, word: "mine" }, { ...base, word: "theirs" });
    expect(value.word).toBe("mine");
    expect(overwritten).toMatchObject([{ path: ["word"], was: "x", value: "mine" }]);
    expect(both({ ...base, word: "same" }, { ...base, word: "same" }).overwritten).toEqual([]);
  });

  test("an added row is not added twice; one whose neighbour is gone goes to the end", () => {
    const mine = { ...base, rows: [...base.rows, row("new", 5)] };
    expect(both(mine, mine).value.rows).toHaveLength(3);
    expect(both(mine, { ...base, rows: [base.rows[0]!] }).value.rows.map(({ id }) => id)).toEqual(["a", "new"]);
  });

  test("another order keeps rows that it does not know", () => {
    const mine = { ...base, rows: base.rows.toReversed() };
    const theirs = { ...base, rows: [...base.rows, row("c")] };
    expect(both(mine, theirs).value.rows.map(({ id }) => id)).toEqual(["b", "a", "c"]);
  });

  test("edits of different parts give the same in either order", () => {
    fc.assert(
      fc.property(fc.record({ base: rows, mine: rows }), fc.string(), ({ base: list, mine }, word) => {
        const [start, a, b] = [
          { rows: list, word: "" },
          { rows: mine, word: "" },
          { rows: list, word },
        ];
        const [left, right] = [changesBetween(start, a), changesBetween(start, b)];
        expect(made(made(start, left), right)).toEqual(made(made(start, right), left));
      }),
    );
  });
});
