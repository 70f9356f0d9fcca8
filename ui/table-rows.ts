import type { ReactNode } from "react";
import { spreadsheetCell } from "@/core/text/plain";

export interface Column {
  key: string;
  /** The heading; the plain one where it is left out. */
  label?: ReactNode;
  /** Plain heading, for copying; empty for a column of tools. */
  text: string;
  num?: boolean;
  className?: string;
}
/** What a cell sorts, filters and copies by, and what it shows. */
export interface Cell {
  value: string | number | null;
  show?: ReactNode;
  className?: string;
}
export interface Row {
  id: string;
  cells: Record<string, Cell | string | number | null>;
  className?: string;
  /** The heading it stands under for as long as the table is in its own order. */
  group?: string;
  /** What is opened under the row. */
  detail?: ReactNode;
}

/** A cell written short is its value. */
export const cellOf = (row: Row, key: string): Cell => {
  const cell = row.cells[key] ?? null;
  return cell !== null && typeof cell === "object" ? cell : { value: cell };
};

/** The rows as text that a spreadsheet takes: a line a row, tabs between; columns of tools are left out. */
export function copyText(columns: readonly Column[], rows: readonly Row[]): string {
  const told = columns.filter((c) => c.text !== "");
  const lines = [told.map((c) => c.text), ...rows.map((r) => told.map((c) => String(cellOf(r, c.key).value ?? "")))];
  return lines.map((l) => l.map((x) => spreadsheetCell(x.replace(/\s*[\t\n]\s*/g, " "))).join("\t")).join("\n");
}

const page = 15;

/** The row that a key goes to, of `count`, from row `at`; nothing for a key that moves nothing. */
export function rowAfter(key: string, at: number, count: number): number | null {
  const to = {
    ArrowDown: at + 1,
    ArrowUp: at - 1,
    PageDown: at + page,
    PageUp: at - page,
    Home: 0,
    End: count - 1,
  }[key];
  return to === undefined ? null : Math.max(0, Math.min(count - 1, to));
}
