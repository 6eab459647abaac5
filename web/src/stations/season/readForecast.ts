/** A forecast pasted from a table: a day a row, with low, high, and where told the chance of rain, its amount, wind. */
import { tableRows, readNumber, tidyNumbers, MOST_FORECAST_DAYS, type ForecastDay, type Units } from "@gepack/core";
import { oneDate } from "../../units/date.ts";

type Column = "lowC" | "highC" | "wetChance" | "rainMm" | "windMps";

const ORDER: readonly Column[] = ["lowC", "highC", "wetChance", "rainMm", "windMps"];
const WORDS: readonly (readonly [Column, RegExp])[] = [
  ["lowC", /low|min|night/i],
  ["highC", /high|max|day temp/i],
  ["wetChance", /chance|prob|%/i],
  ["rainMm", /rain|precip|mm/i],
  ["windMps", /wind|m\/s/i],
];
const BOUNDS: Record<Column, readonly [number, number, string]> = {
  lowC: [-80, 60, "low in °C"],
  highC: [-80, 60, "high in °C"],
  wetChance: [0, 1, "chance of rain, 0 to 100 %"],
  rainMm: [0, 1000, "rain in mm"],
  windMps: [0, 60, "wind in m/s"],
};

/** `near` is the date whose year is meant where none is written. */
export function readForecast(text: string, near: string, units: Units): { days: ForecastDay[] } | { error: string } {
  const table = tableRows(text).filter((row) => row.some((cell) => cell.trim() !== ""));
  if (table.length === 0) return { error: "Nothing was pasted. Paste one day per row: date, low, high." };
  const first = oneDate(table[0]![0] ?? "", near);
  const head = "error" in first ? table[0]! : undefined;
  const columns = head ? head.slice(1).map((cell) => WORDS.find(([, word]) => word.test(cell))?.[0]) : ORDER;
  const days: ForecastDay[] = [];
  for (const [i, row] of table.slice(head ? 1 : 0).entries()) {
    const where = `Row ${i + (head ? 2 : 1)}`;
    const date = oneDate(row[0] ?? "", near);
    if ("error" in date) return { error: `${where}: ${date.error}` };
    const day: ForecastDay = { date: date.iso };
    for (const [c, column] of columns.entries()) {
      const cell = (row[c + 1] ?? "").trim();
      if (column === undefined || cell === "" || cell === "–" || cell === "-") continue;
      const number = readNumber(tidyNumbers(cell.replace(/°\s*[CF]?|%|mm|m\/s/gi, "")))[0];
      if (number === undefined) return { error: `${where}: “${cell.slice(0, 20)}” is not a number.` };
      const value = inside(column, number, cell, units);
      const [least, most, what] = BOUNDS[column];
      if (value < least || value > most) return { error: `${where}: ${cell.slice(0, 20)} isn’t a valid ${what}.` };
      day[column] = value;
    }
    if (highBelowLow(day)) return { error: `${where}: the low is above the high.` };
    if (days.some((one) => one.date === day.date)) return { error: `${where}: the day ${row[0]} appears twice.` };
    days.push(day);
  }
  if (days.length > MOST_FORECAST_DAYS)
    return {
      error: `That’s ${days.length} days; at most ${MOST_FORECAST_DAYS} are used, because forecasts further ahead say nothing.`,
    };
  return { days: days.sort((a, b) => (a.date < b.date ? -1 : 1)) };
}

function inside(column: Column, number: number, cell: string, units: Units): number {
  if (column === "wetChance") return number > 1 || cell.includes("%") ? number / 100 : number;
  if (column !== "lowC" && column !== "highC") return number;
  const fahrenheit = /f/i.test(cell) || (units.temperature === "F" && !/c/i.test(cell));
  return fahrenheit ? Math.round(((number - 32) / 1.8) * 10) / 10 : number;
}

/** Why a day with these figures is refused. */
export function highBelowLow({
  lowC,
  highC,
}: {
  lowC?: number | undefined;
  highC?: number | undefined;
}): string | undefined {
  return lowC !== undefined && highC !== undefined && highC < lowC ? "The high can’t be below the low." : undefined;
}
