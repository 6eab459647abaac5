import { expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../index.ts";
import { shoeWear, usedUp } from "./wear.ts";

const track = [trackNorth({ lengthM: 400_000 })];
const stops = [100, 200, 300].map((km) =>
  stopOf(`s${km}`, km * 1000, { services: ["shop-full", "post", "bed"], nights: 1 }),
);
const sources = Array.from({ length: 39 }, (_, i) => sourceOf(`w${i}`, 5000 + i * 10_000));
const planWith = (kit: Record<string, unknown>[], overrides: Record<string, unknown> = {}) =>
  planOf({ stops, sources, climate: { stations: [stationOf(10, 20)] }, kit, ...overrides });

test("by hand: on even trail with 80 kg a kilometre is a kilometre, on scree 1.6 of them", () => {
  const shoes = pieceOf("shoes", 600, { role: "shoes", wear: "worn", meanLifeM: 300_000 });
  const hikers = [hikerOf({ bodyKg: 70 })];
  const plan = planWith([shoes], { hikers });
  const result = computePlan(plan, track);
  const [wear] = shoeWear(plan, result);
  const meanKg = result.legs.reduce((sum, leg) => sum + leg.hikers[0]!.meanKg + leg.hikers[0]!.body.bodyKg, 0) / 4;
  expect(wear!.kmEq).toBeCloseTo((400 * meanKg) / 80, -0.5);
  // 300 km on average: a fifth is worn out by 228, so it is changed twice, at stops.
  expect(wear!.changeAtLegs).toEqual([2]);
  expect(wear!.chance).toBeCloseTo(1 - Math.exp(-(((0.9064025 * wear!.kmEq) / 300) ** 4)), 4);
  const scree = [{ id: "x", name: "x", fromM: 0, toM: 400_000, kind: "surface", surface: "scree" }];
  const rough = planWith([shoes], { hikers, stretches: scree });
  const [rougher] = shoeWear(rough, computePlan(rough, track));
  expect(rougher!.kmEq / wear!.kmEq).toBeCloseTo(1.6, 1);
  expect(rougher!.changeAtLegs).toEqual([1, 2, 3]);
});

test("a pair that was worn before is changed sooner; where no counter is open, at the next that is", () => {
  const worn = pieceOf("shoes", 600, { role: "shoes", wear: "worn", meanLifeM: 500_000, wornM: 300_000 });
  const plan = planWith([worn]);
  expect(shoeWear(plan, computePlan(plan, track))[0]!.changeAtLegs[0]).toBe(1);
  const shut = [{ ...stops[0]!, services: ["shop-full", "bed"] }, stops[1]!, stops[2]!];
  const later = planWith([worn], { stops: shut });
  expect(shoeWear(later, computePlan(later, track))[0]!.changeAtLegs[0]).toBe(2);
});

test("a tube runs out on the leg on which its days are over, and says what would last", () => {
  const of = (massG: number, services = ["post", "bed"]) => {
    const given = stops.map((stop) => ({ ...stop, services }));
    const cream = pieceOf("cream", massG, { wear: "consumable", perDayG: 10 });
    const plan = planWith([cream, pieceOf("pot", 100)], { stops: given });
    const result = computePlan(plan, track);
    return { rows: usedUp(plan, result), result };
  };
  const { rows, result } = of(100);
  expect(rows).toHaveLength(1);
  expect(rows[0]!.lastsDays).toBeCloseTo(100 / (10 * (1 + 1.645 * 0.3)), 6);
  const days = result.legs.map(({ dayCount, zeroDays }) => dayCount + zeroDays);
  expect(days[0]!).toBeLessThan(6.6);
  expect(rows[0]!.runsOutOnLeg).toBe(1);
  const { wantedG, left } = rows[0]!;
  expect(left.map(({ legIndex }) => legIndex)).toEqual([0, 1, 2, 3]);
  expect(left[0]!.grams).toBe(100);
  expect(left[1]!.grams).toBeCloseTo(100 - 10 * days[0]!, 9);
  expect(left[3]!.grams).toBe(0);
  // A heavier tube may take a day more.
  expect(of(1.2 * wantedG).rows[0]!.runsOutOnLeg).toBeUndefined();
  expect(of(0.95 * wantedG).rows[0]!.runsOutOnLeg).toBe(3);
  // Where shops are slept at, it is filled again with less than ten days left.
  const bought = of(100, ["shop-full", "bed"]).rows[0]!;
  expect(bought.refillAtLegs).toEqual([1, 2, 3]);
  expect(bought.runsOutOnLeg).toBeUndefined();
  expect(bought.left.map(({ grams }) => grams)).toEqual([100, 100, 100, 100]);
});
