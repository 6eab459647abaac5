/** Where nights fall on a flat trail at 4 km/h: worked out apart. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { hikerOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { layGround, walkAll } from "../../test/ground.ts";
import { runs } from "../../test/arbitraryPlan.ts";
import { FIRM_SNOW } from "./surfaces.ts";
import { beginDay } from "./today.ts";
import type { Walk } from "./walk.ts";

interface Given {
  waterKm?: number[];
  hoursH?: number;
  lengthKm?: number;
  water?: Record<string, number>;
  more?: Record<string, unknown>;
}

/** 2.5 L to a dry camp. */
const WATER = { dinnerL: 1, nightL: 1, breakfastL: 0.5 };

function walkOf({ waterKm = [], hoursH = 6, lengthKm = 100, water = WATER, more = {} }: Given): Walk {
  const hiker = hikerOf({
    schools: { time: "own-pace" },
    pace: {
      ownFlatKmh: 4,
      ownClimbMPerH: 400,
      hoursFreshH: hoursH,
      hoursFitH: hoursH,
      breakFraction: 0,
      startClockH: 7,
    },
    water,
  });
  const plan = planOf({
    trip: { name: "T", startDate: "2027-06-01" },
    hikers: [hiker],
    sources: waterKm.map((km, i) => sourceOf(`w${i}`, 1000 * km)),
    dayRules: { heatSlowPerK: 0, loadSlowness: 0 },
    ...more,
  });
  const { ground } = layGround(plan, [trackNorth({ lengthM: 1000 * lengthKm })]);
  return walkAll(ground, 0);
}

const nightsKm = ({ parts }: Walk): number[] =>
  parts.filter(({ night }) => night === "camp").map(({ endNode }) => Math.round(endNode / 10));

test.each([
  [
    [24, 48, 72],
    [24, 48, 72],
  ],
  // Half an hour on is 30 minutes; without water it would be 15 + 2.5 L · 6 h · 4.
  [
    [26, 52, 78],
    [26, 52, 78],
  ],
])("with water at %j km nights are there", (waterKm, nights) => {
  expect(nightsKm(walkOf({ waterKm })).slice(0, 3)).toEqual(nights);
});

test("an hour and a half on costs more than a night without water", () => {
  // 60 and 60 minutes against 75.
  expect(nightsKm(walkOf({ waterKm: [30, 60] }))[0]).toBe(24);
  // An hour is walked on in any case.
  expect(nightsKm(walkOf({ waterKm: [28] }))[0]).toBe(28);
});

test("what a day goes beyond is made good by the next, half an hour at most", () => {
  const { parts } = walkOf({ waterKm: [27] });
  expect(parts[0]!.walkH).toBeCloseTo(6.75, 1);
  expect(parts[1]!.budgetH).toBeCloseTo(5.5, 1);
  expect(parts[2]!.budgetH).toBeCloseTo(5.75, 1);
});

test("a stop is come to rather than camped a little before", () => {
  for (const km of [24.2, 26, 27.9]) {
    const { parts } = walkOf({ waterKm: [24], more: { stops: [stopOf("a", 1000 * km)] } });
    expect(parts[0]).toMatchObject({ night: "stop" });
  }
});

test("over many days the hours walked are those wanted, and no camp lies short of water", () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 1, max: 40, noNaN: true }), { minLength: 8, maxLength: 60 }),
      fc.integer({ min: 10, max: 18 }),
      (gapsKm, halves) => {
        let km = 0;
        const waterKm = gapsKm.map((gap) => (km += gap)).filter((at) => at < 795);
        const { parts } = walkOf({ waterKm, hoursH: halves / 2, lengthKm: 800 });
        const whole = parts.slice(0, -1);
        const walkedH = whole.reduce((sum, { walkH }) => sum + walkH, 0);
        expect(Math.abs(walkedH / (whole.length * (halves / 2)) - 1)).toBeLessThan(0.015);
        for (const { endNode, night } of whole) {
          if (night !== "camp" || waterKm.some((at) => Math.abs(at - endNode / 10) <= 0.35)) continue;
          expect(waterKm.filter((at) => at > endNode / 10 && at < endNode / 10 + 3.9)).toEqual([]);
        }
      },
    ),
    { numRuns: runs(60) },
  );
});

test("more hours never take more days", () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 2, max: 30, noNaN: true }), { minLength: 5, maxLength: 40 }),
      fc.integer({ min: 10, max: 16 }),
      fc.integer({ min: 1, max: 4 }),
      (gapsKm, halves, more) => {
        let km = 0;
        const waterKm = gapsKm.map((gap) => (km += gap)).filter((at) => at < 395);
        const days = (hoursH: number): number => walkOf({ waterKm, hoursH, lengthKm: 400 }).parts.length;
        expect(days((halves + more) / 2)).toBeLessThanOrEqual(days(halves / 2));
      },
    ),
    { numRuns: runs(60) },
  );
});

test("snow that never thawed is powder at every hour; what thaws by day is firm in the morning", () => {
  const crustUntilH = (lowC: number, highC: number): number => {
    const plan = planOf({ climate: { stations: [stationOf(lowC, highC)] } });
    const { ground } = layGround(plan, [trackNorth({ lengthM: 20_000 })]);
    const today = beginDay(ground, 1, { day: ground.startDay, fromStop: false, nightsUp: 0 }, 0);
    const firm = (afterH: number): boolean =>
      today.snowUnderfoot(ground.profile.heightM[0]!, today.sunriseH + afterH, 0) === FIRM_SNOW;
    return [0, 1, 2, 3, 4, 5, 6].filter(firm).length;
  };
  expect(crustUntilH(-30, -20)).toBe(0);
  expect(crustUntilH(-12, -9)).toBe(0);
  expect(crustUntilH(-6, 5)).toBeGreaterThan(2);
});

test("above the tree line wind packs half of the powder, below it none", () => {
  const packed = (treeLineM?: number): number => {
    const climate = { stations: [stationOf(-20, -10)] };
    const { ground } = layGround(planOf({ climate, dayRules: { treeLineM } }), [trackNorth({ lengthM: 20_000 })]);
    const today = beginDay(ground, 1, { day: ground.startDay, fromStop: false, nightsUp: 0 }, 0);
    const cells = Array.from({ length: 200 }, (_, cell) =>
      today.snowUnderfoot(ground.profile.heightM[cell]!, 12, cell),
    );
    return cells.filter((surface) => surface === FIRM_SNOW).length;
  };
  const { heightM } = layGround(planOf({}), [trackNorth({ lengthM: 20_000 })]).ground.profile;
  expect([packed(), packed(heightM[0]! + 1), packed(heightM[0]! - 1)]).toEqual([0, 0, 100]);
});

test("dinner is cooked at the last water before a dry camp where the rules say so, and weighs in the choice", () => {
  // Water at 16 and 42 km: 24 km is dry, two hours beyond the water; 15 + 2.5 L · 2 h · 4 against 15 + 1.5 L · 2 h · 4 + 5.
  const dine = { dayRules: { dinnerAtWater: true, heatSlowPerK: 0, loadSlowness: 0 } };
  const [camped, dined] = [walkOf({ waterKm: [16, 42] }), walkOf({ waterKm: [16, 42], more: dine })];
  expect(nightsKm(dined)[0]).toBe(24);
  expect(camped.parts[0]!.dinnerNode).toBeUndefined();
  expect(dined.parts[0]!.dinnerNode).toBe(160);
  expect(dined.parts[0]!.endClockH - camped.parts[0]!.endClockH).toBeCloseTo(0.75);
  expect(dined.parts[0]!.walkH).toBe(camped.parts[0]!.walkH);
  // At water it is eaten there; over three hours beyond it, in camp.
  expect(walkOf({ waterKm: [24], more: dine }).parts[0]!.dinnerNode).toBeUndefined();
  expect(walkOf({ waterKm: [11], more: dine }).parts[0]!.dinnerNode).toBeUndefined();
  // Snow at the tent is water: nothing is eaten before.
  const snow = { id: "s", name: "Snow", kind: "snow", fromM: 20_000, toM: 30_000 };
  const onSnow = walkOf({ waterKm: [16, 42], more: { ...dine, stretches: [snow] } }).parts.find(
    ({ night }) => night === "camp",
  );
  expect(onSnow!.endNode).toBeGreaterThan(200);
  expect(onSnow!.dinnerNode).toBeUndefined();
  // Water an hour and three minutes on costs 66 minutes; dry with 5 L it is 15 + 58, and without dinner's 2 L 15 + 35 + 5.
  const water = { dinnerL: 2, nightL: 2, breakfastL: 1 };
  const ends = (more = {}): number => nightsKm(walkOf({ waterKm: [12.4, 28.2], water, more }))[0]!;
  expect([ends(), ends(dine)]).toEqual([28, 24]);
});
