import { describe, expect, test } from "vitest";
import { mostRows, numberField, planSchema } from "../index.ts";
import { hikerOf } from "../../test/fixtures.ts";

describe("what the schema says of a field", () => {
  test.each([
    ["hikers.pace.speedFactor", { min: 0.3, max: 2, unit: "fraction", defaultValue: 0.8, optional: false }],
    ["hikers.bodyKg", { min: 30, max: 250, unit: "kg", defaultValue: undefined }],
    ["hikers.water.measuredLph", { min: 0, max: 2, unit: "L/h", optional: true }],
    ["stops.offTrailM", { max: 200_000, unit: "m", isDistance: true }],
    ["climate.stations.heightM", { unit: "m", isDistance: false }],
    ["climate.stations.lowC", { min: -80, max: 60, unit: "C" }],
    ["stops.nights", { whole: true, max: 30, defaultValue: 1 }],
    ["dayRules.campWindowH", { unit: "h", whole: false, defaultValue: 1.5 }],
  ])("%s", (path, said) => expect(numberField(path)).toMatchObject(said));

  test("a field that is none throws, naming it", () => {
    expect(() => numberField("hikers.pace.luck")).toThrow(/no field "hikers.pace.luck"/);
    expect(() => numberField("hikers.name")).toThrow(/no number/);
    expect(() => numberField("hikers.name.length")).toThrow(/Nothing lies under/);
  });

  test("a list says how many rows it takes, and what is none says so", () => {
    expect([mostRows("hikers"), mostRows("hikers.pace.ramp"), mostRows("climate.forecasts")]).toEqual([6, 12, 50]);
    expect(() => mostRows("hikers.pace")).toThrow(/no list/);
  });

  test("the default it says is the one a document is read with", () => {
    const hiker = planSchema.shape.hikers.element.parse(hikerOf());
    expect(hiker.food.densityKcalPerG).toBe(numberField("hikers.food.densityKcalPerG").defaultValue);
    expect(hiker.stove.windExposure).toBe(numberField("hikers.stove.windExposure").defaultValue);
  });
});
