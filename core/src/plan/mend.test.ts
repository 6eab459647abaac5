import fc from "fast-check";
import { expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { LISTS, type ListName } from "./lists.ts";
import { readPlan } from "./read.ts";
import type { Plan } from "./schema.ts";

const base = (): Plan =>
  readPlan({
    format: "gepack-plan",
    version: 6,
    id: "p",
    trip: { name: "Test", startDate: "2027-05-01" },
    hikers: [{ id: "a", name: "A", ageY: 30, sex: "male", heightCm: 175, bodyKg: 70 }],
    stops: [{ id: "s", name: "S", trackM: 1000, note: "n" }],
    camps: [{ id: "c", name: "C", trackM: 2000 }],
    climate: { forecasts: [{ id: "f", name: "F", fromM: 0, toM: 9, heightM: 5, issued: "2027-04-01", days: [] }] },
  }).value!;

const reread = (change: (plan: Plan) => void) => {
  const plan = base();
  change(plan);
  return readPlan(JSON.parse(JSON.stringify(plan)));
};

test.each<[string, (plan: Plan) => void, (plan: Plan) => unknown, unknown, string, RegExp]>([
  [
    "a list over its limit",
    ({ climate: { forecasts } }) =>
      forecasts.push(...Array.from({ length: 52 }, (_, i) => ({ ...forecasts[0]!, id: `f${i}` }))),
    ({ climate }) => climate.forecasts.length,
    50,
    "climate.forecasts",
    /^Of 53 entries the first 50 were taken/,
  ],
  [
    "a text over its limit",
    ({ stops }) => void (stops[0]!.note = "x".repeat(2500)),
    ({ stops }) => stops[0]!.note.length,
    2000,
    "stops[0].note",
    /^A text of 2500 characters was cut to 2000/,
  ],
  [
    "a name of one letter without width",
    ({ stops }) => void (stops[0]!.name = "\u200b"),
    ({ stops }) => stops[0]!.name,
    "Unnamed",
    "stops[0].name",
    /can’t be seen/,
  ],
  [
    "no name",
    ({ camps }) => void (camps[0]!.name = ""),
    ({ camps }) => camps[0]!.name,
    "Unnamed",
    "camps[0].name",
    /can’t be seen/,
  ],
  [
    "the very same row twice",
    ({ camps }) => void camps.push(camps[0]!),
    ({ camps }) => camps.map(({ id }) => id),
    ["c"],
    "camps",
    /^1 entry shared an id/,
  ],
  [
    "two rows of one id",
    ({ camps }) => void camps.push({ ...camps[0]!, name: "D" }, { ...camps[0]!, id: "c-2" }),
    ({ camps }) => camps.map(({ id, name }) => `${id} ${name}`),
    ["c C", "c-3 D", "c-2 C"],
    "camps",
    /others got a new id/,
  ],
])("%s is mended and told, and reads without a word from then on", (_, change, look, found, place, words) => {
  const { value, problems } = reread(change);
  expect(look(value!)).toEqual(found);
  expect(problems).toMatchObject([{ severity: "caution", place, sentence: expect.stringMatching(words) as string }]);
  expect(readPlan(JSON.parse(JSON.stringify(value)))).toEqual({ value, problems: [] });
});

test("within a list that is cut, and beside what is cut, names are mended as well", () => {
  const { value, problems } = reread(({ hikers, stops }) => {
    for (let i = 0; i < 9; i++) hikers.push({ ...hikers[0]!, id: `h${i}`, name: i === 2 ? " " : "B" });
    stops[0]!.name = "\u2060";
  });
  expect(value!.hikers.map(({ name }) => name)).toEqual(["A", "B", "B", "Unnamed", "B", "B"]);
  expect(value!.stops[0]!.name).toBe("Unnamed");
  expect(problems.every(({ severity }) => severity === "caution")).toBe(true);
});

test("what breaks more than a limit is refused as before, in its own words", () => {
  const { value, problems } = reread(({ hikers, stops }) => {
    stops[0]!.name = "\u200b";
    hikers[0]!.bodyKg = 900;
  });
  expect(value).toBeUndefined();
  expect(problems.map(({ place, severity }) => [place, severity])).toEqual([
    ["hikers[0].bodyKg", "error"],
    ["stops[0].name", "error"],
  ]);
});

test("rows stored twice in any lists are there once, and nothing else changes", () => {
  const names = Object.keys(LISTS) as ListName[];
  fc.assert(
    fc.property(arbitraryPlan, fc.subarray(names), ({ plan }, twice) => {
      const whole = readPlan(JSON.parse(JSON.stringify(plan))).value;
      if (!whole) return;
      const doubled = structuredClone(whole);
      for (const name of twice) LISTS[name](doubled).push(...(structuredClone(LISTS[name](doubled)) as never[]));
      expect(readPlan(JSON.parse(JSON.stringify(doubled))).value).toEqual(whole);
    }),
    { numRuns: runs(60) },
  );
});
