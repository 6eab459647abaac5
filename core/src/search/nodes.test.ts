import { describe, expect, test } from "vitest";
import { planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { Session, stopFigures } from "../index.ts";
import { walkChain } from "./labels.ts";
import { canisterEntry, searchNodes } from "./nodes.ts";
import { EXACT, Steps } from "./steps.ts";

const TOWN = { services: ["shop-full", "post", "bed"] };

function laidOf(overrides: Record<string, unknown>) {
  const session = new Session();
  session.setTracks([trackNorth({ lengthM: 200_000 })]);
  const plan = planOf(overrides);
  return { session, plan, laid: session.lay(plan) };
}

const nodesOf = (stops: unknown[], overrides: Record<string, unknown> = {}) =>
  searchNodes(laidOf({ stops, ...overrides }).laid);

describe("what a search may choose among", () => {
  test("the ends, and between them what brings food, used or not; one that is passed by gets a night", () => {
    const nodes = nodesOf([
      stopOf("used", 60_000, { ...TOWN, nights: 2 }),
      stopOf("passed", 120_000, { ...TOWN, use: false, nights: 0 }),
      stopOf("hut", 90_000, { services: ["bed"], use: false }),
    ]);
    expect(nodes.map(({ halt, nights, locked }) => [halt.stopId, nights, locked])).toEqual([
      ["@start", 0, true],
      ["used", 2, false],
      ["passed", 1, false],
      ["@finish", 0, true],
    ]);
  });

  test("what stays as it is lies between: passed through, a bed without a shop, a ride past a closure", () => {
    const nodes = nodesOf(
      [
        stopOf("through", 40_000, { ...TOWN, nights: 0 }),
        stopOf("town", 80_000, TOWN),
        stopOf("hut", 120_000, { services: ["bed"] }),
      ],
      { route: { closures: [{ id: "shut", name: "Shut", fromM: 150_000, toM: 152_000, rideH: 1 }] } },
    );
    expect(nodes.map(({ halt }) => halt.stopId)).toEqual(["@start", "town", "@finish"]);
    expect(nodes.map(({ fixedBefore }) => fixedBefore.map(({ stopId }) => stopId))).toEqual([
      [],
      ["through"],
      ["hut", "@ride:shut"],
    ]);
  });

  test("held in is in every set, locked out in none; of two on one place the used one", () => {
    const nodes = nodesOf([
      stopOf("in", 50_000, { ...TOWN, locked: true }),
      stopOf("out", 100_000, { ...TOWN, use: false, locked: true }),
      stopOf("other", 150_000, { ...TOWN, use: false }),
      stopOf("here", 150_000, TOWN),
    ]);
    expect(nodes.map(({ halt, locked }) => [halt.stopId, locked]).slice(1, -1)).toEqual([
      ["in", true],
      ["here", false],
    ]);
  });

  test("food comes as the hiker says, else in every way that the stop allows", () => {
    const ways = (overrides: Record<string, unknown>) => nodesOf([stopOf("a", 90_000, overrides)])[1]!.modes;
    expect(ways(TOWN)).toEqual(["buy", "drop"]);
    expect(ways({ services: ["post"] })).toEqual(["drop"]);
    expect(ways({ services: [] })).toEqual(["buy"]);
    expect(ways({ ...TOWN, foodBy: "bounce" })).toEqual(["bounce"]);
  });
});

test("a hard canister is asked for from where its rule first holds on the way, in its season", () => {
  const rule = (over: Record<string, unknown>) => ({
    id: "r",
    name: "r",
    kind: "rule",
    rule: "hard-canister",
    ...over,
  });
  const entry = (over: Record<string, unknown>) =>
    canisterEntry(laidOf({ stretches: [rule({ fromM: 40_000, toM: 90_000, ...over })] }).laid);
  const june = Math.round(Date.UTC(2027, 5, 10) / 86_400_000);
  const always = entry({});
  expect(always(0, 300, june)).toBeUndefined();
  expect(always(0, 1000, june)).toBeCloseTo(400, -1);
  expect(always(600, 1000, june)).toBe(600);
  expect(entry({ fromMonthDay: "07-01", toMonthDay: "09-30" })(0, 1000, june)).toBeUndefined();
  // Who does not sleep there may carry food through.
  expect(entry({ appliesTo: "sleeping" })(0, 1000, june)).toBeUndefined();
});

test("money of a chain is the money of the plan: food, parcels, beds and rides", () => {
  const stops = [
    stopOf("a", 60_000, { ...TOWN, bedPrice: 30, nights: 2 }),
    stopOf("b", 130_000, { services: ["post"], postFee: 3, access: "hitch", offTrailM: 4000, ridePrice: 5 }),
  ];
  const { session, plan, laid } = laidOf({ stops, resupply: { parcelPrice: 11, fullShop: { priceOf1000Kcal: 5 } } });
  const steps = new Steps(laid, searchNodes(laid), EXACT);
  const limits = { foodDays: 30, comfort: false, pack: false, canister: true, doors: true, waitNights: 0 };
  const weights = { kgKm: 1, day: 0, money: 0, stop: 0 };
  const chain = [
    { node: 0, by: "buy" as const },
    { node: 1, by: "buy" as const },
    { node: 2, by: "drop" as const },
    { node: 3, by: "buy" as const },
  ];
  const { end, bars } = walkChain(steps, chain, { weights, limits });
  expect(bars).toEqual([]);
  let sum = 0;
  for (const { money } of stopFigures(plan, session.compute(plan)))
    sum += money.food + money.parcel + money.beds + money.rides;
  // The food of one leg differs by what the sampled ground does.
  expect(Math.abs(end.money - sum)).toBeLessThan(3);
  expect(sum).toBeGreaterThan(60 + 14 + 10);
});
