/** Tables as hikers have them, guessed and read; and rows that are none. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { guessColumns, readMileTable, tableRows, type TableColumn } from "./mileTable.ts";

const guessed = (text: string) => {
  const rows = tableRows(text);
  const reading = guessColumns(rows);
  return { ...reading, meanings: reading.columns.map(({ meaning }) => meaning), ...readMileTable(rows, reading) };
};

const KM = `km;Name;Art;Höhe;Bemerkung
0;Hafen;Ort;4;Fähre um 9
12,4;Kalte Quelle;Wasser;310;
1.020,5;Alm;Hütte;1.850;nur im Sommer`;
const MILES = `Mile,Place,Elevation (ft),Type,Note
0.0,Harbor,12,town,"ferry, 9:00"
7.7,Cold spring,1017,water,
"1,034.2",Meadow,6070,camp,"say ""hello"""`;

describe("what a column means", () => {
  test("by its head, whatever the language, marks and units", () => {
    const german = guessed(KM);
    expect(german.headRow).toBe(0);
    expect(german.meanings).toEqual(["along", "name", "kind", "height", "note"]);
    expect(german.rows.map(({ alongM, heightM }) => [alongM, heightM])).toEqual([
      [0, 4],
      [12_400, 310],
      [1_020_500, 1850],
    ]);
    const english = guessed(MILES);
    expect(english.meanings).toEqual(["along", "name", "height", "kind", "note"]);
    expect(english.columns[2]!.unit).toBe("ft");
    expect(english.rows[2]!.alongM).toBeCloseTo(1034.2 * 1609.344, 6);
    expect(english.rows[2]!.heightM).toBeCloseTo(1850.1, 1);
    expect(english.rows[2]!.note).toBe('say "hello"');
  });

  test("without a head by the cells: one runs one way, one differs, one repeats", () => {
    const { headRow, meanings, rows } = guessed(
      "Mill\t3.5\twater\tseasonal\nFord\t9\tford\t\nStore\t14\ttown\topen daily\nElm\t20\twater\tgood\nOak\t31\twater\tcreek",
    );
    expect(headRow).toBe(-1);
    expect(meanings).toEqual(["name", "along", "kind", "note"]);
    expect(rows.map(({ name }) => name)).toEqual(["Mill", "Ford", "Store", "Elm", "Oak"]);
  });

  test("units in the cells go before that of the column", () => {
    const { rows } = guessed("place,distance\nA,0 mi\nB,12.4 mi\nC,20 km\n");
    expect(rows.map(({ alongM }) => Math.round(alongM))).toEqual([0, 19_956, 20_000]);
  });

  test("distances to the next are added up, and those told from the far end turned", () => {
    const next = guessed("name,to next km,climb m\nA,10,300\nB,5.5,20\nC,0,0\n");
    expect(next.meanings).toEqual(["name", "next", "climb"]);
    expect(next.rows.map(({ alongM, climbM }) => [alongM, climbM])).toEqual([
      [0, 300],
      [10_000, 20],
      [15_500, 0],
    ]);
    expect(guessed("km,name\n100,Start\n60,Middle\n0,End\n").rows.map(({ alongM, name }) => [alongM, name])).toEqual([
      [0, "Start"],
      [40_000, "Middle"],
      [100_000, "End"],
    ]);
  });

  test("coordinates are taken where both are there", () => {
    const { rows } = guessed("name,km,lat,lon\nA,0,40.5,-150.25\nB,3,,-150\n");
    expect(rows.map(({ latDeg, lonDeg }) => [latDeg, lonDeg])).toEqual([
      [40.5, -150.25],
      [undefined, undefined],
    ]);
  });
});

test("rows that cannot be read are named with their reason, the rest goes on", () => {
  const { rows, unread } = guessed("km,name\n0,A\nsoon,B\n,C\n4,\n-3,D\n99999999,E\n7,F\n");
  expect(rows.map(({ name, line }) => [name, line])).toEqual([
    ["A", 2],
    ["F", 8],
  ]);
  expect(unread).toEqual([
    { line: 3, reason: "“soon” isn’t a distance." },
    { line: 4, reason: "This row has no distance." },
    { line: 5, reason: "This row has no name." },
    { line: 6, reason: "“-3” is outside 0 to 40,000 km." },
    { line: 7, reason: "“99999999” is outside 0 to 40,000 km." },
  ]);
});

test("told otherwise it reads otherwise; without a distance it says what is missing", () => {
  const rows = tableRows(MILES);
  const { headRow, columns } = guessColumns(rows);
  const inKm = columns.map((column): TableColumn => (column.meaning === "along" ? { ...column, unit: "km" } : column));
  expect(readMileTable(rows, { headRow, columns: inKm }).rows[1]!.alongM).toBeCloseTo(7700, 6);
  const none = columns.map((column): TableColumn => ({ ...column, meaning: "skip" }));
  expect(readMileTable(rows, { headRow, columns: none }).unread[0]!.reason).toMatch(/choose one/);
});

test("a formula’s mark is taken off, and nothing that comes throws", () => {
  expect(tableRows("'=Camp,1\n")).toEqual([["=Camp", "1"]]);
  fc.assert(
    fc.property(
      fc.oneof(fc.string({ maxLength: 300 }), fc.constantFrom(KM, MILES)),
      fc.nat(),
      fc.string(),
      (text, at, with_) => {
        const cut = at % (text.length + 1);
        const { rows, unread } = guessed(`${text.slice(0, cut)}${with_}${text.slice(cut)}`);
        for (const row of rows) expect(Number.isFinite(row.alongM) && row.alongM >= 0 && row.name !== "").toBe(true);
        for (const { reason } of unread) expect(reason).toMatch(/[.]$/);
      },
    ),
    { numRuns: runs(2000), endOnFailure: true },
  );
});

test("heights without a unit are feet where distances are miles, metres elsewhere", () => {
  const unitOf = (heads: string): string => {
    const { columns } = guessColumns(tableRows(`${heads}\nMill\t3.5\t4200\nFord\t9\t5100\nElm\t20\t3900`));
    return columns.find(({ meaning }) => meaning === "height")!.unit;
  };
  expect(["name\tmiles\tElevation", "name\tkm\tElevation", "name\tmiles\tElevation (m)"].map(unitOf)).toEqual([
    "ft",
    "m",
    "m",
  ]);
});
