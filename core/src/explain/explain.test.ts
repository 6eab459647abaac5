import { describe, expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, explain, EXPLAINED, type Derivation } from "../index.ts";

const plan = planOf({
  climate: { stations: [stationOf(2, 26)] },
  hikers: [hikerOf(), hikerOf({ id: "b", name: "B", stove: { fuel: "none" } })],
  sources: [sourceOf("w", 20_000)],
  kit: [pieceOf("tent", 1200)],
});
const result = computePlan(plan, [trackNorth({ lengthM: 80_000, heightM: (m) => 600 + 150 * Math.sin(m / 1500) })]);
const why = (figure: (typeof EXPLAINED)[number], hikerId = "a"): Derivation =>
  explain(plan, result, { legIndex: 0, hikerId, figure })!;
const part = (tree: Derivation, code: string): Derivation => tree.parts.find((child) => child.code === code)!;
const row = result.legs[0]!.hikers[0]!;

describe("why", () => {
  test("the tree's value is the figure that is shown", () => {
    expect(why("start").value).toBe(row.startKg);
    expect(why("food").value).toBe(row.food.startKg);
    expect(why("carry").value).toBe(row.carries[row.largestCarry]!.litres);
    expect(why("energy").value).toBe(row.energy.totalKcal);
  });

  test("starting weight takes its water from the carry that leaves the stop, not from the largest", () => {
    const water = part(why("start"), "water");
    expect(water.value).toBe(row.carries[0]!.litres);
    expect(water.value).not.toBe(Math.max(...row.carries.map((carry) => carry.litres)));
  });

  test("food comes from meals, need, appetite and density", () => {
    const eaten = part(why("food"), "food-eaten");
    expect(eaten.combine).toBe("quotient");
    const [menu, density] = eaten.parts;
    expect(density!.value).toBe(4400);
    expect(part(menu!, "covered").value).toBeCloseTo(0.92, 9);
    // The first week: three quarters of the need.
    expect(part(menu!, "appetite").value).toBeCloseTo(0.75, 9);
    expect(part(part(menu!, "meals-need"), "meal-days").source).toBe("meals-not-in-town");
  });

  test("energy is walking, rest, digestion and cold; each names its source", () => {
    const tree = why("energy");
    expect(tree.parts.map((child) => child.code)).toEqual(["walking", "resting", "thermic", "cold"]);
    expect(part(tree, "resting").source).toBe("resting:mifflin-st-jeor");
    expect(part(part(tree, "walking"), "walk-per-hour").source).toBe("effort:pandolf-santee");
    expect(part(tree, "thermic").value).toBeCloseTo(
      0.1 * (part(tree, "walking").value + part(tree, "resting").value),
      6,
    );
  });

  test("a carry counts dry camps, and takes off what was drunk", () => {
    const tree = why("carry");
    expect(part(tree, "drunk-at-source").value).toBe(-0.5);
    const camps = part(tree, "carry-camps");
    expect(camps.value).toBeCloseTo(part(camps, "dry-camps").value * 1.4, 9);
  });

  test("no stove, no fuel, and still a sum", () => {
    expect(part(why("start", "b"), "fuel").value).toBe(0);
  });

  test("what is not there has no answer", () => {
    expect(explain(plan, result, { legIndex: 9, hikerId: "a", figure: "start" })).toBeUndefined();
    expect(explain(plan, result, { legIndex: 0, hikerId: "z", figure: "start" })).toBeUndefined();
  });
});
