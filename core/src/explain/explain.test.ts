import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, dayNumber, explain, EXPLAINED, seasonWhys, type Derivation } from "../index.ts";

const plan = planOf({
  climate: { stations: [stationOf(2, 26)] },
  hikers: [
    hikerOf({ food: { shortfallFraction: 0.08, appetiteByWeek: [0.75, 0.85, 0.95, 1] } }),
    hikerOf({ id: "b", name: "B", stove: { fuel: "none" } }),
  ],
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

  test("base weight is its pieces, by group", () => {
    const tree = why("base");
    expect(tree.value).toBe(row.kit.baseKg);
    expect(tree.parts[0]!.parts[0]).toMatchObject({ name: "tent", value: 1.2, source: "as-stated" });
  });

  test("base weight of a leg: its own pieces alone, heaviest group and piece first", () => {
    const there = [{ fromStopId: "mill", toStopId: "@finish", begins: "posted" }];
    const kit = [
      pieceOf("pad", 400, { group: "Sleep" }),
      pieceOf("bag", 900, { group: "Sleep", measured: true }),
      pieceOf("axe", 300, { group: "Snow", spans: there }),
      pieceOf("tent", 1500, { group: "Shelter" }),
      pieceOf("shirt", 200, { group: "Sleep", wear: "worn" }),
    ];
    const swapped = planOf({ kit, stops: [stopOf("mill", 40_000)] });
    const other = computePlan(swapped, [trackNorth({ lengthM: 80_000 })]);
    const names = (legIndex: number) =>
      explain(swapped, other, { legIndex, hikerId: "a", figure: "base" })!.parts.map((group) => [
        group.name,
        group.value,
        group.parts.map((piece) => `${piece.name} ${piece.source}`),
      ]);
    const always = [
      ["Shelter", 1.5, ["tent as-stated"]],
      ["Sleep", 1.3, ["bag weighed", "pad as-stated"]],
    ];
    expect(names(0)).toEqual(always);
    expect(names(1)).toEqual([...always, ["Snow", 0.3, ["axe as-stated"]]]);
  });

  test("own grams a boil are their own reason; a published one is heat over fuel", () => {
    const own = planOf({ hikers: [hikerOf({ stove: { gramsPerBoil: 9 } })] });
    const other = computePlan(own, [trackNorth({ lengthM: 60_000 })]);
    const tree = explain(own, other, { legIndex: 0, hikerId: "a", figure: "fuel" })!;
    const boil = part(part(tree, "fuel-cooking"), "grams-per-boil");
    expect(boil).toMatchObject({ value: 9, combine: "leaf", source: "own-measured" });
    expect(part(part(why("fuel"), "fuel-cooking"), "grams-per-boil").combine).toBe("product");
  });

  test("days and arrival: hours over hours, and dates added up", () => {
    expect(why("days").value).toBe(result.legs[0]!.dayCount);
    expect(part(part(why("days"), "walk-hours-leg"), "trail-hours").parts[1]!.source).toBe("time:tobler");
    const arrival = why("arrival");
    expect(arrival.unit).toBe("date");
    expect(part(arrival, "start-date").value).toBe(dayNumber("2027-05-01"));
    expect(arrival.value).toBe(dayNumber(result.legs[0]!.endDate));
  });

  test("speed: slope, own pace, load, surface, heat, height, the party and the dark", () => {
    const tree = explain(plan, result, { legIndex: 0, hikerId: "a", figure: "speed", cell: 17 })!;
    expect(tree.value).toBeCloseTo(result.profile.cellM / 1000 / result.cellH[17]!, 9);
    expect(part(tree, "own-factor").value).toBe(0.8);
    expect(part(tree, "load-factor").value).toBeLessThan(1);
    // Two hikers of one pace: the one with the lighter pack waits a little.
    expect(part(tree, "party-factor").value).toBeGreaterThan(0.9);
    expect(part(tree, "party-factor").value).toBeLessThanOrEqual(1);
    expect(part(tree, "night-factor").value).toBe(1);
    expect(explain(plan, result, { legIndex: 0, hikerId: "a", figure: "speed", cell: 1e6 })).toBeUndefined();
  });

  test("fuel: boils times grams, the grams from heat; and what a whole canister leaves over", () => {
    const tree = why("fuel");
    expect(tree.value).toBe(row.fuel.startKg);
    const boil = part(part(tree, "fuel-cooking"), "grams-per-boil");
    expect(part(boil, "grams-per-kj").source).toBe("fuel:gas-canister");
    // Half a litre and the pot from 10 to about 98 °C.
    expect(part(boil, "boil-heat").value).toBeCloseTo((0.5 * 4.19 + 0.1346) * 88, -1);
    expect(part(tree, "fuel-beyond").value).toBeGreaterThan(0);
  });

  test("another carry of the leg may be asked for", () => {
    const first = explain(plan, result, { legIndex: 0, hikerId: "a", figure: "carry", carryIndex: 0 })!;
    expect(first.value).toBe(row.carries[0]!.litres);
    const walking = part(first, "carry-walking");
    expect(part(walking, "carry-km").value).toBeCloseTo(20, 0);
    expect(part(walking, "heat-factor").value).toBeGreaterThan(1);
    expect(part(walking, "heat-factor").value).toBeLessThan(2);
  });

  test("warmth and pad come from the coldest night in ten; without a bag there is no margin", () => {
    expect(why("warmth")).toBeUndefined();
    const kit = [pieceOf("bag", 900, { role: "bag", comfortC: -3 }), pieceOf("liner", 120, { warmthK: 4 })];
    const warm = planOf({ climate: { stations: [stationOf(2, 26)] }, kit });
    const other = computePlan(warm, [trackNorth({ lengthM: 60_000 })]);
    const tree = explain(warm, other, { legIndex: 0, hikerId: "a", figure: "warmth" })!;
    // Low 2 °C, one night in ten 1.2816 × 3 K colder; bag −3 °C and 4 K of liner.
    expect(tree.value).toBeCloseTo(2 - 3.8448 + 3 + 4, 6);
    const pad = explain(warm, other, { legIndex: 0, hikerId: "a", figure: "pad" })!;
    expect(pad.value).toBeCloseTo(3.748 - 0.1136 * (2 - 3.8448 + 5), 2);
  });

  test("the battery's low point, where there are devices", () => {
    expect(why("battery")).toBeUndefined();
    const devices = [{ id: "p", name: "Phone", ownerId: "a", kind: "rechargeable", mAh: 10_000, whPerDay: 5 }];
    const powered = planOf({ climate: { stations: [stationOf(0, 0)] }, devices });
    const tree = explain(powered, computePlan(powered, [trackNorth({ lengthM: 40_000 })]), {
      legIndex: 0,
      hikerId: "a",
      figure: "battery",
    })!;
    expect(part(tree, "battery-cold").value).toBeCloseTo(0.85, 6);
    expect(part(part(tree, "battery-stored"), "capacity-wh").value).toBeCloseTo(37, 6);
  });

  test("a measured day stands beside the models it replaces", () => {
    const own = planOf({ hikers: [hikerOf({ food: { measuredKcalPerDay: 4000 } })] });
    const other = computePlan(own, [trackNorth({ lengthM: 60_000 })]);
    const tree = explain(own, other, { legIndex: 0, hikerId: "a", figure: "energy" })!;
    expect(part(tree, "measured-energy").source).toBe("own-measured");
  });

  test("what is not there has no answer", () => {
    expect(explain(plan, result, { legIndex: 9, hikerId: "a", figure: "start" })).toBeUndefined();
    expect(explain(plan, result, { legIndex: 0, hikerId: "z", figure: "start" })).toBeUndefined();
  });
});

test("every explanation's parts combine to its value, on every random plan", () => {
  const combined = (node: Derivation): number => {
    const values = node.parts.map((part) => part.value);
    if (node.combine === "sum") return values.reduce((a, b) => a + b, 0);
    if (node.combine === "product") return values.reduce((a, b) => a * b, 1);
    return values[0]! / values[1]!;
  };
  // A speed was walked with the packs of the round before the one that is given: near enough, where it settled, and the
  // less so the more a kilogram slows.
  const slack = (code: string, nearness: number): number => (code === "speed" ? nearness : 1e-9);
  const check = (node: Derivation, nearness: number): void => {
    expect(Number.isFinite(node.value)).toBe(true);
    if (node.combine === "leaf") {
      expect(node.parts).toEqual([]);
      return expect(node.source, node.code).toBeDefined();
    }
    const most = slack(node.code, nearness) * (1 + Math.abs(node.value));
    expect(Math.abs(combined(node) - node.value), node.code).toBeLessThan(most);
    for (const part of node.parts) check(part, nearness);
  };
  fc.assert(
    fc.property(arbitraryPlan, ({ plan, tracks }) => {
      const result = computePlan(plan, tracks);
      const nearness = result.settled ? 0.04 * Math.max(1, plan.dayRules.loadSlowness) : Infinity;
      for (const leg of result.legs)
        for (const { hikerId } of leg.hikers)
          for (const figure of EXPLAINED) {
            const tree = explain(plan, result, { legIndex: leg.index, hikerId, figure });
            // No camp or bag, no margin; no devices, no battery. All else is always answered.
            if (tree) check(tree, nearness);
            else expect(["warmth", "battery"]).toContain(figure);
          }
      for (const leg of result.legs) for (const { tree } of seasonWhys(plan, result, leg.index)) check(tree, nearness);
    }),
    { numRuns: runs(250), endOnFailure: true },
  );
});
