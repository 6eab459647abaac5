import { expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, starterKit, type Piece } from "../index.ts";
import {
  alternativesTo,
  gramsPerPrice,
  isTakenAlong,
  onShelf,
  purposeOf,
  rankPieces,
  wholeHike,
  withAlternative,
} from "./alternatives.ts";
import { kitFigures, weighKits } from "./figures.ts";
import { leftOut } from "../kit/decisions.ts";

const tracks = [trackNorth({ lengthM: 80_000 })];
const tent = pieceOf("tent", 1200, { role: "shelter", price: 300, comfort: 5, carrierId: "b", shared: true });
const tarp = pieceOf("tarp", 400, { role: "shelter", price: 100, comfort: 2, spans: [] });
const bivvy = pieceOf("bivvy", 500, { role: "shelter", spans: [], ownerId: "b" });
const pot = pieceOf("pot", 120, { spans: [] });
const plan = planOf({
  hikers: [hikerOf(), hikerOf({ id: "b", name: "B" })],
  kit: [tent, tarp, bivvy, pot],
  stops: [stopOf("m", 40_000)],
});
const piece = (id: string): Piece => plan.kit.find((one) => one.id === id)!;

test("what has no span is on the shelf; others of the purpose are told, lightest first, a shared piece's of anybody", () => {
  expect(onShelf(plan).map(({ id }) => id)).toEqual(["tarp", "bivvy", "pot"]);
  expect(alternativesTo(plan, piece("tent")).map(({ id }) => id)).toEqual(["tarp", "bivvy"]);
  const alone = { kit: plan.kit.map((row) => ({ ...row, shared: false })) };
  expect(alternativesTo(alone, alone.kit[0]!).map(({ id }) => id)).toEqual(["tarp"]);
  expect(alternativesTo(plan, piece("pot"))).toEqual([]);
  expect(purposeOf({ name: "Fleece", role: "layer" })).toBe("warm-layer");
  expect(purposeOf({ name: "Rain jacket", role: "layer" })).toBe("rain");
});

test("an alternative takes spans and carrier; what it takes the place of goes on the shelf; nothing is lost", () => {
  const kit = withAlternative(plan.kit, "tent", "tarp");
  expect(kit.map(({ id }) => id)).toEqual(plan.kit.map(({ id }) => id));
  expect(kit.filter(isTakenAlong).map(({ id }) => id)).toEqual(["tarp"]);
  expect(kit[1]).toMatchObject({ spans: piece("tent").spans, carrierId: "b", shared: true });
  expect(withAlternative(plan.kit, "tent", "gone")).toEqual(plan.kit);
  expect(withAlternative(kit, "tarp", "tent").map(({ spans }) => spans)).toEqual(plan.kit.map(({ spans }) => spans));
});

test("each kit is weighed by the whole plan: 800 g less on all of the way for one of the packs", () => {
  const compute = (other: typeof plan) => computePlan(other, tracks);
  const variants = [{ key: "tent" }, { key: "tarp", kit: withAlternative(plan.kit, "tent", "tarp") }];
  const [now, then] = [...weighKits(plan, variants, compute)];
  expect(now).toEqual({ key: "tent", ...kitFigures(plan, compute(plan)) });
  expect(now!.heaviestKg - then!.heaviestKg).toBeCloseTo(0.8, 1);
  expect((now!.kgKm - then!.kgKm) / 80).toBeCloseTo(0.8, 1);
});

test("ranked by hand: bars from the worst to the best of them, weighed as the hiker likes; what is not known is in the middle", () => {
  const pieces = [piece("tent"), piece("tarp"), piece("bivvy")];
  const order = (comfort: number, cost: number, weight: number) =>
    rankPieces(pieces, { comfort, cost, weight }).map(({ pieceId }) => pieceId);
  expect(order(1, 0, 0)).toEqual(["tent", "bivvy", "tarp"]);
  expect(order(0, 1, 0)).toEqual(["tarp", "bivvy", "tent"]);
  expect(order(0, 0, 1)).toEqual(["tarp", "bivvy", "tent"]);
  expect(rankPieces(pieces, { comfort: 1, cost: 1, weight: 2 })[1]).toEqual({
    pieceId: "bivvy", comfort: 0.5, cost: 0.5, weight: 0.875, score: 0.6875,
  }); // prettier-ignore
  expect(rankPieces(pieces, { comfort: 0, cost: 0, weight: 0 }).every(({ score }) => score === 0)).toBe(true);
  expect(rankPieces([piece("pot")], { comfort: 1, cost: 1, weight: 1 })[0]!.score).toBe(0.5);
  expect(gramsPerPrice(piece("tarp"), piece("tent"))).toBe(8);
  expect(gramsPerPrice(piece("tent"), piece("tarp"))).toBeUndefined();
  expect(gramsPerPrice(piece("bivvy"), piece("tent"))).toBeUndefined();
});

test("a starter list is a kit that stands: no hole on any leg, lighter when light, without a flame nothing to burn", () => {
  const list = (style: "light" | "usual" | "cold", stove = true, hung = false) => {
    let n = 0;
    return starterKit({ style, stove, hung }, { hikerId: "a", spans: wholeHike(plan), idOf: () => `s${n++}` });
  };
  const grams = (rows: ReturnType<typeof list>) =>
    rows.reduce((sum, { massG, quantity = 1 }) => sum + massG * quantity, 0);
  expect(grams(list("light"))).toBeLessThan(0.7 * grams(list("usual")));
  expect(grams(list("usual"))).toBeLessThan(0.8 * grams(list("cold")));
  expect(list("usual", false).some(({ role }) => role === "stove")).toBe(false);
  for (const style of ["light", "usual", "cold"] as const)
    for (const hung of [false, true]) {
      const { checks, kitFaults } = computePlan(planOf({ kit: list(style, true, hung) }), tracks);
      expect(kitFaults).toEqual([]);
      const roles = list(style, true, hung).map(({ role }) => role);
      for (const role of ["pack", "shelter", "bag", "pad", "shoes", "bottle"]) expect(roles).toContain(role);
      expect(checks.some(({ code }) => code === "kit-piece-gap")).toBe(false);
    }
});

test("of a choice the plan counts on one side alone, the other is in no pack; decided, it stays so", () => {
  const decisions = { id: "h", name: "if there is ice", pieceIds: ["tent"], otherwiseIds: ["pot"] };
  const out = (more: object) => [...leftOut(planOf({ kit: [tent, pot], decisions: [{ ...decisions, ...more }] }))];
  expect(out({})).toEqual(["pot"]);
  expect(out({ counted: false })).toEqual(["tent"]);
  expect(out({ counted: false, decided: { on: "2027-05-01", taken: true } })).toEqual(["pot"]);
  const kit = [tent, pieceOf("stove", 100)];
  const base = (more: object) =>
    computePlan(planOf({ hikers: plan.hikers, kit, decisions: [{ ...decisions, ...more }] }), tracks).legs[0]!
      .hikers[1]!.kit;
  expect(base({}).baseKg - base({ counted: false }).baseKg).toBeCloseTo(1.2, 9);
});
