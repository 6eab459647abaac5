import {
  computePlan,
  hikerSchema,
  models,
  planSchema,
  type Hiker,
  type Question,
  type SchoolFigures,
} from "@gepack/core";
import { describe, expect, test } from "vitest";
import { MEASURED, replacedBy, type MeasuredField } from "./measuredFields.ts";

const hiker = (): Hiker =>
  hikerSchema.parse({ id: "a", name: "A", ageY: 30, sex: "female", heightCm: 170, bodyKg: 64 });
const fields = Object.entries(MEASURED).flatMap(([question, list]) =>
  list.map((field): [string, MeasuredField] => [`${question}: ${field.label}`, field]),
);

describe.each(fields)("%s", (_, field) => {
  test("is given, read back, and taken out of the document again", () => {
    const own = hiker();
    expect(field.get(own)).toBeUndefined();
    field.set(own, field.min + (field.max - field.min) / 3);
    expect(field.get(own)).toBeCloseTo(field.min + (field.max - field.min) / 3, 9);
    // The schema allows what the field allows.
    for (const value of [field.min, field.max]) {
      field.set(own, value);
      expect(() => hikerSchema.parse(own)).not.toThrow();
    }
    field.set(own, undefined);
    expect(JSON.stringify(own)).toBe(JSON.stringify(hiker()));
  });

  test("begins with a figure it allows, known or not", () => {
    const known = { kcalPerDay: 2700, litresPerHour: 0.5 } as SchoolFigures;
    for (const figures of [() => undefined, () => known]) {
      expect(field.start(figures)).toBeGreaterThanOrEqual(field.min);
      expect(field.start(figures)).toBeLessThanOrEqual(field.max);
    }
  });
});

test("what was measured moves the plan", () => {
  const track = {
    id: "t",
    name: "t",
    lonDeg: new Float64Array(600).fill(-150),
    latDeg: Float64Array.from({ length: 600 }, (_, i) => 40 + i * 0.0009),
    heightM: new Float32Array(600).fill(100),
    segmentStarts: new Uint32Array([0]),
  };
  const start = (own: Hiker): number => {
    const plan = planSchema.parse({
      format: "gepack-plan",
      version: 1,
      id: "p",
      trip: { name: "Test", startDate: "2027-05-01" },
      trackIds: ["t"],
      hikers: [own],
    });
    return computePlan(plan, [track]).legs[0]!.hikers[0]!.startKg;
  };
  const plain = start(hiker());
  for (const [name, field] of fields) {
    const own = hiker();
    // A rate of climb is asked for beside a pace.
    if (field.when && !field.when(own)) continue;
    field.set(own, field.max);
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
  expect(replacedBy("effort", own)).toBe("your 3,100 kcal of a walking day replace effort and resting.");
  expect(replacedBy("resting", own)).toBe(replacedBy("effort", own));
  expect(replacedBy("water", own)).toContain("0.60 L an hour");
  expect(replacedBy("fuel", own)).toContain("7.5 g a boil");
  expect(replacedBy("time", own)).toBeUndefined();
});
