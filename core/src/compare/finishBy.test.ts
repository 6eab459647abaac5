/** Ways to be there by a date: the least that does, by the true model, and none where nothing does. */
import { describe, expect, test } from "vitest";
import { hikerOf, planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, type Plan } from "../index.ts";
import { comesOn, makeChange, finishOptions, type Change, type FinishOption } from "./finishBy.ts";

const tracks = [trackNorth({ lengthM: 300_000 })];
const plan = planOf({
  hikers: [hikerOf({ pace: { hoursFreshH: 6, hoursFitH: 7, rampDays: 10 } })],
  climate: { stations: [stationOf(6, 16)] },
  stops: [
    stopOf("a", 100_000, { nights: 3, services: ["shop-full", "bed"] }),
    stopOf("b", 200_000, { nights: 2, services: ["shop-full", "bed"] }),
  ],
});
const compute = (one: Plan) => computePlan(one, tracks);
const withChange = (change: Change): Plan => {
  const copy = structuredClone(plan);
  makeChange(copy, change);
  return copy;
};
const finish = compute(plan).finishDate;
const earlier = (date: string, days: number): string =>
  new Date(Date.parse(date) - days * 86_400_000).toISOString().slice(0, 10);
const optionsTo = (date: string, stopId?: string): FinishOption[] => [
  ...finishOptions(plan, { date, ...(stopId === undefined ? {} : { stopId }) }, compute),
];

test("in time already: nothing to do", () => {
  expect(optionsTo(finish)).toEqual([]);
});

describe("two days too late", () => {
  const date = earlier(finish, 2);
  const options = optionsTo(date);
  test("hours, start and rest days each meet it as computed, and a step less does not", () => {
    expect(options.map(({ kind: way }) => way)).toEqual(["hours", "start", "zeros"]);
    for (const { change, comes, heaviestKg } of options) {
      const result = compute(withChange(change));
      expect(result.finishDate).toBe(comes);
      expect(comes! <= date).toBe(true);
      expect(heaviestKg).toBe(Math.max(...result.legs.flatMap((leg) => leg.hikers.map((row) => row.heaviestKg))));
    }
    const [hours, start, zeros] = options;
    expect(compute(withChange({ hoursMoreH: hours!.by - 0.25 })).finishDate > date).toBe(true);
    expect(start!.change.startDate).toBe(earlier(plan.trip.startDate, start!.by));
    expect(zeros!.by).toBeGreaterThanOrEqual(2);
  });
});

test("a stop by a date: rest days beyond it do not help", () => {
  const comes = comesOn(compute(plan), { stopId: "a", date: "" });
  const options = optionsTo(earlier(comes, 1), "a");
  expect(options.find(({ kind: way }) => way === "zeros")).toMatchObject({ comes: undefined });
  expect(options.find(({ kind: way }) => way === "hours")!.by).toBeGreaterThan(0);
});

test("a date that no hours reach: no hours, no rest days, and no start within three months", () => {
  const options = optionsTo(earlier(plan.trip.startDate, 200));
  expect(options.map(({ comes }) => comes)).toEqual([undefined, undefined, undefined]);
});
