import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, planSchema, type Plan } from "../index.ts";
import { referenceProblems } from "../plan/links.ts";
import { differencesOf, tellVariant } from "./compare.ts";
import { takePart, VARIANT_PARTS } from "./merge.ts";

const tracks = [trackNorth({ lengthM: 200_000 })];
const base = planOf({
  stops: [
    stopOf("a", 60_000, { name: "Mill", services: ["shop-full", "bed"] }),
    stopOf("b", 120_000, { name: "Ford" }),
  ],
  sources: Array.from({ length: 12 }, (_, i) => sourceOf(`w${i}`, 7000 + i * 15_000)),
  climate: { stations: [stationOf(6, 16)] },
  kit: [pieceOf("bottles", 80, { role: "bottle", capacityL: 8 }), pieceOf("chair", 900)],
});
const other: Plan = {
  ...base,
  id: "other",
  trip: { ...base.trip, startDate: "2027-06-01" },
  stops: base.stops.map((stop) => (stop.id === "b" ? { ...stop, use: false } : { ...stop, nights: 2 })),
  kit: base.kit.map((piece) => (piece.id === "chair" ? { ...piece, spans: [] } : piece)),
};

describe("variants", () => {
  test("differ in what is not the same, by name, and in nothing else", () => {
    expect(differencesOf([base, other])).toEqual([
      { part: "stop", id: "a", name: "Mill", values: ["1 buy", "2 buy"] },
      { part: "stop", id: "b", name: "Ford", values: [expect.stringMatching(/^1 /) as string, undefined] },
      { part: "piece", id: "chair", name: "chair", values: [expect.stringMatching(/^900 /) as string, undefined] },
    ]);
    expect(differencesOf([base, structuredClone(base)])).toEqual([]);
  });

  test("are told by figures of the plan as it is computed", () => {
    const result = computePlan(base, tracks);
    const { figures, legs } = tellVariant(base, result, 0);
    expect(figures.finishDate).toBe(result.finishDate);
    expect(figures.heaviestKg).toBe(Math.max(...result.legs.map((leg) => leg.hikers[0]!.heaviestKg)));
    expect(legs.map(({ startKg }) => startKg)).toEqual(result.legs.map((leg) => leg.hikers[0]!.startKg));
    expect(figures.arrives[0] <= figures.arrives[1]).toBe(true);
  });

  test.each([
    ["kit", (plan: Plan) => plan.kit],
    ["stops", (plan: Plan) => plan.stops],
    ["days", (plan: Plan) => plan.trip.startDate],
  ] as const)("%s of another are taken over, and nothing else", (part, of) => {
    const plan = structuredClone(base);
    takePart(plan, other, part);
    expect(of(plan)).toEqual(of(other));
    expect(
      differencesOf([plan, part === "days" ? base : other]).some(
        (row) => row.part === (part === "kit" ? "piece" : "stop"),
      ),
    ).toBe(false);
  });

  test("menus come with their foods, and a hiker's own reserve with them", () => {
    const fed = planOf({ ...base, hikers: [hikerOf({ food: { reserveDays: 3 } })] });
    const plan = structuredClone(base);
    takePart(plan, fed, "menus");
    expect(plan.hikers[0]!.food.reserveDays).toBe(3);
    expect(plan.hikers[0]!.pace).toEqual(base.hikers[0]!.pace);
  });

  test("whatever is taken from any plan leaves a document in which nothing points to what is not there", () => {
    fc.assert(
      fc.property(arbitraryPlan, arbitraryPlan, fc.constantFrom(...VARIANT_PARTS), (one, two, part) => {
        const plan = structuredClone(one.plan);
        const before = structuredClone(two.plan);
        takePart(plan, two.plan, part);
        expect(two.plan).toEqual(before);
        expect(planSchema.safeParse(plan).error).toBeUndefined();
        const known = new Set(
          referenceProblems(one.plan)
            .concat(referenceProblems(two.plan))
            .map(({ sentence }) => sentence),
        );
        expect(referenceProblems(plan).filter(({ sentence }) => !known.has(sentence))).toEqual([]);
        expect(Number.isFinite(computePlan(plan, one.tracks).legs[0]!.hikers[0]!.startKg)).toBe(true);
      }),
      { numRuns: runs(100) },
    );
  });
});
