/** Tables as files that a spreadsheet opens: one as CSV, one or several as XLSX. A name is text there, never a formula. */
import Papa from "papaparse";
import { save, saveBlob } from "./files.ts";

export interface Sheet {
  name: string;
  heads: readonly string[];
  rows: readonly (readonly Cell[])[];
}
export type Cell = string | number | undefined;

export function csvOf({ heads, rows }: Pick<Sheet, "heads" | "rows">): string {
  return Papa.unparse([[...heads], ...rows.map((row) => row.map((cell) => cell ?? ""))], { escapeFormulae: true });
}

export function saveCsv(name: string, sheet: Pick<Sheet, "heads" | "rows">): void {
  save(csvOf(sheet), name, "csv", "text/csv");
}

/** Spreadsheets allow no longer names, and none of these signs in them. */
const MOST_NAME = 31;
const NOT_IN_A_NAME = /[[\]:*?/\\]/g;

/** Names of sheets as spreadsheets take them, each once. */
export function sheetNames(names: readonly string[]): string[] {
  const taken = new Set<string>();
  return names.map((name) => {
    const plain = name.replace(NOT_IN_A_NAME, " ").trim() || "Sheet";
    let free = plain.slice(0, MOST_NAME).trimEnd();
    for (let n = 2; taken.has(free.toLowerCase()); n++) {
      const ending = ` ${n}`;
      free = plain.slice(0, MOST_NAME - ending.length).trimEnd() + ending;
    }
    taken.add(free.toLowerCase());
    return free;
  });
}

export async function xlsxOf(sheets: readonly Sheet[]): Promise<Blob> {
  const { default: writeXlsxFile } = await import("write-excel-file/universal");
  const names = sheetNames(sheets.map(({ name }) => name));
  return writeXlsxFile(
    sheets.map(({ heads, rows }, i) => ({
      sheet: names[i]!,
      stickyRowsCount: 1,
      columns: heads.map((head, c) => ({ width: widthOf([head, ...rows.map((row) => row[c])]) })),
      data: [
        heads.map((value) => ({ value, fontWeight: "bold" as const })),
        ...rows.map((row) => row.map((cell) => (cell === undefined || cell === "" ? null : { value: cell }))),
      ],
    })),
  ).toBlob();
}

export async function saveXlsx(name: string, sheets: readonly Sheet[]): Promise<void> {
  saveBlob(await xlsxOf(sheets), name, "xlsx");
}

function widthOf(cells: readonly Cell[]): number {
  return Math.min(60, Math.max(8, ...cells.map((cell) => String(cell ?? "").length + 2)));
}

/** A figure as a spreadsheet counts with it; text stays text. */
export function asNumber(cell: string): string | number {
  return cell !== "" && Number.isFinite(Number(cell)) ? Number(cell) : cell;
}
