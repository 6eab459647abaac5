/** Climate tables as they are pasted, and what is wrong with them. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { readNormals } from "./pasteNormals.ts";

const LOW = [-8, -7, -4, -1, 3, 7, 11, 10, 6, 1, -4, -7];
const HIGH = [3, 5, 9, 13, 18, 24, 29, 28, 23, 15, 7, 3];
const RAIN = [110, 95, 95, 65, 45, 25, 12, 12, 25, 50, 100, 110];
const rowsOf = (text: string, given?: { fahrenheit: boolean }) => {
  const reading = readNormals(text, given);
  if ("error" in reading) throw new Error(reading.error);
  return reading.value;
};
const errorOf = (text: string): string => {
  const reading = readNormals(text);
  return "error" in reading ? reading.error : "";
};

describe("what is read", () => {
  test("lows and highs that were exchanged are put right", () => {
    const { rows } = rowsOf(`low\t${HIGH.join("\t")}\nhigh\t${LOW.join("\t")}`);
    expect(rows).toEqual({ lowC: LOW, highC: HIGH });
  });

  test("rows with words, in any order, with the year\u2019s mean at the end; rows without words by their order", () => {
    const table = `\tJan\tFeb\nMean max\t${[...HIGH, 15].join("\t")}\nMean min\t${LOW.join("\t")}\nRain mm\t${RAIN.join("\t")}`;
    expect(rowsOf(table).rows).toEqual({ lowC: LOW, highC: HIGH, precipMm: RAIN });
    expect(rowsOf(`${HIGH.join(";")}\n${LOW.join(";")}`).rows).toEqual({ lowC: LOW, highC: HIGH });
  });

  test("months as rows, decimal commas, minus signs as they are typed", () => {
    const down = LOW.map((low, m) => `${m + 1}. Month\t${String(low).replace("-", "−")},5\t${HIGH[m]!},5`).join("\n");
    const { rows } = rowsOf(down.replace(/^\d+\. /gm, ""));
    expect(rows.lowC).toEqual(LOW.map((low) => (low < 0 ? low - 0.5 : low + 0.5)));
    expect(rows.highC).toEqual(HIGH.map((high) => high + 0.5));
  });

  test("Fahrenheit by its sign, else asked for where °C cannot be meant; inches of rain", () => {
    const f = (c: readonly number[]): number[] => c.map((one) => (one * 9) / 5 + 32);
    expect(rowsOf(`low °F,${f(LOW).join()}\nhigh °F,${f(HIGH).join()}`).rows).toEqual({ lowC: LOW, highC: HIGH });
    const unsure = `${f(LOW).join("\t")}\n${f(HIGH).join("\t")}`;
    expect(rowsOf(unsure).asksFahrenheit).toBe(true);
    expect(rowsOf(unsure, { fahrenheit: true })).toEqual({ rows: { lowC: LOW, highC: HIGH }, asksFahrenheit: false });
    expect(rowsOf(`rain inch,${Array(12).fill(2).join()}`).rows.precipMm).toEqual(Array(12).fill(50.8));
  });
});

test.each([
  ["", /Nothing was pasted/],
  [`low\t${LOW.slice(1).join("\t")}`, /Row 1 \(low\) has 11 months; enter twelve/],
  [
    `low\t${[30, ...LOW.slice(1)].join("\t")}\nhigh\t${HIGH.join("\t")}`,
    /In month 1 the low \(30\) is above the high \(3\)/,
  ],
  [`low\t${LOW.join("\t")}\nlow\t${LOW.join("\t")}`, /Row 2 is one too many/],
  [`wet days\t${Array(12).fill(40).join("\t")}`, /40 isn’t a valid number of wet days; enter 0 to 31/],
])("refused with a sentence: %j", (text, sentence) => {
  expect(errorOf(text)).toMatch(sentence);
});

test("whatever is pasted: twelve finite months or a sentence", () => {
  fc.assert(
    fc.property(
      fc.string({ unit: fc.constantFrom("1", "-", ",", ".", "\t", "\n", "l", "o", "w", " ", "F", "°") }),
      (text) => {
        const reading = readNormals(text);
        if ("error" in reading) expect(reading.error).toMatch(/\.$|…$/);
        else
          for (const values of Object.values(reading.value.rows)) {
            expect(values).toHaveLength(12);
            expect(values.every(Number.isFinite)).toBe(true);
          }
      },
    ),
    { numRuns: runs(2000), endOnFailure: true },
  );
});
