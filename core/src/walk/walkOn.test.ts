/** Stops that are come to in the morning: shopped at, and walked on from, where that is the rule. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { Session } from "../session/session.ts";
import { stopFigures } from "../stops/stays.ts";
import { computePlan, dayNumber, type Plan } from "../index.ts";

const tracks = [trackNorth({ lengthM: 120_000 })];
const steady = hikerOf({
  schools: { time: "own-pace" },
  pace: { ownFlatKmh: 4, ownClimbMPerH: 400, hoursFreshH: 6, hoursFitH: 6, breakFraction: 0, startClockH: 8 },
});
const TOWN = { services: ["shop-full", "bed", "socket"] as const, bedPrice: 30 };

/** Six hours of four kilometres from eight o'clock: 54 km is come to on the third day after an hour and a half. */
const planAt = (townKm: number, dayRules: object, town: object = {}): Plan =>
  planOf({
    hikers: [steady],
    stops: [stopOf("town", townKm * 1000, { ...TOWN, ...town })],
    sources: Array.from({ length: 9 }, (_, i) => sourceOf(`w${i}`, (i + 1) * 12_000)),
    climate: { stations: [stationOf(6, 16)] },
    dayRules: { loadSlowness: 0, ...dayRules },
  });
const nightsOf = (plan: Plan): number | undefined =>
  stopFigures(plan, computePlan(plan, tracks)).find(({ stop }) => stop.id === "town")?.nights;

test("come to before the hour, one shops and walks on the same day; after it one stays", () => {
  expect(nightsOf(planAt(54, {}))).toBe(1);
  expect(nightsOf(planAt(54, { walkOnBeforeH: 12 }))).toBe(0);
  expect(nightsOf(planAt(54, { walkOnBeforeH: 9 }))).toBe(1);
  expect(nightsOf(planAt(66, { walkOnBeforeH: 12 }))).toBe(1);
  const [stays, goes] = [{}, { walkOnBeforeH: 12 }].map((rules) => computePlan(planAt(54, rules), tracks));
  expect(goes!.days.at(-1)!.date < stays!.days.at(-1)!.date).toBe(true);
});

test("a stop has its own say, and so has a stay of more nights", () => {
  expect(nightsOf(planAt(54, {}, { walkOnBeforeH: 12 }))).toBe(0);
  expect(nightsOf(planAt(54, { walkOnBeforeH: 12 }, { walkOnBeforeH: 0 }))).toBe(1);
  expect(nightsOf(planAt(54, { walkOnBeforeH: 12 }, { nights: 2 }))).toBe(2);
});

test("a bed that is not slept in is not paid", () => {
  const money = (rules: object): number => {
    const plan = planAt(54, rules);
    return stopFigures(plan, computePlan(plan, tracks)).find(({ stop }) => stop.id === "town")!.money.beds;
  };
  expect([money({}), money({ walkOnBeforeH: 12 })]).toEqual([30, 0]);
});

test("law: nobody sleeps a single night where the rule says to walk on, but at a rest that is due or in the log", () => {
  fc.assert(
    fc.property(arbitraryPlan, fc.integer({ min: 8, max: 16 }), ({ plan: given, tracks: own }, hourH) => {
      const plan = { ...given, log: [], dayRules: { ...given.dayRules, walkOnBeforeH: hourH, restEveryDays: 0 } };
      // Who sleeps in beds stays in one when the next is out of reach.
      if (plan.dayRules.sleepAt === "beds") return;
      const result = computePlan(plan, own);
      for (const { stop, stay, nights, arrives, leaves } of stopFigures(plan, result)) {
        if (!arrives || !leaves || nights !== 1 || stop.nights !== 1 || stop.walkOnBeforeH !== undefined) continue;
        const sameNode =
          plan.stops.filter(({ use }) => use).length > new Set(result.legs.map((leg) => leg.fromNode)).size;
        if (sameNode || result.profile.joints.length > 0) continue;
        // With hardly any of the day's hours left one stays.
        const last = result.days.filter(({ date }) => dayNumber(date) === stay.from.day);
        if (last[0]!.budgetH - last.reduce((sum, { walkH }) => sum + walkH, 0) < 0.5) continue;
        expect(stay.from.clockH).toBeGreaterThanOrEqual(hourH);
      }
      // Edited back and forth, the answer is that of a fresh computation.
      const session = new Session();
      session.setTracks(own);
      session.compute(given);
      expect(session.compute(plan).days).toEqual(result.days);
      expect(session.compute(given).days).toEqual(computePlan(given, own).days);
    }),
    { numRuns: runs(40) },
  );
});
