import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, pieceOf, planOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../index.ts";
import { fairest, shareFairly } from "./share.ts";

const burden = (
  carriers: readonly number[],
  masses: readonly number[],
  ownG: readonly number[],
  strength: readonly number[],
) =>
  Math.max(
    ...ownG.map(
      (own, who) => (own + masses.reduce((sum, g, i) => sum + (carriers[i] === who ? g : 0), 0)) / strength[who]!,
    ),
  );

test.each([2, 3])(
  "%d carriers: as light for whom it is heaviest as any way to share, with the fewest hands changed",
  (count) => {
    const strengths = fc.array(fc.integer({ min: 40, max: 110 }), { minLength: count, maxLength: count });
    const own = fc.array(fc.integer({ min: 0, max: 9000 }), { minLength: count, maxLength: count });
    const pieces = fc.array(
      fc.record({ massG: fc.integer({ min: 1, max: 2500 }), carrier: fc.integer({ min: 0, max: count - 1 }) }),
      { minLength: 1, maxLength: count === 2 ? 8 : 5 },
    );
    fc.assert(
      fc.property(pieces, own, strengths, (list, ownG, strength) => {
        const masses = list.map(({ massG }) => massG);
        const { carriers, proven } = fairest(
          list.map((piece, i) => ({ ...piece, pieceId: `p${i}` })),
          ownG,
          strength,
        );
        expect(proven).toBe(true);
        let best = Infinity;
        let fewest = Infinity;
        for (let split = 0; split < count ** list.length; split++) {
          const to = list.map((_, i) => Math.floor(split / count ** i) % count);
          const heavy = burden(to, masses, ownG, strength);
          const changes = to.filter((who, i) => who !== list[i]!.carrier).length;
          if (heavy < best - 1e-9 || (heavy < best + 1e-9 && changes < fewest)) [best, fewest] = [heavy, changes];
        }
        expect(burden(carriers, masses, ownG, strength)).toBeCloseTo(best, 9);
        expect(carriers.filter((who, i) => who !== list[i]!.carrier)).toHaveLength(fewest);
      }),
      { numRuns: runs(100), endOnFailure: true },
    );
  },
);

describe("on a leg of a plan", () => {
  const hikers = [
    hikerOf({ bodyKg: 60, packComfortKg: 9 }),
    hikerOf({ id: "b", name: "B", bodyKg: 90, packComfortKg: 9 }),
  ];
  const kit = [
    pieceOf("own a", 4000),
    pieceOf("own b", 4000, { ownerId: "b", carrierId: "b" }),
    ...[900, 600, 500, 400, 300, 200].map((g) => pieceOf(`s${g}`, g, { shared: true })),
    pieceOf("lent", 700),
  ];
  const plan = planOf({ hikers, kit });
  const result = computePlan(plan, [trackNorth({ lengthM: 80_000 })]);

  test("nothing is made or lost, only shared pieces change hands, and what it promises is what comes", () => {
    for (const by of ["body", "equal", "comfort"] as const) {
      const found = shareFairly(plan, result, 0, by)!;
      const sum = (list: number[]) => list.reduce((a, b) => a + b, 0);
      expect(sum(found.thenKg)).toBeCloseTo(sum(found.nowKg), 6);
      expect(found.changes.every(({ pieceId }) => pieceId.startsWith("s"))).toBe(true);
      const carriers = new Map(found.changes.map(({ pieceId, carrierId }) => [pieceId, carrierId]));
      const taken = {
        ...plan,
        kit: plan.kit.map((piece) => ({ ...piece, carrierId: carriers.get(piece.id) ?? piece.carrierId })),
      };
      const after = computePlan(taken, [trackNorth({ lengthM: 80_000 })]);
      // Other loads, other food: but nearly what was said.
      for (const [who, { startKg }] of after.legs[0]!.hikers.entries())
        expect(startKg).toBeCloseTo(found.thenKg[who]!, 0);
    }
    const byBody = shareFairly(plan, result, 0, "body")!.thenKg;
    const equal = shareFairly(plan, result, 0, "equal")!.thenKg;
    expect(byBody[0]!).toBeLessThan(equal[0]!);
    expect(Math.abs(equal[0]! - equal[1]!)).toBeLessThanOrEqual(
      Math.abs(result.legs[0]!.hikers[0]!.startKg - result.legs[0]!.hikers[1]!.startKg),
    );
  });

  test("alone, or with nothing shared, there is nothing to share", () => {
    const alone = planOf({ kit: [pieceOf("tent", 900, { shared: true })] });
    const track = [trackNorth({ lengthM: 30_000 })];
    expect(shareFairly(alone, computePlan(alone, track), 0, "body")).toBeUndefined();
    const none = planOf({ hikers, kit: [pieceOf("tent", 900)] });
    expect(shareFairly(none, computePlan(none, track), 0, "body")).toBeUndefined();
  });
});

test("anvils by the ton are shared without looking at every gram", () => {
  const anvils = [9e6, 4e6, 5e6].map((massG, i) => ({ pieceId: `p${i}`, massG, carrier: 0 }));
  expect(fairest(anvils, [0, 0], [1, 1])).toEqual({ carriers: [1, 0, 0], proven: true });
});
