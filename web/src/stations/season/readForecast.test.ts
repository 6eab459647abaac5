/** Forecasts pasted from tables: with heads and without, in °F, and what is wrong in words. */
import { unitsSchema } from "@gepack/core";
import { describe, expect, test } from "vitest";
import { readForecast } from "./readForecast.ts";

const units = unitsSchema.parse({});
const read = (text: string, of = units) => readForecast(text, "2027-04-10", of);

describe("a row a day", () => {
  test("without a head: date, low, high, chance, rain, wind", () => {
    expect(read("11 Apr\t3\t14\t60 %\t4 mm\t8\n12.4.\t-1\t9\n")).toEqual({
      days: [
        { date: "2027-04-11", lowC: 3, highC: 14, wetChance: 0.6, rainMm: 4, windMps: 8 },
        { date: "2027-04-12", lowC: -1, highC: 9 },
      ],
    });
  });

  test("with a head in any order; empty cells are not told; days come sorted", () => {
    expect(read("Day,Max,Min,Wind\n2027-04-12,9,-1,\n2027-04-11,14,3,5")).toEqual({
      days: [
        { date: "2027-04-11", highC: 14, lowC: 3, windMps: 5 },
        { date: "2027-04-12", highC: 9, lowC: -1 },
      ],
    });
  });

  test("Fahrenheit where the plan or the cell says so", () => {
    const imperial = unitsSchema.parse({ temperature: "F" });
    expect(read("11 Apr\t32\t68", imperial)).toMatchObject({ days: [{ lowC: 0, highC: 20 }] });
    expect(read("11 Apr\t32 °F\t68 °F")).toMatchObject({ days: [{ lowC: 0, highC: 20 }] });
  });
});

test.each([
  ["", /Nothing was pasted/],
  ["11 Apr\tcold", /Row 1: “cold” is not a number/],
  ["yesterday\t3\t9\nnever\t2\t8", /Row 2: “never” isn’t a date/],
  ["11 Apr\t12\t3", /the low is above the high/],
  ["11 Apr\t3\t90", /isn’t a valid high in °C/],
  ["11 Apr\t3\t9\n11 Apr\t4\t9", /appears twice/],
  [Array.from({ length: 16 }, (_, i) => `${i + 1} May\t3\t9`).join("\n"), /16 days; at most 15/],
])("%j is refused with a sentence", (text, sentence) => {
  const result = read(text);
  expect("error" in result ? result.error : "").toMatch(sentence);
});
