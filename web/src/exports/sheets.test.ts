import readXlsxFile from "read-excel-file/node";
import { strFromU8, unzipSync } from "fflate";
import { describe, expect, test } from "vitest";
import { csvOf, sheetNames, xlsxOf } from "./sheets.ts";

const heads = ["name", "g"];

describe("tables as files", () => {
  test("names that look like formulas stay text", async () => {
    const rows = [["=1+1", 5] as const, ["@SUM(A1)", undefined] as const, ["a, “b”\nc", -2.5] as const];
    expect(csvOf({ heads: ["a"], rows: [["=1\n+2"], ["a\n=1"], ["\n@x"], [-2]] })).toBe(
      'a\r\n"\'=1\n+2"\r\n"a\n=1"\r\n"\'\n@x"\r\n-2',
    );
    expect(csvOf({ heads: ["low, °C"], rows: [] }).charCodeAt(0)).toBe(0xfeff);
    expect(csvOf({ heads, rows })).toBe('name,g\r\n"\'=1+1",5\r\n"\'@SUM(A1)",\r\n"a, “b”\nc",-2.5');
    const book = await xlsxOf([{ name: "One", heads, rows }]);
    const [sheet] = await readXlsxFile(Buffer.from(await book.arrayBuffer()));
    expect(sheet).toEqual({ sheet: "One", data: [heads, ["=1+1", 5], ["@SUM(A1)", null], ["a, “b”\nc", -2.5]] });
  });

  test("a reader that works nothing out shows what formulas come to, and days are days", async () => {
    const rows = [
      ["Oats", 80] as const,
      ["Nuts", 120] as const,
      ["all", { formula: "=SUM(B2:B3)", value: 200 }] as const,
    ];
    const book = await xlsxOf([
      { name: "Food", heads, rows },
      { name: "Days", heads: ["date", "km"], rows: [[{ iso: "2027-04-01" }, { formula: "=2*3", value: 6 }]] },
    ]);
    const sheets = await readXlsxFile(Buffer.from(await book.arrayBuffer()));
    expect(sheets[0]!.data[3]).toEqual(["all", 200]);
    expect(sheets[1]!.data[1]).toEqual([new Date("2027-04-01T00:00:00Z"), 6]);
    const files = unzipSync(new Uint8Array(await book.arrayBuffer()));
    expect(strFromU8(files["xl/worksheets/sheet1.xml"]!)).toContain("<f>SUM(B2:B3)</f><v>200</v>");
    expect(csvOf({ heads: ["date"], rows: [[{ iso: "2027-04-01" }]] })).toBe("date\r\n2027-04-01");
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
