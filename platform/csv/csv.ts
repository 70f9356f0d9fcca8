import "server-only";
import Papa from "papaparse";
import { spreadsheetCell } from "@/core/text/plain";

/** CSV text with a byte order mark for spreadsheets; no cell starts a formula, numbers stay numbers. */
export function toCsv(rows: readonly (readonly (string | number | null)[])[]): string {
  return `\ufeff${Papa.unparse(
    rows.map((r) => r.map((x) => (x === null ? "" : spreadsheetCell(String(x).replace("−", "-"))))),
    { newline: "\r\n" },
  )}\r\n`;
}
