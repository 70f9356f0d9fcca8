"use client";

import {
  columnFilteringFeature,
  createFilteredRowModel,
  createSortedRowModel,
  globalFilteringFeature,
  rowSortingFeature,
  type SortingState,
  sortFn_basic,
  tableFeatures,
  useTable,
} from "@tanstack/react-table";
import { ArrowDown, ArrowUp } from "lucide-react";
import { type KeyboardEvent, type ReactNode, useMemo, useRef, useState } from "react";
import { byName, plainLetters } from "@/core/text/plain";
import { cx } from "./classes";
import { useReady } from "./ready";
import { ChoosingBox, ChosenBar, useChoosing } from "./table-chosen";
import { type Column, cellOf, copyText, type Row, rowAfter } from "./table-rows";
import { toast } from "./toast";
import { useWindowed } from "./windowed";

/** A row as far as sorting and filtering look into it. */
interface Held {
  getValue(column: string): unknown;
}

const features = tableFeatures({
  columnFilteringFeature,
  globalFilteringFeature,
  rowSortingFeature,
  filteredRowModel: createFilteredRowModel(),
  sortedRowModel: createSortedRowModel(),
  filterFns: {
    holds: (row: Held, column: string, words: string) =>
      plainLetters(String(row.getValue(column))).includes(plainLetters(words)),
  },
  sortFns: {
    name: (a: Held, b: Held, column: string) => byName(String(a.getValue(column)), String(b.getValue(column))),
    basic: sortFn_basic,
  },
});

/** From how many rows on a table can be filtered and has a height of its own, its head in sight. */
const long = 6;

/**
 * A table that sorts by its headings, filters by words and copies as tab-separated text. The arrow keys go from row to
 * row, Enter follows the row's first link. Of a very long one what is in sight is laid out; printing lays out all.
 */
export function DataTable({
  columns,
  rows,
  caption,
  tools,
  groups = {},
  foot,
  empty = "Nothing here yet.",
  many,
  filtered = true,
}: {
  columns: Column[];
  rows: Row[];
  caption: string;
  tools?: ReactNode;
  /** What stands in the bands above the groups, where it is more than the group's name. */
  groups?: Record<string, ReactNode>;
  /** Rows under all others, whatever the order: where the next one is typed. */
  foot?: ReactNode;
  empty?: ReactNode;
  /** What can be done to several rows at once: it finds what is ticked by `useChosen`. */
  many?: ReactNode;
  /** Off for one of many small tables on a page: a field for each would be more than what it finds. */
  filtered?: boolean;
}) {
  const ready = useReady();
  const [sorting, setSorting] = useState<SortingState>([]);
  const [words, setWords] = useState("");
  const [active, setActive] = useState(0);
  const body = useRef<HTMLTableSectionElement>(null);
  const defs = useMemo(
    () =>
      columns.map((c) => ({
        id: c.key,
        accessorFn: (r: Row) => cellOf(r, c.key).value ?? (c.num ? Number.NEGATIVE_INFINITY : ""),
        sortFn: c.num ? ("basic" as const) : ("name" as const),
        filterFn: "holds" as const,
      })),
    [columns],
  );
  const table = useTable({
    features,
    columns: defs,
    data: rows,
    state: { sorting, globalFilter: words },
    onSortingChange: setSorting,
    globalFilterFn: "holds",
    getRowId: (r: Row) => r.id,
    getColumnCanGlobalFilter: () => true,
  });
  const found = table.getRowModel().rows.map((r) => r.original);
  const { shown, more, mark } = useWindowed(found);
  const choosing = useChoosing();
  const width = columns.length + (choosing.ids ? 1 : 0);
  const copy = async () => {
    await navigator.clipboard.writeText(copyText(columns, found));
    toast(`${found.length} ${found.length === 1 ? "row" : "rows"} copied for a spreadsheet.`);
  };
  const go = (e: KeyboardEvent<HTMLTableRowElement>, at: number) => {
    if (e.target !== e.currentTarget) return;
    if (e.key === "Enter") return e.currentTarget.querySelector("a")?.click();
    const to = rowAfter(e.key, at, shown.length);
    if (to === null) return;
    e.preventDefault();
    setActive(to);
    body.current?.querySelectorAll<HTMLTableRowElement>("tr[data-row]")[to]?.focus();
  };
  return (
    <div className="min-w-0">
      {(rows.length > 1 || tools) && (
        <div className="no-print mb-2 flex flex-wrap items-center gap-3 text-sm">
          {filtered && rows.length >= long && (
            <input
              type="search"
              className="input max-w-56"
              placeholder="Filter"
              aria-label={`Filter ${caption}`}
              disabled={!ready}
              value={words}
              onChange={(e) => setWords(e.target.value)}
            />
          )}
          {words && (
            <span className="text-soft" role="status">
              {found.length} of {rows.length}
            </span>
          )}
          {rows.length > 1 && (
            <button
              type="button"
              onClick={copy}
              className="text-soft underline decoration-line underline-offset-3 hover:text-ink"
            >
              Copy for a spreadsheet
            </button>
          )}
          {many && rows.length > 1 && !choosing.ids && (
            <button
              type="button"
              disabled={!ready}
              onClick={choosing.start}
              className="text-soft underline decoration-line underline-offset-3 hover:text-ink"
            >
              Choose several
            </button>
          )}
          {tools}
        </div>
      )}
      {choosing.ids && <ChosenBar of={choosing}>{many}</ChosenBar>}
      <div
        className={cx("table-room", rows.length > 20 && "table-tall")}
        tabIndex={0}
        role="region"
        aria-label={caption}
      >
        <table className="table">
          <caption className="sr-only">{caption}</caption>
          <thead>
            <tr>
              {choosing.ids && (
                <th>
                  <ChoosingBox of={choosing} ids={found.map((r) => r.id)} label="all that are shown" />
                </th>
              )}
              {columns.map((c) => (
                <Heading key={c.key} column={c} of={table.getColumn(c.key)} />
              ))}
            </tr>
          </thead>
          <tbody ref={body}>
            {shown.map((r, i) => [
              r.group && sorting.length === 0 && r.group !== shown[i - 1]?.group && (
                <tr key={`group ${r.id}`} className="band">
                  <td colSpan={width}>{groups[r.group] ?? r.group}</td>
                </tr>
              ),
              <tr
                key={r.id}
                data-row=""
                className={r.className}
                tabIndex={i === Math.min(active, shown.length - 1) ? 0 : -1}
                onFocus={() => setActive(i)}
                onKeyDown={(e) => go(e, i)}
              >
                {choosing.ids && (
                  <td>
                    <ChoosingBox of={choosing} ids={[r.id]} label={String(cellOf(r, columns[0]!.key).value ?? r.id)} />
                  </td>
                )}
                {columns.map((c) => {
                  const cell = cellOf(r, c.key);
                  return (
                    <td
                      key={c.key}
                      data-label={c.text || undefined}
                      className={cx(c.num && "num", c.className, cell.className)}
                    >
                      {cell.show ?? cell.value ?? "–"}
                    </td>
                  );
                })}
              </tr>,
              r.detail && (
                <tr key={`detail ${r.id}`}>
                  <td colSpan={width} className="bg-[#f6f1e6] p-0">
                    {r.detail}
                  </td>
                </tr>
              ),
            ])}
            {more > 0 && (
              <tr ref={mark} className="no-print">
                <td colSpan={width} className="text-soft">
                  and {more} more
                </td>
              </tr>
            )}
            {found.length === 0 && !foot && (
              <tr>
                <td colSpan={width} className="text-soft">
                  {words ? `Nothing fits “${words}”.` : empty}
                </td>
              </tr>
            )}
          </tbody>
          {foot && <tfoot>{foot}</tfoot>}
        </table>
      </div>
    </div>
  );
}

interface Sortable {
  getIsSorted: () => false | "asc" | "desc";
  getToggleSortingHandler: () => ((event: unknown) => void) | undefined;
}

function Heading({ column: c, of }: { column: Column; of: Sortable | undefined }) {
  const dir = of?.getIsSorted() ?? false;
  return (
    <th
      className={cx(c.num && "num", c.className)}
      aria-sort={dir === "asc" ? "ascending" : dir === "desc" ? "descending" : "none"}
    >
      {c.text === "" ? (
        <span className="sr-only">Tools</span>
      ) : (
        <button
          type="button"
          className="inline-flex items-center gap-1 font-[600]"
          onClick={of?.getToggleSortingHandler()}
        >
          {c.label ?? c.text}
          {dir === "asc" && <ArrowUp size={11} aria-hidden />}
          {dir === "desc" && <ArrowDown size={11} aria-hidden />}
        </button>
      )}
    </th>
  );
}
