import { computePlan, EXPLAINED, explain, readGpx, readPlan, type Check, type Derivation } from "@gepack/core";
import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { CHECK_MARK, CHECK_STATION, checkSentence, distinct, MEND_WORDS, mendSentence } from "./checks.ts";
import { DERIVATION_LABEL, sourceWords, WHY_CAUTION } from "./derivations.ts";
import { stopName } from "./names.ts";

const demo = (name: string): string => readFileSync(new URL(`../../../demo/${name}`, import.meta.url), "utf8");
const plan = readPlan(JSON.parse(demo("corvane.gepack.json"))).value!;
const track = readGpx(demo("corvane.gpx"), "corvane").value!.track;
const result = computePlan(plan, [track]);

test("a school's source names where it holds; nobody knows an unknown rule", () => {
  expect(sourceWords("effort:minetti")).toMatch(/2002.*treadmill/);
  expect(sourceWords("from-nowhere")).toBeUndefined();
});

test("every part and source of every explanation has words", () => {
  const walk = (node: Derivation): void => {
    expect(DERIVATION_LABEL, node.code).toHaveProperty(node.code);
    if (node.source) expect(sourceWords(node.source), node.source).toMatch(/^\S.*[.]$/);
    node.parts.forEach(walk);
  };
  for (const leg of result.legs)
    for (const { hikerId } of leg.hikers)
      for (const figure of EXPLAINED) {
        walk(explain(plan, result, { legIndex: leg.index, hikerId, figure })!);
        expect(WHY_CAUTION[figure].length).toBeGreaterThan(20);
      }
});

describe("checks in words", () => {
  const made = (code: Check["code"], figures: Check["figures"]): Check => ({
    code,
    severity: "caution",
    legIndex: 0,
    hikerId: "jory",
    atM: 12_000,
    figures,
    mends: ["add-stop", "lighten-kit"],
  });

  test("every code has a mark, a station and a sentence without holes", () => {
    const figures: Check["figures"] = {
      have: { value: 5, unit: "kg" },
      limit: { value: 4, unit: "kg" },
      distance: { value: 9000, unit: "m" },
      late: { value: 3, unit: "days" },
      piece: { value: "tent", unit: "name" },
      stop: { value: "Sael", unit: "name" },
      role: { value: "shoes", unit: "name" },
      source: { value: "Old tank", unit: "name" },
      move: { value: 12, unit: "g" },
      lost: { value: 3, unit: "kg" },
      day: { value: "2027-05-05", unit: "date" },
      short: { value: 4, unit: "Wh" },
      rest: { value: 20, unit: "min" },
      model: { value: "Tobler", unit: "name" },
      quantity: { value: "loadKg", unit: "name" },
    };
    for (const code of Object.keys(CHECK_MARK) as Check["code"][]) {
      expect(CHECK_STATION[code]).toBeDefined();
      const sentence = checkSentence(made(code, figures), plan);
      expect(sentence, code).toMatch(/^\S.*[.]$/);
      expect(sentence, code).not.toMatch(/undefined|NaN| {2}|\( *\)/);
    }
  });

  test("figures carry the hiker's units, dates are written out", () => {
    expect(
      checkSentence(
        made("load-over-comfort", { have: { value: 16.52, unit: "kg" }, limit: { value: 15, unit: "kg" } }),
        plan,
      ),
    ).toBe("The pack reaches 16.5 kg at 12 km; it carries 15.0 kg in comfort.");
    expect(
      checkSentence(
        made("finish-late", {
          have: { value: "2027-08-07", unit: "date" },
          limit: { value: "2027-08-05", unit: "date" },
          late: { value: 2, unit: "days" },
        }),
        plan,
      ),
    ).toBe("Arrival on 7 Aug is 2 days after the wanted 5 Aug.");
  });

  test("mends are one sentence", () => {
    expect(mendSentence(made("load-over-comfort", {}))).toBe(
      "Use another stop on the way or leave or send home some kit.",
    );
    expect(Object.values(MEND_WORDS).every((words) => words.length > 5)).toBe(true);
  });

  test("what holds for both hikers alike is said once", () => {
    const one = made("climate-assumed", {});
    expect(distinct([one, { ...one, hikerId: "tamsin" }], plan)).toHaveLength(1);
  });

  test("no check ever promises safety", () => {
    for (const check of result.checks) expect(checkSentence(check, plan)).not.toMatch(/\bsafe\b/i);
  });
});

test("the ends of the trail and a stop that is gone have names", () => {
  expect([stopName(plan, "@start"), stopName(plan, "sael"), stopName(plan, "zzz")]).toEqual([
    "Start",
    "Sael",
    "(stop is gone)",
  ]);
});
