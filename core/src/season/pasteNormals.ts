/**
 * Twelve months of a climate table, pasted from wherever it stands: lows, highs, and where it has them rain and wet
 * days, as rows of twelve or as twelve rows. What a row is, is given by its first cell, else by their order.
 */
import { tableRows } from "../places/mileTable.ts";
import { readNumber, tidyNumbers } from "../units/number.ts";
import { MM_PER_INCH } from "../units/constants.ts";

export type NormalsRow = "lowC" | "highC" | "precipMm" | "wetDays";

export interface PastedNormals {
  rows: Partial<Record<NormalsRow, number[]>>;
  /** The temperatures may be Fahrenheit: nobody has days so hot in °C. */
  asksFahrenheit: boolean;
}

export type NormalsReading = { value: PastedNormals } | { error: string };

const WORDS: readonly (readonly [NormalsRow, RegExp])[] = [
  ["lowC", /\b(low|min|minimum|night|tief\w*|nacht\w*)/i],
  ["highC", /\b(high|max|maximum|day high|h(ö|oe)chst\w*|tag)\b/i],
  ["wetDays", /\b(wet|rain(y)? days?|days|regentage|tage)\b/i],
  ["precipMm", /\b(rain|precip\w*|niederschlag\w*|mm|inch\w*|in)\b/i],
];
const ORDER: readonly NormalsRow[] = ["lowC", "highC", "precipMm", "wetDays"];
const MONTHS = 12;
/** The hottest months on earth have mean highs of some 47 °C. */
const HOTTEST_C = 52;

export function readNormals(text: string, given?: { fahrenheit: boolean }): NormalsReading {
  const table = tableRows(text).filter((row) => row.some((cell) => cell !== ""));
  if (table.length === 0)
    return { error: "Nothing was pasted. Paste one row of twelve lows and one row of twelve highs." };
  const numbersIn = (row: readonly string[]): number => row.filter((cell) => numberOf(cell) !== undefined).length;
  // Months as rows: turned, so that they are columns.
  const down = table.filter((row) => numbersIn(row) >= 1).length >= 11 && Math.max(...table.map(numbersIn)) < 11;
  const rows = (down ? turned(table) : table).filter((row) => numbersIn(row) > 1);
  const found: PastedNormals["rows"] = {};
  let inFahrenheit = given?.fahrenheit ?? false;
  for (const [i, row] of rows.entries()) {
    const label = row.filter((cell) => numberOf(cell) === undefined).join(" ");
    let values = row.flatMap((cell) => numberOf(cell) ?? []);
    // A thirteenth is the year's.
    if (values.length === MONTHS + 1) values = values.slice(0, MONTHS);
    const which = WORDS.find(([, word]) => word.test(label))?.[0] ?? ORDER.filter((one) => !found[one])[0];
    if (which === undefined || found[which])
      return { error: `Row ${i + 1} is one too many: ${row.slice(0, 4).join(" ")} …` };
    if (values.length !== MONTHS)
      return {
        error: `Row ${i + 1}${label.trim() === "" ? "" : ` (${label.trim()})`} has ${values.length} months; enter twelve, starting with January.`,
      };
    if (which === "precipMm" && /\binch|\bin\b|″/i.test(label)) values = values.map((inches) => inches * MM_PER_INCH);
    if ((which === "lowC" || which === "highC") && /°\s*F|fahrenheit/i.test(label)) inFahrenheit = true;
    found[which] = values;
  }
  let { lowC, highC } = found;
  // Without words the lower of two rows is the lows.
  if (lowC && highC && sum(lowC) > sum(highC)) [lowC, highC] = [highC, lowC];
  const asksFahrenheit =
    !inFahrenheit && given === undefined && Math.max(...(highC ?? []), ...(lowC ?? [])) > HOTTEST_C;
  const celsius = (values: readonly number[]): number[] =>
    values.map((value) => (inFahrenheit ? ((value - 32) * 5) / 9 : value)).map((value) => Math.round(10 * value) / 10);
  if (lowC) found.lowC = celsius(lowC);
  if (highC) found.highC = celsius(highC);
  const crossed = found.lowC?.findIndex((low, month) => found.highC !== undefined && low > found.highC[month]!) ?? -1;
  if (crossed >= 0)
    return {
      error: `In month ${crossed + 1} the low (${found.lowC![crossed]}) is above the high (${found.highC![crossed]}).`,
    };
  for (const [which, least, most, what] of BOUNDS)
    for (const value of found[which] ?? [])
      if (!asksFahrenheit && (value < least || value > most))
        return { error: `${value} isn’t a valid ${what}; enter ${least} to ${most}.` };
  return { value: { rows: found, asksFahrenheit } };
}

const BOUNDS = [
  ["lowC", -80, 60, "average low in °C"],
  ["highC", -80, 60, "average high in °C"],
  ["precipMm", 0, 3000, "monthly rain in mm"],
  ["wetDays", 0, 31, "number of wet days"],
] as const;

function numberOf(cell: string): number | undefined {
  return readNumber(tidyNumbers(cell.replace(/°\s*[CF]|mm|″/gi, "")))[0];
}

function turned(table: readonly (readonly string[])[]): string[][] {
  const width = Math.max(...table.map((row) => row.length));
  return Array.from({ length: width }, (_, c) => table.map((row) => row[c] ?? ""));
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
