import {
  computePlan,
  hikerSchema,
  models,
  numberField,
  type Hiker,
  type Question,
  type SchoolFigures,
} from "@gepack/core";
import { describe, expect, test } from "vitest";
import { planWith, someone, straightTrack } from "../../../test/plans.ts";
import { MEASURED, measuredValue, replacedBy, setMeasured, type MeasuredField } from "./measuredFields.ts";

const hiker = (): Hiker => hikerSchema.parse(someone);
const fields = Object.entries(MEASURED).flatMap(([question, list]) =>
  list.map((field): [string, MeasuredField] => [`${question}: ${field.label}`, field]),
);

describe.each(fields)("%s", (_, field) => {
  const { min, max } = numberField(`hikers.${field.path}`);

  test("is given, read back, and taken out of the document again", () => {
    const own = hiker();
    expect(measuredValue(own, field)).toBeUndefined();
    setMeasured(own, field, min + (max - min) / 3);
    expect(measuredValue(own, field)).toBeCloseTo(min + (max - min) / 3, 9);
    expect(() => hikerSchema.parse(own)).not.toThrow();
    setMeasured(own, field, undefined);
    expect(JSON.stringify(own)).toBe(JSON.stringify(hiker()));
  });

  test("begins with a figure it allows, known or not", () => {
    const known = { kcalPerDay: 2700, litresPerHour: 0.5 } as SchoolFigures;
    for (const figures of [() => undefined, () => known]) {
      expect(field.start(figures)).toBeGreaterThanOrEqual(min);
      expect(field.start(figures)).toBeLessThanOrEqual(max);
    }
  });
});

test("what was measured moves the plan", () => {
  const track = straightTrack(600);
  const start = (own: Hiker): number => computePlan(planWith({ hikers: [own] }), [track]).legs[0]!.hikers[0]!.startKg;
  const plain = start(hiker());
  for (const [name, field] of fields) {
    const own = hiker();
    // A rate of climb is needed beside a pace.
    if (field.when && !field.when(own)) continue;
    setMeasured(own, field, numberField(`hikers.${field.path}`).max);
    expect(Math.abs(start(own) - plain), name).toBeGreaterThan(0.01);
  }
});

test("whatever replaces a question's schools is said, and nothing else", () => {
  const questions = Object.keys(models) as Question[];
  expect(questions.map((question) => replacedBy(question, hiker()))).toEqual(questions.map(() => undefined));
  const own = hiker();
  own.food.measuredKcalPerDay = 3100;
  own.water.measuredLph = 0.6;
  own.stove.gramsPerBoil = 7.5;
  expect(replacedBy("effort", own)).toBe("your 3,100 kcal per walking day replace the effort and resting models.");
  expect(replacedBy("resting", own)).toBe(replacedBy("effort", own));
  expect(replacedBy("water", own)).toContain("0.60 L per hour");
  expect(replacedBy("fuel", own)).toContain("7.5 g per boil");
  expect(replacedBy("time", own)).toBeUndefined();
});
