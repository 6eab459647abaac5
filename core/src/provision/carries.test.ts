/** Water off the trail: what it costs, when it pays, and how much of a camp's water is carried to it. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, trackNorth } from "../../test/fixtures.ts";
import { runs } from "../../test/arbitraryPlan.ts";
import { computePlan } from "../session/session.ts";
import type { LegHiker, LegResult } from "../result/result.ts";
import { carriedToCamp } from "../walk/camps.ts";
import { payingPoints, weighed, type PayingInput } from "./payingWater.ts";
import type { WaterPoint } from "./water.ts";

const flat = [trackNorth({ lengthM: 100_000 })];
type Input = Record<string, unknown>;
const leg = (sources: Input[], overrides: Input = {}): LegResult =>
  computePlan(planOf({ sources, climate: { stations: [stationOf(8, 18)] }, ...overrides }), flat).legs[0]!;
const row = (...given: Parameters<typeof leg>): LegHiker => leg(...given).hikers[0]!;
const sourcesAt = (kms: number[], offTrailM: number): Input[] =>
  kms.map((km) => sourceOf(`w${km}`, km * 1000, { offTrailM }));
const tens = [10, 20, 30, 40, 50, 60, 70, 80, 90];

describe("a detour costs its way, and is made only where it pays", () => {
  test("nine sources, all 2 km off: hours, energy and litres of every one that is walked to", () => {
    const on = leg(sourcesAt(tens, 0));
    const off = leg(sourcesAt(tens, 2000));
    const made = off.hikers[0]!.detours.filter((choice) => choice.made);
    expect(made.length).toBeGreaterThan(1);
    expect(made.length).toBeLessThan(9);
    // Four kilometres each, at the hiker's own level pace under the pack of the place.
    expect(off.detourH).toBeCloseTo(
      made.reduce((sum, { minutes }) => sum + minutes / 60, 0),
      6,
    );
    expect(off.detourH / made.length).toBeGreaterThan(1);
    expect(off.walkH).toBeCloseTo(off.trailH + off.detourH, 9);
    expect(off.trailH).toBeGreaterThan(on.trailH);
    const kcal = ({ energy, food }: LegHiker): number => energy.totalKcal * food.mealDays;
    expect(kcal(off.hikers[0]!)).toBeGreaterThan(kcal(on.hikers[0]!) + 60 * off.detourH);
    expect(off.dayCount).toBeGreaterThan(on.dayCount);
  });

  test("a source 2 km off at km 12 beside one on the trail at km 14 is passed by, and told with what was weighed", () => {
    const with2 = row([...sourcesAt([12], 2000), ...sourcesAt([14, 30, 50, 70, 90], 0)]);
    const without = row(sourcesAt([14, 30, 50, 70, 90], 0));
    expect(with2.carries.map(({ litres }) => litres)).toEqual(without.carries.map(({ litres }) => litres));
    const [choice] = with2.detours;
    expect(choice).toMatchObject({ sourceId: "w12", distanceM: 4000, made: false, needed: false });
    expect(choice!.minutes).toBeGreaterThan(60);
    expect(choice!.sparedLh * 4).toBeLessThan(choice!.minutes);
  });

  test("the exchange is one's own: at a higher price of carrying the same source is walked to", () => {
    const sources = [...sourcesAt([12], 500), ...sourcesAt([24, 50, 75], 0)];
    const made = (detourMinPerLitreHour: number): boolean =>
      row(sources, { dayRules: { detourMinPerLitreHour } }).detours[0]!.made;
    expect([made(0), made(1), made(60)]).toEqual([false, false, true]);
  });

  test("what the bottles cannot hold past it is fetched at any price", () => {
    const sources = [...sourcesAt([25], 3000), ...sourcesAt([50, 75], 0)];
    const bottles = (capacityL: number): Input => ({
      dayRules: { detourMinPerLitreHour: 0 },
      kit: [pieceOf("bottle", 40, { role: "bottle", capacityL })],
    });
    expect(row(sources, bottles(20)).detours[0]).toMatchObject({ made: false, needed: false });
    expect(row(sources, bottles(4)).detours[0]).toMatchObject({ made: true, needed: true });
  });

  test("who trusts it decides; who goes goes with all, and the others fill up there only if they trust it too", () => {
    const sources = [sourceOf("w", 30_000, { offTrailM: 400, reliable: false }), ...sourcesAt([60], 0)];
    const hikers = [hikerOf({ water: { trust: "all" } }), hikerOf({ id: "b", water: { trust: "reliable" } })];
    const { hikers: rows, detourH } = leg(sources, { hikers });
    expect(detourH).toBeGreaterThan(0);
    expect(rows.map(({ carries }) => carries.some(({ fromSourceId }) => fromSourceId === "w"))).toEqual([true, false]);
  });

  test("too far for what is left of the day: one camps before it", () => {
    const sources = [...sourcesAt([24], 6000), ...sourcesAt([50, 75], 0)];
    const plan = planOf({
      sources,
      climate: { stations: [stationOf(8, 18)] },
      kit: [pieceOf("bottle", 40, { role: "bottle", capacityL: 4 })],
      hikers: [hikerOf({ pace: { hoursFreshH: 7, hoursFitH: 7 } })],
    });
    const { days, legs } = computePlan(plan, flat);
    expect(legs[0]!.hikers[0]!.detours[0]!.made).toBe(true);
    for (const day of days) expect(day.walkH).toBeLessThan(8.1);
  });
});

describe("a camp's water", () => {
  test("fetched up to 300 m, all carried from 2 km, straight between", () => {
    expect([0, 300, 1150, 2000, 9000].map(carriedToCamp)).toEqual([0, 0, 0.5, 1, 1]);
  });

  test("beside water 2 km off the camp is dry unless one walks there", () => {
    const camped = (detourMinPerLitreHour: number) =>
      computePlan(
        planOf({
          sources: sourcesAt(tens, 2000),
          climate: { stations: [stationOf(8, 18)] },
          dayRules: { detourMinPerLitreHour },
        }),
        flat,
      ).days.filter((day) => day.night === "camp");
    const dry = camped(0);
    expect(dry.length).toBeGreaterThan(2);
    expect(dry.every((day) => day.dry)).toBe(true);
    expect(camped(60).every((day) => !day.dry)).toBe(false);
    expect(camped(60).filter((day) => day.dry).length).toBeLessThan(dry.length);
  });

  test("is less by dinner's where that is cooked at the last water", () => {
    const cooked = (dinnerAtWater: boolean): LegHiker =>
      row(sourcesAt([16, 55], 0), { dayRules: { endRule: "hours", dinnerAtWater } });
    const [camped, dined] = [cooked(false), cooked(true)];
    const at = ({ carries }: LegHiker): number => carries.find(({ fromSourceId }) => fromSourceId === "w16")!.campL;
    expect(at(camped)).toBeGreaterThan(0);
    expect(at(camped) - at(dined)).toBeCloseTo(planOf({}).hikers[0]!.water.dinnerL, 2);
  });

  test("grows without a step as the water moves away from the camp", () => {
    // Days end by their hours: the camps stay where they are.
    const rules = { dayRules: { endRule: "hours" } };
    let before: number | undefined;
    let least = Infinity;
    let most = 0;
    for (let m = 20_000; m <= 27_000; m += 100) {
      const { carries } = row([sourceOf("w", m), ...sourcesAt([45, 60, 80], 0)], rules);
      const campL = carries.slice(0, 2).reduce((sum, carry) => sum + carry.campL, 0);
      if (before !== undefined) expect(Math.abs(campL - before)).toBeLessThan(0.25);
      before = campL;
      least = Math.min(least, campL);
      most = Math.max(most, campL);
    }
    expect(least).toBe(0);
    expect(most).toBeGreaterThan(1.3);
  });
});

describe("water in its season", () => {
  const tank = (chanceByMonth: number[]): Input => sourceOf("tank", 30_000, { chanceByMonth });
  const on = (startDate: string, source: Input): boolean =>
    row([source], { trip: { name: "Test", startDate } }).carries.some((carry) => carry.toSourceId === "tank");

  test("a monthly chance runs straight from mid-month to mid-month", () => {
    const june = Array<number>(12).fill(1);
    june[6] = 0;
    // 0.7 is reached three tenths of the distance from mid-June to mid-July.
    expect(on("2027-06-18", tank(june))).toBe(true);
    expect(on("2027-06-28", tank(june))).toBe(false);
  });

  test("in a stretch that is dry in that season nobody counts on it, unless they say so; at its ends they do", () => {
    const dry = { id: "d", name: "Dry", fromM: 30_000, toM: 60_000, kind: "dry" };
    const summer = { fromMonthDay: "06-01", toMonthDay: "08-31" };
    const used = (trackM: number, stretch: Input, startDate: string, rest: Input = {}): boolean =>
      row([sourceOf("w", trackM, rest)], { stretches: [stretch], trip: { name: "Test", startDate } }).carries.some(
        (carry) => carry.toSourceId === "w",
      );
    expect(used(40_000, dry, "2027-05-01")).toBe(false);
    expect(used(30_000, dry, "2027-05-01")).toBe(true);
    expect(used(40_000, dry, "2027-05-01", { counted: true })).toBe(true);
    expect(used(40_000, { ...dry, ...summer }, "2027-05-01")).toBe(true);
    expect(used(40_000, { ...dry, ...summer }, "2027-07-01")).toBe(false);
  });
});

describe("the choice with the least cost", () => {
  const arbitraryChoice = fc
    .array(
      fc.record({
        km: fc.double({ min: 0.1, max: 15, noNaN: true }),
        offTrailM: fc.integer({ min: 0, max: 3000 }),
        free: fc.boolean(),
      }),
      { minLength: 1, maxLength: 8 },
    )
    .map((steps) => {
      let km = 0;
      const kms = [0];
      const points: WaterPoint[] = [
        { node: 0, sourceId: undefined, offTrailM: 0, optional: false, isIce: false, chance: 1, pastShare: 0 },
      ];
      for (const [i, step] of steps.entries()) {
        kms.push((km += step.km));
        const optional = !step.free && i + 1 < steps.length;
        points.push({
          node: i + 1,
          sourceId: `s${i}`,
          offTrailM: step.offTrailM,
          optional,
          isIce: false,
          chance: 1,
          pastShare: 0,
        });
      }
      const paying: PayingInput = {
        points,
        minutes: (i) => points[i]!.offTrailM / 40,
        haul: (i, j) => {
          const distanceKm = kms[j]! - kms[i]!;
          return { litreHours: (distanceKm * distanceKm) / 64, overL: Math.max(0, distanceKm / 8 - 3) };
        },
        minPerLitreHour: 4,
      };
      return paying;
    });
  const costOf = ({ points, minutes, haul, minPerLitreHour }: PayingInput, chosen: readonly number[]): number => {
    let cost = 0;
    for (let k = 1; k < chosen.length; k++) {
      const { litreHours, overL } = haul(chosen[k - 1]!, chosen[k]!);
      cost += minPerLitreHour * litreHours + 1e6 * overL + (points[chosen[k]!]!.optional ? minutes(chosen[k]!) : 0);
    }
    return cost;
  };

  test("is that of trying them all", () => {
    fc.assert(
      fc.property(arbitraryChoice, (paying) => {
        const { points } = paying;
        const optional = points.flatMap((point, i) => (point.optional ? [i] : []));
        let least = Infinity;
        for (let mask = 0; mask < 1 << optional.length; mask++) {
          const chosen = points.flatMap((point, i) =>
            !point.optional || (mask >> optional.indexOf(i)) & 1 ? [i] : [],
          );
          least = Math.min(least, costOf(paying, chosen));
        }
        const found = costOf(paying, payingPoints(paying));
        expect(Math.abs(found - least)).toBeLessThanOrEqual(1e-9 * Math.max(1, least));
      }),
      { numRuns: runs(300) },
    );
  });

  test("and each that is taken spares more than it costs, each that is left less, unless the bottles ask for it", () => {
    fc.assert(
      fc.property(arbitraryChoice, (paying) => {
        const chosen = payingPoints(paying);
        const weighedOnce = weighed(
          paying,
          chosen,
          () => 0,
          ({ node }) => chosen.includes(node),
        );
        for (const { made, needed, sparedLh, minutes } of weighedOnce) {
          if (needed) continue;
          if (made) expect(4 * sparedLh).toBeGreaterThanOrEqual(minutes - 1e-6);
          else expect(4 * sparedLh).toBeLessThanOrEqual(minutes + 1e-6);
        }
        expect(weighedOnce).toHaveLength(paying.points.filter(({ optional }) => optional).length);
      }),
      { numRuns: runs(300) },
    );
  });
});
