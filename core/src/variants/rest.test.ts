import { describe, expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, planSchema, type Plan, type PlanResult } from "../index.ts";
import { referenceProblems } from "../plan/links.ts";
import { restFrom } from "./rest.ts";

const tracks = [trackNorth({ lengthM: 240_000 })];
const spanned = (fromStopId: string, toStopId: string, begins = "posted") => ({ fromStopId, toStopId, begins });
const base = planOf({
  hikers: [hikerOf({ pace: { hoursFreshH: 6, hoursFitH: 8, rampDays: 20 } }), hikerOf({ id: "b", name: "Bo" })],
  stops: [60_000, 120_000, 180_000].map((at, i) =>
    stopOf(`s${i + 1}`, at, { name: `Stop ${i + 1}`, services: ["shop-full", "bed"] }),
  ),
  sources: Array.from({ length: 15 }, (_, i) => sourceOf(`w${i}`, 7000 + i * 15_000)),
  climate: { stations: [stationOf(6, 16)] },
  kit: [
    pieceOf("bottles", 80, { role: "bottle", capacityL: 8 }),
    pieceOf("coat", 900, { spans: [spanned("@start", "s1", "from-home"), spanned("s3", "@finish")] }),
    pieceOf("early", 500, { spans: [spanned("@start", "s1", "from-home")] }),
    pieceOf("late", 300, { spans: [spanned("s1", "s3")] }),
  ],
});

function restOf(plan: Plan, legIndex: number): { whole: PlanResult; rest: Plan; after: PlanResult } {
  const whole = computePlan(plan, tracks);
  const rest = restFrom(plan, whole, legIndex, "The rest");
  expect(planSchema.safeParse(rest).success).toBe(true);
  expect(referenceProblems(rest)).toEqual([]);
  return { whole, rest, after: computePlan(rest, tracks) };
}

const reversed: Plan = { ...base, trip: { ...base.trip, direction: "reverse" }, kit: base.kit.slice(0, 1) };

describe("the rest of a hike", () => {
  test.each([
    ["forward", base, 1],
    ["forward, late", base, 3],
    ["from the other end", reversed, 2],
  ])("%s: its legs, dates, climb and base weights are those of the whole from there on", (_, plan, from) => {
    const { whole, after } = restOf(plan, from);
    const left = whole.legs.slice(from);
    expect(after.legs).toHaveLength(left.length);
    for (const [i, leg] of after.legs.entries()) {
      const was = left[i]!;
      expect(leg.toStopId).toBe(was.toStopId);
      expect(Math.abs(leg.distanceM - was.distanceM)).toBeLessThan(150);
      expect(leg.hikers.map(({ kit }) => kit.baseKg)).toEqual(was.hikers.map(({ kit }) => kit.baseKg));
      for (const [h, row] of leg.hikers.entries())
        expect(Math.abs(row.startKg - was.hikers[h]!.startKg)).toBeLessThan(0.35);
    }
    expect(after.legs[0]!.startDate).toBe(left[0]!.startDate);
    expect(after.finishDate).toBe(whole.finishDate);
  });

  test("form, appetite and body go on, pieces that were left behind stay there", () => {
    const { whole, rest } = restOf(base, 2);
    const days = (Date.parse(whole.legs[2]!.startDate) - Date.parse(base.trip.startDate)) / 86_400_000;
    const [hiker] = rest.hikers;
    expect(hiker!.pace.rampDays).toBe(20 - days);
    expect(hiker!.pace.hoursFreshH).toBeCloseTo(6 + (2 * days) / 20, 1);
    expect(hiker!.bodyKg).toBeCloseTo(whole.legs[2]!.hikers[0]!.body.bodyKg, 1);
    const spansOf = (id: string) => rest.kit.find((piece) => piece.id === id)!.spans;
    expect(spansOf("early")).toEqual([]);
    expect(spansOf("late")).toMatchObject([{ fromStopId: "@start", toStopId: "s3", begins: "from-home" }]);
    expect(spansOf("coat")).toMatchObject([{ fromStopId: "s3", toStopId: "@finish", begins: "posted" }]);
  });

  test("of two halves walked from the middle the second is left whole", () => {
    const halves = [
      { id: "n", name: "North", fromM: 120_000, toM: 240_000 },
      { id: "s", name: "South", fromM: 120_000, toM: 0, transferH: 5 },
    ];
    const plan = planSchema.parse({ ...base, route: { sections: halves }, kit: [] });
    const whole = computePlan(plan, tracks);
    const second = whole.legs.findIndex(({ fromM }) => fromM > 100_000);
    const rest = restFrom(plan, whole, second, "");
    expect(rest.route.sections).toMatchObject([{ id: "s", fromM: 120_000, toM: 0, transferH: 0 }]);
    const after = computePlan(rest, tracks);
    expect(after.legs.map(({ toStopId }) => toStopId)).toEqual(
      whole.legs.slice(second).map(({ toStopId }) => toStopId),
    );
  });
});
