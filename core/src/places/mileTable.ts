/**
 * Mile tables: places by their distance along the trail, as rows of a spreadsheet. What each column means is
 * guessed from its head and its cells, and may be told otherwise; a row that cannot be read is named with its
 * reason and the rest goes on. Distances come out in metres from where the table starts, heights in metres.
 */
import Papa from "papaparse";
import { delimiterIn } from "../track/csv.ts";
import { wordsOf } from "../track/words.ts";
import { M_PER_FT, M_PER_MI } from "../units/constants.ts";
import { decimalSigns, numberBy } from "../units/decimals.ts";

export const COLUMN_MEANINGS = [
  "name",
  "along",
  "next",
  "height",
  "climb",
  "kind",
  "off-trail",
  "note",
  "latitude",
  "longitude",
  "skip",
] as const;
export type ColumnMeaning = (typeof COLUMN_MEANINGS)[number];
export type LengthUnit = "km" | "mi" | "m" | "ft";

export interface TableColumn {
  meaning: ColumnMeaning;
  /** Of lengths and heights. */
  unit: LengthUnit;
}

export interface TableReading {
  /** The row that names the columns, those before it being titles; −1 where none does. */
  headRow: number;
  columns: TableColumn[];
}

export interface MileRow {
  /** Of the table, the first is 1. */
  line: number;
  name: string;
  alongM: number;
  heightM: number | undefined;
  /** Climb from here to the next row. */
  climbM: number | undefined;
  offTrailM: number;
  kind: string;
  note: string;
  lonDeg: number | undefined;
  latDeg: number | undefined;
}

export interface MileTable {
  rows: MileRow[];
  unread: { line: number; reason: string }[];
}

const MAX_ROWS = 20_000;
const MAX_COLUMNS = 60;
const MAX_TEXT = 2000;
const METRES: Record<LengthUnit, number> = { km: 1000, mi: M_PER_MI, m: 1, ft: M_PER_FT };
/** Lengths that need a unit, and the one they have where nothing tells. */
const MEASURES: Partial<Record<ColumnMeaning, LengthUnit>> = {
  along: "km",
  next: "km",
  height: "m",
  climb: "m",
  "off-trail": "km",
};

/** Cells of pasted text or a text file, empty rows left out. */
export function tableRows(text: string): string[][] {
  const whole = text.replace(/^\uFEFF/, "");
  const { data } = Papa.parse<string[]>(whole, { delimiter: delimiterIn(whole), skipEmptyLines: "greedy" });
  // Marks that keep a text from being a formula are none of it.
  return data
    .slice(0, MAX_ROWS + 2)
    .map((row) => row.slice(0, MAX_COLUMNS).map((cell) => cell.trim().replace(/^'(?=[=+\-@])/, "")));
}

/** Heads by what they say, the surest first. */
const HEADS: readonly (readonly [ColumnMeaning, RegExp])[] = [
  ["latitude", /\b(lat|latitude|breite)\b/],
  ["longitude", /\b(lon|lng|long|longitude|lange)\b/],
  ["climb", /\b(climb|ascent|gain|aufstieg|denivele|dislivello|desnivel)\b/],
  ["height", /\b(ele|elev|elevation|alt|altitude|height|hohe|hoehe|quota|altura|altitud)\b/],
  ["off-trail", /\b(off|off trail|detour|abseits|abstand)\b/],
  ["next", /\b(next|leg|section|segment|nachste|nachster|suivant|prochain|etappe|tappa)\b/],
  ["along", /\b(km|mi|mile|miles|dist|distance|distanz|distanza|distancia|kilometer|kilometre|entfernung|total)\b/],
  ["kind", /\b(kind|type|typ|art|category|kategorie|categorie|tipo|genre)\b/],
  [
    "note",
    /\b(note|notes|remark|remarks|comment|comments|description|desc|detail|details|info|services|bemerkung|notiz|remarque)\b/,
  ],
  ["name", /\b(name|place|location|stop|town|ort|lieu|luogo|lugar|nom|nome|nombre|landmark|waypoint)\b/],
];

const plain = (text: string): string =>
  text
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/[_\-/().,;:]+/g, " ");

function meaningOfHead(head: string): ColumnMeaning | undefined {
  return HEADS.find(([, pattern]) => pattern.test(plain(head)))?.[0];
}

const UNITS: readonly (readonly [LengthUnit, RegExp])[] = [
  ["km", /\b(km|kilomet\w*)\b/],
  ["mi", /\b(mi|miles?|meilen?)\b/],
  ["ft", /\b(ft|feet|foot|fuss)\b|['′]/],
  ["m", /\b(m|met\w+|masl|m ?u ?m)\b/],
];

function unitIn(text: string): LengthUnit | undefined {
  return UNITS.find(([, pattern]) => pattern.test(plain(text)))?.[0];
}

/** A cell as a number with the unit it may name: `12.4 mi`, `1 250 m`. */
function numberIn(
  cell: string,
  comma: boolean | undefined,
): { value: number; unit: LengthUnit | undefined } | undefined {
  const match = /^([^\p{L}'′]*?)\s*([\p{L}'′][\p{L}.'′]*)?$/u.exec(cell.trim());
  if (!match) return undefined;
  const unit = match[2] === undefined ? undefined : unitIn(match[2]);
  if (match[2] !== undefined && unit === undefined) return undefined;
  const value = numberBy(match[1]!, comma);
  return value === undefined ? undefined : { value, unit };
}

interface ColumnFacts {
  head: string;
  cells: string[];
  numbers: number[];
  /** Fraction of the filled cells that are numbers. */
  numeric: number;
  distinct: number;
}

const SOME_ROWS = 200;

/** What each column most likely means. */
export function guessColumns(rows: readonly (readonly string[])[]): TableReading {
  const width = Math.max(0, ...rows.slice(0, SOME_ROWS).map((row) => row.length));
  const headRow = headRowOf(rows);
  const first = rows[headRow] ?? [];
  // Sections stand alone in their row.
  const body = rows.slice(headRow + 1, SOME_ROWS).filter((row) => row.filter((cell) => cell !== "").length > 1);
  const commas = decimalSigns(body);
  const facts = Array.from({ length: width }, (_, c): ColumnFacts => {
    const cells = body.map((row) => row[c] ?? "").filter((cell) => cell !== "");
    const numbers = cells.flatMap((cell) => numberIn(cell, commas[c])?.value ?? []);
    return {
      head: first[c] ?? "",
      cells,
      numbers,
      numeric: cells.length === 0 ? 0 : numbers.length / cells.length,
      distinct: new Set(cells).size,
    };
  });
  const meanings: ColumnMeaning[] = facts.map(() => "skip");
  const take = (meaning: ColumnMeaning, fits: (facts: ColumnFacts) => boolean): void => {
    if (meanings.includes(meaning)) return;
    const c = facts.findIndex((column, i) => meanings[i] === "skip" && column.cells.length > 0 && fits(column));
    if (c >= 0) meanings[c] = meaning;
  };
  const isNumeric = ({ numeric }: ColumnFacts): boolean => numeric > 0.7;
  const NUMERIC: readonly ColumnMeaning[] = ["latitude", "longitude", "climb", "height", "off-trail", "next", "along"];
  for (const meaning of NUMERIC) take(meaning, (column) => isNumeric(column) && meaningOfHead(column.head) === meaning);
  for (const meaning of ["kind", "note", "name"] as const)
    take(meaning, (column) => !isNumeric(column) && meaningOfHead(column.head) === meaning);
  // Without a head that tells: distances run one way, names differ, kinds repeat.
  if (!meanings.includes("next")) take("along", (column) => isNumeric(column) && isMonotonic(column.numbers));
  take("name", (column) => !isNumeric(column) && column.distinct > 0.6 * column.cells.length);
  take("kind", (column) => !isNumeric(column) && column.distinct <= Math.max(3, 0.6 * column.cells.length));
  // All that is written besides is a remark; there may be several.
  for (const [c, column] of facts.entries())
    if (meanings[c] === "skip" && column.cells.length > 0 && !isNumeric(column)) meanings[c] = "note";
  const unitsRead = facts.map(
    ({ head, cells }) => unitIn(head) ?? unitIn(/\p{L}+\.?$/u.exec(cells[0] ?? "")?.[0] ?? ""),
  );
  // Who tells distances in miles tells heights in feet.
  const inMiles = meanings.some((meaning, c) => (meaning === "along" || meaning === "next") && unitsRead[c] === "mi");
  const columns = meanings.map((meaning, c): TableColumn => {
    const usual = inMiles && (meaning === "height" || meaning === "climb") ? "ft" : MEASURES[meaning];
    return { meaning, unit: unitsRead[c] ?? usual ?? "km" };
  });
  return { headRow, columns };
}

/** Titles, dates and remarks may stand before the heads. */
const MOST_TITLES = 30;

function headRowOf(rows: readonly (readonly string[])[]): number {
  const numbersIn = (row: readonly string[] = []): number => row.filter((cell) => numberIn(cell, undefined)).length;
  const filledIn = (row: readonly string[]): number => row.filter((cell) => cell !== "").length;
  const isHead = (row: readonly string[], least: number): boolean =>
    numbersIn(row) === 0 && row.filter((cell) => meaningOfHead(cell) !== undefined).length >= least;
  const [first = [], second] = rows;
  if (second && filledIn(first) > 1 && numbersIn(first) === 0 && (isHead(first, 1) || numbersIn(second) > 0)) return 0;
  const found = rows.slice(0, MOST_TITLES).findIndex((row) => isHead(row, 2));
  return found >= 0 && rows.slice(0, found).every((row) => numbersIn(row) === 0 || filledIn(row) < 2) ? found : -1;
}

function isMonotonic(numbers: readonly number[]): boolean {
  if (numbers.length < 2) return numbers.length === 1;
  const steps = numbers.slice(1).map((value, i) => value - numbers[i]!);
  const up = steps.filter((step) => step >= 0).length;
  return Math.max(up, steps.length - up) >= 0.95 * steps.length && new Set(numbers).size > numbers.length / 2;
}

const LOWEST_M = -500;
const HIGHEST_M = 9000;
const LONGEST_M = 40_000_000;

/** Reads the rows as they are given to be read. Places come in order of their distance. */
export function readMileTable(rows: readonly (readonly string[])[], { headRow, columns }: TableReading): MileTable {
  const unread: MileTable["unread"] = [];
  const read: MileRow[] = [];
  const column = (meaning: ColumnMeaning): number => columns.findIndex((one) => one.meaning === meaning);
  const commas = decimalSigns(rows.slice(0, SOME_ROWS));
  const [along, next] = [column("along"), column("next")];
  const metres = (row: readonly string[], meaning: ColumnMeaning): number | undefined => {
    const c = column(meaning);
    const number = c < 0 ? undefined : numberIn(row[c] ?? "", commas[c]);
    return number && number.value * METRES[number.unit ?? columns[c]!.unit];
  };
  const plainNumber = (row: readonly string[], meaning: ColumnMeaning, most: number): number | undefined => {
    const c = column(meaning);
    const value = c < 0 ? undefined : numberIn(row[c] ?? "", commas[c])?.value;
    return value !== undefined && Math.abs(value) <= most ? value : undefined;
  };
  const text = (row: readonly string[], meaning: ColumnMeaning): string =>
    (row[column(meaning)] ?? "").trim().slice(0, MAX_TEXT);
  const heads = rows[headRow] ?? [];
  const remarksIn = (row: readonly string[]): string =>
    wordsOf(columns.flatMap(({ meaning }, c) => (meaning === "note" ? [remarkOf(heads[c], row[c])] : []))).description;
  let sumM = 0;
  for (const [i, row] of rows.entries()) {
    if (i <= headRow || isNoPlace(row, heads)) continue;
    const line = i + 1;
    const say = (reason: string): void => void unread.push({ line, reason });
    if (i > MAX_ROWS + headRow) {
      say(`More than ${MAX_ROWS.toLocaleString("en")} rows, the most that is read.`);
      break;
    }
    const name = text(row, "name").slice(0, 200);
    const alongM = along >= 0 ? metres(row, "along") : sumM;
    if (next >= 0) sumM += metres(row, "next") ?? 0;
    const cell = row[along] ?? "";
    if (alongM === undefined)
      say(cell === "" ? "This row has no distance." : `“${cell.slice(0, 30)}” isn’t a distance.`);
    else if (alongM < 0 || alongM > LONGEST_M) say(`“${cell.slice(0, 30)}” is outside 0 to 40,000 km.`);
    else if (name === "") say("This row has no name.");
    else {
      const heightM = metres(row, "height");
      const [lonDeg, latDeg] = [plainNumber(row, "longitude", 180), plainNumber(row, "latitude", 90)];
      const placed = lonDeg !== undefined && latDeg !== undefined;
      read.push({
        line,
        name,
        alongM,
        heightM: heightM !== undefined && heightM >= LOWEST_M && heightM <= HIGHEST_M ? heightM : undefined,
        climbM: nonNegative(metres(row, "climb")),
        offTrailM: nonNegative(metres(row, "off-trail")) ?? 0,
        kind: text(row, "kind"),
        note: remarksIn(row),
        lonDeg: placed ? lonDeg : undefined,
        latDeg: placed ? latDeg : undefined,
      });
    }
  }
  if (along < 0 && next < 0)
    return { rows: [], unread: [{ line: 1, reason: "No column is marked as the distance: choose one." }] };
  // Told from the far end: the walk starts where the most is left.
  if (read.length > 1 && read[0]!.alongM > read.at(-1)!.alongM) {
    const farM = read.reduce((most, row) => Math.max(most, row.alongM), 0);
    for (const row of read) row.alongM = farM - row.alongM;
  }
  return { rows: read.sort((a, b) => a.alongM - b.alongM), unread };
}

/** An empty row, heads that are said again, and one that tells the units of its columns. */
function isNoPlace(row: readonly string[], heads: readonly string[]): boolean {
  const filled = row.filter((cell) => cell !== "");
  if (filled.length === 0 || filled.every((cell) => UNIT_ALONE.test(cell))) return true;
  return filled.length > 1 && row.every((cell, c) => cell === "" || cell.toLowerCase() === heads[c]?.toLowerCase());
}

const UNIT_ALONE = /^[([]?(?:km|mi|miles?|m|ft|feet|masl|m ?ü\.? ?m\.?)[)\]]?$/i;

/** A column without a head, or one that is called like a place's own fields, is read as a note. */
function remarkOf(head: string | undefined, cell: string | undefined): [key: string, value: string] {
  const key = (head ?? "").trim().toLowerCase();
  return [key === "" || meaningOfHead(key) !== undefined ? "note" : key, cell ?? ""];
}

const nonNegative = (value: number | undefined): number | undefined =>
  value !== undefined && value >= 0 ? value : undefined;
