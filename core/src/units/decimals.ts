/** Which sign parts decimals: by what the column of a table, else the table, shows. */
import { readNumber, tidyNumbers } from "./number.ts";

/** Is the comma the decimal sign of these cells? Undefined where none tells. */
function decimalComma(cells: readonly string[]): boolean | undefined {
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

/** The decimal sign by which a number that two hands would read as two is over a thousand: its own sign parts groups. */
export const asThousands = (text: string): boolean => !text.includes(",");
