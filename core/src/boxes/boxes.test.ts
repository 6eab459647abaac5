import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, removeRow, type Plan } from "../index.ts";
import { stopFigures } from "../stops/stays.ts";
import { isoOfDay } from "../units/day.ts";
import { postagePrice } from "../stops/post.ts";
import { boxesOf, boxKey, sendingDates } from "./boxes.ts";
import { whereabouts } from "../cover/whereabouts.ts";
import { shoeWear, usedUp } from "../cover/wear.ts";
import { leavingSheet } from "./leaving.ts";
import { refillsOf } from "./refills.ts";
import { luggageOf, travelsOf } from "./travels.ts";

const tracks = [trackNorth({ lengthM: 240_000 })];
const town = (id: string, km: number, more: Record<string, unknown> = {}) =>
  stopOf(id, km * 1000, { services: ["shop-full", "post", "bed"], nights: 1, ...more });
const span = (fromStopId: string, toStopId: string, begins = "posted", ends = "sent-home") => ({
  fromStopId, toStopId, begins, ends,
}); // prettier-ignore
const kit = [
  pieceOf("pack", 1000),
  pieceOf("quilt", 700, { spans: [span("a", "@finish", "posted", "kept")] }),
  pieceOf("liner", 300, { spans: [span("@start", "a", "from-home", "sent-forward"), span("c", "@finish")] }),
  pieceOf("Gas canister", 250, { spans: [span("a", "b")] }),
];
const planWith = (overrides: Record<string, unknown> = {}): Plan =>
  planOf({
    stops: [town("a", 60), town("b", 120, { services: ["post", "bed"] }), town("c", 180)],
    sources: Array.from({ length: 23 }, (_, i) => sourceOf(`w${i}`, 5000 + 10_000 * i)),
    climate: { stations: [stationOf(8, 18)] },
    kit,
    ...overrides,
  });
const boxes = (plan: Plan) => {
  const result = computePlan(plan, tracks);
  return {
    result,
    boxes: boxesOf(plan, result),
    of: (key: string) => boxesOf(plan, result).find((b) => b.key === key)!,
  };
};

describe("boxes of a plan", () => {
  test("by hand: kit from home, kit sent on from a stop, food where nothing is sold; each in a box of its own way", () => {
    const { result, of, boxes: all } = boxes(planWith());
    expect(all.map(({ key }) => key)).toEqual([boxKey("a"), boxKey("b"), boxKey("c", "a")]);
    expect(of(boxKey("a"))).toMatchObject({ foodG: 0, totalG: 700 + 250 + 250, legIndex: 1 });
    const food = result.legs[2]!.hikers[0]!.food.startKg;
    expect(of(boxKey("b")).totalG).toBeCloseTo(1000 * food + 250, 6);
    expect(of(boxKey("b")).litres).toBeCloseTo(food / result.legs[2]!.hikers[0]!.food.bulkKgPerL, 6);
    expect(of(boxKey("a")).litres).toBe(0);
    expect(of(boxKey("c", "a")).pieces.map(({ id }) => id)).toEqual(["liner"]);
    // Sent on while one is there, on its own day.
    expect(isoOfDay(of(boxKey("c", "a")).sentDay)).toBe(result.legs[0]!.endDate);
    expect(sendingDates(of(boxKey("c", "a")))).toEqual({ from: result.legs[0]!.endDate, by: result.legs[0]!.endDate });
  });

  test("a box that is opened and sent on, with what no pack has: from home first, then from stop to stop", () => {
    const charger = pieceOf("charger", 150, { spans: [] });
    const bounce = { pieceIds: ["charger", "quilt"], stopIds: ["c", "a"] };
    const rows = [{ id: "x", toStopId: "a", bounce: true, lines: [{ id: "l", name: "Letters", massG: 20 }] }];
    const plan = planWith({ kit: [...kit, charger], bounce, boxes: rows });
    const { result, boxes: all } = boxes(plan);
    const sentOn = all.filter((box) => box.bounce);
    expect(sentOn.map(({ key }) => key)).toEqual([boxKey("a", undefined, true), boxKey("c", "a", true)]);
    // The quilt is in a pack on some leg, and so is not in it.
    expect(sentOn.map(({ totalG }) => totalG)).toEqual([150 + 20 + 250, 150 + 250]);
    expect(isoOfDay(sentOn[1]!.sentDay)).toBe(result.legs[0]!.endDate);
    // All else is as without it.
    const without = boxes(planWith()).boxes;
    expect(all.filter((box) => !box.bounce)).toEqual(without);
    expect(result.legs[0]!.hikers[0]!.kit.baseKg).toBe(computePlan(planWith(), tracks).legs[0]!.hikers[0]!.kit.baseKg);
    // Where it is: waiting where it is opened next, and at home after the last.
    const at = (leg: number) => whereabouts(plan, result, leg).at(-1);
    expect([at(0), at(1), at(3)]).toEqual([
      { place: "waits", stopId: "a" },
      { place: "waits", stopId: "c" },
      { place: "home" },
    ]);
  });

  test("own lines, carton, postage by mass and the fee of the house; what is typed changes nothing else", () => {
    const postage = [
      { toKg: 5, price: 14 },
      { toKg: 1, price: 6 },
    ];
    const row = { id: "x", toStopId: "a", lines: [{ id: "l", name: "Maps", massG: 120 }], cartonG: 100 };
    const plan = planWith({
      resupply: { postage, parcelPrice: 40 },
      boxes: [row],
      stops: [town("a", 60, { postFee: 3 }), town("b", 120), town("c", 180)],
    });
    const box = boxes(plan).of(boxKey("a"));
    expect(box.totalG).toBe(700 + 250 + 120 + 100);
    expect(box.price).toBe(14 + 3);
    expect([0.9, 1, 1.01, 5, 5.1].map((kg) => postagePrice(plan.resupply, kg))).toEqual([6, 6, 14, 14, 40]);
  });

  test("a line that waits goes in where its decision is taken, and in any case when the decision is forgotten", () => {
    const lines = [
      { id: "l", name: "Maps", massG: 120 },
      { id: "m", name: "Second map", massG: 80, decisionId: "h" },
    ];
    const decisions = (more: Record<string, unknown>) => [{ id: "h", name: "the detour is open", ...more }];
    const plan = planWith({
      boxes: [{ id: "x", toStopId: "a", lines, cartonG: 0 }],
      decisions: decisions({ counted: false }),
    });
    const ownG = (one: Plan) => boxes(one).of(boxKey("a")).totalG - 700 - 250;
    expect(ownG(plan)).toBe(120);
    expect(ownG({ ...plan, decisions: planWith({ decisions: decisions({ counted: true }) }).decisions })).toBe(200);
    const decided = { on: "2027-05-01", taken: true };
    expect(
      ownG({ ...plan, decisions: planWith({ decisions: decisions({ counted: false, decided }) }).decisions }),
    ).toBe(200);
    const forgotten = structuredClone(plan);
    removeRow(forgotten, "decisions", "h");
    expect(forgotten.boxes[0]!.lines[1]).toEqual({ id: "m", name: "Second map", massG: 80 });
    expect(ownG(forgotten)).toBe(200);
  });

  test("what is wrong with one is named: empty, heavy, no counter, by no post, sent late, no day that is good", () => {
    const kinds = (plan: Plan, key: string) =>
      boxes(plan)
        .of(key)
        .faults.map(({ kind }) => kind);
    const empty = planWith({ kit: [], boxes: [{ id: "x", toStopId: "a" }] });
    expect(kinds(empty, boxKey("a"))).toEqual(["empty"]);
    expect(kinds(planWith(), boxKey("a"))).toEqual(["not-by-post"]);
    expect(kinds(planWith({ resupply: { mostParcelKg: 0.5 } }), boxKey("c", "a"))).toEqual(["too-heavy"]);
    const shut = planWith({ stops: [town("a", 60, { services: ["shop-full"] }), town("b", 120), town("c", 180)] });
    expect(kinds(shut, boxKey("a"))).toContain("no-post");
    const by = isoOfDay(boxes(planWith()).of(boxKey("b")).sending.byDay + 2);
    const late = planWith({ boxes: [{ id: "x", toStopId: "b", sentOn: by }] });
    expect(boxes(late).of(boxKey("b")).faults).toEqual([{ kind: "sent-late", days: 2 }]);
    const briefly = planWith({ stops: [town("a", 60, { postHoldDays: 1 }), town("b", 120), town("c", 180)] });
    expect(kinds(briefly, boxKey("a"))).toContain("unsure");
    const far = planWith({ stops: [town("a", 60), town("b", 120), town("c", 180, { postLeastDays: 30 })] });
    expect(kinds(far, boxKey("c", "a"))).toEqual(["unsure"]);
  });

  test("laws on any plan: a span that begins in the post is in one box, and posted food in one", () => {
    fc.assert(
      fc.property(arbitraryPlan, ({ plan, tracks: drawn }) => {
        const result = computePlan(plan, drawn);
        const all = boxesOf(plan, result);
        expect(new Set(all.map(({ key }) => key)).size).toBe(all.length);
        const reached = new Set(all.map(({ toStopId }) => toStopId));
        for (const piece of plan.kit)
          for (const id of reached) {
            const spans = piece.spans.filter(({ begins, fromStopId }) => begins === "posted" && fromStopId === id);
            const inBoxes = all.filter((box) => box.toStopId === id).flatMap(({ pieces }) => pieces);
            const waits = plan.decisions.some(({ pieceIds, otherwiseIds }) =>
              [...pieceIds, ...otherwiseIds].includes(piece.id),
            );
            if (!waits) expect(inBoxes.filter((one) => one.id === piece.id)).toHaveLength(spans.length);
          }
        // Food comes in one box to each stop that has it posted, and in none elsewhere.
        for (const { stop, box } of stopFigures(plan, result))
          expect(all.filter(({ toStopId, foodG }) => toStopId === stop.id && foodG > 0).length).toBe(
            box && result.legs.find(({ fromStopId }) => fromStopId === stop.id)!.hikers.some((h) => h.food.startKg > 0)
              ? 1
              : 0,
          );
        for (const box of all) {
          expect(box.earliestDay).toBeLessThanOrEqual(box.latestDay);
          if (box.fromStopId === undefined) expect(box.sending.byDay).toBeLessThan(box.earliestDay);
          expect(box.chance).toBeGreaterThanOrEqual(0);
          expect(box.chance).toBeLessThanOrEqual(1);
        }
      }),
      { numRuns: runs(300) },
    );
  });
});

test("what flies and what does not: by its name, and its owner's word goes first", () => {
  expect(travelsOf({ name: "Power bank, 10 000 mAh" })).toBe("cabin");
  expect(travelsOf({ name: "Trekking poles" })).toBe("hold");
  expect(travelsOf({ name: "Animal spray" })).toBe("neither");
  expect(travelsOf({ name: "Fleece" })).toBe("any");
  expect(travelsOf({ name: "Lighter", travels: "any" })).toBe("any");
  const pieces = planOf({
    kit: [pieceOf("Phone", 190), pieceOf("Ice axe", 300), pieceOf("Matches", 10), pieceOf("Hat", 50)],
  }).kit;
  const { cabin, hold, neither } = luggageOf(pieces);
  expect([cabin, hold, neither].map((list) => list.map(({ id }) => id))).toEqual([["Phone"], ["Ice axe"], ["Matches"]]);
});

test("a leaving sheet: what comes and goes for this hiker, the box, food, fuel, the next fill-ups, what holds ahead", () => {
  const stretches = [
    { id: "r", name: "Canister country", kind: "rule", rule: "hard-canister", fromM: 70_000, toM: 110_000 },
    { id: "z", name: "Far off", kind: "rule", rule: "permit", fromM: 200_000, toM: 210_000 },
    { id: "s", name: "Road", kind: "surface", surface: "road", fromM: 65_000, toM: 70_000 },
  ];
  const hikers = [hikerOf(), hikerOf({ id: "b", name: "B" })];
  const plan = planWith({ stretches, hikers });
  const result = computePlan(plan, tracks);
  const sheet = leavingSheet(plan, result, 1, 0);
  expect(sheet.comes.map(({ name, how }) => [name, how])).toEqual([
    ["quilt", "posted"],
    ["Gas canister", "posted"],
  ]);
  expect(sheet.goes.map(({ name, how }) => [name, how])).toEqual([["liner", "sent-forward"]]);
  expect(sheet.boxes.map(({ key }) => key)).toEqual([boxKey("a")]);
  expect(sheet.ahead).toMatchObject([{ name: "Canister country", kind: "rule", rule: "hard-canister" }]);
  expect(Math.abs(sheet.ahead[0]!.fromM - 70_000)).toBeLessThan(100);
  expect(sheet.carries[0]!.fromNode).toBe(result.legs[1]!.fromNode);
  // The energy is that of all that is carried, the reserve in it: as the bag is filled.
  const { startKg, eatenKg, menuKcal } = result.legs[1]!.hikers[0]!.food;
  expect(sheet.food.kg).toBe(startKg);
  expect(sheet.food.kcal).toBeGreaterThan(menuKcal);
  expect(sheet.food.kcal).toBeCloseTo((menuKcal * startKg) / eatenKg, 6);
  expect(leavingSheet(plan, result, 2, 0).food.byPost).toBe(true);
  const other = leavingSheet(plan, result, 1, 1);
  expect([other.comes, other.goes]).toEqual([[], []]);
});

describe("what a box should bring", () => {
  const tube = (massG: number) =>
    pieceOf("Sunscreen", massG, {
      perDayG: 10,
      wear: "consumable",
      spans: [span("@start", "@finish", "from-home", "kept")],
    });

  test("a refill in the last box before it runs out, maps for the way to the next; none where it lasts", () => {
    const plan = planWith({ kit: [...kit, tube(60)] });
    const { result, boxes: all } = boxes(plan);
    const refills = refillsOf(plan, result, all);
    expect([...refills.keys()]).toEqual([boxKey("a"), boxKey("b")]);
    const [out] = usedUp(plan, result);
    const due = [...refills].filter(([, list]) => list.some(({ kind }) => kind === "refill")).map(([key]) => key);
    const inReach = all.filter(
      ({ legIndex, fromStopId }) => fromStopId === undefined && legIndex <= out!.runsOutOnLeg!,
    );
    expect(due).toEqual(inReach.slice(-1).map(({ key }) => key));
    const maps = refills.get(boxKey("b"))!.find(({ kind }) => kind === "maps")!;
    expect(maps).toMatchObject({ fromLeg: 2, toLeg: 3 });
    expect(maps.grams).toBeCloseTo((0.3 * (result.legs[2]!.distanceM + result.legs[3]!.distanceM)) / 1000, 6);
    const lasting = planWith({ kit: [...kit, tube(5000)] });
    const found = [...refillsOf(lasting, boxes(lasting).result, all).values()].flat();
    expect(found.filter(({ kind }) => kind === "refill")).toEqual([]);
  });

  test("the next pair of shoes in the box of the stop where they should be changed", () => {
    const shoes = pieceOf("Trail shoes", 600, {
      role: "shoes", wear: "worn", meanLifeM: 100_000, spans: [span("@start", "@finish", "from-home", "kept")],
    }); // prettier-ignore
    const plan = planWith({ kit: [...kit, shoes] });
    const { result, boxes: all } = boxes(plan);
    const [wear] = shoeWear(plan, result);
    expect(wear!.changeAtLegs.length).toBeGreaterThan(0);
    for (const [key, list] of refillsOf(plan, result, all)) {
      const { legIndex } = all.find((box) => box.key === key)!;
      expect(list.some(({ kind }) => kind === "shoes")).toBe(wear!.changeAtLegs.includes(legIndex));
    }
  });
});
