import { EXPLAINED, explain, type Explained } from "@gepack/core";
import { describe, expect, test } from "vitest";
import { demo } from "../../test/plans.ts";
import { FIGURE_WORDS, headline } from "./figures.ts";
import { waterName } from "./names.ts";
import { sayIn } from "./say.ts";

const { plan, result } = demo();

function said(figure: Explained, legIndex: number, who = 0, carry?: number): string {
  const leg = result.legs[legIndex]!;
  const row = leg.hikers[who]!;
  const carryIndex = carry ?? row.largestCarry;
  const tree = explain(plan, result, { legIndex, hikerId: row.hikerId, figure, carryIndex })!;
  return headline(figure, tree, { plan, result, leg, row, hiker: plan.hikers[who]!, carryIndex });
}

describe("the sentence under a figure", () => {
  test.each(EXPLAINED)("%s: on every leg, for both, without holes", (figure) => {
    for (const leg of result.legs)
      for (const who of [0, 1]) expect(said(figure, leg.index, who)).toMatch(/^[A-Z0-9][^]*\.$/);
    for (const leg of result.legs) expect(said(figure, leg.index)).not.toMatch(/undefined|NaN|Infinity/);
  });

  test("a carry names both its waters, the least to hold and the most to drink", () => {
    expect(said("carry", 5)).toMatch(
      /^From Hask trough at 512 km, 52 km to .+ At least \d\.\d L .+ drink no more than \d+\.\d L/,
    );
    expect(said("carry", 5, 0, 0)).toContain("From the stop’s tap");
  });

  test("fuel says whether the open canister lasts; who does not cook has none", () => {
    const lasts = result.legs.filter((leg) => leg.hikers[0]!.fuel.openLasts);
    expect(lasts.length).toBeLessThan(result.legs.length);
    for (const leg of result.legs)
      expect(said("fuel", leg.index)).toContain(
        leg.hikers[0]!.fuel.openLasts ? "The open one lasts" : "The open one won’t last",
      );
    expect(said("fuel", 3, 1)).toBe("No stove, no fuel.");
  });

  test("a night below the bag is too cold, any other has something to spare", () => {
    for (const leg of result.legs)
      expect(said("warmth", leg.index)).toMatch(leg.hikers[0]!.warmth!.marginK < 0 ? /^Too cold/ : /^Margin/);
  });

  test.each(EXPLAINED)("%s has a short name of its own and a caution", (figure) => {
    const { tab, caution } = FIGURE_WORDS[figure];
    expect(tab).toMatch(/^[A-Z][a-z]+$/);
    expect(EXPLAINED.filter((other) => FIGURE_WORDS[other].tab === tab)).toEqual([figure]);
    expect(caution).toMatch(/^[A-Z].{20,}[.]$/);
  });

  test("a pack over its comfort is warned of, one under it is not", () => {
    const warns = result.legs.map((leg) => {
      const row = leg.hikers[0]!;
      const context = { plan, result, leg, row, hiker: plan.hikers[0]!, carryIndex: 0 };
      return [FIGURE_WORDS.start.warning!(context, sayIn(plan)) !== undefined, row.startKg > 13.55];
    });
    for (const [warned, over] of warns) expect(warned).toBe(over);
    expect(warns.some(([warned]) => warned)).toBe(true);
  });

  test("where there is no figure, it says what is missing", () => {
    expect(FIGURE_WORDS.battery.nothing).toMatch(/Add them/);
    expect(FIGURE_WORDS.warmth.nothing).toMatch(/No camp/);
  });
});

test("a source by its name, a tap without", () => {
  expect(waterName(plan.sources[0]!.id, plan)).toBe(plan.sources[0]!.name);
  expect(waterName(undefined, plan)).toBe("the stop’s tap");
});
