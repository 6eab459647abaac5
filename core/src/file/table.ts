/**
 * Tables as people keep them: the row of heads wherever it stands, heads that are said again, and the decimal sign by
 * what the column and the table show. What the columns are for is told by whoever reads one.
 */
import { decimalSigns } from "../units/decimals.ts";

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

/** Rows that sum up others, in the commonest languages of lists. */
export const TOTAL =
  /^(grand |sub|sous|zwischen|big (three|four|3|4) ?)?[-\s]*(totale?s?|totaal|totalt?|subtotale?|subtotaal|sum|summe|summa|suma|soma|somma|somme|razem|celkem|insgesamt|gesamt(gewicht|summe)?|base ?weight|basisgewicht|peso (base|total)|poids (de base|total)|peso totale|skin.?out|pack weight|carried)\b/iu;

export const skippedTotal = (text: string): string => `“${text}” looks like a total and was skipped.`;
