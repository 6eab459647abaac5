import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { pieceOf, planOf, sourceOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../session/session.ts";
import { bottlesLess, leastBottles } from "./bottles.ts";

const bottle = (id: string, capacityL: number, massG: number, quantity = 1) => ({ id, capacityL, massG, quantity });

describe("the lightest bottles that hold it", () => {
  const own = [bottle("hard", 1, 150), bottle("soft", 2, 36), bottle("flask", 0.5, 25, 2)];
  test.each([
    [0, [], 0],
    [0.4, ["flask"], 25],
    [1, ["soft"], 36],
    [2.3, ["soft", "flask"], 61],
    [3, ["soft", "flask", "flask"], 86],
    [4, ["hard", "soft", "flask", "flask"], 236],
  ])("%d L: %o, %d g", (litres, pieceIds, massG) => {
    const found = leastBottles(own, litres)!;
    expect([...found.pieceIds].sort()).toEqual([...pieceIds].sort());
    expect(found.massG).toBe(massG);
    expect(found.capacityL).toBeGreaterThanOrEqual(litres - 1e-9);
  });
  test("not more than all hold", () => expect(leastBottles(own, 4.2)).toBeUndefined());

  test("as every set that there is says", () => {
    const some = fc.array(
      fc.record({ capacityL: fc.integer({ min: 1, max: 30 }), massG: fc.integer({ min: 1, max: 200 }) }),
      { maxLength: 7 },
    );
    fc.assert(
      fc.property(some, fc.integer({ min: 0, max: 80 }), (rows, tenths) => {
        const bottles = rows.map(({ capacityL, massG }, i) => bottle(`b${i}`, capacityL / 10, massG));
        let best = Infinity;
        for (let set = 0; set < 1 << rows.length; set++) {
          const chosen = rows.filter((_, i) => set & (1 << i));
          if (chosen.reduce((sum, { capacityL }) => sum + capacityL, 0) < tenths) continue;
          best = Math.min(
            best,
            chosen.reduce((sum, { massG }) => sum + massG, 0),
          );
        }
        expect(leastBottles(bottles, tenths / 10)?.massG ?? Infinity).toBe(best);
      }),
    );
  });
});

test("a bottle less: which legs would miss it, and that a spare one is missed by none", () => {
  const kit = [
    pieceOf("big", 60, { role: "bottle", capacityL: 4 }),
    pieceOf("small", 30, { role: "bottle", capacityL: 0.5 }),
    pieceOf("home", 30, { role: "bottle", capacityL: 2, spans: [] }),
  ];
  const plan = planOf({ kit, sources: [sourceOf("a", 200), sourceOf("b", 16_000)] });
  const result = computePlan(plan, [trackNorth({ lengthM: 25_000 })]);
  const most = Math.max(...result.legs[0]!.hikers[0]!.carries.map(({ litres }) => litres));
  expect(most).toBeGreaterThan(0.6);
  expect(most).toBeLessThan(4);
  expect(bottlesLess(plan, result, "a")).toEqual([
    { pieceId: "big", shortOn: [0] },
    { pieceId: "small", shortOn: [] },
  ]);
});
