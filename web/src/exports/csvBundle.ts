/** Several tables as CSV files in one ZIP. */
import { strToU8, zipSync } from "fflate";
import { csvOf, sheetNames, type Sheet } from "./sheets.ts";

export function csvBundle(sheets: readonly Sheet[]): Blob {
  const names = sheetNames(sheets.map(({ name }) => name));
  const files = sheets.map((sheet, i) => [`${names[i]!.toLowerCase()}.csv`, strToU8(csvOf(sheet))] as const);
  return new Blob([zipSync(Object.fromEntries(files))], { type: "application/zip" });
}
