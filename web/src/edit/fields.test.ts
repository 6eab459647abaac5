import { hikerSchema } from "@gepack/core";
import { describe, expect, test } from "vitest";
import { placeIn, shownField } from "./fields.ts";

describe("how a number of the document is shown", () => {
  test("a fraction in percent, small ones with a digit", () => {
    expect(shownField("hikers.food.shortfallFraction")).toMatchObject({
      min: -50,
      max: 70,
      suffix: "%",
      times: 100,
      digits: 0,
    });
    expect(shownField("dayRules.heatSlowPerK")).toMatchObject({ max: 10, digits: 1 });
  });

  test("metres of the way are distances, others heights; masses by their size", () => {
    expect(shownField("stops.offTrailM").kind).toBe("distance");
    expect(shownField("climate.stations.heightM").kind).toBe("height");
    expect(shownField("kit.massG").kind).toBe("smallMass");
    expect(shownField("hikers.bodyKg").kind).toBe("mass");
  });

  test("counts are whole, hours and grams a boil have a digit", () => {
    expect(shownField("devices.count")).toMatchObject({ whole: true, digits: 0, suffix: "" });
    expect(shownField("hikers.pace.hoursFitH")).toMatchObject({ digits: 1, suffix: "h", min: 1, max: 20 });
    expect(shownField("hikers.stove.gramsPerBoil")).toMatchObject({ digits: 1, suffix: "g/boil", kind: undefined });
    expect(shownField("hikers.pace.startClockH").suffix).toBe("o’clock");
  });

  test("values by key and rows of a list need no key", () => {
    expect(shownField("dayRules.surfaceSpeed.*")).toMatchObject({ min: 10, max: 150 });
    expect(shownField("climate.stations.lowC").kind).toBe("temperature");
  });

  test("a field that is none is a mistake of ours, and says so", () => {
    expect(() => shownField("hikers.shoeSize")).toThrow(/no field "hikers.shoeSize"/);
    expect(() => shownField("hikers.name")).toThrow(/is no number/);
  });
});

test("a path leads to the record that holds its last key", () => {
  const hiker = hikerSchema.parse({ id: "a", name: "A", ageY: 30, sex: "male", heightCm: 175, bodyKg: 70 });
  const [record, key] = placeIn(hiker, "pace.rampDays");
  record[key] = 9;
  expect(hiker.pace.rampDays).toBe(9);
  expect(placeIn(hiker, "ageY")).toEqual([hiker, "ageY"]);
});
