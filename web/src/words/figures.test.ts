import { computePlan, EXPLAINED, explain, readGpx, readPlan, type Explained } from "@gepack/core";
import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { headline, NOTHING } from "./headlines.ts";
import { waterName } from "./names.ts";

const demo = (name: string): string => readFileSync(new URL(`../../../demo/${name}`, import.meta.url), "utf8");
const plan = readPlan(JSON.parse(demo("corvane.gepack.json"))).value!;
const result = computePlan(plan, [readGpx(demo("corvane.gpx"), "corvane").value!.track]);

function said(figure: Explained, legIndex: number, who = 0, carryIndex?: number): string {
  const row = result.legs[legIndex]!.hikers[who]!;
  const index = carryIndex ?? row.largestCarry;
  const tree = explain(plan, result, { legIndex, hikerId: row.hikerId, figure, carryIndex: index })!;
  return headline(figure, tree, plan, result, legIndex, row, index);
}

describe("the sentence under a figure", () => {
  test.each(EXPLAINED)("%s: on every leg, for both, without holes", (figure) => {
    for (const leg of result.legs)
      for (const who of [0, 1]) expect(said(figure, leg.index, who)).toMatch(/^[A-Z0-9][^]*\.$/);
    for (const leg of result.legs) expect(said(figure, leg.index)).not.toMatch(/undefined|NaN|Infinity/);
  });

  test("a carry names both its waters, the least to hold and the most to drink", () => {
    expect(said("carry", 5)).toMatch(
      /^From Hask trough at 512 km, 52 km to .+ At least 8\.\d L .+ not more than \d+\.\d L/,
    );
    expect(said("carry", 5, 0, 0)).toContain("From the stop’s tap");
  });

  test("fuel says whether the open canister lasts; who does not cook has none", () => {
    const lasts = result.legs.filter((leg) => leg.hikers[0]!.fuel.openLasts);
    expect(lasts.length).toBeLessThan(result.legs.length);
    for (const leg of result.legs)
      expect(said("fuel", leg.index)).toContain(
        leg.hikers[0]!.fuel.openLasts ? "The open one lasts" : "The open one alone does not last",
      );
    expect(said("fuel", 3, 1)).toBe("No stove, no fuel.");
  });

  test("a night below the bag is too cold, any other has something to spare", () => {
    for (const leg of result.legs)
      expect(said("warmth", leg.index)).toMatch(leg.hikers[0]!.warmth!.marginK < 0 ? /^Too cold/ : /^To spare/);
  });

  test("where there is no figure, it says what is missing", () => {
    expect(NOTHING.battery).toMatch(/Add them/);
    expect(NOTHING.warmth).toMatch(/No camp/);
  });
});

test("a source by its name, a tap without", () => {
  expect(waterName(plan.sources[0]!.id, plan)).toBe(plan.sources[0]!.name);
  expect(waterName(undefined, plan)).toBe("the stop’s tap");
});
