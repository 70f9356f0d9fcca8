"use client";

import {
  columnFilteringFeature,
  createFilteredRowModel,
  createSortedRowModel,
  filterFn_includesString,
  globalFilteringFeature,
  rowSortingFeature,
  type SortingState,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
} from "@tanstack/react-table";
import { ArrowDown, ArrowUp } from "lucide-react";
import { type ReactNode, useMemo, useState } from "react";
import { cx } from "./classes";

const features = tableFeatures({
  columnFilteringFeature,
  globalFilteringFeature,
  rowSortingFeature,
  filteredRowModel: createFilteredRowModel(),
  sortedRowModel: createSortedRowModel(),
  filterFns: { includesString: filterFn_includesString },
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
});

export interface Column {
  key: string;
  label: ReactNode /** Plain heading for copying. */;
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
  cells: Record<string, Cell>;
  className?: string;
}

/** A table that sorts by its headings, filters by words and copies as tab-separated text. */
export function DataTable({
  columns,
  rows,
  caption,
  filter = true,
  tools,
}: {
  columns: Column[];
  rows: Row[];
  caption: string;
  filter?: boolean;
  tools?: ReactNode;
}) {
  const [sorting, setSorting] = useState<SortingState>([]);
  const [words, setWords] = useState("");
  const [copied, setCopied] = useState(false);
  const defs = useMemo(
    () =>
      columns.map((c) => ({
        id: c.key,
        accessorFn: (r: Row) => r.cells[c.key]?.value ?? (c.num ? Number.NEGATIVE_INFINITY : ""),
        sortFn: c.num ? ("basic" as const) : ("alphanumeric" as const),
        filterFn: "includesString" as const,
      })),
    [columns],
  );
  const table = useTable({
    features,
    columns: defs,
    data: rows,
    state: { sorting, globalFilter: words },
    onSortingChange: setSorting,
    globalFilterFn: "includesString",
    getRowId: (r: Row) => r.id,
    getColumnCanGlobalFilter: () => true,
  });
  const shown = table.getRowModel().rows;
  const copy = async () => {
    const lines = [
      columns.map((c) => c.text),
      ...shown.map((r) => columns.map((c) => String(r.original.cells[c.key]?.value ?? ""))),
    ];
    await navigator.clipboard.writeText(
      lines.map((l) => l.map((x) => x.replace(/[\t\n]/g, " ")).join("\t")).join("\n"),
    );
    setCopied(true);
  };
  return (
    <div>
      <div className="no-print mb-2 flex flex-wrap items-center gap-3 text-sm">
        {filter && rows.length > 5 && (
          <input
            type="search"
            className="input max-w-56"
            placeholder="Filter"
            aria-label={`Filter ${caption}`}
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
        )}
        {words && (
          <span className="text-soft">
            {shown.length} of {rows.length}
          </span>
        )}
        <button
          type="button"
          onClick={copy}
          className="text-soft underline decoration-line underline-offset-3 hover:text-ink"
        >
          {copied ? "Copied" : "Copy for a spreadsheet"}
        </button>
        {tools}
      </div>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={caption}>
        <table className="table">
          <caption className="sr-only">{caption}</caption>
          <thead>
            <tr>
              {columns.map((c) => {
                const dir = table.getColumn(c.key)?.getIsSorted() ?? false;
                return (
                  <th
                    key={c.key}
                    className={cx(c.num && "num", c.className)}
                    aria-sort={dir === "asc" ? "ascending" : dir === "desc" ? "descending" : "none"}
                  >
                    {c.text === "" ? (
                      <span className="sr-only">Tools</span>
                    ) : (
                      <button
                        type="button"
                        className="inline-flex items-center gap-1 font-[600]"
                        onClick={table.getColumn(c.key)?.getToggleSortingHandler()}
                      >
                        {c.label}
                        {dir === "asc" && <ArrowUp size={11} aria-hidden />}
                        {dir === "desc" && <ArrowDown size={11} aria-hidden />}
                      </button>
                    )}
                  </th>
                );
              })}
            </tr>
          </thead>
          <tbody>
            {shown.map((r) => (
              <tr key={r.id} className={r.original.className}>
                {columns.map((c) => {
                  const cell = r.original.cells[c.key];
                  return (
                    <td key={c.key} className={cx(c.num && "num", c.className, cell?.className)}>
                      {cell?.show ?? cell?.value ?? "–"}
                    </td>
                  );
                })}
              </tr>
            ))}
            {shown.length === 0 && (
              <tr>
                <td colSpan={columns.length} className="text-soft">
                  Nothing fits “{words}”.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      </div>
    </div>
  );
}
