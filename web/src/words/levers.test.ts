import type { Lever, TrackM } from "@gepack/core";
import { expect, test } from "vitest";
import { planWith, someone } from "../../test/plans.ts";
import { leverWords, thinnerBy } from "./levers.ts";

const plan = planWith({ hikers: [someone], stops: [{ id: "mill", name: "Mill", trackM: 30_000 }] });
const reserve: Lever = { kind: "figure", field: "reserve-water", value: 0.1 };
const assumed: Lever = { kind: "assume-water", places: [{ id: "assumed-main-4000", trackM: 4000 as TrackM }] };
const pass: Lever = { kind: "pass", stopId: "mill" };

test("a change is told as what is done; of two the second goes on small", () => {
  expect(leverWords(plan, pass)).toBe("Skip Mill");
  expect(leverWords(plan, reserve)).toBe("10 % of the water as reserve");
  expect(leverWords(plan, { kind: "both", first: reserve, second: pass })).toBe(
    "10 % of the water as reserve, and skip Mill",
  );
  expect(leverWords(plan, { kind: "leave", pieceId: "gone" })).toContain("(item no longer exists)");
});

test("what takes from a margin says so, each margin once; what only takes weight does not", () => {
  expect(thinnerBy(reserve)).toEqual(["thinner water margin"]);
  expect(thinnerBy({ kind: "figure", field: "boils", value: 2 })).toEqual([]);
  expect(thinnerBy(pass)).toEqual([]);
  // Nobody has seen it yet.
  expect(thinnerBy(assumed)).toEqual(["thinner water margin"]);
  const least: Lever = { kind: "figure", field: "least-water", value: 0.5 };
  expect(thinnerBy({ kind: "both", first: reserve, second: least })).toEqual(["thinner water margin"]);
  expect(thinnerBy({ kind: "both", first: pass, second: { kind: "trust", trust: "all" } })).toEqual([
    "thinner water margin",
  ]);
});
