/**
 * Tables as people keep them: the row of heads wherever it stands, heads that are said again, and the decimal sign by
 * what the column and the table show. What the columns are for is told by whoever reads one.
 */
import { readNumber, tidyNumbers } from "../units/number.ts";

/** The first that fits a head names its column. */
export type Heads<Key extends string> = readonly (readonly [Key, RegExp])[];
export type Columns<Key extends string> = Partial<Record<Key, number>>;

export interface FoundTable<Key extends string> {
  heads: readonly string[];
  columns: Columns<Key>;
  /** Below the heads; the first line of the table is 1. */
  body: { line: number; cells: readonly string[] }[];
  /** By column: is the comma the decimal sign? Undefined where nothing in the table tells. */
  commas: readonly (boolean | undefined)[];
}

/** A title, a date, an address: heads come after so many rows at most. */
const MOST_BEFORE = 30;
const SOME_ROWS = 200;

/** `mapped` is where the columns are, for who knows better than their heads; a table without heads is one from its first row. */
export function findTable<Key extends string>(
  rows: readonly (readonly string[])[],
  words: Heads<Key>,
  isEnough: (columns: Columns<Key>) => boolean,
  mapped?: Columns<Key>,
): FoundTable<Key> {
  const found = rows.slice(0, MOST_BEFORE).findIndex((row) => isEnough(columnsOf(row, words)));
  const at = Math.max(0, found);
  const heads = rows[at] ?? [];
  const columns = mapped ?? columnsOf(heads, words);
  const said = heads.map((head) => head.trim().toLowerCase());
  const isSaidAgain = (cells: readonly string[]): boolean => {
    const filled = cells.filter((cell) => cell.trim() !== "");
    return filled.length > 1 && cells.every((cell, i) => cell.trim() === "" || cell.trim().toLowerCase() === said[i]);
  };
  const body = rows
    .slice(at + 1)
    .map((cells, i) => ({ line: at + i + 2, cells }))
    .filter(({ cells }) => !isSaidAgain(cells));
  return { heads, columns, body, commas: decimalSigns(body.slice(0, SOME_ROWS).map(({ cells }) => cells)) };
}

function columnsOf<Key extends string>(heads: readonly string[], words: Heads<Key>): Columns<Key> {
  const columns: Columns<Key> = {};
  for (const [i, head] of heads.entries()) {
    const key = words.find(([, fits]) => fits.test(head.trim()))?.[0];
    if (key !== undefined && columns[key] === undefined) columns[key] = i;
  }
  return columns;
}

/** Is the comma the decimal sign of these cells? Undefined where none tells. */
export function decimalComma(cells: readonly string[]): boolean | undefined {
  for (const cell of cells) {
    const number = /\d[\d.,]*/.exec(cell)?.[0] ?? "";
    const values = readNumber(number);
    if (values.length !== 1) continue;
    if (!Number.isInteger(values[0]!)) return number.lastIndexOf(",") > number.lastIndexOf(".");
    // What parts groups of thousands parts no decimals: 1.234.567.
    const [sign] = /[.,]/.exec(number) ?? [];
    if (sign !== undefined && /^\d{1,3}([.,]\d{3})+$/.test(number)) return sign === ".";
  }
  return undefined;
}

/** By column; a column that does not tell writes as the others of its table. */
export function decimalSigns(rows: readonly (readonly string[])[]): (boolean | undefined)[] {
  const width = rows.reduce((most, row) => Math.max(most, row.length), 0);
  const own = Array.from({ length: width }, (_, c) => decimalComma(rows.map((row) => row[c] ?? "")));
  const usual = own.find((comma) => comma !== undefined);
  return own.map((comma) => comma ?? usual);
}

/** `1,234` and `1.234` are what the column's other numbers are; the likelier where nothing tells. */
export function numberBy(text: string, comma: boolean | undefined): number | undefined {
  const tidy = tidyNumbers(text);
  const values = readNumber(tidy);
  if (values.length < 2 || comma === undefined) return values[0];
  const isDecimal = tidy.includes(",") === comma;
  return values.find((value) => Number.isInteger(value) !== isDecimal) ?? values[0];
}

/** A number that two hands would read as two: `1.250`. */
export function isAmbiguous(text: string): boolean {
  const values = [...tidyNumbers(text).matchAll(/[\d.,]+/g)].map(([number]) => readNumber(number));
  return values.some((readings) => readings.length > 1);
}

/** Rows that sum up others, in the commonest languages of lists. */
export const TOTAL =
  /^(grand |sub|sous|zwischen|big (three|four|3|4) ?)?[-\s]*(totale?s?|totaal|totalt?|subtotale?|subtotaal|sum|summe|summa|suma|soma|somma|somme|razem|celkem|insgesamt|gesamt(gewicht|summe)?|base ?weight|basisgewicht|peso (base|total)|poids (de base|total)|peso totale|skin.?out|pack weight|carried)\b/iu;

export const skippedTotal = (text: string): string => `“${text}” looks like a total and was skipped.`;
