/** Tables as CSV (RFC 4180): one way of lines, marks and escapes for all that is written. */
import Papa from "papaparse";

/** No spreadsheet makes a formula of a text, whatever line of it starts so. */
const LIKE_A_FORMULA = /^\s*[=+\-@\t\r]/;

/** A mark tells older spreadsheets that letters beyond ASCII are UTF-8. */
const MARK = "\uFEFF";

export function csvText(heads: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  const text = Papa.unparse([[...heads], ...rows.map((row) => [...row])], {
    escapeFormulae: LIKE_A_FORMULA,
    newline: "\r\n",
  });
  return /[^\t\n\r -~]/.test(heads.join("")) ? MARK + text : text;
}
