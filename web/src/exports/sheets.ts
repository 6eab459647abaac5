/** Tables as files that a spreadsheet opens: one as CSV, one or several as XLSX. A name is text there, never a formula. */
import { csvText } from "@gepack/core";
import { save, saveBlob } from "../frame/files.ts";

export interface Sheet {
  name: string;
  heads: readonly string[];
  rows: readonly (readonly Cell[])[];
}
/** A formula with what it comes to, for who cannot work it out; it is never made of a name. */
export interface Sum {
  formula: string;
  value: number;
}
/** A day, as YYYY-MM-DD: a spreadsheet counts with it. */
export interface Day {
  iso: string;
}
export type Cell = string | number | Sum | Day | undefined;

const isDay = (cell: Cell): cell is Day => typeof cell === "object" && "iso" in cell;
const plain = (cell: Cell): string | number =>
  isDay(cell) ? cell.iso : typeof cell === "object" ? cell.value : (cell ?? "");

/** The letter of a spreadsheet's column, from 0. */
export function columnLetter(index: number): string {
  const rest = Math.floor(index / 26);
  return (rest > 0 ? columnLetter(rest - 1) : "") + String.fromCharCode(65 + (index % 26));
}

export function csvOf({ heads, rows }: Pick<Sheet, "heads" | "rows">): string {
  return csvText(
    heads,
    rows.map((row) => row.map(plain)),
  );
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
  const blob = await writeXlsxFile(
    sheets.map(({ heads, rows }, i) => ({
      sheet: names[i]!,
      stickyRowsCount: 1,
      columns: heads.map((head, c) => ({ width: widthOf([head, ...rows.map((row) => row[c])]) })),
      data: [heads.map((value) => ({ value, fontWeight: "bold" as const })), ...rows.map((row) => row.map(asXlsx))],
    })),
  ).toBlob();
  return withValues(blob, sheets);
}

/** With what each formula comes to, for readers that show a book without working it out. */
async function withValues(blob: Blob, sheets: readonly Sheet[]): Promise<Blob> {
  const { strFromU8, strToU8, unzipSync, zipSync } = await import("fflate");
  const files = unzipSync(new Uint8Array(await blob.arrayBuffer()));
  for (const [i, { rows }] of sheets.entries()) {
    const name = `xl/worksheets/sheet${i + 1}.xml`;
    // Cells are written row by row, as they stand here.
    const values = rows.flat().flatMap((cell) => (typeof cell === "object" && "formula" in cell ? [cell.value] : []));
    let at = 0;
    const xml = strFromU8(files[name]!).replace(/<f>=?([^<]*)<\/f>/g, (_, formula: string) => {
      const value = values[at++];
      return `<f>${formula}</f>${Number.isFinite(value) ? `<v>${value}</v>` : ""}`;
    });
    files[name] = strToU8(xml);
  }
  return new Blob([zipSync(files) as BlobPart], { type: blob.type });
}

function asXlsx(cell: Cell) {
  if (cell === undefined || cell === "") return null;
  if (isDay(cell)) return { type: Date, value: new Date(`${cell.iso}T00:00:00Z`), format: "yyyy-mm-dd" };
  if (typeof cell === "object") return { type: "Formula" as const, value: cell.formula };
  // A cell holds no more, and one letter more would spoil the book.
  return { value: typeof cell === "string" ? cell.slice(0, MOST_LETTERS) : cell };
}

const MOST_LETTERS = 32_767;

export async function saveXlsx(name: string, sheets: readonly Sheet[]): Promise<void> {
  saveBlob(await xlsxOf(sheets), name, "xlsx");
}

function widthOf(cells: readonly Cell[]): number {
  return Math.min(60, Math.max(8, ...cells.map((cell) => String(plain(cell)).length + 2)));
}

/** A figure as a spreadsheet counts with it; text stays text. */
export function asNumber(cell: string): string | number {
  return cell !== "" && Number.isFinite(Number(cell)) ? Number(cell) : cell;
}
