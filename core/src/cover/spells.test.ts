import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { leastSpells, spellsCost, type SpellProblem } from "./spells.ts";

/** Every row of sets that there is, kept to the same rules. */
function byEnumeration(problem: SpellProblem): number | undefined {
  const { pieces, legKm, canMove, day, awayDays, allowed } = problem;
  let least: number | undefined;
  const walk = (carried: number[]): void => {
    const leg = carried.length;
    if (leg === legKm.length) {
      const cost = spellsCost(problem, carried);
      if (least === undefined || cost < least) least = cost;
      return;
    }
    for (let set = 0; set < 1 << pieces.length; set++) {
      if (!allowed(leg, set)) continue;
      if (leg > 0) {
        const moved = set ^ carried[leg - 1]!;
        if (moved !== 0 && !canMove[leg]) continue;
        const tooSoon = pieces.some((_, p) => {
          if ((set & moved & (1 << p)) === 0) return false;
          // The last leg on which it was carried, and whether it was ever.
          const last = carried.findLastIndex((one) => (one & (1 << p)) !== 0);
          return last >= 0 && day[leg]! - day[last + 1]! < awayDays;
        });
        if (tooSoon) continue;
      }
      walk([...carried, set]);
    }
  };
  walk([]);
  return least;
}

describe("the legs, pieces and kelvins of the design", () => {
  const legKm = [110, 90, 150, 130, 120, 100];
  const needK = [9, 4, 9, 4, 0, 5];
  // Winter bag, summer bag, liner, jacket, axe.
  const massKg = [1.3, 0.75, 0.25, 0.35, 0.45];
  const addsK = [9, 0, 4, 5, 0];
  const price = [10, 8, 4, 5, 8];
  const problem = (kgKmPerMoney: number, awayDays: number): SpellProblem => ({
    pieces: massKg.map((kg, p) => ({ massKg: kg, moveKgKm: price[p]! * kgKmPerMoney })),
    legKm,
    canMove: [true, true, false, true, true, true],
    day: [0, 5, 9, 16, 22, 28],
    awayDays,
    allowed: (leg, set) => {
      const has = (p: number): boolean => (set & (1 << p)) !== 0;
      if (!has(0) && !has(1)) return false;
      const extraK = Math.min(8, (has(2) ? addsK[2]! : 0) + (has(3) ? addsK[3]! : 0));
      const kelvin = (has(0) ? 9 : 0) + extraK;
      return kelvin >= needK[leg]! && (has(4) || (leg !== 1 && leg !== 2));
    },
  });
  test("its spells, proved there and here by enumeration", () => {
    const found = leastSpells(problem(2, 6))!;
    expect(found.kgKm).toBeCloseTo(987, 1);
    const on = (p: number): string => found.carried.map((set) => ((set >> p) & 1 ? "1" : "0")).join("");
    expect([0, 1, 2, 3, 4].map(on)).toEqual(["111000", "000111", "000100", "000001", "011000"]);
    expect(leastSpells(problem(12, 6))!.kgKm).toBeCloseTo(1163.5, 1);
    expect(leastSpells(problem(0, 6))!.kgKm).toBeCloseTo(893, 1);
    expect(leastSpells(problem(2, 12))!.kgKm).toBeCloseTo(987, 1);
  });
});

const small: fc.Arbitrary<SpellProblem> = fc
  .record({
    pieces: fc.array(
      fc.record({ massKg: fc.integer({ min: 1, max: 20 }), moveKgKm: fc.integer({ min: 0, max: 200 }) }),
      { minLength: 1, maxLength: 3 },
    ),
    legs: fc.array(
      fc.record({
        km: fc.integer({ min: 5, max: 60 }),
        days: fc.integer({ min: 1, max: 6 }),
        canMove: fc.boolean(),
        needs: fc.integer({ min: 0, max: 12 }),
      }),
      { minLength: 1, maxLength: 5 },
    ),
    awayDays: fc.integer({ min: 0, max: 9 }),
  })
  .map(({ pieces, legs, awayDays }) => ({
    pieces,
    awayDays,
    legKm: legs.map(({ km }) => km),
    canMove: legs.map(({ canMove }) => canMove),
    day: legs.map((_, leg) => legs.slice(0, leg).reduce((sum, { days }) => sum + days, 0)),
    // As if every piece were worth its mass: enough of it has to be there.
    allowed: (leg: number, set: number) =>
      pieces.reduce((sum, { massKg }, p) => sum + (set & (1 << p) ? massKg : 0), 0) >=
      Math.min(
        legs[leg]!.needs,
        pieces.reduce((sum, { massKg }) => sum + massKg, 0),
      ),
  }));

test("as little as every way that there is", () => {
  fc.assert(
    fc.property(small, (problem) => {
      const found = leastSpells(problem);
      const least = byEnumeration(problem);
      expect(found === undefined).toBe(least === undefined);
      if (!found) return;
      expect(found.kgKm).toBeCloseTo(least!, 6);
      expect(spellsCost(problem, found.carried)).toBeCloseTo(found.kgKm, 6);
    }),
    { numRuns: runs(200), endOnFailure: true },
  );
});

test("dearer moves never make more of them worth while, nor the whole lighter", () => {
  fc.assert(
    fc.property(small, (problem) => {
      const dearer = {
        ...problem,
        pieces: problem.pieces.map((piece) => ({ ...piece, moveKgKm: piece.moveKgKm * 3 + 5 })),
      };
      const [now, then] = [leastSpells(problem), leastSpells(dearer)];
      if (!now || !then) return;
      expect(then.kgKm).toBeGreaterThanOrEqual(now.kgKm - 1e-6);
    }),
    { numRuns: runs(200) },
  );
});

test("what nothing allows has no answer", () =>
  expect(
    leastSpells({
      pieces: [{ massKg: 1, moveKgKm: 0 }],
      legKm: [10],
      canMove: [true],
      day: [0],
      awayDays: 0,
      allowed: () => false,
    }),
  ).toBeUndefined());
