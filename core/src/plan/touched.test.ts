import fc from "fast-check";
import { expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { PLAN_VERSION } from "./ids.ts";
import { readPlan } from "./read.ts";
import type { Plan } from "./schema.ts";
import { refusedIn } from "./touched.ts";

const BASE = {
  format: "gepack-plan",
  version: PLAN_VERSION,
  id: "p",
  trip: { name: "Test", startDate: "2027-05-01" },
  trackIds: ["t"],
  hikers: [{ id: "a", name: "A", ageY: 30, sex: "male", heightCm: 175, bodyKg: 70 }],
  stops: [{ id: "s", name: "S", trackM: 1000 }],
};
const base = readPlan(BASE).value!;

test("what reads is kept, whatever the edit touches", () => {
  fc.assert(
    fc.property(arbitraryPlan, ({ plan }) => {
      const whole = readPlan(JSON.parse(JSON.stringify(plan))).value;
      if (whole) expect(refusedIn(base, whole)).toBeUndefined();
    }),
    { numRuns: runs(100) },
  );
});

/** Each with what would store a plan that the next opening refuses. */
const EDITS: readonly [string, (plan: Plan) => Partial<Plan>, RegExp][] = [
  [
    "a list over its limit",
    (plan) => ({ hikers: Array.from({ length: 7 }, (_, i) => ({ ...plan.hikers[0]!, id: `h${i}` })) }),
    /hikers: .*6/,
  ],
  [
    "a name that nobody sees",
    (plan) => ({ stops: [{ ...plan.stops[0]!, name: "\u200b" }] }),
    /stops\[0\]\.name: Expected a visible name/,
  ],
  ["a number out of bounds", (plan) => ({ hikers: [{ ...plan.hikers[0]!, bodyKg: 900 }] }), /hikers\[0\]\.bodyKg/],
  ["no number", (plan) => ({ hikers: [{ ...plan.hikers[0]!, bodyKg: NaN }] }), /hikers\[0\]\.bodyKg/],
  [
    "the same row twice",
    (plan) => ({ stops: [plan.stops[0]!, plan.stops[0]!] }),
    /stops\[1\]\.id: The id "s" is used twice/,
  ],
  ["a date that is none", (plan) => ({ trip: { ...plan.trip, startDate: "2027-02-30" } }), /trip\.startDate/],
];

test.each(EDITS)("refused before it is stored: %s", (_, edit, words) => {
  const problem = refusedIn(base, { ...base, ...edit(base) } as Plan);
  expect(`${problem?.place}: ${problem?.sentence}`).toMatch(words);
  // As a file it is refused, or mended with a sentence.
  const { value, problems } = readPlan(JSON.parse(JSON.stringify({ ...base, ...edit(base) })));
  expect(problems).not.toEqual([]);
  if (value) expect(readPlan(JSON.parse(JSON.stringify(value))).problems).toEqual([]);
});

test("what an edit leaves alone is not read again", () => {
  const odd = { ...base, stops: [{ ...base.stops[0]!, name: "" }] };
  expect(refusedIn(odd, { ...odd, trip: { ...odd.trip, name: "Other" } })).toBeUndefined();
});
