import readXlsxFile from "read-excel-file/node";
import { describe, expect, test } from "vitest";
import { csvOf, sheetNames, xlsxOf } from "./sheets.ts";

const heads = ["name", "g"];

describe("tables as files", () => {
  test("names that look like formulas stay text", async () => {
    const rows = [["=1+1", 5] as const, ["@SUM(A1)", undefined] as const, ["a, “b”\nc", -2.5] as const];
    expect(csvOf({ heads, rows })).toBe('name,g\r\n"\'=1+1",5\r\n"\'@SUM(A1)",\r\n"a, “b”\nc",-2.5');
    const book = await xlsxOf([{ name: "One", heads, rows }]);
    const [sheet] = await readXlsxFile(Buffer.from(await book.arrayBuffer()));
    expect(sheet).toEqual({ sheet: "One", data: [heads, ["=1+1", 5], ["@SUM(A1)", null], ["a, “b”\nc", -2.5]] });
  });

  test("names of sheets are short, allowed and each once", () => {
    const long = "a name of more than thirty-one characters";
    expect(sheetNames([long, long, "days/nights: [1]?", "  ", "Days"])).toEqual([
      "a name of more than thirty-one",
      "a name of more than thirty-on 2",
      "days nights   1",
      "Sheet",
      "Days",
    ]);
    for (const name of sheetNames([long, long])) expect(name.length).toBeLessThanOrEqual(31);
  });

  test("several sheets in one book keep their order", async () => {
    const book = await xlsxOf([
      { name: "Food", heads, rows: [["Oats", 80]] },
      { name: "food", heads, rows: [] },
    ]);
    const sheets = await readXlsxFile(Buffer.from(await book.arrayBuffer()));
    expect(sheets.map(({ sheet }) => sheet)).toEqual(["Food", "food 2"]);
    expect(sheets[0]!.data[1]).toEqual(["Oats", 80]);
  });
});
