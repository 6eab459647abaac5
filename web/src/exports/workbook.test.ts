import fc from "fast-check";
import { boxesOf, computePlan } from "@gepack/core";
import readXlsxFile from "read-excel-file/node";
import { unzipSync } from "fflate";
import { beforeAll, describe, expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../../core/test/arbitraryPlan.ts";
import { demo, planWith, straightTrack } from "../../test/plans.ts";
import { csvBundle } from "./csvBundle.ts";
import { columnLetter, xlsxOf, type Cell, type Sheet, type Sum } from "./sheets.ts";
import { workbookOf } from "./workbook.ts";

let trip: ReturnType<typeof demo>;
beforeAll(() => {
  trip = demo();
});

const isSum = (cell: Cell): cell is Sum => typeof cell === "object" && "formula" in cell;
const plainOf = (cell: Cell): number | string =>
  isSum(cell) ? cell.value : typeof cell === "object" ? cell.iso : (cell ?? 0);

/** Just enough of a spreadsheet to work out the formulas that are written, from what stands in the cells. */
function valueAt({ rows }: Sheet, ref: string): number | string {
  const [, letters, line] = /^([A-Z]+)(\d+)$/.exec(ref)!;
  const column = [...letters!].reduce((sum, letter) => 26 * sum + letter.charCodeAt(0) - 64, 0) - 1;
  const cell = rows[Number(line) - 2]?.[column];
  return plainOf(cell);
}

function rangeOf(sheet: Sheet, range: string): (number | string)[] {
  const [, letter, from, toLetter, to] = /^([A-Z]+)(\d+):([A-Z]+)(\d+)$/.exec(range)!;
  if (letter === toLetter)
    return Array.from({ length: Number(to) - Number(from) + 1 }, (_, i) =>
      valueAt(sheet, `${letter}${Number(from) + i}`),
    );
  const [first, last] = [letter!, toLetter!].map((one) => one.charCodeAt(0));
  return Array.from({ length: last! - first! + 1 }, (_, i) =>
    valueAt(sheet, `${columnLetter(first! - 65 + i)}${from}`),
  );
}

function workedOut(sheet: Sheet, formula: string): number {
  const sum = /^=SUM\((.+)\)$/.exec(formula);
  if (sum) return rangeOf(sheet, sum[1]!).reduce<number>((all, value) => all + Number(value), 0);
  const sumIf = /^=SUMIF\((.+),"(.+)",(.+)\)$/.exec(formula);
  if (sumIf) {
    const [keys, values] = [rangeOf(sheet, sumIf[1]!), rangeOf(sheet, sumIf[3]!)];
    return values.reduce<number>((all, value, i) => all + (keys[i] === sumIf[2] ? Number(value) : 0), 0);
  }
  const [, a, sign, b] = /^=([A-Z]+\d+)([*-])([A-Z]+\d+)$/.exec(formula)!;
  const [left, right] = [Number(valueAt(sheet, a!)), Number(valueAt(sheet, b!))];
  return sign === "*" ? left * right : left - right;
}

function expectSums(sheets: readonly Sheet[]): void {
  for (const sheet of sheets)
    for (const cell of sheet.rows.flat())
      if (isSum(cell)) expect(Math.abs(workedOut(sheet, cell.formula) - cell.value), cell.formula).toBeLessThan(0.011);
}

describe("the workbook", () => {
  test("its formulas come to what the plan says: packs by their parts, days, kit by group, boxes", () => {
    const { plan, result } = trip;
    const sheets = workbookOf(plan, result);
    expectSums(sheets);
    const legs = sheets.find(({ name }) => name === "Legs")!;
    const at = legs.heads.indexOf("pack leaving kg");
    for (const [i, leg] of result.legs.entries())
      for (const [who, row] of leg.hikers.entries())
        expect((legs.rows[i * 2 + who]![at] as Sum).value).toBeCloseTo(row.startKg, 2);
    const boxes = sheets.find(({ name }) => name === "Boxes")!;
    const grams = boxes.rows.at(-1)![boxes.heads.indexOf("g")] as Sum;
    expect(grams.value).toBeCloseTo(
      boxesOf(plan, result).reduce((sum, { totalG }) => sum + totalG, 0),
      -1,
    );
  });

  test("of any plan the sums agree, and no cell holds a figure that is none", () => {
    fc.assert(
      fc.property(arbitraryPlan, ({ plan, tracks }) => {
        const sheets = workbookOf(plan, computePlan(plan, tracks));
        expectSums(sheets);
        for (const { rows, heads } of sheets)
          for (const row of rows) {
            expect(row).toHaveLength(heads.length);
            for (const cell of row) if (typeof cell === "number") expect(Number.isFinite(cell)).toBe(true);
          }
      }),
      { numRuns: runs(25) },
    );
  });

  test("another reader reads every sheet of it, and a name that looks like a formula as text", async () => {
    const kit = [{ id: "k", name: "=1+1", massG: 1000, ownerId: "a", carrierId: "a", spans: [] }];
    const plan = planWith({ kit });
    const sheets = workbookOf(plan, computePlan(plan, [straightTrack()]));
    const book = await xlsxOf(sheets);
    const read = await readXlsxFile(Buffer.from(await book.arrayBuffer()));
    expect(read.map(({ sheet }) => sheet)).toEqual(sheets.map(({ name }) => name));
    for (const [i, { data }] of read.entries()) expect(data[0]).toEqual(sheets[i]!.heads);
    const table = read.find(({ sheet }) => sheet === "Kit")!.data;
    expect(table[1]![0]).toBe("=1+1");
  });

  test("the same as CSV files in one ZIP, figures instead of formulas", async () => {
    const sheets = workbookOf(trip.plan, trip.result);
    const files = unzipSync(new Uint8Array(await csvBundle(sheets).arrayBuffer()));
    expect(Object.keys(files).sort()).toEqual(sheets.map(({ name }) => `${name.toLowerCase()}.csv`).sort());
    const legs = new TextDecoder().decode(files["legs.csv"]).split("\r\n");
    expect(legs).toHaveLength(1 + 2 * trip.result.legs.length + 1);
    expect(legs[0]).toBe(sheets[0]!.heads.join(","));
    expect(legs.join()).not.toContain("=SUM");
    expect(legs.at(-1)).toMatch(/^total,.*\d/);
  });

  test("columns are lettered as spreadsheets do", () => {
    expect([0, 25, 26, 51, 52, 701, 702].map(columnLetter)).toEqual(["A", "Z", "AA", "AZ", "BA", "ZZ", "AAA"]);
  });
});
