import { describe, expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, type Plan } from "../index.ts";
import { demandsOf } from "./demands.ts";
import { swapRounds } from "./swapRounds.ts";
import { searchSwaps, withSwaps } from "./swaps.ts";
import { swapsByStop, whereabouts } from "./whereabouts.ts";

/** 240 km in four legs, snow on the third. */
const track = [trackNorth({ lengthM: 240_000 })];
const town = (id: string, km: number, more: Record<string, unknown> = {}) =>
  stopOf(id, km * 1000, { services: ["shop-full", "post", "bed"], nights: 1, ...more });
const stops = [town("a", 60), town("b", 120), town("c", 180)];
const sources = Array.from({ length: 30 }, (_, i) => sourceOf(`w${i}`, 4000 + i * 8000));
const snow = { id: "s", name: "s", fromM: 125_000, toM: 170_000, kind: "snow", surface: "firm-snow" };
const whole = [{ fromStopId: "@start", toStopId: "@finish" }];
const planWith = (kit: Record<string, unknown>[], overrides: Record<string, unknown> = {}): Plan =>
  planOf({
    stops,
    sources,
    stretches: [snow],
    kit,
    climate: { stations: [stationOf(6, 18)] },
    kitRules: { homeDays: 2, sendDays: 2 },
    ...overrides,
  });
const search = (plan: Plan) => {
  const result = computePlan(plan, track);
  return { result, ...searchSwaps(plan, result, demandsOf(plan, result)) };
};
const legsOf = (then: readonly boolean[]): string => then.map(Number).join("");

describe("spans found by search", () => {
  test("spikes come where snow begins and go home where it ends, with the reason", () => {
    const plan = planWith([pieceOf("Micro spikes", 400), pieceOf("pack", 900)]);
    const { changes, unmet, proven, nowKgKm, thenKgKm } = search(plan);
    expect(changes).toHaveLength(1);
    expect(legsOf(changes[0]!.then)).toBe("0010");
    expect(changes[0]!.spans).toEqual([{ fromStopId: "b", toStopId: "c", begins: "posted", ends: "sent-home" }]);
    expect(changes[0]!.reasons).toMatchObject([
      { fromLeg: 2, toLeg: 2, needed: [{ kind: "traction", legIndex: 2 }], bridged: [] },
    ]);
    // 0.4 kg over 240 km, or over 60 and two parcels of 4 and 6 a kilogram.
    expect(nowKgKm).toBeCloseTo(0.4 * 240, 0);
    expect(thenKgKm).toBeCloseTo(0.4 * 60 + 2 * (4 + 0.4 * 6), 0);
    expect(proven).toBe(true);
    // Nobody has an axe, and nothing that may move would be one.
    expect(unmet).toEqual([]);
  });

  test("where a stop has no post, or its counter is shut, nothing changes there", () => {
    const kit = [pieceOf("Micro spikes", 400)];
    const noPost = [town("a", 60), stopOf("b", 120_000, { services: ["shop-full", "bed"], nights: 1 }), town("c", 180)];
    const bridged = search(planWith(kit, { stops: noPost })).changes[0]!;
    expect(legsOf(bridged.then)).toBe("0110");
    expect(bridged.reasons[0]!.bridged).toEqual([1]);
    const shut = [town("a", 60), town("b", 120, { postFrom: "09-01", postTo: "10-01" }), town("c", 180)];
    expect(legsOf(search(planWith(kit, { stops: shut })).changes[0]!.then)).toBe("0110");
  });

  test("where somebody comes who brings food, pieces come and go with them, and can do so again", () => {
    const kit = [pieceOf("Micro spikes", 400)];
    const visit = stopOf("b", 120_000, { services: ["bed"], nights: 1, foodBy: "visitor" });
    const plan = planWith(kit, { stops: [town("a", 60), visit, town("c", 180)] });
    const { changes } = search(plan);
    expect(changes[0]!.spans).toEqual([{ fromStopId: "b", toStopId: "c", begins: "handed-over", ends: "sent-home" }]);
    expect(search(withSwaps(plan, changes)).changes).toEqual([]);
    const bare = { ...withSwaps(plan, changes), stretches: [] };
    expect(search(bare).changes[0]!.spans).toEqual([]);
  });

  test("what waits for a decision stays where it is", () => {
    const kit = [pieceOf("spikes", 400, { name: "Micro spikes" })];
    const decisions = [{ id: "h", name: "if there is ice", pieceIds: ["spikes"] }];
    expect(search(planWith(kit)).changes).toHaveLength(1);
    expect(search(planWith(kit, { decisions })).changes).toEqual([]);
    const decided = [{ ...decisions[0]!, decided: { on: "2027-05-01", taken: true } }];
    expect(search(planWith(kit, { decisions: decided })).changes).toHaveLength(1);
  });

  test("dear post is worse than carrying", () => {
    const { changes } = search(planWith([pieceOf("Micro spikes", 400)], { kitRules: { movePrice: 500 } }));
    expect(changes).toEqual([]);
  });

  test("of two bags each is carried where its nights are, and what lies at home is taken in", () => {
    // Cold in the north alone: the warm bag is for the end.
    const stations = [stationOf(8, 20), stationOf(-6, 6, { id: "n", name: "n", trackM: 240_000 })];
    const kit = [
      pieceOf("winter", 1300, { role: "bag", comfortC: -14, limitC: -20 }),
      pieceOf("summer", 600, { role: "bag", comfortC: 3, limitC: -2, spans: [] }),
    ];
    const plan = planWith(kit, { climate: { stations }, stretches: [] });
    const { changes, unmet, result } = search(plan);
    const [winter, summer] = ["winter", "summer"].map((id) => changes.find(({ pieceId }) => pieceId === id)!);
    expect(legsOf(winter!.then)).toMatch(/^0+1+$/);
    expect(legsOf(summer!.then)).toMatch(/^1+0+$/);
    expect(winter!.then.every((on, leg) => on !== summer!.then[leg])).toBe(true);
    expect(unmet).toEqual([]);
    // No night is colder than what is there for it, by the plan itself.
    const then = computePlan(withSwaps(plan, changes), track);
    for (const leg of then.legs) expect(leg.hikers[0]!.warmth!.marginK).toBeGreaterThan(-0.06);
    const kgKm = (legs: typeof result.legs) =>
      legs.reduce((sum, leg) => sum + leg.hikers[0]!.meanKg * leg.distanceM, 0);
    expect(kgKm(then.legs)).toBeLessThan(kgKm(result.legs));
  });

  test("a night that no choice meets is named, and the warmest there is is carried", () => {
    const kit = [pieceOf("thin", 500, { role: "bag", comfortC: 12 }), pieceOf("liner", 300, { warmthK: 3, spans: [] })];
    const { unmet, changes } = search(planWith(kit, { stretches: [] }));
    expect(unmet[0]).toMatchObject({ kind: "night", legIndex: 0, who: 0 });
    expect(legsOf(changes.find(({ pieceId }) => pieceId === "liner")!.then)).toBe("1111");
  });

  test("what is asked for by hand is met by anything of its kind", () => {
    const kit = [
      pieceOf("thin", 400, { role: "bag", comfortC: 15, spans: [] }),
      pieceOf("Snowshoes", 1500, { spans: [] }),
    ];
    const demands = [
      { kind: "snowshoes", fromStopId: "b", wanted: true },
      { kind: "night", fromStopId: "b", wanted: true },
    ];
    const plan = planWith(kit, { kitRules: { demands, movePrice: 0, movePricePerKg: 0 }, stretches: [] });
    const { changes } = search(plan);
    expect(legsOf(changes.find(({ pieceId }) => pieceId === "Snowshoes")!.then)).toBe("0010");
  });

  test("shell, light, shoes, what is worn and what one's own word holds stay", () => {
    const kit = [
      pieceOf("Rain jacket", 200),
      pieceOf("Head lamp", 60),
      pieceOf("Sun hat", 60, { wear: "worn" }),
      pieceOf("Micro spikes", 400, { movable: false }),
      pieceOf("Ice axe", 400, { spans: [{ ...whole[0], ends: "discarded" }] }),
    ];
    expect(search(planWith(kit)).changes).toEqual([]);
    const found = search(planWith([pieceOf("Ice axe", 400, { movable: true })]));
    expect(legsOf(found.changes[0]!.then)).toBe("0010");
  });

  test("a partner's pieces are solved for the partner, what is shared for both", () => {
    const hikers = [hikerOf(), hikerOf({ id: "b", name: "B" })];
    const kit = [pieceOf("Micro spikes", 300), pieceOf("Head net", 20, { ownerId: "b", carrierId: "b" })];
    const { changes } = search(planWith(kit, { hikers }));
    expect(changes.map(({ pieceId, then }) => [pieceId, legsOf(then)])).toEqual([
      ["Micro spikes", "0010"],
      ["Head net", "0000"],
    ]);
  });
});

test("a looser demand never makes the best spans heavier, nor a dearer post", () => {
  const kit = [
    pieceOf("winter", 1300, { role: "bag", comfortC: -9 }),
    pieceOf("summer", 600, { role: "bag", comfortC: 4 }),
    pieceOf("liner", 250, { warmthK: 3 }),
    pieceOf("Down jacket", 350, { role: "layer", warmthK: 4 }),
    pieceOf("Micro spikes", 400),
  ];
  const plan = planWith(kit, {
    climate: { stations: [stationOf(4, 15), stationOf(-2, 8, { id: "n", name: "n", trackM: 150_000 })] },
  });
  const result = computePlan(plan, track);
  const demands = demandsOf(plan, result);
  const whole = searchSwaps(plan, result, demands);
  for (const [i, demand] of demands.entries()) {
    const looser =
      demand.kind === "night"
        ? demands.map((one, k) => (k === i ? { ...one, amount: one.amount + 3 } : one))
        : demands.filter((_, k) => k !== i);
    expect(searchSwaps(plan, result, looser).thenKgKm).toBeLessThanOrEqual(whole.thenKgKm + 1e-6);
  }
  const dear = { ...plan, kitRules: { ...plan.kitRules, movePrice: 40 } };
  expect(searchSwaps(dear, result, demands).thenKgKm).toBeGreaterThanOrEqual(whole.thenKgKm - 1e-6);
});

test("rounds come to rest, and what they promise is what the plan says", () => {
  const plan = planWith([pieceOf("Micro spikes", 900), pieceOf("pack", 900)]);
  const compute = (other: Plan) => computePlan(other, track);
  const rounds = [...swapRounds(plan, compute(plan), compute)];
  const last = rounds.at(-1)!;
  expect(last.settled).toBe(true);
  expect(last.then.kgKm).toBeLessThan(last.now.kgKm);
  const taken = compute(withSwaps(plan, last.swaps.changes));
  const kgKm = taken.legs.reduce((sum, leg) => sum + (leg.hikers[0]!.meanKg * leg.distanceM) / 1000, 0);
  expect(last.then.kgKm).toBeCloseTo(kgKm, 9);
  expect(last.then.finishDate).toBe(taken.finishDate);
});

test("every piece is in exactly one place on every leg, and each stop says what changes there", () => {
  const hikers = [hikerOf(), hikerOf({ id: "b", name: "B" })];
  const kit = [
    pieceOf("axe", 400, { spans: [{ fromStopId: "b", toStopId: "c", begins: "posted", ends: "sent-home" }] }),
    pieceOf("tent", 900, { carrierId: "b" }),
    pieceOf("spray", 300, { spans: [{ fromStopId: "a", toStopId: "b", begins: "bought", ends: "discarded" }] }),
    pieceOf("jacket", 300, {
      spans: [
        { fromStopId: "@start", toStopId: "a", begins: "from-home", ends: "sent-forward" },
        { fromStopId: "c", toStopId: "@finish", begins: "posted", ends: "kept" },
      ],
    }),
    pieceOf("book", 200, { spans: [{ fromStopId: "@start", toStopId: "a", ends: "handed-over" }] }),
  ];
  const plan = planWith(kit, { hikers });
  const result = computePlan(plan, track);
  const at = (leg: number) => whereabouts(plan, result, leg);
  expect(at(0).map(({ place }) => place)).toEqual(["home", "pack", "not-bought", "pack", "pack"]);
  expect(at(1)).toMatchObject([
    { place: "home" },
    { place: "pack", hikerId: "b" },
    { place: "pack", hikerId: "a" },
    { place: "waits", stopId: "c" },
    { place: "handed-over", stopId: "a" },
  ]);
  expect(at(3).map(({ place }) => place)).toEqual(["home", "pack", "thrown-away", "pack", "handed-over"]);
  expect(swapsByStop(plan, result)).toEqual([
    { legIndex: 1, stopId: "a", comes: ["spray"], goes: ["jacket", "book"], changeG: -200 },
    { legIndex: 2, stopId: "b", comes: ["axe"], goes: ["spray"], changeG: 100 },
    { legIndex: 3, stopId: "c", comes: ["jacket"], goes: ["axe"], changeG: -100 },
  ]);
});
