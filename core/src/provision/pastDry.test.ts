/** Water that may be dry: what to carry past it, and what it would mean. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { hikerOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import type { LegHiker } from "../result/result.ts";
import { computePlan } from "../session/session.ts";
import { carriedPast } from "../walk/sources.ts";

type Input = Record<string, unknown>;
/** Half a day, so that no camp moves with the water. */
const flat = [trackNorth({ lengthM: 16_000 })];
const WATER = { measuredLph: 0.5, reserveFraction: 0, drinkAtSourceL: 0, leastL: 0, trust: "all" };
const row = (sources: Input[], water: Input = {}): LegHiker =>
  computePlan(
    planOf({
      trip: { name: "t", startDate: "2027-03-29" },
      sources,
      hikers: [hikerOf({ water: { ...WATER, ...water } })],
      climate: { stations: [stationOf(8, 18)] },
    }),
    flat,
  ).legs[0]!.hikers[0]!;
const at = (km: number, overrides: Input = {}): Input => sourceOf(`w${km}`, km * 1000, overrides);
const litresFrom = ({ carries }: LegHiker): number[] => carries.map(({ litres }) => litres);

describe("if the next source is dry", () => {
  test("the carry told is the one that there is once it is struck out", () => {
    const all = row([at(4), at(7), at(12)]);
    for (const [i, km] of [4, 7, 12].entries()) {
      const without = row([at(4), at(7), at(12)].filter(({ id }) => id !== `w${km}`));
      const { ifDry } = all.carries[i]!;
      expect(ifDry!.litres).toBeCloseTo(without.carries[i]!.litres, 2);
      expect(ifDry!.walkH).toBeCloseTo(without.carries[i]!.walkH, 2);
      expect(ifDry!.distanceM).toBeCloseTo(without.carries[i]!.distanceM, 6);
    }
    // Behind the last source is the stop, and its tap runs.
    expect(all.carries.at(-1)!.ifDry).toBeUndefined();
  });

  test("at any plan it is never less than the carry to it, but for what is drunk at a source and on a way there", () => {
    fc.assert(
      fc.property(arbitraryPlan, ({ plan, tracks }) => {
        for (const leg of computePlan(plan, tracks).legs)
          for (const { carries } of leg.hikers)
            for (const { litres, pastL, distanceM, ifDry } of carries) {
              expect(pastL).toBeGreaterThanOrEqual(0);
              if (ifDry && ifDry.distanceM >= distanceM)
                expect(ifDry.litres).toBeGreaterThanOrEqual(litres - pastL - 1e-9);
            }
      }),
      { numRuns: runs(120) },
    );
  });
});

/** Worked out apart. */
test.each([
  [0.95, 0],
  [0.9, 0],
  [0.85, 0.074],
  [0.8, 0.259],
  [0.75, 0.5],
  [0.7, 0.741],
  [0.65, 0.926],
  [0.6, 1],
  [0.3, 1],
])("of a chance of %f the share %f is carried past it", (chance, share) => {
  expect(carriedPast(chance, 0.75)).toBeCloseTo(share, 3);
});

describe("doubtful water, by its chance", () => {
  const likely = (chance: number): Input => ({ chanceByMonth: Array.from({ length: 12 }, () => chance) });
  const doubtful: Input = { trust: "chance", past: "share" };
  const first = (sources: Input[]): number => row(sources, doubtful).carries[0]!.litres;

  test("is between counting on it and passing it by, in that share", () => {
    const [there, past] = [first([at(4), at(12)]), first([at(12)])];
    for (const [chance, share] of [
      [0.85, 0.074],
      [0.75, 0.5],
      [0.65, 0.926],
    ] as const)
      expect(first([at(4, likely(chance)), at(12)])).toBeCloseTo(there + share * (past - there), 2);
  });

  test("nothing jumps as its chance falls a hundredth at a time, over two that follow each other too", () => {
    let before = first([at(4, likely(1)), at(7, likely(1))]);
    for (let chance = 0.99; chance > 0.4; chance -= 0.01) {
      const now = first([at(4, likely(chance)), at(7, likely(chance))]);
      expect(now).toBeGreaterThanOrEqual(before - 1e-6);
      expect(now - before).toBeLessThan(0.25);
      before = now;
    }
  });
});

test("a house on the way is water while it is open; not when closed, nor without a bed, meals or a shop", () => {
  const house = (overrides: Input): (string | undefined)[] =>
    computePlan(
      planOf({
        trip: { name: "t", startDate: "2027-03-29" },
        stops: [stopOf("hut", 8000, { use: false, ...overrides })],
        climate: { stations: [stationOf(8, 18)] },
      }),
      flat,
    ).legs[0]!.hikers[0]!.carries.map(({ fromSourceId }) => fromSourceId);
  expect(house({ services: ["bed", "meals"] })).toEqual([undefined, "@tap:hut"]);
  expect(house({ services: ["bed"], openFrom: "06-15", openTo: "09-30" })).toEqual([undefined]);
  expect(house({ services: ["bed"], openFrom: "03-01", openTo: "09-30" })).toEqual([undefined, "@tap:hut"]);
  expect(house({ services: ["post"] })).toEqual([undefined]);
  expect(house({ services: [] })).toEqual([undefined]);
});

describe("carrying past what may fail", () => {
  test("past one: from every source as much as to the one after the next", () => {
    const plain = row([at(4), at(7), at(12)]);
    const past = row([at(4), at(7), at(12)], { past: "one" });
    for (const [i, { ifDry, litres }] of plain.carries.entries())
      expect(past.carries[i]!.litres).toBeCloseTo(ifDry?.litres ?? litres, 1);
  });

  test("a dry stretch says it for all, on what is walked to or through it", () => {
    const plan = (past?: string) =>
      computePlan(
        planOf({
          sources: [at(4), at(7), at(12)],
          hikers: [hikerOf({ water: WATER })],
          stretches: [{ id: "x", name: "Pan", fromM: 8000, toM: 11_000, kind: "rule", ...(past ? { past } : {}) }],
          climate: { stations: [stationOf(8, 18)] },
        }),
        flat,
      ).legs[0]!.hikers[0]!.carries.map(({ pastL }) => pastL > 0.1);
    expect(plan()).toEqual([false, false, false, false]);
    // Only from km 7, along the trail through the stretch.
    expect(plan("one")).toEqual([false, false, true, false]);
  });

  test("by chance: past those that together are dry too often, and not past one that is sure", () => {
    const likely = (chance: number): Input => ({ chanceByMonth: Array.from({ length: 12 }, () => chance) });
    const to = (chances: number[], dryChance: number): number => {
      const sources = chances.map((chance, i) => at(3 + 3 * i, likely(chance)));
      const required = row(sources, { past: "chance", dryChance });
      const km = required.carries[0]!.litres / row([]).carries[0]!.litres;
      return Math.round(km * 16);
    };
    expect(to([0.99, 0.9, 0.9, 0.9], 0.05)).toBe(3);
    expect(to([0.95, 0.9, 0.9, 0.9], 0.05)).toBe(6);
    expect(to([0.6, 0.7, 0.9, 0.9], 0.05)).toBe(9);
    expect(to([0.5, 0.5, 0.5, 0.5], 0.02)).toBe(16);
  });

  test("what was seen decides: a source seen dry lately is passed by, one seen flowing is counted on", () => {
    const doubtful = { reliable: false, kind: "creek", chanceByMonth: Array<number>(12).fill(0.3) };
    const seen = (said: string, date = "2027-03-28"): Input => ({ ...doubtful, reports: [{ date, said }] });
    const { length: without } = row([], { trust: "chance" }).carries;
    const count = (source: Input): number => row([at(8, source)], { trust: "chance" }).carries.length;
    expect(count(doubtful)).toBe(without);
    expect(count(seen("flowing"))).toBe(without + 1);
    expect(count(seen("dry"))).toBe(without);
    // Nobody knows in advance what will be seen, and after months it is no news.
    expect(count(seen("flowing", "2027-06-01"))).toBe(without);
    expect(count(seen("flowing", "2026-11-20"))).toBe(without);
    expect(count({ reports: [{ date: "2027-03-28", said: "dry" }], kind: "creek" })).toBe(without);
  });

  test("a cache is there from its day on", () => {
    const cache = (placedOn: string): Input => ({ kind: "cache", placedOn });
    expect(row([at(8, cache("2027-03-01"))]).carries).toHaveLength(2);
    expect(row([at(8, cache("2027-05-01"))]).carries).toHaveLength(1);
  });

  test("more trust carries no more, and a source more raises neither the most nor the worst that one dry source does", () => {
    const places = fc.array(fc.record({ km: fc.integer({ min: 1, max: 15 }), reliable: fc.boolean() }), {
      minLength: 1,
      maxLength: 6,
    });
    fc.assert(
      fc.property(places, fc.integer({ min: 1, max: 15 }), (rows, km) => {
        const sources = [...new Map(rows.map((one) => [one.km, one])).values()].map(({ km: at_, reliable }) =>
          at(at_, { reliable }),
        );
        const most = (of: LegHiker): number => Math.max(...litresFrom(of));
        const worst = (of: LegHiker): number =>
          Math.max(...of.carries.map(({ ifDry, litres }) => Math.max(litres, ifDry?.litres ?? 0)));
        expect(most(row(sources, { trust: "all" }))).toBeLessThanOrEqual(
          most(row(sources, { trust: "reliable" })) + 0.01,
        );
        const more = [...sources.filter(({ id }) => id !== `w${km}`), at(km)];
        expect(most(row(more))).toBeLessThanOrEqual(most(row(sources)) + 0.01);
        expect(worst(row(more))).toBeLessThanOrEqual(worst(row(sources)) + 0.01);
      }),
      { numRuns: runs(60) },
    );
  });

  test("a report of “dry” lowers no carry, at any plan without camps", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 15 }), { minLength: 1, maxLength: 5 }),
        fc.constantFrom("reliable", "chance", "all"),
        fc.boolean(),
        (kms, trust, reliable) => {
          const places = [...new Set(kms)].map((km) => at(km, { reliable, kind: "creek" }));
          const [first, ...rest] = places;
          const reported = { ...first!, reports: [{ date: "2027-03-27", said: "dry" }] };
          const most = (sources: Input[]): number => Math.max(...litresFrom(row(sources, { trust })));
          expect(most([reported, ...rest])).toBeGreaterThanOrEqual(most(places) - 0.01);
        },
      ),
      { numRuns: runs(40) },
    );
  });
});
