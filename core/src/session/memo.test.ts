/** The memory of the stages: nothing that a stage is given may be forgotten, and nothing equal is worked out twice. */
import { isDeepStrictEqual } from "node:util";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { z } from "zod";
import { arbitraryPlan } from "../../test/arbitraryPlan.ts";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackBeside, trackNorth } from "../../test/fixtures.ts";
import { computePlan, planSchema, Session, type Plan, type PlanResult } from "../index.ts";
import { keepEqual, memo, memoEqual } from "./memo.ts";

/** Takes off what wraps a part of the schema. */
function inner(schema: z.ZodType): z.ZodType {
  let part = schema;
  while (part instanceof z.ZodOptional || part instanceof z.ZodDefault || part instanceof z.ZodPrefault)
    part = part.def.innerType as z.ZodType;
  return part;
}

/** The same value with one field of it changed, once for every field of the schema; optional ones appear and go. */
function* withOneChange(schema: z.ZodType, value: unknown, path: string): Generator<[path: string, value: unknown]> {
  const part = inner(schema);
  if (schema instanceof z.ZodOptional && value !== undefined && !path.endsWith("surface")) yield [path, undefined];
  if (part instanceof z.ZodObject) {
    const record = (value ?? {}) as Record<string, unknown>;
    for (const [key, child] of Object.entries(part.shape as Record<string, z.ZodType>))
      for (const [where, changed] of withOneChange(child, record[key], `${path}.${key}`))
        yield [where, { ...record, [key]: changed }];
  } else if (part instanceof z.ZodArray && Array.isArray(value)) {
    if (value.length > 1) yield [`${path}[-1]`, value.slice(0, -1)];
    const first = value[0] as unknown;
    if (value.length > 0)
      for (const [where, changed] of withOneChange(part.element as z.ZodType, first, `${path}[0]`))
        yield [where, [changed, ...value.slice(1)]];
  } else if (part instanceof z.ZodEnum) {
    const other = part.options.find((option) => option !== value);
    if (other !== undefined) yield [path, other];
  } else if (part instanceof z.ZodBoolean) yield [path, value !== true];
  else if (part instanceof z.ZodNumber) {
    const low = part.minValue ?? 0;
    const high = part.maxValue ?? 1;
    const was = typeof value === "number" ? value : low;
    const whole = part.format === "safeint";
    const step = whole ? 1 : Math.min(high - low, Math.max(Math.abs(was), 1)) * 0.3;
    yield [path, was + step <= high ? was + step : was - step];
  } else if (part instanceof z.ZodString) {
    if (/Date$|finishBy$/.test(path)) yield [path, "2027-06-09"];
    else if (/MonthDay$/.test(path)) yield [path, "03-15"];
    else if (/schools\.time$/.test(path)) yield [path, "munter"];
    else if (/schools\.effort$/.test(path)) yield [path, "lcda"];
    else if (/schools\.resting$/.test(path)) yield [path, "oxford-2005"];
    else if (/schools\.water$/.test(path)) yield [path, "heat-balance"];
    else if (/schools\.bodyMass$/.test(path)) yield [path, "rule-7700"];
    else if (/StopId$/.test(path)) yield [path, value === "b" ? "a" : "b"];
    else if (/pieceId$/.test(path)) yield [path, "bank"];
    else if (/(owner|carrier)Id$/.test(path)) yield [path, "b"];
    else if (!/format|trackIds/.test(path)) yield [path, `${String(value)}x`];
  }
}

/** Something of everything, so that every field bears on a figure. */
const rich = planOf({
  trip: { name: "Rich", startDate: "2027-05-01", finishBy: "2027-05-03" },
  hikers: [
    hikerOf({
      pace: {
        ramp: [
          { tripDay: 0, hoursH: 3 },
          { tripDay: 9, hoursH: 4 },
        ],
      },
    }),
    hikerOf({ id: "b", name: "B", sex: "female", pace: { speedFactor: 0.7 }, schools: { time: "own-pace" } }),
  ],
  stops: [
    stopOf("a", 25_000, { services: ["socket", "bed"], offTrailM: 900, closesH: 17 }),
    stopOf("b", 44_000, { nights: 2, use: true }),
  ],
  sources: [
    sourceOf("w", 10_000, { chanceByMonth: Array(12).fill(0.8) }),
    sourceOf("v", 35_000, { offTrailM: 400, reliable: false }),
  ],
  camps: [{ id: "c", name: "Camp", trackM: 14_000, hollow: true }],
  stretches: [
    {
      id: "s",
      name: "Snow",
      kind: "snow",
      surface: "soft-snow",
      fromM: 4000,
      toM: 9000,
      fromMonthDay: "10-01",
      toMonthDay: "06-30",
    },
    { id: "r", name: "Rule", kind: "rule", rule: "no-camping", fromM: 30_000, toM: 32_000 },
  ],
  route: {
    alternates: [{ id: "alt", name: "Beside", trackId: "beside", leavesM: 16_000, rejoinsM: 24_000, chosen: true }],
    closures: [{ id: "shut", name: "Shut", fromM: 50_000, toM: 52_000, rideH: 3 }],
    sections: [
      { id: "one", name: "One", fromM: 0, toM: 40_000 },
      { id: "two", name: "Two", fromM: 60_000, toM: 40_000, transferH: 5 },
    ],
  },
  climate: { stations: [stationOf(-4, 31), stationOf(2, 22, { id: "t", trackM: 50_000, heightM: 900 })] },
  kit: [
    pieceOf("pack", 1200, { role: "pack" }),
    pieceOf("bag", 800, { role: "bag", comfortC: -2, limitC: -8, volumeL: 7 }),
    pieceOf("pad", 400, { role: "pad", padR: 3, shared: true }),
    pieceOf("bottle", 40, { role: "bottle", capacityL: 1, quantity: 2 }),
    pieceOf("bank", 300, { spans: [{ fromStopId: "@start", toStopId: "a", ends: "sent-home" }] }),
  ],
  devices: [
    { id: "phone", name: "Phone", ownerId: "a", kind: "rechargeable", mAh: 4000, whPerDay: 7 },
    { id: "pb", name: "Bank", ownerId: "a", kind: "bank", mAh: 9000, watts: 15, pieceId: "bank" },
    { id: "lamp", name: "Lamp", ownerId: "b", kind: "spare-cells", daysPerSet: 2, spareSets: 0 },
  ],
});
const hilly = [
  trackNorth({ lengthM: 60_000, spacingM: 200, heightM: (m) => 700 + 300 * Math.sin(m / 2500) }),
  trackBeside(16_000, 24_000, { heightM: () => 900 }),
];

/** Node's own comparison is a hundred times faster on the cells; the slow one is for the message. */
function same(got: PlanResult, want: PlanResult, what: string): void {
  if (!isDeepStrictEqual(got, want)) expect(got, what).toEqual(want);
}

describe("a session remembers, and forgets nothing", () => {
  test("whatever one field of the schema becomes, the session says what a fresh computation says", () => {
    const session = new Session();
    session.setTracks(hilly);
    const before = session.compute(rich);
    const seen = new Set<string>();
    const moved = new Set<string>();
    for (const [path, changed] of withOneChange(planSchema, rich, "plan")) {
      const parsed = planSchema.safeParse(changed);
      if (!parsed.success) continue;
      seen.add(path);
      const remembered = session.compute(parsed.data);
      const fresh = computePlan(parsed.data, hilly);
      same(remembered, fresh, path);
      if (JSON.stringify(remembered.legs) !== JSON.stringify(before.legs)) moved.add(path);
      session.compute(rich);
    }
    // Fields of every part were changed, and those that were once forgotten do bear on the legs.
    expect(seen.size).toBeGreaterThan(160);
    for (const path of [
      "plan.trip.direction",
      "plan.hikers[0].sex",
      "plan.hikers[0].pace.breakFraction",
      "plan.stops[0].offTrailM",
      "plan.dayRules.loadSlowness",
      "plan.kit[0].massG",
      "plan.climate.stations[0].heightM",
    ])
      expect(moved, path).toContain(path);
  });

  test("the same on random plans, one random field at a time", () => {
    fc.assert(
      fc.property(arbitraryPlan, fc.nat(), ({ plan, tracks }, pick) => {
        const changes = [...withOneChange(planSchema, plan, "plan")];
        const [path, changed] = changes[pick % changes.length]!;
        const parsed = planSchema.safeParse(changed);
        if (!parsed.success) return;
        const session = new Session();
        session.setTracks(tracks);
        session.compute(plan);
        same(session.compute(parsed.data), computePlan(parsed.data, tracks), path);
      }),
      { numRuns: 60, endOnFailure: true },
    );
  });

  const after = (change: (plan: Plan) => void): { before: PlanResult; now: PlanResult } => {
    const session = new Session();
    session.setTracks(hilly);
    const before = session.compute(rich);
    const copy = structuredClone(rich);
    change(copy);
    return { before, now: session.compute(copy) };
  };

  test("a plan that is equal, though another object, is not worked out again", () => {
    const { before, now } = after(() => {});
    for (const [i, leg] of now.legs.entries()) expect(leg).toBe(before.legs[i]);
  });

  test.each<[string, (plan: Plan) => void]>([
    ["a hiker", (plan) => (plan.hikers[0]!.name = "Zed")],
    ["a stop", (plan) => (plan.stops[0]!.name = "Zed")],
    ["a source", (plan) => (plan.sources[0]!.name = "Zed")],
    ["a piece", (plan) => (plan.kit[0]!.name = "Zed")],
    ["a station", (plan) => (plan.climate.stations[0]!.name = "Zed")],
    ["a camp", (plan) => (plan.camps[0]!.name = "Zed")],
  ])("renaming %s works nothing out again", (_, rename) => {
    const { before, now } = after(rename);
    for (const [i, leg] of now.legs.entries()) expect(leg).toBe(before.legs[i]);
  });

  test("the comfort of a pack and the rating of a bag are judged anew without walking anew", () => {
    const { before, now } = after((plan) => {
      plan.hikers[0]!.packComfortKg = 3;
      plan.kit[1]!.comfortC = 9;
    });
    expect(now.legs[0]!.hikers[0]!.carries[0]).toBe(before.legs[0]!.hikers[0]!.carries[0]);
    expect(now.checks.some((check) => check.code === "load-over-comfort")).toBe(true);
    expect(now.legs[0]!.hikers[0]!.warmth!.marginK).toBeLessThan(before.legs[0]!.hikers[0]!.warmth!.marginK);
  });

  test("a piece on the last leg leaves the legs before it alone", () => {
    const { before, now } = after((plan) => {
      const spans = [{ fromStopId: "b", toStopId: "@finish", begins: "posted" }];
      plan.kit.push(...planOf({ kit: [pieceOf("axe", 350, { spans })] }).kit);
    });
    const last = before.legs.length - 1;
    for (let leg = 0; leg < last; leg++)
      expect(now.legs[leg]!.hikers[0]!.carries[0]).toBe(before.legs[leg]!.hikers[0]!.carries[0]);
    expect(now.legs[last]!.hikers[0]!.startKg).toBeGreaterThan(before.legs[last]!.hikers[0]!.startKg + 0.3);
  });

  test("a profile that is known spares the track, and gives the same", () => {
    const { profile } = computePlan(rich, hilly);
    const session = new Session();
    session.setProfile(structuredClone(profile), rich.route);
    const reverse: Plan = { ...rich, trip: { ...rich.trip, direction: "reverse" } };
    const whole: Plan = {
      ...rich,
      route: { alternates: [], closures: [], sections: [], coarse: false, heightless: [] },
    };
    expect([rich, reverse, whole].map((plan) => session.hasTrail(plan))).toEqual([true, false, false]);
    expect(session.compute(rich)).toEqual(computePlan(rich, hilly));
    for (const other of [reverse, whole]) expect(() => session.compute(other)).toThrow(/setTracks/);
  });
});

describe("the memory itself", () => {
  test("asks the stage again only for other arguments; lists count by what is in them", () => {
    let calls = 0;
    const add = memo(({ a, list }: { a: number; list: readonly object[] }) => {
      calls++;
      return a + list.length;
    });
    const one = {};
    expect([add({ a: 1, list: [one] }), add({ a: 1, list: [one] })]).toEqual([2, 2]);
    expect(calls).toBe(1);
    add({ a: 2, list: [one] });
    add({ a: 2, list: [{}] });
    expect(calls).toBe(3);
  });

  test("an equal answer stays the old object", () => {
    const half = memoEqual(({ n }: { n: number }) => ({ half: Math.floor(n / 2), list: [{ n: 1 }] }));
    const four = half({ n: 4 });
    expect(half({ n: 5 })).toBe(four);
    const six = half({ n: 6 });
    expect(six).not.toBe(four);
    expect(six.list).toBe(four.list);
  });

  test("what is kept equals what was given, and is the old object just where both are equal", () => {
    const value = fc.letrec((tie) => ({
      any: fc.oneof(
        { maxDepth: 3 },
        fc.constantFrom(0, -0, 1, NaN, "x", true, null, undefined),
        fc.array(tie("any"), { maxLength: 3 }),
        fc.dictionary(fc.constantFrom("a", "b", "c"), tie("any"), { maxKeys: 3, noNullPrototype: true }),
      ),
    })).any;
    fc.assert(
      fc.property(value, value, (before, next) => {
        expect(keepEqual(before, next)).toStrictEqual(next);
        expect(keepEqual(before, structuredClone(before))).toBe(before);
      }),
      { numRuns: 2000 },
    );
  });
});
