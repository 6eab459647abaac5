import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { planSchema, readNumber, tidyNumbers } from "@gepack/core";
import { parsePlain, parseQuantity } from "./quantity.ts";

const read = (text: string): number[] => readNumber(tidyNumbers(text));

describe("a number as people write it", () => {
  test.each([
    ["986", [986]],
    [" 12.5 ", [12.5]],
    ["12,5", [12.5]],
    ["0,125", [0.125]],
    ["0.125", [0.125]],
    [",5", [0.5]],
    [".5", [0.5]],
    ["12.", [12]],
    ["−4", [-4]],
    ["–4,25", [-4.25]],
    ["+7", [7]],
    ["1,234.5", [1234.5]],
    ["1.234,5", [1234.5]],
    ["1,234,567", [1_234_567]],
    ["1.234.567,8", [1_234_567.8]],
    ["12 500", [12_500]],
    ["12 500", [12_500]],
    ["12’500", [12_500]],
    ["1 234 567,5", [1_234_567.5]],
    ["٣٤٫٥", [34.5]],
    ["१२", [12]],
    ["12", [12]],
  ])("“%s” is %j", (text, values) => expect(read(text)).toEqual(values));

  test("a sign that may part thousands or decimals has two readings, the more usual first", () => {
    expect(read("10,000")).toEqual([10_000, 10]);
    expect(read("61,500")).toEqual([61_500, 61.5]);
    expect(read("1.500")).toEqual([1.5, 1500]);
    expect(read("-10,000")).toEqual([-10_000, -10]);
  });

  test.each(["", "ten", "1,23,456", "1.2.3", "1,234.567.8", "--5", "1e5", "1,,5", ".", "0x10", "12 34"])(
    "“%s” is none",
    (text) => expect(read(text)).toEqual([]),
  );

  test("whatever is typed, it is read or not, and never thrown at", () => {
    fc.assert(fc.property(fc.string({ unit: "grapheme" }), (text) => read(text).every(Number.isFinite)));
  });
});

describe("with units", () => {
  const { units } = planSchema.shape.trip.parse({ name: "x", startDate: "2027-05-01" });

  test("both readings come in the inside unit; of a compound the usual one alone", () => {
    expect(parseQuantity("distance", "1,500 km", units)).toEqual({ value: 1_500_000, or: 1500 });
    expect(parseQuantity("smallMass", "1 kg 1,100 g", units)).toEqual({ value: 2100 });
    expect(parseQuantity("temperature", "-4,5", units)).toEqual({ value: -4.5 });
  });

  test("a number with one unit takes it along", () => {
    expect(parsePlain("10,000 mAh", "mAh")).toEqual({ value: 10_000, or: 10 });
    expect(parsePlain("8 %", "%")).toEqual({ value: 8 });
    expect(parsePlain("8 apples", "%")).toHaveProperty("error");
  });
});
