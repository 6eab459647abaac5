import fc from "fast-check";
import { planSchema, type Units } from "@gepack/core";
import { describe, expect, test } from "vitest";
import { dayMonth, figure, fixed, parseQuantity, quantity, type QuantityKind } from "./quantity.ts";

const unitsOf = (given: Partial<Units> = {}): Units =>
  planSchema.shape.trip.parse({ name: "x", startDate: "2027-05-01", units: given }).units;
const metric = unitsOf();
const imperial = unitsOf({ distance: "mi", height: "ft", mass: "lb", smallMass: "oz", temperature: "F", volume: "qt" });
const value = (kind: QuantityKind, text: string, units = metric): number => {
  const parsed = parseQuantity(kind, text, units);
  if ("error" in parsed) throw new Error(parsed.error);
  return parsed.value;
};

describe("typed text", () => {
  test.each([
    ["mass", "2 lb 3 oz", 0.992233],
    ["mass", "1.2kg", 1.2],
    ["mass", "1200 g", 1.2],
    ["mass", "12", 12],
    ["smallMass", "1 lb 2 oz", 510.2914],
    ["smallMass", "1.986kg", 1986],
    ["smallMass", "1,986", 1986],
    ["smallMass", "98,5", 98.5],
    ["distance", "5 mi", 8046.72],
    ["distance", "2.5", 2500],
    ["distance", "800 m", 800],
    ["height", "3 000 ft".replace(" ", ""), 914.4],
    ["temperature", "30C", 30],
    ["temperature", "86 °F", 30],
    ["temperature", "−5", -5],
    ["volume", "750 ml", 0.75],
    ["volume", "2 qt", 1.892706],
  ] as const)("%s “%s” is %f inside", (kind, text, want) => expect(value(kind, text)).toBeCloseTo(want, 4));

  test.each([
    ["stature", "180", 180],
    ["stature", "1.80", 180],
    ["stature", "1.8 m", 180],
    ["stature", "5 ft 11", 180.34],
    ["stature", "5'11\"", 180.34],
    ["stature", "5’ 11”", 180.34],
    ["stature", "71 in", 180.34],
    ["stature", "6 ft", 182.88],
    ["mass", "11 st 4", 71.6676],
    ["mass", "11st", 69.8532],
    ["mass", "165 lb", 74.8427],
    ["mass", "2 lb 3", 0.9922],
  ] as const)("of a body: %s “%s” is %f inside, in either units", (kind, text, want) => {
    expect(value(kind, text)).toBeCloseTo(want, 3);
    expect(value(kind, text, imperial)).toBeCloseTo(want, 3);
  });

  test("a body’s height is shown as people say it, and read back", () => {
    expect(quantity("stature", 180, metric)).toBe("180 cm");
    expect(figure("stature", 180.34, imperial)).toBe("5 ft 11");
    expect(figure("stature", 182.6, imperial)).toBe("6 ft 0");
    expect(value("stature", figure("stature", 165, imperial), imperial)).toBeCloseTo(165.1, 9);
  });

  test("a bare number is in the hiker's own unit", () => {
    expect(value("mass", "10", imperial)).toBeCloseTo(4.5359, 4);
    expect(value("temperature", "50", imperial)).toBeCloseTo(10, 9);
    expect(value("temperature", "10C", imperial)).toBeCloseTo(10, 9);
  });

  test.each([
    ["mass", ""],
    ["mass", "heavy"],
    ["mass", "5 km"],
    ["mass", "2 3"],
    ["distance", "1e9 km"],
    ["temperature", "30 K"],
    ["smallMass", "12 g extra"],
  ] as const)("%s “%s” is refused, with what is allowed", (kind, text) => {
    const parsed = parseQuantity(kind, text, metric);
    expect("error" in parsed && parsed.error).toMatch(/with a unit if you like/);
  });

  test("what is shown can be typed back, in any units", () => {
    const kinds = fc.constantFrom<QuantityKind>("mass", "smallMass", "distance", "height", "volume", "temperature");
    fc.assert(
      fc.property(
        kinds,
        fc.constantFrom(metric, imperial),
        fc.double({ min: -50, max: 50, noNaN: true }),
        (kind, units, x) => {
          const inside = kind === "temperature" ? x : Math.abs(x) * 100;
          const shown = figure(kind, inside, units, 3);
          return Math.abs(value(kind, shown, units) - inside) <= 0.001 * (kind === "distance" ? 1610 : 30);
        },
      ),
    );
  });
});

describe("shown figures", () => {
  test("units, digits and a true minus sign", () => {
    expect(quantity("mass", 12.345, metric)).toBe("12.3 kg");
    expect(quantity("mass", 12.345, imperial)).toBe("27.2 lb");
    expect(quantity("distance", 2_050_601, metric, 0)).toBe("2,051 km");
    expect(quantity("temperature", -3.6, metric)).toBe("−4 °C");
    expect(fixed(-0.04, 1)).toBe("0.0");
    expect(dayMonth("2027-05-03")).toBe("3 May");
  });
});
