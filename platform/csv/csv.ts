import "server-only";
import Papa from "papaparse";

type Cell = string | number | null;

/** What a number looks like, with a point or a comma, so that it stays one. */
const number = /^[+-]?\d+([.,]\d+)?(e[+-]?\d+)?$/i;

/**
 * A cell that no spreadsheet takes for a formula, whichever mark it cuts cells at: what begins with = + - @ or a
 * blank, at the beginning or after a line end, tab, comma or semicolon, is led by an apostrophe.
 */
function safe(x: Cell): string {
  const text = x === null ? "" : String(x).replace("−", "-");
  if (number.test(text)) return text;
  return text.replace(/(^|[\r\n\t;,])(?=(?:[^\S\r\n\t]|["'])*[=+\-@\uff1d\uff0b\uff0d\uff20])/g, "$1'");
}

/** CSV text with a byte order mark for spreadsheets; no cell starts a formula, numbers stay numbers. */
export function toCsv(rows: readonly (readonly Cell[])[]): string {
  return `\ufeff${Papa.unparse(
    rows.map((r) => r.map(safe)),
    { newline: "\r\n" },
  )}\r\n`;
}
