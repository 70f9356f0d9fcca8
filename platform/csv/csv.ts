import "server-only";
import Papa from "papaparse";

/**
 * CSV text with a byte order mark for spreadsheets; a cell that could start a formula is kept from doing so, numbers
 * stay numbers.
 */
export function toCsv(rows: readonly (readonly (string | number | null)[])[]): string {
  const safe = (x: string | number | null) => {
    const text = x === null ? "" : String(x).replace("−", "-");
    return /^[=+\-@\t\r]/.test(text) && !/^[+-]?\d+(\.\d+)?(e[+-]?\d+)?$/i.test(text) ? `'${text}` : text;
  };
  return `\ufeff${Papa.unparse(
    rows.map((r) => r.map(safe)),
    { newline: "\r\n" },
  )}\r\n`;
}
