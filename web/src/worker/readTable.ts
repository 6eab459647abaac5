/** Tables among files: spreadsheets, and texts whose lines are columns that name no coordinates. */
import { decoded, namesCoordinates, tableRows, refused, unpackedBytes, type ReadResult } from "@gepack/core";
import type { NamedFile } from "./namedFile.ts";

export interface TableText {
  name: string;
  /** Cells as text; of a workbook its first sheet that has any. */
  rows: string[][];
  /** Of a workbook all sheets that have some. */
  sheets?: { name: string; rows: string[][] }[];
}

const MAX_TABLE_BYTES = 20_000_000;
const MAX_UNPACKED_BYTES = 200_000_000;
const MAX_CELLS = 2_000_000;
const HEAD_BYTES = 4000;
/** So many lines must have more than one column, from the first that has; those before it are titles. */
const LINES = 5;
const MOST_TITLES = 30;

/** Undefined for what is no table. */
export async function readTable(
  { file, name }: NamedFile,
  mostUnpacked = MAX_UNPACKED_BYTES,
): Promise<ReadResult<TableText> | undefined> {
  const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
  if (head[0] === 0x50 && head[1] === 0x4b) return readSpreadsheet(file, name, mostUnpacked);
  let text: string;
  try {
    text = decoded(head).trimStart();
  } catch {
    return undefined;
  }
  if (/^[<{[]/.test(text) || namesCoordinates(/^[^\r\n]*/.exec(text)![0])) return undefined;
  const rows = tableRows(text);
  const from = rows.findIndex((row) => row.length > 1);
  const lines = rows.slice(from, from + LINES);
  if (from < 0 || from > MOST_TITLES || lines.some((row) => row.length < 2)) return undefined;
  if (file.size > MAX_TABLE_BYTES) return tooLarge(file.size);
  return { value: { name, rows: tableRows(decoded(new Uint8Array(await file.arrayBuffer()))) }, problems: [] };
}

function tooLarge(size: number): ReadResult<TableText> {
  const mb = (bytes: number): number => Math.round(bytes / 1e6);
  return refused("file", `This table is ${mb(size)} MB; the limit is ${mb(MAX_TABLE_BYTES)} MB.`);
}

async function readSpreadsheet(
  file: Blob,
  name: string,
  mostUnpacked: number,
): Promise<ReadResult<TableText> | undefined> {
  if (file.size > MAX_TABLE_BYTES) return undefined;
  const bytes = new Uint8Array(await file.arrayBuffer());
  const corner = farthestCell();
  const unpacked = unpackedBytes(bytes, mostUnpacked, corner.look);
  if (!unpacked.names.some((inner) => inner.startsWith("xl/"))) return undefined;
  if (unpacked.size > mostUnpacked)
    return refused("file", `Unpacked, this spreadsheet is over ${mostUnpacked / 1e6} MB.`);
  // A reader lays out every cell up to the farthest one, however few are filled.
  const { column, row } = corner.found();
  if (column * row > MAX_CELLS)
    return refused(
      "file",
      `A sheet of this file reaches to column ${column}, row ${row}, ${column * row} cells; the limit is ${MAX_CELLS}. Delete the cells far out, then save it again.`,
    );
  try {
    const { default: readXlsxFile } = await import("read-excel-file/web-worker");
    const all = await readXlsxFile(new Blob([bytes as BlobPart]));
    const sheets = all
      .map(({ sheet, data }) => ({
        name: sheet,
        rows: data.map((row) => row.map(cellText)).filter((row) => row.some((cell) => cell !== "")),
      }))
      .filter(({ rows }) => rows.length > 0);
    const [first] = sheets;
    if (!first) return refused("file", "The sheets of the spreadsheet are empty.");
    return { value: { name, rows: first.rows, sheets }, problems: [] };
  } catch (error) {
    const why = error instanceof Error ? error.message.replace(/\.$/, "") : String(error);
    return refused("file", `Couldn’t read the spreadsheet: ${why}. Save it again as XLSX or CSV.`);
  }
}

const SHEET = /^xl\/worksheets\//;
const CELL = /\br\s*=\s*["']([A-Z]{1,3})(\d{1,7})["']|\bref\s*=\s*["'][A-Z]+\d+:([A-Z]{1,3})(\d{1,7})["']/g;
/** A name that is cut by the end of a piece is found with the next. */
const OVERLAP = 40;

/** The farthest cell that any sheet names, told by the sheets as they are unpacked. */
function farthestCell() {
  const found = { column: 0, row: 0 };
  const decoder = new TextDecoder();
  let before = "";
  return {
    look: (name: string, piece: Uint8Array): void => {
      if (!SHEET.test(name)) return;
      const text = before + decoder.decode(piece, { stream: true });
      before = text.slice(-OVERLAP);
      for (const [, cellColumn, cellRow, column, row] of text.matchAll(CELL)) {
        found.column = Math.max(found.column, columnNumber(cellColumn ?? column!));
        found.row = Math.max(found.row, Number(cellRow ?? row));
      }
    },
    found: () => found,
  };
}

/** A is 1, AA 27. */
const columnNumber = (letters: string): number =>
  [...letters].reduce((sum, letter) => 26 * sum + letter.charCodeAt(0) - 64, 0);

function cellText(cell: unknown): string {
  if (cell === null || cell === undefined) return "";
  return (cell instanceof Date ? cell.toISOString().slice(0, 10) : String(cell as string | number | boolean)).trim();
}
