import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, type LegAsks, type Plan } from "../index.ts";
import { coverOf, idlePieces } from "./cover.ts";
import { demandsOf, type DemandKind } from "./demands.ts";
import { givesOf, guessGives } from "./gives.ts";

const track = [trackNorth({ lengthM: 120_000 })];
const stops = [stopOf("town", 60_000, { services: ["shop-full", "post", "bed"], nights: 1 })];
const sources = [1, 20, 40, 61, 80, 100].map((km) => sourceOf(`w${km}`, km * 1000));
const withKit = (kit: Record<string, unknown>[], overrides: Record<string, unknown> = {}): Plan =>
  planOf({ stops, sources, kit, climate: { stations: [stationOf(2, 14)] }, ...overrides });
const coversOf = (plan: Plan, more?: LegAsks[]) => {
  const result = computePlan(plan, track);
  const covers = coverOf(plan, result, demandsOf(plan, result, more));
  const of = (kind: string, legIndex = 0, who = 0) =>
    covers.find((cover) => cover.kind === kind && cover.legIndex === legIndex && cover.who === who);
  return { covers, of, result };
};

describe("what is asked for, and what meets it", () => {
  test("a cold, wet leg of camps: a bag as warm as the night, a shell, a warm layer, a light", () => {
    const { of, result } = coversOf(
      withKit([
        pieceOf("bag", 800, { role: "bag", comfortC: -10 }),
        pieceOf("Rain jacket", 200),
        pieceOf("bottle", 40, { role: "bottle", capacityL: 6 }),
      ]),
    );
    expect(of("night")).toMatchObject({ have: -10, isMet: true, pieceIds: ["bag"] });
    expect(of("night")!.amount).toBeCloseTo(result.legs[0]!.kitNightC, 9);
    expect(of("rain")).toMatchObject({ isMet: true, pieceIds: ["Rain jacket"] });
    expect(of("warm-layer")).toMatchObject({ isMet: false, pieceIds: [] });
    expect(of("light")!.isMet).toBe(false);
    expect(of("water")).toMatchObject({ have: 6, isMet: true });
    expect(of("traction")).toBeUndefined();
    const found = result.checks.filter(({ code }) => code === "kit-uncovered");
    expect(found).toContainEqual(expect.objectContaining({ demand: "warm-layer", severity: "caution", legs: 2 }));
  });

  test("a bag too thin is not met, and a liner in it adds its kelvins", () => {
    const thin = pieceOf("bag", 500, { role: "bag", comfortC: 0 });
    expect(coversOf(withKit([thin])).of("night")!.isMet).toBe(false);
    const liner = pieceOf("liner", 300, { warmthK: 5 });
    expect(coversOf(withKit([thin, liner])).of("night")).toMatchObject({ have: -5, isMet: true });
  });

  test("snow asks for spikes and an axe, soft snow for snowshoes; permits, insects and sun where they are told", () => {
    const stretches = [
      { id: "s", name: "s", fromM: 5000, toM: 50_000, kind: "snow", surface: "soft-snow" },
      { id: "p", name: "p", fromM: 70_000, toM: 80_000, kind: "rule", rule: "permit" },
      { id: "i", name: "i", fromM: 70_000, toM: 80_000, kind: "insects" },
    ];
    const kit = [pieceOf("Micro spikes", 300), pieceOf("Head net", 20), pieceOf("Sun hat", 60)];
    const { of } = coversOf(withKit(kit, { stretches }), [
      { uvIndex: 7, insects: 0, fordClass: 2 },
      { uvIndex: 1, insects: 3, fordClass: 1 },
    ]);
    expect(of("traction")!.isMet).toBe(true);
    expect(of("traction")!.amount / 1000).toBeCloseTo(45, 1);
    expect(of("axe")!.isMet).toBe(false);
    expect(of("snowshoes")!.isMet).toBe(false);
    expect(of("traction", 1)).toBeUndefined();
    expect(of("papers", 1)!.isMet).toBe(false);
    expect(of("insects", 1)).toMatchObject({ amount: 3, isMet: true });
    expect(of("sun")).toMatchObject({ amount: 7, isMet: true });
    expect(of("sun", 1)).toBeUndefined();
    expect(of("ford")).toMatchObject({ amount: 2, isMet: false });
    expect(of("ford", 1)).toBeUndefined();
  });

  test("hot days ask for shade, and cold wind for something windproof", () => {
    const hot = withKit([pieceOf("Trekking umbrella", 200)], { climate: { stations: [stationOf(22, 36)] } });
    const warm = coversOf(hot);
    expect(warm.of("heat")!.amount).toBeGreaterThan(36);
    expect(warm.of("heat")).toMatchObject({ isMet: true, pieceIds: ["Trekking umbrella"] });
    expect(warm.of("wind")).toBeUndefined();
    const cold = coversOf(withKit([], { climate: { stations: [stationOf(-8, 0)] } }));
    expect(cold.of("wind")!.amount).toBeLessThan(-4);
    expect(cold.of("wind")!.isMet).toBe(false);
    expect(cold.of("heat")).toBeUndefined();
  });

  test("animals and a faint path are asked where they are told, and only on those legs", () => {
    const stretches = [
      { id: "a", name: "a", fromM: 1000, toM: 9000, kind: "animals" },
      { id: "f", name: "f", fromM: 70_000, toM: 80_000, kind: "faint-path" },
    ];
    const { of, result } = coversOf(withKit([pieceOf("Map and compass", 120)], { stretches }));
    expect(of("animals")).toMatchObject({ amount: 1, isMet: false });
    expect(of("animals", 1)).toBeUndefined();
    expect(of("navigation", 1)).toMatchObject({ isMet: true, pieceIds: ["Map and compass"] });
    const found = result.checks.filter(({ code }) => code === "rule-ahead");
    expect(found.map((check) => "kind" in check && check.kind).sort()).toEqual(["animals", "faint-path"]);
  });

  test("the pack has to hold the leg, and the bank to last it", () => {
    const kit = [pieceOf("pack", 900, { role: "pack" }), pieceOf("bulk", 2000, { volumeL: 40 })];
    const devices = [{ id: "camera", name: "camera", ownerId: "a", kind: "rechargeable", mAh: 3000, whPerDay: 8 }];
    const roomy = coversOf(withKit(kit, { hikers: [hikerOf({ packVolumeL: 90 })], devices }));
    expect(roomy.of("space")).toMatchObject({ have: 90, isMet: true, pieceIds: ["pack"] });
    expect(roomy.of("space")!.amount).toBeGreaterThan(40);
    const tight = coversOf(withKit(kit, { hikers: [hikerOf({ packVolumeL: 41 })] }));
    expect(tight.of("space")!.isMet).toBe(false);
    const power = roomy.of("power")!;
    expect(power.isMet).toBe(false);
    expect(power.have).toBeCloseTo(roomy.result.power!.stores[0]!.legs[0]!.shortWh, 9);
    expect(power.amount).toBeGreaterThan(power.have);
  });

  test("a hiker lifts a demand on a leg, or asks for what no figure does", () => {
    const demands = [
      { kind: "rain", fromStopId: "@start", wanted: false },
      { kind: "snowshoes", fromStopId: "town", wanted: true },
    ];
    const { of } = coversOf(withKit([pieceOf("pack", 900)], { kitRules: { demands } }));
    expect(of("rain")).toBeUndefined();
    expect(of("rain", 1)).toBeDefined();
    expect(of("snowshoes", 1)).toMatchObject({ byHand: true, isMet: false });
  });

  test("what is shared serves all, what is one's own the owner, a bottle its carrier", () => {
    const hikers = [hikerOf(), hikerOf({ id: "b", name: "B" })];
    const { of } = coversOf(
      withKit(
        [
          pieceOf("Head lamp", 50),
          pieceOf("Permit papers", 5, { shared: true }),
          pieceOf("bottle", 40, { role: "bottle", capacityL: 5, carrierId: "b" }),
        ],
        { hikers, stretches: [{ id: "p", name: "p", fromM: 0, toM: 9000, kind: "rule", rule: "permit" }] },
      ),
    );
    expect([of("light")!.isMet, of("light", 0, 1)!.isMet]).toEqual([true, false]);
    expect([of("papers")!.isMet, of("papers", 0, 1)!.isMet]).toEqual([true, true]);
    expect([of("water")!.have, of("water", 0, 1)!.have]).toEqual([0, 5]);
  });

  test("an axe where no snow lies is carried for nothing; a shell on a dry leg is not", () => {
    const plan = withKit([pieceOf("Ice axe", 300), pieceOf("Rain jacket", 200), pieceOf("pot", 100)]);
    const { covers, result } = coversOf(plan);
    expect(idlePieces(plan, result, covers)).toEqual([{ pieceId: "Ice axe", legs: [0, 1] }]);
  });
});

test("a name says what a piece is good for, and its owner has the last word", () => {
  expect(guessGives("Rain jacket")).toEqual(["rain", "wind"]);
  expect(guessGives("Micro spikes")).toEqual(["traction"]);
  expect(guessGives("Insect repellent")).toEqual(["insects"]);
  expect(guessGives("Long spoon")).toEqual([]);
  expect(givesOf({ name: "Rain jacket", gives: ["sun"], role: undefined })).toEqual(["sun"]);
  expect(givesOf({ name: "Blue thing", role: "layer" })).toEqual(["warm-layer"]);
});

/** Met by a piece's being there, and by no figure of the result. */
const BY_PIECES: DemandKind[] = [
  "wind",
  "heat",
  "ford",
  "animals",
  "navigation",
  "warm-layer",
  "rain",
  "sun",
  "traction",
  "axe",
  "snowshoes",
  "insects",
  "light",
  "papers",
  "shelter",
];

/** Met by what the pieces come to, which may be none of them. */
const BY_FIGURES: DemandKind[] = ["night", "water", "food-store", "space", "power"];

test("more kit never meets less, on any plan", () => {
  fc.assert(
    fc.property(arbitraryPlan, ({ plan, tracks }) => {
      const result = computePlan(plan, tracks);
      const covers = coverOf(plan, result, demandsOf(plan, result));
      for (const { isMet, have, pieceIds, kind } of covers) {
        expect(Number.isFinite(have)).toBe(true);
        if (!BY_FIGURES.includes(kind) && isMet) expect(pieceIds.length).toBeGreaterThan(0);
      }
      // The same without the last of the pieces: what fewer meet, all of them do.
      const fewer = coverOf({ ...plan, kit: plan.kit.slice(0, -1) }, result, demandsOf(plan, result));
      for (const [i, cover] of fewer.entries())
        if (cover.isMet && BY_PIECES.includes(cover.kind)) expect(covers[i]!.isMet).toBe(true);
    }),
    { numRuns: runs(60) },
  );
});
