"use client";

import { memo } from "react";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import { type GridRow, type Look, lookOf } from "../view/gradebook";
import type { Over } from "./use-marks";

const looks: Readonly<Record<Look, string>> = {
  mark: "",
  hand: "text-ochre-deep",
  "not due": "text-sm text-soft",
  excused: "text-slate italic",
  missing: "font-[600] text-iron",
  differs: "text-soft italic",
};

/** What stands in a row's cells beside the server's figures, as text: so a row that does not change is not drawn. */
export interface RowView {
  readonly row: GridRow;
  readonly index: number;
  readonly slug: string;
  readonly columns: readonly { readonly key: string; readonly name: string }[];
  readonly decimals: number;
  /** By column: what was typed there, on its way or wrong. */
  readonly over: string;
  /** The column of the cell that has the keys, or -1. */
  readonly active: number;
  /** The columns of the range that is marked, as first and last, or empty. */
  readonly marked: string;
  /** What is being typed into the active cell, where it is. */
  readonly editing: string | null;
  readonly onEdit: (text: string) => void;
  readonly onLeave: () => void;
}

/** The one way to write what lies over a row's cells. */
export const overText = (over: readonly (Over | null)[]): string => (over.some(Boolean) ? JSON.stringify(over) : "");

/** A row of the gradebook: drawn again only where something of it changes. */
export const GradeRow = memo(function GradeRow(of: RowView) {
  const { row, index, columns, active, editing } = of;
  const over: (Over | null)[] = of.over ? JSON.parse(of.over) : [];
  const [from, to] = of.marked ? of.marked.split(" ").map(Number) : [1, 0];
  return (
    <tr aria-rowindex={index + 2}>
      <th scope="row" className="max-w-56 truncate text-left text-[13px]! font-[600]! font-stretch-normal! text-ink!">
        {row.students.length === 1 ? (
          <Link href={`/p/${of.slug}/grades/${row.students[0]!.id}`} className="hover:text-iron" tabIndex={-1}>
            {row.name}
          </Link>
        ) : (
          row.name
        )}
      </th>
      <td className="text-soft">{row.section}</td>
      <td className="max-w-36 truncate text-soft">
        {row.students.length > 1 ? `${row.students.length} students` : row.team}
      </td>
      {columns.map((c, i) => {
        const laid = over[i];
        const is = laid ? null : lookOf(row, i);
        const here = i === active;
        return (
          <td
            key={c.key}
            // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: a cell of a grid
            role="gridcell"
            data-at={`${index} ${i}`}
            tabIndex={here ? 0 : -1}
            aria-selected={here || (i >= from! && i <= to!)}
            aria-invalid={laid?.wrong ? true : undefined}
            className={cx(
              "num",
              is && looks[is.look],
              laid && (laid.wrong ? "bg-iron-wash text-iron" : "text-soft"),
              i >= from! && i <= to! && "bg-iron-wash",
              here && "outline-2 outline-iron",
            )}
          >
            {here && editing !== null ? (
              <input
                // biome-ignore lint/a11y/noAutofocus: who types into a cell is in it already
                autoFocus
                aria-label={`${row.name}, ${c.name}`}
                className="absolute inset-0 w-full min-w-40 border-0 bg-sheet px-2 text-right outline-2 outline-iron"
                maxLength={440}
                autoComplete="off"
                value={editing}
                onChange={(e) => of.onEdit(e.target.value)}
                onBlur={of.onLeave}
              />
            ) : null}
            {laid ? laid.typed || "…" : is!.text}
          </td>
        );
      })}
      <td className="num">
        {row.students.length === 1 && (
          <Figure working={workingAt(of.slug, "grade", { person: row.students[0]!.id })} className="font-[650]">
            {row.grade === "" ? "–" : Number(row.grade).toFixed(of.decimals)}
          </Figure>
        )}
      </td>
    </tr>
  );
});
