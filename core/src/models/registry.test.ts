/** What plan files rely on: the ids and their order; and what every school owes the reader. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { models, PLAN_VERSION, planSchema, type Hiker } from "../index.ts";
import { choiceOf, resolveHiker } from "./hiker.ts";
import { defineSchool } from "./school.ts";
import { hikerOf } from "../../test/fixtures.ts";

const IDS = {
  time: "tobler naismith langmuir aitken din33466 munter swiss-polynomial irmischer-clarke own-pace",
  effort: "pandolf-santee lcda minetti acsm ludlow-weyand",
  resting: "mifflin-st-jeor harris-benedict-1919 harris-benedict-1984 cunningham-1980 katch-mcardle oxford-2005",
  water: "distance-or-hours heat-and-distance per-distance per-hour-heat heat-balance",
  bodyMass: "forbes-dynamic rule-7700",
  fuel: "gas-canister gas-heat-exchanger alcohol tablets liquid-fuel none",
};

test("the questions, and the ids of each in the order of the file format", () => {
  expect(Object.fromEntries(Object.entries(models).map(([question, { ids }]) => [question, ids.join(" ")]))).toEqual(
    IDS,
  );
});

describe.each(Object.entries(models))("models.%s", (question, registry) => {
  test("every school has a name, a source, a sentence of validity, and finite ranges the right way round", () => {
    for (const school of registry.all) {
      expect(school.name.length).toBeGreaterThan(5);
      expect(school.source.length).toBeGreaterThan(10);
      expect(school.validity.words).toMatch(/^\S.*[.]$/);
      for (const [low, high] of Object.values(school.validity.ranges)) expect(low).toBeLessThan(high);
    }
    expect(new Set(registry.ids).size).toBe(registry.ids.length);
  });

  test("found by id; an unknown one throws, naming those that are", () => {
    for (const id of registry.ids) expect(registry.get(id).id).toBe(id);
    expect(() => registry.get("guesswork")).toThrow(
      `Unknown ${question} model "guesswork". Use one of: ${registry.ids[0]}`,
    );
    expect(registry.find("guesswork")).toBeUndefined();
  });
});

describe("a hiker resolved", () => {
  const hikerWith = (overrides: Record<string, unknown>): Hiker =>
    planSchema.parse({
      format: "gepack-plan",
      version: PLAN_VERSION,
      id: "p",
      trip: { name: "x", startDate: "2027-05-01" },
      hikers: [hikerOf(overrides)],
    }).hikers[0]!;
  const ids = (overrides: Record<string, unknown>): Record<string, string> =>
    Object.fromEntries(
      Object.entries(resolveHiker(choiceOf(hikerWith(overrides)))).map(([question, school]) => [question, school.id]),
    );

  test("by the ids of the document, and by the default where an id is of another version", () => {
    expect(ids({ schools: { time: "munter", resting: "from-the-future" } })).toMatchObject({
      time: "munter",
      resting: "mifflin-st-jeor",
      day: "sum",
    });
  });

  test("measured values are schools like any other, and stand in for those of the document", () => {
    const measured = {
      food: { measuredKcalPerDay: 3300 },
      water: { measuredLph: 0.6 },
      stove: { gramsPerBoil: 11 },
    };
    expect(ids(measured)).toMatchObject({
      effort: "own-day",
      resting: "own-day",
      day: "own-day",
      water: "own-litres",
      fuel: "own-grams",
    });
    const { water, fuel, day, effort } = resolveHiker(choiceOf(hikerWith(measured)));
    expect(water.rateLph({} as never)).toBe(0.6);
    expect(fuel.gramsPerBoil({} as never)).toBe(11);
    expect([day.totalKcal(2000, 1), day.totalKcal(2000, 0), day.totalKcal(2000, 0.5)]).toEqual([3300, 2000, 2650]);
    // Measured on oneself, no limits of others hold.
    expect(effort.outside({ loadKg: 500, gradePercent: -80 })).toEqual([]);
    expect(ids({ stove: { fuel: "none", gramsPerBoil: 11 } })["fuel"]).toBe("none");
  });
});

test("the defaults of a new hiker are the first of every question", () => {
  const plan = planSchema.parse({
    format: "gepack-plan",
    version: PLAN_VERSION,
    id: "p",
    trip: { name: "x", startDate: "2027-05-01" },
    hikers: [hikerOf()],
  });
  const { schools, stove } = plan.hikers[0]!;
  for (const question of ["time", "effort", "resting", "water", "bodyMass"] as const)
    expect(schools[question]).toBe(models[question].ids[0]);
  expect(stove.fuel).toBe(models.fuel.ids[0]);
});

test("outside names each figure beyond its range, judges none that is missing, and none at the limit", () => {
  const number = fc.double({ min: -1e3, max: 1e3, noNaN: true });
  fc.assert(
    fc.property(number, number, number, (x, a, b) => {
      const [low, high] = [Math.min(a, b), Math.max(a, b)];
      const validity = { words: "Made up.", ranges: { x: [low, high], absent: [0, 1] } } as const;
      const school = defineSchool({ id: "x", name: "x", source: "x", confidence: "high", validity });
      const reasons = school.outside({ x });
      expect(reasons).toEqual(x < low || x > high ? [{ quantity: "x", value: x, low, high }] : []);
    }),
  );
});
