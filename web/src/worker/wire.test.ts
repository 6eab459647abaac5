import { Session } from "@gepack/core";
import { describe, expect, test } from "vitest";
import { planWith, someone, straightTrack } from "../../test/plans.ts";
import { buffersOf, fromColumns, fromWire, toColumns, toWire } from "./wire.ts";

describe("rows as columns", () => {
  test("come back as they were, whatever is in them", () => {
    const rows = [
      { litres: 1.5, from: "spring", most: undefined, by: [1, 2] },
      { litres: -0, from: undefined, most: 3, by: [] },
    ];
    expect(fromColumns(toColumns(rows))).toStrictEqual(rows);
    expect(Object.keys(toColumns(rows).numbers)).toEqual(["litres"]);
  });

  test("a field that the first row lacks arrives, and one that a row lacks stays away", () => {
    type Row = { a: number; note?: string; most?: number };
    const rows: Row[] = [{ a: 1 }, { a: 2, note: "x" }, { a: 3, most: 4 }];
    expect(fromColumns(structuredClone(toColumns(rows)))).toStrictEqual(rows);
  });

  test("none are none", () => {
    expect(fromColumns(toColumns([]))).toEqual([]);
  });
});

test("a result comes over the wire as it was computed, and its arrays are handed over", () => {
  const session = new Session();
  session.setTracks([straightTrack(900)]);
  const sources = [20, 31, 44, 58, 71].map((km) => ({ id: `w${km}`, name: `Well ${km}`, trackM: km * 1000 }));
  const hikers = ["a", "b"].map((id) => ({ ...someone, id, name: id }));
  const plan = planWith({ sources, hikers, stops: [{ id: "s", name: "Town", trackM: 40_000, nights: 1 }] });
  const { profile, ...result } = session.compute(plan);
  expect(result.legs.length).toBeGreaterThan(1);
  expect(result.legs[0]!.hikers[1]!.carries.length).toBeGreaterThan(1);
  const before = structuredClone(result);

  const wire = toWire(result);
  const buffers = buffersOf(wire);
  const there = structuredClone(wire, { transfer: buffers });
  expect(buffers.every((buffer) => (buffer as ArrayBuffer).byteLength === 0)).toBe(true);
  expect(fromWire(there)).toStrictEqual(before);
  // What the session remembers is not touched: the next answer says the same.
  const { profile: again, ...next } = session.compute(plan);
  expect(again).toBe(profile);
  expect(next).toStrictEqual(before);
});
