import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, planSchema, Session, type Plan } from "../index.ts";
import { leversOf, makeLever, withLever, type Lever } from "./lever.ts";
import { LEVER_TARGETS, pullLevers, valueIn } from "./pull.ts";

const tracks = [trackNorth({ lengthM: 240_000, heightM: (m) => 300 + 100 * Math.sin(m / 3000) })];
const shop = { services: ["shop-full", "post", "bed"], nights: 1 };
const plan = planOf({
  stops: [
    stopOf("a", 80_000, { ...shop, nights: 2 }),
    stopOf("b", 150_000, { ...shop, use: false }),
    stopOf("locked", 200_000, { ...shop, use: false, locked: true }),
  ],
  sources: Array.from({ length: 15 }, (_, i) => sourceOf(`w${i}`, 7000 + i * 15_000)),
  climate: { stations: [stationOf(6, 16)] },
  hikers: [hikerOf({ water: { reserveFraction: 0.15 } })],
  kit: [
    pieceOf("bottles", 80, { role: "bottle", capacityL: 8 }),
    pieceOf("chair", 900),
    pieceOf("first aid kit", 600),
    pieceOf("Plasters, tape, tablets", 170),
    pieceOf("Water filter", 90),
    pieceOf("tent", 2000, { role: "shelter" }),
    { ...pieceOf("light tent", 1200, { role: "shelter" }), spans: [] },
  ],
});
const session = new Session();
session.setTracks(tracks);
const pulling = { compute: (then: Plan) => session.compute(then), figures: (then: Plan) => session.figures(then) };
const pulled = (target: (typeof LEVER_TARGETS)[number], of: Plan = plan) => [
  ...pullLevers(of, { who: 0, target, legIndex: 0 }, pulling),
];
const nameOf = (lever: Lever | undefined): string => JSON.stringify(lever ?? "now");

describe("levers", () => {
  test("offer to leave what no requirement needs, to swap for the lighter, to use and skip stops that aren’t locked", () => {
    const all = leversOf(plan, "a");
    expect(all).toContainEqual({ kind: "leave", pieceId: "chair" });
    expect(all).toContainEqual({ kind: "swap", pieceId: "tent", otherId: "light tent" });
    expect(all).toContainEqual({ kind: "use", stopId: "b" });
    expect(all).toContainEqual({ kind: "pass", stopId: "a" });
    expect(all).toContainEqual({ kind: "nights", stopId: "a", nights: 1 });
    const words = all.map(nameOf).join(" ");
    for (const kept of ["first aid", "Plasters", "filter"]) expect(words).not.toContain(kept);
    expect(words).not.toContain('"locked"');
    expect(all).not.toContainEqual({ kind: "leave", pieceId: "tent" });
  });

  test("a chair left at home takes exactly its mass off the heaviest pack; the lighter tent the difference", () => {
    const rows = pulled("heaviest");
    const gain = (lever: Lever): number => rows.find((row) => nameOf(row.lever) === nameOf(lever))!.gain;
    expect(rows[0]).toMatchObject({ lever: undefined, gain: 0, breaks: [] });
    expect(gain({ kind: "leave", pieceId: "chair" })).toBeCloseTo(0.9, 1);
    expect(gain({ kind: "swap", pieceId: "tent", otherId: "light tent" })).toBeCloseTo(0.8, 1);
  });

  test.each(LEVER_TARGETS)("what is told of %s is what the plan with it comes to", (target) => {
    const rows = pulled(target);
    const [now, ...others] = rows;
    expect(rows.at(-1)!.fraction).toBeLessThanOrEqual(1);
    for (const row of others) {
      expect(row.gain).toBeGreaterThan(0);
      expect(valueIn(now!.figures, target) - valueIn(row.figures, target)).toBeCloseTo(row.gain, 9);
    }
    const best = others.toSorted((a, b) => b.gain - a.gain)[0];
    if (!best?.lever) return;
    const then = computePlan(withLever(plan, "a", best.lever), tracks);
    expect(best.figures.heaviestKg).toBeCloseTo(Math.max(...then.legs.map((leg) => leg.hikers[0]!.heaviestKg)), 6);
    expect(best.figures.finishDate).toBe(then.finishDate);
  });

  test("a leg that a new stop cuts in two is as heavy as the heavier of both", () => {
    const rows = [...pullLevers(plan, { who: 0, target: "leg", legIndex: 1 }, pulling)];
    const row = rows.find(({ lever }) => nameOf(lever) === nameOf({ kind: "use", stopId: "b" }))!;
    const then = computePlan(withLever(plan, "a", { kind: "use", stopId: "b" }), tracks);
    expect(row.figures.legKg).toBeCloseTo(Math.max(...then.legs.slice(1).map((leg) => leg.hikers[0]!.heaviestKg)), 6);
  });

  test("levers of the second of two hikers pull the second's own figures", () => {
    const two = planOf({ ...plan, hikers: [hikerOf(), hikerOf({ id: "b", name: "B", food: { reserveDays: 2 } })] });
    const rows = [...pullLevers(two, { who: 1, target: "kg-km", legIndex: 0 }, pulling)];
    const fields = rows.flatMap(({ lever }) =>
      lever?.kind === "figure" && lever.field === "reserve-days" ? [lever.value] : [],
    );
    expect(fields).toEqual([1.5]);
  });

  test("what would break a caution is marked, not hidden", () => {
    const short = planOf({
      ...plan,
      kit: [
        pieceOf("bottle", 80, { role: "bottle", capacityL: 0.7 }),
        pieceOf("bag of water", 60, { role: "bottle", capacityL: 8 }),
      ],
    });
    const row = pulled("kg-km", short).find(
      ({ lever }) => nameOf(lever) === nameOf({ kind: "leave", pieceId: "bag of water" }),
    )!;
    expect(row.breaks.map(({ code }) => code)).toContain("carry-over-bottles");
  });

  test("the best of different kinds are offered together, and come to no more than both alone", () => {
    const rows = pulled("heaviest");
    const both = rows.flatMap((row) => (row.lever?.kind === "both" ? [{ ...row, lever: row.lever }] : []));
    expect(both.length).toBeGreaterThan(0);
    const gainOf = (lever: Lever): number => rows.find((row) => nameOf(row.lever) === nameOf(lever))!.gain;
    for (const { lever, gain } of both)
      expect(gain).toBeLessThanOrEqual(gainOf(lever.first) + gainOf(lever.second) + 0.2);
  });

  test("of any plan every lever makes a document that is accepted and computed", () => {
    fc.assert(
      fc.property(arbitraryPlan, fc.nat(), ({ plan: any, tracks: lines }, pick) => {
        const hikerId = any.hikers[0]!.id;
        const levers = leversOf(any, hikerId);
        const lever = levers[pick % levers.length];
        if (!lever) return;
        const copy = structuredClone(any);
        makeLever(copy, hikerId, lever);
        expect(copy).toEqual(withLever(any, hikerId, lever));
        expect(planSchema.safeParse(copy).error).toBeUndefined();
        expect(Number.isFinite(computePlan(copy, lines).legs[0]!.hikers[0]!.startKg)).toBe(true);
      }),
      { numRuns: runs(100) },
    );
  });
});
