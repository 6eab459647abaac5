import { describe, expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { ORDINARY } from "../../test/ground.ts";
import { computePlan, turnRound, type Plan } from "../index.ts";
import { repairTracks } from "../track/repair.ts";
import { buildProfile } from "../track/profile.ts";
import { buildHalts } from "../walk/halts.ts";
import { padNeed, nightWarmth } from "../warmth/night.ts";
import { sleepKits, type SleepKit } from "../warmth/sleep.ts";
import { buildKit, pieceFacts, type KitPlan } from "./kit.ts";

const STOPS = [
  stopOf("one", 25_000),
  stopOf("two", 50_000),
  stopOf("three", 75_000),
  stopOf("passed", 60_000, { use: false }),
];

/** The kit on every leg, and by leg and hiker what is slept in. */
function kitOf(kit: unknown[], overrides: Record<string, unknown> = {}): KitPlan & { sleep: SleepKit[][] } {
  const { stops, hikers, trip, kit: rows } = planOf({ stops: STOPS, kit, ...overrides });
  const profile = buildProfile(repairTracks([trackNorth()]), trip.direction === "reverse");
  const halts = buildHalts({ stops, profile, ...ORDINARY });
  const pieces = rows.map(pieceFacts);
  const built = buildKit({ pieces, hikerIds: hikers.map((hiker) => hiker.id), stops, profile, halts });
  const sleep = sleepKits({ pieces, carrier: built.carrier, legCount: built.legs.length, hikers });
  return { ...built, sleep };
}
const span = (fromStopId: string, toStopId: string, rest: Record<string, unknown> = {}) => ({
  fromStopId,
  toStopId,
  begins: fromStopId === "@start" ? "from-home" : "posted",
  ends: toStopId === "@finish" ? "kept" : "sent-home",
  ...rest,
});
const base = (kit: KitPlan): number[] => kit.legs.map((leg) => Math.round(leg[0]!.baseKg * 1000));

describe("spans", () => {
  test("a piece counts on the legs of its span, times its quantity", () => {
    expect(
      base(kitOf([pieceOf("axe", 300, { spans: [span("one", "three")] }), pieceOf("stakes", 10, { quantity: 8 })])),
    ).toEqual([80, 380, 380, 80]);
  });

  test("worn and consumables are apart from the base", () => {
    const { legs } = kitOf([
      pieceOf("shirt", 200, { wear: "worn" }),
      pieceOf("cream", 60, { wear: "consumable" }),
      pieceOf("tent", 900),
    ]);
    expect(legs[0]![0]).toMatchObject({ baseKg: 0.9, wornKg: 0.2, consumableKg: 0.06 });
  });

  test("walked the other way, a span holds the same ground", () => {
    const kit = [pieceOf("axe", 300, { spans: [span("one", "two")] })];
    expect(base(kitOf(kit, { trip: { name: "x", startDate: "2027-05-01", direction: "reverse" } }))).toEqual([
      0, 0, 300, 0,
    ]);
  });

  test("the carrier has the mass, the owner the use", () => {
    const hikers = [hikerOf(), hikerOf({ id: "b", name: "B" })];
    const { legs, sleep } = kitOf(
      [
        pieceOf("bag", 800, { role: "bag", comfortC: -5, carrierId: "b" }),
        pieceOf("pad", 400, { role: "pad", padR: 3, shared: true }),
      ],
      { hikers },
    );
    expect(legs[0]!.map((row) => row.baseKg)).toEqual([0.4, 0.8]);
    expect(sleep[0]).toMatchObject([
      { bagC: -5, padR: 3 },
      { bagC: undefined, padR: 3 },
    ]);
  });

  test("a span may change the carrier", () => {
    const hikers = [hikerOf(), hikerOf({ id: "b", name: "B" })];
    const { legs, faults } = kitOf(
      [
        pieceOf("bank", 200, {
          spans: [
            span("@start", "two", { ends: "handed-over" }),
            span("two", "@finish", { begins: "handed-over", carrierId: "b" }),
          ],
        }),
      ],
      { hikers },
    );
    expect(legs.map((leg) => leg.map((row) => row.baseKg))).toEqual([
      [0.2, 0],
      [0.2, 0],
      [0, 0.2],
      [0, 0.2],
    ]);
    expect(faults).toEqual([]);
  });
});

describe("walked the other way round", () => {
  const tracks = [trackNorth({ lengthM: 100_000 })];
  const carried = (plan: Plan): boolean[] => {
    const { legs, carrier, profile } = computePlan(plan, tracks);
    return [10, 50, 90].map((groundKm) => {
      const m = profile.reversed ? 100_000 - groundKm * 1000 : groundKm * 1000;
      return carrier[legs.findIndex(({ fromM, toM }) => fromM <= m && m <= toM)]! >= 0;
    });
  };
  const plan = planOf({
    stops: [stopOf("a", 30_000), stopOf("b", 70_000)],
    kit: [pieceOf("x", 1000, { spans: [{ fromStopId: "@start", toStopId: "a", ends: "sent-home" }] })],
  });

  test("a piece stays with the ground, whether the plan was turned or only its direction", () => {
    expect(carried(plan)).toEqual([true, false, false]);
    const turned = structuredClone(plan);
    turnRound(turned);
    expect(turned.trip.direction).toBe("reverse");
    expect(carried(turned)).toEqual([true, false, false]);
    expect(turned.kit[0]!.spans).toMatchObject([
      { fromStopId: "a", toStopId: "@start", begins: "posted", ends: "kept" },
    ]);
    const flipped = { ...plan, trip: { ...plan.trip, direction: "reverse" as const } };
    expect(carried(flipped)).toEqual([true, false, false]);
    // Nobody is without it who was not before: it comes by post where it went home.
    expect(computePlan(flipped, tracks).kitFaults).toEqual(computePlan(turned, tracks).kitFaults);
    expect(computePlan(flipped, tracks).kitFaults).toEqual([]);
  });

  test("turned twice it is what it was", () => {
    const twice = structuredClone(plan);
    turnRound(twice);
    turnRound(twice);
    expect(twice).toEqual(plan);
  });
});

describe("every piece in exactly one place", () => {
  const faultsOf = (...spans: unknown[]): string[] =>
    kitOf([pieceOf("x", 100, { spans })]).faults.map((fault) => fault.kind);

  test("posted there and sent home after is in order", () => {
    expect(faultsOf(span("one", "two"))).toEqual([]);
    expect(faultsOf(span("@start", "one"), span("two", "@finish"))).toEqual([]);
  });

  test("two spans over one leg put it in two places", () => {
    expect(faultsOf(span("@start", "two"), span("one", "@finish"))).toEqual(["piece-twice"]);
  });

  test.each([
    ["begins on the way without having been posted", span("one", "@finish", { begins: "from-home" })],
    ["ends on the way and is kept", span("@start", "two", { ends: "kept" })],
  ])("%s: a gap", (_, only) => expect(faultsOf(only)).toEqual(["piece-gap"]));

  test("thrown away, it cannot come back by post, but can be bought again", () => {
    const thrown = span("@start", "one", { ends: "discarded" });
    expect(faultsOf(thrown, span("two", "@finish"))).toEqual(["piece-gap"]);
    expect(faultsOf(thrown, span("two", "@finish", { begins: "bought" }))).toEqual([]);
  });

  test("a stop that is gone, and one that the plan passes by, are told apart", () => {
    expect(faultsOf(span("nowhere", "@finish"))).toContain("stop-gone");
    expect(faultsOf(span("passed", "@finish"))).toEqual(["stop-unused"]);
  });

  test.each([
    ["two places at once", [span("@start", "three"), span("two", "@finish")], "piece-twice", 2],
    ["a gap at its beginning", [span("two", "@finish", { begins: "from-home" })], "piece-gap", 2],
    ["a gap at its end", [span("@start", "two", { ends: "kept" })], "piece-gap", 2],
    ["a gap between", [span("@start", "one", { ends: "kept" }), span("three", "@finish")], "piece-gap", 1],
    ["a stop that is passed by", [span("passed", "@finish")], "stop-unused", 3],
    ["a start that is gone", [span("nowhere", "two")], "stop-gone", 0],
    ["an end that is gone", [span("two", "nowhere")], "stop-gone", 3],
  ])("%s: told on its leg", (_, spans, kind, legIndex) => {
    const { faults } = kitOf([pieceOf("x", 100, { spans })]);
    expect(faults.filter((fault) => fault.kind === kind)).toEqual([
      expect.objectContaining({ pieceId: "x", legIndex }),
    ]);
  });

  test("spans count in any order, and every gap is told", () => {
    const kept = { ends: "kept" };
    const spans = [
      span("three", "@finish"),
      span("@start", "one", kept),
      span("one", "two", { ...kept, begins: "bought" }),
    ];
    const { faults, carrier } = kitOf([pieceOf("x", 100, { spans })]);
    expect(faults).toMatchObject([{ kind: "piece-gap", legIndex: 2 }]);
    expect([...carrier]).toEqual([0, 0, -1, 0]);
  });

  test("near the ends of the trail a stop is the end: nothing is unused, and no gap begins there", () => {
    const stops = [stopOf("gate", 500, { use: false }), ...STOPS, stopOf("lot", 99_600, { use: false })];
    const spans = [span("gate", "lot", { begins: "from-home", ends: "kept" })];
    expect(kitOf([pieceOf("x", 100, { spans })], { stops }).faults).toEqual([]);
  });

  test("a piece without spans lies at home and is no fault", () => {
    const { faults, legs } = kitOf([pieceOf("x", 100, { spans: [] })]);
    expect(faults).toEqual([]);
    expect(legs[0]![0]!.baseKg).toBe(0);
  });

  test("a leg without shoes is found, when there are shoes elsewhere", () => {
    const { faults } = kitOf([
      pieceOf("p1", 600, { role: "shoes", spans: [span("@start", "one", { ends: "discarded" })] }),
      pieceOf("p2", 600, { role: "shoes", spans: [span("two", "@finish")] }),
    ]);
    expect(faults).toEqual([{ kind: "role-gap", role: "shoes", hikerId: "a", legIndex: 1 }]);
  });
});

describe("space", () => {
  test("bottles hold, canisters hold and take space, and what is worn, or is the pack, takes none", () => {
    const { legs } = kitOf([
      pieceOf("pack", 900, { role: "pack", volumeL: 60 }),
      pieceOf("tent", 900, { volumeL: 4, quantity: 2 }),
      pieceOf("coat", 500, { volumeL: 3, wear: "worn" }),
      pieceOf("cream", 50, { volumeL: 0.1, wear: "consumable" }),
      pieceOf("bottle", 40, { role: "bottle", capacityL: 1.5, volumeL: 1.6, quantity: 2 }),
      pieceOf("cup", 40, { capacityL: 0.4 }),
      pieceOf("drum", 900, { role: "hard-canister", capacityL: 10, volumeL: 12, quantity: 2 }),
    ]);
    expect(legs[0]![0]).toMatchObject({ bottleL: 3, canisterL: 20, canisterVolumeL: 24 });
    expect(legs[0]![0]!.volumeL).toBeCloseTo(8.1, 9);
  });

  test("a canister holds its owner's food, or everybody's, and takes its carrier's space", () => {
    const hikers = [hikerOf(), hikerOf({ id: "b", name: "B" })];
    const drum = (shared: boolean) =>
      kitOf([pieceOf("drum", 900, { role: "hard-canister", capacityL: 10, volumeL: 12, carrierId: "b", shared })], {
        hikers,
      }).legs[0]!.map(({ canisterL, canisterVolumeL }) => [canisterL, canisterVolumeL]);
    expect(drum(false)).toEqual([
      [10, 0],
      [0, 12],
    ]);
    expect(drum(true)).toEqual([
      [10, 0],
      [10, 12],
    ]);
  });

  test("a bottle or canister that does not say what it holds holds nothing", () => {
    const { legs } = kitOf([pieceOf("b", 40, { role: "bottle" }), pieceOf("d", 900, { role: "hard-canister" })]);
    expect(legs[0]![0]).toMatchObject({ bottleL: 0, canisterL: 0 });
  });
});

describe("warmth", () => {
  test("pads stack; what is worn in the bag adds at most 8 K", () => {
    const { sleep } = kitOf([
      pieceOf("p", 300, { role: "pad", padR: 3 }),
      pieceOf("q", 100, { role: "pad", padR: 2 }),
      pieceOf("l", 100, { warmthK: 4 }),
      pieceOf("m", 100, { warmthK: 3 }),
      pieceOf("n", 100, { warmthK: 3 }),
    ]);
    const kit = sleep[0]![0]!;
    expect(kit).toMatchObject({ padR: 5, extraK: 10 });
    expect(nightWarmth({ ...kit, bagC: -2 }, -4)).toMatchObject({ marginK: 6, extraK: 8 });
    expect(nightWarmth({ ...kit, bagC: -2, extraK: 5 }, -4)?.marginK).toBe(3);
    expect(nightWarmth(kit, -4)).toBeUndefined();
  });

  test("cold sleepers go by comfort, warm ones by limit, and the warmest bag counts", () => {
    const bags = [
      pieceOf("b", 700, { role: "bag", comfortC: 2, limitC: -4 }),
      pieceOf("c", 900, { role: "bag", comfortC: -3 }),
    ];
    expect(kitOf(bags).sleep[0]![0]!.bagC).toBe(-3);
    expect(kitOf(bags, { hikers: [hikerOf({ sleeper: "warm" })] }).sleep[0]![0]!.bagC).toBe(-4);
  });

  test.each([
    [5, false, 2.612],
    [0, true, 3.748],
    [-5, true, 4.315],
    [-10, false, 4.315],
    [-20, true, 6.019],
  ])("coldest night %i °C, on snow %s: R %f", (celsius, onSnow, r) =>
    expect(padNeed(celsius, onSnow).r).toBeCloseTo(r, 2),
  );
});
