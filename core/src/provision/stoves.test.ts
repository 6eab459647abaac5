/** One stove for two: the fuel of both is with the one whose it is. */
import { expect, test } from "vitest";
import { hikerOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { readPlan } from "../plan/read.ts";
import { removeRow } from "../plan/removal.ts";
import type { Plan } from "../plan/schema.ts";
import { computePlan } from "../session/session.ts";

const tracks = [trackNorth({ lengthM: 150_000 })];
const stops = [stopOf("mid", 80_000)];

const partyOf = (second: object, first: object = {}): Plan =>
  planOf({
    stops,
    hikers: [
      hikerOf({ id: "a", stove: { boilsPerDay: 2, simmerMinPerDay: 10, ...first } }),
      hikerOf({ id: "b", stove: { boilsPerDay: 3, boilL: 0.4, fuel: "none", ...second } }),
    ],
  });
const fuelOf = (plan: Plan) => computePlan(plan, tracks).legs.map(({ hikers }) => hikers.map(({ fuel }) => fuel));

test("who cooks on another's stove carries no fuel, and both eat hot from one canister sized by both", () => {
  const apart = fuelOf(partyOf({ fuel: "gas-canister" }));
  const together = fuelOf(partyOf({ cooksOn: "a" }));
  for (const [leg, [first, second]] of together.entries()) {
    expect([second!.startKg, second!.containerKg, second!.needG]).toEqual([0, 0, 0]);
    const [own, other] = apart[leg]!;
    expect(first!.boils).toBeCloseTo(own!.boils + other!.boils, 9);
    expect(first!.needG).toBeCloseTo(own!.needG + other!.needG, 0);
    expect(first!.containers).toBeLessThanOrEqual(own!.containers + other!.containers);
    expect(first!.startKg * 1000).toBeGreaterThanOrEqual(first!.needG);
  }
});

test("a measured boil is one of the owner's pot: a smaller one takes less", () => {
  const [hikers] = fuelOf(partyOf({ cooksOn: "a" }, { gramsPerBoil: 10, boilL: 0.8, simmerMinPerDay: 0 }));
  const first = hikers![0]!;
  // Two boils of 0.8 L at 10 g for every three of 0.4 L at 5 g.
  expect(first.needG / first.boils).toBeCloseTo((2 * 10 + 3 * 5) / 5, 6);
});

test("who cooks on somebody that has no stove to offer has the own one; an owner who leaves is forgotten", () => {
  const inCircle = partyOf({ cooksOn: "a", fuel: "gas-canister" }, { cooksOn: "b" });
  const apart = fuelOf(partyOf({ fuel: "gas-canister" }));
  expect(fuelOf(inCircle)).toEqual(apart);
  const plan = partyOf({ cooksOn: "a", fuel: "gas-canister" });
  removeRow(plan, "hikers", "a");
  expect(plan.hikers.map(({ id, stove }) => [id, stove.cooksOn])).toEqual([["b", undefined]]);
  const told = readPlan({ ...plan, hikers: [{ ...plan.hikers[0], stove: { cooksOn: "nobody" } }] });
  expect(JSON.stringify(told)).toContain("nobody");
});
