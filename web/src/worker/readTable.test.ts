/** Tables among files: spreadsheets and texts of columns; all else is left to the readers of tracks. */
import fc from "fast-check";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { expect, test } from "vitest";
import writeXlsxFile from "write-excel-file/node";
import { runs } from "../../../core/test/arbitraryPlan.ts";
import { foodTableRows, kitTableRows } from "@gepack/core";
import { csvOf, xlsxOf } from "../exports/sheets.ts";
import { demo } from "../../test/plans.ts";
import { fileJobs } from "./fileJobs.ts";
import { readTable } from "./readTable.ts";

const named = (bytes: Uint8Array | string) => ({ file: new Blob([bytes as BlobPart]), name: "places" });
const sheet = async (rows: (string | number | Date)[][]): Promise<Uint8Array> =>
  new Uint8Array(
    await writeXlsxFile(
      rows.map((row) =>
        row.map((value) => (value instanceof Date ? { value, format: "yyyy-mm-dd" } : { value }) as never),
      ),
    ).toBuffer(),
  );

test("cells of a spreadsheet come as text: figures, dates, words, empty rows left out", async () => {
  const file = await sheet([
    ["Name", "km", "opens"],
    ["Mill, old", 12.5, new Date(Date.UTC(2027, 4, 15))],
    ["", "", ""],
    ["Quelle", 1020, ""],
  ]);
  const { value, problems } = (await readTable(named(file)))!;
  expect(problems).toEqual([]);
  expect(value!.rows).toEqual([
    ["Name", "km", "opens"],
    ["Mill, old", "12.5", "2027-05-15"],
    ["Quelle", "1020", ""],
  ]);
});

test.each([
  [
    "tabs",
    "name\tkm\nMill\t3\n",
    [
      ["name", "km"],
      ["Mill", "3"],
    ],
  ],
  [
    "titles before its columns",
    "Ridge walk\n\ndraft of May\nname;km\nMill;3,5\n",
    [["Ridge walk"], ["draft of May"], ["name", "km"], ["Mill", "3,5"]],
  ],
  ["semicolons in Latin 1", Uint8Array.from([...strToU8("Ort;km\nM"), 0xfc, ...strToU8("hle;3,5\n")]), undefined],
])("a text with %s", async (_, text, rows) => {
  const { value } = (await readTable(named(text)))!;
  if (rows) expect(value!.rows).toEqual(rows);
  else expect(value!.rows[1]).toEqual(["Mühle", "3,5"]);
});

test.each([
  ["a track", '<?xml version="1.0"?><gpx version="1.1"/>'],
  ["JSON", '{"type":"FeatureCollection","features":[]}'],
  ["points by their coordinates", "lat,lon,ele\n40,-150,3\n"],
  ["words", "one line\nanother line\n"],
  ["a packed KML", zipSync({ "doc.kml": strToU8("<kml/>") })],
  ["nothing", ""],
])("%s is no table", async (_, file) => {
  expect(await readTable(named(file))).toBeUndefined();
});

test("a spreadsheet that is cut short or empty is refused with a sentence", async () => {
  const good = await sheet([
    ["Name", "km"],
    ["Mill", 3],
  ]);
  const broken = zipSync({ "xl/workbook.xml": strToU8("<workbook"), "[Content_Types].xml": strToU8("<a/>") });
  for (const file of [broken, zipSync({ "xl/worksheets/sheet1.xml": strToU8("") })]) {
    const reading = await readTable(named(file));
    expect(reading!.value).toBeUndefined();
    expect(reading!.problems[0]!.sentence).toMatch(/^(Couldn’t read the spreadsheet|The first sheet).*\.$/s);
  }
  const bomb = zipSync({ "xl/worksheets/sheet1.xml": new Uint8Array(2_001_000) });
  expect((await readTable(named(bomb), 2_000_000))!.problems[0]!.sentence).toContain("over 2 MB");
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.nat(good.length - 1), fc.nat(255)), { minLength: 1, maxLength: 5 }),
      async (edits) => {
        const mutated = good.slice();
        for (const [at, byte] of edits) mutated[at] = byte;
        const reading = await readTable(named(mutated));
        if (reading && !reading.value) expect(reading.problems[0]!.sentence).toMatch(/\.$/);
      },
    ),
    { numRuns: runs(2000), endOnFailure: true },
  );
});

/** A workbook that fills two cells, the second far out, and says so or not. */
async function withCornerAt(corner: string, dimension: string): Promise<Uint8Array> {
  const parts = unzipSync(await sheet([["Name", "km"]]));
  const path = Object.keys(parts).find((name) => name.startsWith("xl/worksheets/sheet"))!;
  const row = /\d+$/.exec(corner)![0];
  parts[path] = strToU8(
    strFromU8(parts[path]!)
      .replace(/<dimension[^>]*>/, "")
      .replace(/(<sheetData>)/, `${dimension}$1`)
      .replace("</sheetData>", `<row r="${row}"><c r="${corner}"><v>1</v></c></row></sheetData>`),
  );
  return zipSync(parts);
}

test.each([
  ["as it says", "XFD1048576", '<dimension ref="A1:XFD1048576"/>'],
  ["whatever it says", "XFD1048576", '<dimension ref="A1:B2"/>'],
  ["saying nothing", "AAA900000", ""],
])("a sheet of two cells that reaches to the far corner, %s, is refused at once", async (_, corner, dimension) => {
  const { value, problems } = (await readTable(named(await withCornerAt(corner, dimension))))!;
  expect(value).toBeUndefined();
  expect(problems[0]!.sentence).toMatch(
    /^A sheet of this file reaches to column \d+, row \d+, \d{8,} cells; the limit/,
  );
});

test("a sheet with a cell not so far out is read", async () => {
  const { value } = (await readTable(named(await withCornerAt("C2000", ""))))!;
  expect(value!.rows.at(-1)).toEqual(["", "", "1"]);
});

const workbook = async (sheets: [name: string, rows: (string | number)[][]][]): Promise<Blob> =>
  new Blob([
    new Uint8Array(
      await writeXlsxFile(
        sheets.map(([name, rows]) => ({
          sheet: name,
          data: rows.map((row) => row.map((value) => ({ value }) as never)),
        })),
      ).toBuffer(),
    ),
  ]);

test("the likeliest sheet of a workbook is read, another where it is chosen", async () => {
  const file = await workbook([
    ["Read me", [["Name", "Weight"], ["This is my list", ""]]],
    ["Food", [["Food", "kcal per 100 g"], ["Oats", 370]]],
    ["Kit", [["Packing 2027"], ["Item", "Group", "Weight (g)", "Worn"], ["Tent", "Shelter", 842, ""], ["Hat", "Clothes", 60, "x"]]],
    ["Old kit", [["Item", "Weight (g)"], ["Tarp", 400]]],
  ]); // prettier-ignore
  const made = { hikerId: "a", fromStopId: "@start", toStopId: "@finish" };
  const kit = await fileJobs.readKit({ file, name: "lists.xlsx", ...made });
  expect(kit).toMatchObject({ sheets: ["Read me", "Food", "Kit", "Old kit"], sheet: 2 });
  expect(kit.pieces.map(({ name, wear }) => [name, wear])).toEqual([
    ["Tent", "packed"],
    ["Hat", "worn"],
  ]);
  const told = await fileJobs.readKit({ file, name: "lists.xlsx", ...made, sheet: 3 });
  expect(told.pieces.map(({ name }) => name)).toEqual(["Tarp"]);
  const foods = await fileJobs.readFoods({ file, name: "lists.xlsx" });
  expect(foods).toMatchObject({ sheet: 1, foods: [{ name: "Oats", energyKcal: 370 }] });
});

test("lines and tables that an older spreadsheet wrote keep their letters", async () => {
  const windows = (text: string): Blob => new Blob([Uint8Array.from([...text].map((letter) => letter.charCodeAt(0)))]);
  const made = { hikerId: "a", fromStopId: "@start", toStopId: "@finish" };
  const table = await fileJobs.readKit({
    file: windows("Gegenstand;Gewicht g\nKüche;354,5\nMütze;1.060"),
    name: "kit.csv",
    ...made,
  });
  expect(table.pieces.map(({ name, massG }) => [name, massG])).toEqual([
    ["Küche", 354.5],
    ["Mütze", 1060],
  ]);
  const lines = await fileJobs.readKit({ file: windows("Mütze 60 g\nSchlafsack 900 g"), name: "kit.txt", ...made });
  expect(lines.pieces.map(({ name }) => name)).toEqual(["Mütze", "Schlafsack"]);
});

const without = (row: object, keys: readonly string[]): object =>
  Object.fromEntries(Object.entries(row).filter(([key]) => !keys.includes(key)));

test("kit and pantry written as CSV and as XLSX come back to the same figures", async () => {
  const { plan } = demo();
  const made = { hikerId: "nobody", hikers: plan.hikers, fromStopId: "@start", toStopId: "@finish" };
  const sheetOf = ([heads, ...rows]: (string | number)[][]) => ({ name: "One", heads: heads!.map(String), rows });
  const [kit, foods] = [
    sheetOf(kitTableRows(plan)),
    sheetOf(foodTableRows(plan.foods.filter(({ parts }) => parts.length === 0))),
  ];
  const files = async (of: typeof kit): Promise<[File, File]> => [
    new File([csvOf(of)], "one.csv"),
    new File([await xlsxOf([of])], "one.xlsx"),
  ];
  for (const file of await files(kit)) {
    const { pieces, problems } = await fileJobs.readKit({ file, name: file.name, ...made });
    expect(problems.filter(({ sentence }) => !sentence.includes("already in the list"))).toEqual([]);
    for (const [i, piece] of plan.kit.entries()) {
      expect(pieces[i], file.name).toMatchObject(without(piece, ["id", "spans", "modifications", "advice"]));
    }
  }
  for (const file of await files(foods)) {
    const { foods: read, problems } = await fileJobs.readFoods({ file, name: file.name });
    expect(problems).toEqual([]);
    const whole = plan.foods.filter(({ parts }) => parts.length === 0);
    for (const [i, food] of whole.entries()) expect(read[i], file.name).toMatchObject(without(food, ["id"]));
  }
});
