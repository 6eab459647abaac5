import { describe, expect, test } from "vitest";
import fc from "fast-check";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, readGpx, storeOf, writeLogGpx, type Plan } from "../index.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";
import { normal } from "../units/draws.ts";
import { AGAINST, againstPlan, type Against } from "./against.ts";
import { cardsOf } from "./cards.ts";
import { rationState } from "./enough.ts";
import { pieceRecords } from "./pieces.ts";
import { fitLog, fitOf, PRIORS, withFits, type Fitted, type Observed } from "./fit.ts";
import { logReadings, nightBias } from "./readings.ts";
import { shakedownOf, withShakedown } from "./shakedown.ts";

/** Days that all say the same of a thing, none of them old. */
const same = (n: number, y: number): Observed[] => Array.from({ length: n }, () => ({ y, ageDays: 0 }));

describe("posterior of a factor, against worked values", () => {
  test.each([
    [3, -0.12, -0.05015, 0.07629],
    [10, -0.12, -0.08463, 0.05429],
    [30, -0.12, -0.1053, 0.03497],
    [10, -0.03, -0.02116, 0.05429],
  ])("%d days of %f: %f ± %f", (n, y, posterior, spread) => {
    // Cards in pairs about y, an odd one on it, exactly as far apart as they are thought to be.
    const { sigma } = PRIORS.pace;
    const odd = n % 2;
    const swing = sigma * Math.sqrt((n - 1) / (n - odd));
    const days = Array.from({ length: n }, (_, i) => ({
      y: odd && i === 0 ? y : y + (i % 2 === 0 ? swing : -swing),
      ageDays: 0,
    }));
    const fit = fitOf("pace", days);
    expect(fit.posterior).toBeCloseTo(posterior, 4);
    expect(fit.spread).toBeCloseTo(spread, 4);
  });

  test("changed is said of much that is sure, and not of little or of three days", () => {
    expect(fitOf("pace", same(30, -0.12)).hasChanged).toBe(true);
    expect(fitOf("pace", same(40, -0.02)).hasChanged).toBe(false);
    expect(fitOf("pace", same(1, -0.12)).hasChanged).toBe(false);
    expect(fitOf("food", [])).toMatchObject({ posterior: 0, factor: 1, cards: 0, hasChanged: false });
  });

  test("a card of a month ago weighs half", () => {
    const old = fitOf("food", [{ y: 0.3, ageDays: 30 }, { y: 0.3, ageDays: 30 }]); // prettier-ignore
    expect(old.posterior).toBeCloseTo(fitOf("food", same(1, 0.3)).posterior, 9);
  });

  test("known factors are found again within their spread in 95 of 100 logs", () => {
    let found = 0;
    const logs = 300;
    const { tau, sigma, r } = PRIORS.pace;
    for (let k = 0; k < logs; k++) {
      const truth = tau * normal(7, k, 0, 0);
      let drift = normal(7, k, 1, -1);
      const days = Array.from({ length: 20 }, (_, i) => {
        drift = r * drift + Math.sqrt(1 - r * r) * normal(7, k, 1, i);
        return { y: truth + sigma * drift, ageDays: 19 - i };
      });
      const { posterior, spread } = fitOf("pace", days);
      if (Math.abs(posterior - truth) <= 1.96 * spread) found++;
    }
    expect(found / logs).toBeGreaterThan(0.92);
    expect(found / logs).toBeLessThan(1);
  });
});

const tracks = [trackNorth({ lengthM: 300_000, heightM: (m) => 300 + 100 * Math.sin(m / 3000) })];
const base = {
  stops: [stopOf("a", 100_000, { services: ["shop-full", "bed"], nights: 1 }), stopOf("b", 200_000, { services: ["shop-full", "bed"], nights: 1 })],
  sources: Array.from({ length: 20 }, (_, i) => sourceOf(`w${i}`, 7000 + i * 15_000)),
  climate: { stations: [stationOf(6, 16)] },
  kit: [pieceOf("bottles", 80, { role: "bottle", capacityL: 8 })],
}; // prettier-ignore
const dateOf = (i: number): string => isoOfDay(dayNumber("2027-05-01")! + i);

/** A log of so many days of 15 km, walked by the plan's own hours times a factor. */
function loggedPlan(days: number, slower: number, more: (i: number) => Record<string, unknown> = () => ({})): Plan {
  const cards = Array.from({ length: days }, (_, i) => ({ id: `d${i}`, date: dateOf(i), trackM: 15_000 * (i + 1) }));
  const plan = planOf({ ...base, log: cards });
  const ground = cardsOf(plan, computePlan(plan, tracks)).map(({ groundH }) => groundH);
  return planOf({ ...base, log: cards.map((card, i) => ({ ...card, walkedH: ground[i]! * slower, ...more(i) })) });
}

describe("the log against the plan", () => {
  test("cards follow each other: ground, climb, totals, days without a card", () => {
    const log = [0, 1, 4].map((i, k) => ({ id: `d${i}`, date: dateOf(i), trackM: 20_000 * (k + 1) }));
    const plan = planOf({ ...base, log });
    const found = cardsOf(plan, computePlan(plan, tracks));
    expect(found.map(({ sinceDays }) => sinceDays)).toEqual([1, 1, 3]);
    expect(found.map(({ toM }) => Math.round(toM / 1000))).toEqual([20, 40, 60]);
    expect(found.map(({ tripDay }) => tripDay)).toEqual([1, 2, 5]);
    for (const { climbM, descentM, fromHeightM, toHeightM } of found)
      expect(climbM - descentM).toBeCloseTo(toHeightM - fromHeightM, -1);
  });

  test("ahead and behind of the plan as it stood when the log was begun", () => {
    const plannedDays = [10, 20, 30, 40].map((km, i) => ({ date: dateOf(i), toM: km * 1000, walkH: 4 }));
    const plan = planOf({ ...base, plannedDays, log: [{ id: "x", date: dateOf(1), trackM: 25_000 }] });
    const [card] = cardsOf(plan, computePlan(plan, tracks));
    expect(card!.aheadM! / 1000).toBeCloseTo(5, 1);
    expect(card!.aheadDays).toBeCloseTo(0.5, 1);
  });

  test("what cannot be is named and nothing is taken from it", () => {
    const log = [
      { id: "a", date: dateOf(-3), trackM: 5000 },
      { id: "b", date: dateOf(0), trackM: 60_000, walkedH: 2, foodKg: 2 },
      { id: "c", date: dateOf(1), trackM: 40_000, walkedH: 6, foodKg: 9 },
    ];
    const plan = planOf({ ...base, log });
    const faults = cardsOf(plan, computePlan(plan, tracks)).map((card) => card.faults);
    expect(faults).toEqual([["before-start"], ["too-fast"], ["back", "more-food"]]);
    expect(fitLog(plan, computePlan(plan, tracks))).toEqual([]);
  });
});

describe("learning", () => {
  test("a hiker who takes a quarter longer is found slower, and the rest of the plan takes longer", () => {
    const plan = loggedPlan(14, 1.25);
    const result = computePlan(plan, tracks);
    const pace = fitLog(plan, result).find(({ what }) => what === "pace")!;
    expect(pace).toMatchObject({ cards: 14, hasChanged: true });
    expect(pace.factor).toBeGreaterThan(0.8);
    expect(pace.factor).toBeLessThan(0.9);
    const then = withFits(plan, result, [pace]);
    expect(then.hikers[0]!.pace.speedFactor).toBeCloseTo(plan.hikers[0]!.pace.speedFactor * pace.factor, 9);
    const after = computePlan(then, tracks);
    expect(dayNumber(after.finishDate)!).toBeGreaterThanOrEqual(dayNumber(result.finishDate)!);
    // The past stays, to the node.
    const past = (one: typeof after) => one.days.filter(({ date }) => date < dateOf(14)).map(({ toNode }) => toNode);
    expect(past(after)).toEqual(past(result));
    // What was taken is not learnt a second time from the same cards.
    const again = fitLog(then, after).find(({ what }) => what === "pace")!;
    expect(again.factor).toBeCloseTo(pace.factor, 1);
    const twice = withFits(then, after, [again]);
    expect(twice.hikers[0]!.pace.speedFactor / then.hikers[0]!.pace.speedFactor).toBeCloseTo(1, 1);
  });

  test("cards that say what the plan says change nothing", () => {
    const plan = loggedPlan(12, 1);
    const result = computePlan(plan, tracks);
    const fits = fitLog(plan, result);
    const pace = fits.find(({ what }) => what === "pace")!;
    expect(pace.factor).toBeCloseTo(1, 9);
    expect(pace.hasChanged).toBe(false);
    expect(withFits(plan, result, [pace]).hikers).toEqual(plan.hikers);
  });

  test("food and fuel go to the first hiker; pace and hours to all who walk together", () => {
    const plan = planOf({ ...base, hikers: [hikerOf(), hikerOf({ id: "b", name: "B" })] });
    const result = computePlan(plan, tracks);
    const then = withFits(plan, result, [
      { what: "hours", factor: 1.1 },
      { what: "food", factor: 0.9 },
      { what: "fuel", factor: 1.2 },
    ]);
    expect(then.hikers.map(({ pace }) => pace.hoursFitH)).toEqual([8.25, 8.25]);
    const { gramsPerBoil } = result.legs[0]!.hikers[0]!.fuel;
    expect(then.hikers[0]!.stove.gramsPerBoil).toBeCloseTo(1.2 * gramsPerBoil, 9);
    expect(then.hikers[0]!.food.appetiteByWeek[3]).toBeCloseTo(0.9, 9);
    expect(then.hikers[1]!.stove).toEqual(plan.hikers[1]!.stove);
    expect(then.learned.map(({ what }) => what)).toEqual(["hours", "food", "fuel"]);
  });

  test("breaks, litres and charge that differ by a factor from the plan are drawn to it, and taken by what they belong to", () => {
    const devices = [
      { id: "phone", name: "Phone", ownerId: "a", kind: "rechargeable", whPerDay: 3, mAh: 12_000 },
      { id: "theirs", name: "Watch", ownerId: "b", kind: "rechargeable", whPerDay: 1, mAh: 1000 },
    ];
    const hikers = [hikerOf(), hikerOf({ id: "b", name: "B" })];
    const plan = planOf({ ...base, hikers, devices, charge: { stores: "own" } });
    const result = computePlan(plan, tracks);
    const store = storeOf(result.power!, "a")!;
    const camp = 0.5 + 0.5 + 0.4;
    const until = (date: string): number =>
      result.days.reduce((sum, day, i) => (day.date <= date ? sum + store.days[i]!.usedWh : sum), 0);
    const log = result.days.slice(0, 6).flatMap(({ date, toNode, walkH, walkL, night }) =>
      night === "camp"
        ? [
            {
              id: date,
              date,
              trackM: toNode * result.profile.cellM,
              walkedH: walkH,
              breakH: walkH * plan.hikers[0]!.pace.breakFraction * 1.5,
              drankL: camp + 1.4 * walkL[0]!,
              chargeFraction: 1 - (1.3 * until(date)) / store.legs[0]!.capacityWh,
            },
          ]
        : [],
    );
    expect(log.length).toBeGreaterThan(3);
    const walked = planOf({ ...base, hikers, devices, charge: { stores: "own" }, log });
    const fits = fitLog(walked, computePlan(walked, tracks));
    const factor = (what: Fitted): number => fits.find((fit) => fit.what === what)!.factor;
    // Drawn towards one by the prior, and no further than what was put in.
    for (const [what, truth] of [
      ["breaks", 1.5],
      ["litres", 1.4],
      ["charge", 1.3],
    ] as const) {
      expect(factor(what)).toBeGreaterThan(1 + 0.3 * (truth - 1));
      expect(factor(what)).toBeLessThan(truth + 0.02);
    }
    const then = withFits(walked, result, fits);
    const mine = walked.hikers[0]!;
    expect(then.hikers[0]!.water.ratePerKmL).toBeCloseTo(mine.water.ratePerKmL * factor("litres"), 9);
    expect(then.hikers[1]!.water).toEqual(walked.hikers[1]!.water);
    expect(then.hikers[1]!.pace.breakFraction).toBeCloseTo(mine.pace.breakFraction * factor("breaks"), 9);
    expect(then.devices.map(({ whPerDay }) => whPerDay)).toEqual([expect.closeTo(3 * factor("charge"), 9), 1]);
  });

  test("a balance of water gives way to the litres an hour that were found, a measured rate is scaled", () => {
    const balance = planOf({ ...base, hikers: [hikerOf({ schools: { water: "heat-balance" } })] });
    const result = computePlan(balance, tracks);
    const walkH = result.days.reduce((sum, day) => sum + day.walkH, 0);
    const litres = result.days.reduce((sum, day) => sum + day.walkL[0]!, 0);
    const taken = withFits(balance, result, [{ what: "litres", factor: 1.2 }]);
    expect(taken.hikers[0]!.water.measuredLph).toBeCloseTo((1.2 * litres) / walkH, 9);
    const again = withFits(taken, result, [{ what: "litres", factor: 1.5 }]);
    expect(again.hikers[0]!.water.measuredLph).toBeCloseTo((1.5 * litres) / walkH, 9);
  });

  test("a shakedown's pace, breaks and litres are copied, the others keep their distance; its trip is named once", () => {
    const before = planOf({ ...base, id: "before", log: loggedPlan(4, 1.2, () => ({ breakH: 2, drankL: 4 })).log });
    const lessons = shakedownOf(before, computePlan(before, tracks))!;
    expect(lessons).toMatchObject({ planId: "before", days: 4, on: dateOf(0) });
    expect(lessons.lessons.map(({ what }) => what)).toEqual(["pace", "breaks", "litres"]);
    expect(lessons.pace.speedFactor).toBeLessThan(before.hikers[0]!.pace.speedFactor);
    const plan = planOf({ ...base, hikers: [hikerOf(), hikerOf({ id: "b", name: "B", pace: { speedFactor: 1.2 } })] });
    const once = withShakedown(plan, lessons);
    expect(once.hikers[0]!.pace.speedFactor).toBeCloseTo(lessons.pace.speedFactor, 9);
    expect(once.hikers[1]!.pace.speedFactor / once.hikers[0]!.pace.speedFactor).toBeCloseTo(
      1.2 / plan.hikers[0]!.pace.speedFactor,
      9,
    );
    expect(once.hikers[0]!.water).toMatchObject(lessons.water);
    const twice = withShakedown(once, lessons);
    expect(twice.hikers).toEqual(once.hikers);
    expect(twice.shakedowns).toEqual([{ planId: "before", name: before.trip.name, days: 4, on: dateOf(0) }]);
    expect(shakedownOf(plan, computePlan(plan, tracks))).toBeUndefined();
  });

  test("nights of the log are readings once, and the season follows them", () => {
    const plan = loggedPlan(8, 1, (i) => ({ lowC: 12, ...(i === 7 ? { night: "bed" } : {}) }));
    const result = computePlan(plan, tracks);
    const cards = cardsOf(plan, result);
    const readings = logReadings(plan, result, cards);
    expect(readings.map(({ date }) => date)).toEqual(Array.from({ length: 7 }, (_, i) => dateOf(i)));
    const bias = nightBias(result, cards)!;
    expect(bias.nights).toBe(7);
    expect(bias.meanK).toBeGreaterThan(3);
    const then = { ...plan, climate: { ...plan.climate, readings } };
    const after = computePlan(then, tracks);
    const low = ({ days }: typeof after) => days.find(({ date }) => date === dateOf(9))!.lowC;
    expect(low(after)).toBeGreaterThan(low(result));
    expect(logReadings(then, after, cards)).toEqual([]);
  });
});

describe("fact beside plan", () => {
  test("each quantity of a card stands beside the plan's for that ground and day", () => {
    const plan = loggedPlan(3, 1.1, (i) => ({ foodKg: 5 - i, drankL: 3, lowC: 4, bodyKg: 70 }));
    const result = computePlan(plan, tracks);
    const cards = cardsOf(plan, result);
    const of = (what: Against) => againstPlan(plan, result, cards, what);
    for (const { fact, planned } of of("hours")) expect(fact! / planned!).toBeCloseTo(1.1, 6);
    expect(of("eaten").map(({ fact }) => fact === undefined)).toEqual([true, false, false]);
    const { food } = result.legs[0]!.hikers[0]!;
    expect(of("eaten")[1]!.fact).toBeCloseTo(food.menuKcal / food.eatenKg, 6);
    expect(of("drunk")[0]).toMatchObject({ fact: 3 });
    expect(of("low")[0]).toMatchObject({ fact: 4, planned: result.days[0]!.lowC });
    for (const what of AGAINST) for (const { planned } of of(what)) expect(planned).toBeGreaterThan(0);
  });

  test("the days go out as GPX that is read back: a waypoint and a track for each", () => {
    const plan = loggedPlan(3, 1, (i) => ({ notes: i === 1 ? "<wind> & rain" : "" }));
    const result = computePlan(plan, tracks);
    const { value } = readGpx(writeLogGpx(plan, result, cardsOf(plan, result)), "t", "log.gpx");
    expect(value!.waypoints.map(({ name }) => name)).toEqual([1, 2, 3].map((day) => `Day ${day}, ${dateOf(day - 1)}`));
    expect(value!.waypoints[1]!.description).toContain("<wind> & rain");
    expect(value!.track.segmentStarts).toHaveLength(3);
    expect(value!.track.latDeg.at(-1)).toBeCloseTo(40 + 45_000 / 111_040, 3);
  });
});

describe("is it enough", () => {
  test("food and fuel left in the evening against the way to the next stop", () => {
    const left = (foodKg: number) => {
      const plan = loggedPlan(3, 1, (i) => (i === 2 ? { foodKg, fuelG: 500 } : {}));
      return rationState(plan, computePlan(plan, tracks))!;
    };
    const plenty = left(20);
    expect(plenty.left.map(({ what, isEnough }) => [what, isEnough])).toEqual([
      ["food", true],
      ["fuel", true],
    ]);
    expect(plenty.aheadM / 1000).toBeCloseTo(55, 0);
    expect(plenty.backM / 1000).toBeCloseTo(45, 0);
    const short = left(0.2);
    expect(short.left[0]).toMatchObject({ what: "food", have: 0.2, isEnough: false });
    expect(short.left[0]!.wanted).toBeLessThan(short.leg.hikers[0]!.food.eatenKg);
  });

  test("of any plan with any log there is an answer, and no figure that is none", () => {
    fc.assert(
      fc.property(arbitraryPlan, ({ plan, tracks: lines }) => {
        const result = computePlan(plan, lines);
        for (const card of cardsOf(plan, result)) {
          expect(card.toNode).toBeGreaterThanOrEqual(card.fromNode);
          expect(card.groundH).toBeGreaterThanOrEqual(0);
        }
        for (const { posterior, spread } of fitLog(plan, result)) {
          expect(Number.isFinite(posterior)).toBe(true);
          expect(spread).toBeGreaterThan(0);
        }
        for (const { wanted, planned } of rationState(plan, result)?.left ?? []) {
          expect(wanted).toBeGreaterThanOrEqual(-1e-9);
          expect(planned).toBeGreaterThanOrEqual(wanted - 1e-9);
        }
      }),
      { numRuns: runs(40) },
    );
  });
});

test("piece by piece: what something asked for is not idle, sun of the season among it, and what broke is told", () => {
  const kit = [
    pieceOf("bottles", 80, { role: "bottle", capacityL: 8 }),
    pieceOf("Sun hat", 70),
    pieceOf("Ice axe", 300),
  ];
  const pieces = [{ pieceId: "Sun hat", what: "broken", note: "brim" }];
  const log = [0, 1].map((i) => ({
    id: `d${i}`,
    date: dateOf(i),
    trackM: 20_000 * (i + 1),
    ...(i === 1 ? { pieces } : {}),
  }));
  const plan = planOf({ ...base, kit, log });
  const result = computePlan(plan, tracks);
  const records = pieceRecords(plan, result, cardsOf(plan, result));
  const of = (id: string) => records.find(({ pieceId }) => pieceId === id)!;
  expect(of("Ice axe")).toMatchObject({ days: 2, nights: 2, isIdle: true, events: [] });
  expect(of("Ice axe").metres / 1000).toBeCloseTo(40, 1);
  expect(of("Sun hat")).toMatchObject({ isIdle: false, events: [{ date: dateOf(1), what: "broken", note: "brim" }] });
});
