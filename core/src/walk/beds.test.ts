/** Nights in beds: looked ahead for, stayed in, and what they spare. */
import { expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, type PlanResult } from "../index.ts";

const flat = [trackNorth({ lengthM: 100_000 })];
const beds = (kms: number[], rest: Record<string, unknown> = {}) =>
  kms.map((km) => stopOf(`b${km}`, km * 1000, { services: ["bed", "shop-small"], nights: 0, ...rest }));
const walked = (stops: unknown[], overrides: Record<string, unknown> = {}): PlanResult =>
  computePlan(
    planOf({
      stops,
      dayRules: { sleepAt: "beds" },
      hikers: [hikerOf({ pace: { hoursFreshH: 7, hoursFitH: 7 } })],
      climate: { stations: [stationOf(2, 12)] },
      ...overrides,
    }),
    flat,
  );
/** Where the nights are spent, kilometres, and how. */
const nights = ({ days, profile }: PlanResult): string[] =>
  days
    .filter(({ night }) => night !== "none")
    .map(({ night, toNode }) => `${Math.round((toNode * profile.cellM) / 1000)} ${night}`);

test("stops with beds every 20 km, meant to be passed through: each day ends in one that it reaches", () => {
  const result = walked(beds([20, 40, 60, 80]));
  expect(nights(result)).toEqual(["20 stop", "40 stop", "60 stop", "80 stop", "100 stop"]);
  expect(result.legs.every(({ nightsOutside }) => nightsOutside === 0)).toBe(true);
  // Anywhere allowed, the same stops are walked past.
  expect(
    nights(walked(beds([20, 40, 60, 80]), { dayRules: {} })).filter((night) => night.endsWith("camp")),
  ).not.toEqual([]);
});

test("a bed is stayed in when the next is out of reach, passed when it is not", () => {
  expect(nights(walked(beds([12, 36, 60, 84])))[0]).toBe("12 stop");
  expect(nights(walked(beds([12, 24, 48, 72, 90])))[0]).toBe("24 stop");
});

test("the same beds as stops that the plan does not use: nights in bed", () => {
  const unused = walked(beds([20, 40, 60, 80], { use: false }));
  expect(nights(unused)).toEqual(["20 bed", "40 bed", "60 bed", "80 bed", "100 stop"]);
  const [leg] = unused.legs;
  expect(leg).toMatchObject({ campNights: 0, bedNights: 4, nightsOutside: 0 });
  const [row] = leg!.hikers;
  // Dinner and breakfast are bought there: nothing is cooked and no bag is needed.
  expect(row!.fuel.boils).toBe(0);
  expect(row!.warmth).toBeUndefined();
  expect(unused.checks.map(({ code }) => code)).not.toContain("sleep-kit-missing");
  expect(row!.carries.every(({ campL }) => campL === 0)).toBe(true);
});

test("a bed without a shop feeds nobody", () => {
  const only = walked(beds([20, 40, 60, 80], { use: false, services: ["bed"] }));
  const fed = walked(beds([20, 40, 60, 80], { use: false }));
  expect(only.legs[0]!.hikers[0]!.food.mealDays).toBeGreaterThan(fed.legs[0]!.hikers[0]!.food.mealDays + 1.5);
  expect(only.legs[0]!.hikers[0]!.fuel.boils).toBeGreaterThan(0);
});

test("in a bed with a shop one makes up what is missing, on the last leg too", () => {
  const missing = (townExtraKcal: number): number =>
    walked(beds([20, 40, 60, 80], { use: false }), {
      hikers: [hikerOf({ pace: { hoursFreshH: 7, hoursFitH: 7 }, food: { shortfallFraction: 0.5, townExtraKcal } })],
    }).finish[0]!.deficitKcal;
  expect(missing(0)).toBeGreaterThan(missing(300) + 600);
});

test("where no bed is in reach one camps, and it is said", () => {
  const result = walked(beds([60]), { kit: [pieceOf("tarp", 400, { role: "shelter" })] });
  expect(nights(result).some((night) => night.endsWith("camp"))).toBe(true);
  expect(result.checks.find(({ code }) => code === "bed-missing")).toMatchObject({ legIndex: 0 });
});
