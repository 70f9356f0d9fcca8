import "server-only";
import Papa from "papaparse";
import { spreadsheetCell } from "@/core/text/plain";

/**
 * CSV text with a byte order mark for spreadsheets; no cell starts a formula, numbers stay numbers. With `comma` as
 * spreadsheets of many countries read it: a decimal comma, and semicolons between cells.
 */
export function toCsv(
  rows: readonly (readonly (string | number | null)[])[],
  { comma = false }: { comma?: boolean } = {},
): string {
  const told = (x: string | number) => {
    const text = spreadsheetCell(String(x).replace("−", "-"));
    return comma && /^-?\d+\.\d+$/.test(text) ? text.replace(".", ",") : text;
  };
  return `\ufeff${Papa.unparse(
    rows.map((r) => r.map((x) => (x === null ? "" : told(x)))),
    { newline: "\r\n", delimiter: comma ? ";" : "," },
  )}\r\n`;
}
