"use client";

import {
  type ClipboardEvent,
  type KeyboardEvent,
  type ReactNode,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
} from "react";
import { cx } from "@/ui/classes";
import { toast } from "@/ui/toast";
import { Waiting } from "@/ui/waiting";
import { useWindowed } from "@/ui/windowed";
import {
  copied,
  type GridColumn,
  inOrder,
  lookOf,
  type PackedStudent,
  rowsShown,
  type Shown,
  typedOf,
  unpacked,
  wrongWith,
} from "../view/gradebook";
import { type At, between, cellsIn, type Filled, filledDown, isIn, movedBy, pasted } from "../view/grid-keys";
import { GridBar } from "./grid-bar";
import { GradeRow, overText } from "./grid-row";
import { GridSays } from "./grid-says";
import { keyOf, useMarks } from "./use-marks";

/** The cell of the grid that an event is about. */
const cellOf = (target: EventTarget): At | null => {
  const [r, c] = (target as HTMLElement).closest<HTMLElement>("[data-at]")?.dataset.at?.split(" ").map(Number) ?? [];
  return r === undefined || c === undefined ? null : { r, c };
};

/** How many rows are laid out at first, and then again. */
const inSight = 20;

const first: Shown = { by: "students", team: "", words: "", sort: "", down: false };

/** The gradebook as a sheet that is typed into by keys and by paste, for a student or a team; entries are undone. */
export function GradebookGrid({
  projectId,
  slug,
  columns,
  students: packed,
  decimals,
  sections,
}: {
  projectId: string;
  slug: string;
  columns: readonly GridColumn[];
  students: readonly PackedStudent[];
  decimals: number;
  /** The choice of the section. */
  sections: ReactNode;
}) {
  const [shown, show] = useState(first);
  const [at, setAt] = useState<At>({ r: 0, c: 0 });
  const [anchor, setAnchor] = useState<At | null>(null);
  const [editing, setEditing] = useState<string | null>(null);
  const table = useRef<HTMLTableElement>(null);
  const follow = useRef(false);
  const students = useMemo(() => unpacked(packed), [packed]);
  const order = useRef({ of: first, ids: [] as readonly string[] });
  const rows = useMemo(() => {
    const now = rowsShown(students, columns, shown);
    if (order.current.of !== shown || !order.current.ids.length)
      order.current = { of: shown, ids: now.map((r) => r.id) };
    return inOrder(now, order.current.ids);
  }, [students, columns, shown]);
  const { shown: laid, more, mark, reach } = useWindowed(rows, inSight);
  const marks = useMarks(projectId, columns, students);
  const size = { rows: rows.length, columns: columns.length };
  const here: At = { r: Math.min(at.r, Math.max(0, size.rows - 1)), c: Math.min(at.c, size.columns - 1) };
  const range = between(anchor ?? here, here);
  const teams = useMemo(() => [...new Set(students.map((s) => s.team).filter(Boolean))].sort(), [students]);

  useEffect(() => {
    if (!follow.current || editing !== null) return;
    if (here.r >= laid.length) return reach(here.r);
    follow.current = false;
    const cell = table.current?.querySelector<HTMLElement>(`[data-at="${here.r} ${here.c}"]`);
    cell?.focus();
    cell?.scrollIntoView({ block: "nearest", inline: "nearest" });
  });

  const overAt = (r: number, c: number) => {
    const all = rows[r]!.students.map((s) => marks.over.get(keyOf(s.id, columns[c]!.key)) ?? null);
    return all.every((o) => o?.typed === all[0]?.typed) ? all[0]! : (all.find(Boolean) ?? null);
  };
  const typedAt = (r: number, c: number) => overAt(r, c)?.typed ?? typedOf(rows[r]!, c);
  const go = (to: At, keepAnchor = false) => {
    follow.current = true;
    setAnchor(keepAnchor ? (anchor ?? here) : null);
    setAt(to);
  };
  const enter = (cells: readonly Filled[], words: string, ofTeam = false) =>
    marks.enter(
      cells.flatMap(({ r, c, typed }) => {
        const column = columns[c]!;
        const row = rows[r]!;
        // What was copied out of a computed cell and comes back into it changes nothing.
        if (column.computed && typed.trim() === lookOf(row, c).text) return [];
        const whole = ofTeam && row.team ? students.filter((s) => s.team === row.team) : row.students;
        const wrong = wrongWith(typed, column);
        return whole.map((s) => ({ personId: s.id, component: column.key, typed, wrong }));
      }),
      words,
    );
  const edit = (text: string) => {
    setAnchor(null);
    setEditing(text);
  };
  const wordsOf = (cells: readonly At[]) =>
    cells.length === 1 ? `${rows[cells[0]!.r]!.name}, ${columns[cells[0]!.c]!.name}` : `${cells.length} cells`;
  const leave = (ofTeam = false) => {
    if (editing === null) return;
    setEditing(null);
    enter([{ ...here, typed: editing }], wordsOf([here]), ofTeam);
  };
  const left = useRef(leave);
  left.current = leave;
  const leaveNow = useCallback(() => left.current(), []);
  const write = (cells: readonly Filled[]) => enter(cells, wordsOf(cells));

  const whileEditing = (e: KeyboardEvent) => {
    const leaves = e.key === "Enter" || e.key === "Tab" || e.key === "ArrowUp" || e.key === "ArrowDown";
    if (e.key !== "Escape" && !leaves) return;
    e.preventDefault();
    follow.current = true;
    if (e.key === "Escape") return setEditing(null);
    leave(e.key === "Enter" && e.ctrlKey);
    const key = e.key === "Tab" ? (e.shiftKey ? "ArrowLeft" : "ArrowRight") : e.key;
    go(movedBy(key, { shift: e.shiftKey }, here, size) ?? here);
  };
  /** What a key does in a cell that is not typed into; false for a key that does nothing here. */
  const pressed = (e: KeyboardEvent): boolean => {
    const ctrl = e.ctrlKey || e.metaKey;
    const key = e.key.toLowerCase();
    const to = e.key === "Enter" ? null : movedBy(e.key, { ctrl }, here, size);
    if (to) go(to, e.shiftKey);
    else if (ctrl && (key === "y" || (key === "z" && e.shiftKey))) marks.redo();
    else if (ctrl && key === "z") marks.undo();
    else if (ctrl && key === "d") write(filledDown(range, typedAt));
    else if (key === "delete" || key === "backspace") write(cellsIn(range).map((x) => ({ ...x, typed: "" })));
    else if (key === "enter" || key === "f2") edit(typedAt(here.r, here.c));
    else if (e.key.length === 1 && !ctrl && !e.altKey) edit(e.key);
    else return false;
    return true;
  };
  const press = (e: KeyboardEvent) => {
    if (editing !== null) whileEditing(e);
    else if ((e.target as HTMLElement).closest("[data-at]") && pressed(e)) e.preventDefault();
  };
  const copy = (e: ClipboardEvent) => {
    if (editing !== null || !(e.target as HTMLElement).closest("[data-at]")) return;
    e.preventDefault();
    const line = (r: number) =>
      columns.flatMap((_, c) => (isIn(range, r, c) ? [typedAt(r, c) || lookOf(rows[r]!, c).text] : [])).join("\t");
    const lines = Array.from({ length: range.bottom - range.top + 1 }, (_, i) => line(range.top + i));
    e.clipboardData.setData("text/plain", lines.join("\n"));
  };
  const paste = async (e: ClipboardEvent) => {
    if (editing !== null || !(e.target as HTMLElement).closest("[data-at]")) return;
    e.preventDefault();
    const text = e.clipboardData.getData("text/plain").replace(/\r?\n$/, "");
    const { default: Papa } = await import("papaparse");
    const { data } = Papa.parse<string[]>(text, { delimiter: "\t" });
    write(pasted(data, range, size));
  };
  const copyAll = async () => {
    await navigator.clipboard.writeText(copied(rows, columns));
    toast(`${rows.length} rows copied for a spreadsheet.`);
  };
  const heading = (key: string, label: ReactNode, num = false) => (
    <th
      key={key}
      scope="col"
      className={cx(num && "num")}
      aria-sort={shown.sort === key ? (shown.down ? "descending" : "ascending") : undefined}
    >
      <button
        type="button"
        className="hover:text-ink"
        onClick={() => show({ ...shown, sort: key, down: shown.sort === key && !shown.down })}
      >
        {label}
        {shown.sort === key && (shown.down ? " ↓" : " ↑")}
      </button>
    </th>
  );
  return (
    <div className="min-w-0">
      <GridBar
        shown={shown}
        onShow={(to) => {
          show(to);
          setAnchor(null);
          setEditing(null);
        }}
        teams={teams}
        sections={sections}
        can={{ undo: marks.canUndo, redo: marks.canRedo }}
        onUndo={marks.undo}
        onRedo={marks.redo}
        onCopy={copyAll}
      />
      <Waiting
        items={marks.waiting}
        words={(b) => `${b.words}${b.as === "typed" ? "" : `, ${b.as}`}`}
        onRetry={marks.retry}
        onDrop={marks.drop}
      />
      {rows[here.r] ? (
        <GridSays slug={slug} row={rows[here.r]!} column={columns[here.c]!} at={here.c} over={overAt(here.r, here.c)} />
      ) : (
        <p className="py-2 text-soft">Nobody is found.</p>
      )}
      <div className="table-tall overflow-x-auto">
        <table
          ref={table}
          // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: a table that is typed into is a grid
          role="grid"
          aria-label="Marks"
          aria-rowcount={rows.length + 1}
          className="table"
          onKeyDown={press}
          onCopy={copy}
          onPaste={paste}
          onMouseDown={(e) => {
            const to = cellOf(e.target);
            if (!to || (e.target as HTMLElement).closest("input")) return;
            e.preventDefault();
            leave();
            go(to, e.shiftKey);
          }}
          onFocus={(e) => {
            // Come to in another way, by a screen reader's own keys: the cell with the focus has the keys.
            const to = editing === null && cellOf(e.target);
            if (to && (to.r !== here.r || to.c !== here.c)) setAt(to);
          }}
          onDoubleClick={() => edit(typedAt(here.r, here.c))}
        >
          <thead>
            <tr>
              {heading("name", shown.by === "teams" ? "Team" : "Student")}
              {heading("section", "Section")}
              {heading("team", shown.by === "teams" ? "Students" : "Team")}
              {columns.map((c) =>
                heading(
                  c.key,
                  <>
                    {c.name} <span className="unit">{c.weight} %</span>
                  </>,
                  true,
                ),
              )}
              {heading("grade", "Grade", true)}
            </tr>
          </thead>
          <tbody>
            {laid.map((row, r) => (
              <GradeRow
                key={row.id}
                row={row}
                index={r}
                slug={slug}
                columns={columns}
                decimals={decimals}
                over={marks.over.size ? overText(columns.map((_, c) => overAt(r, c))) : ""}
                active={r === here.r ? here.c : -1}
                marked={anchor && r >= range.top && r <= range.bottom ? `${range.left} ${range.right}` : ""}
                editing={r === here.r ? editing : null}
                onEdit={setEditing}
                onLeave={leaveNow}
              />
            ))}
            {more > 0 && (
              <tr ref={mark}>
                <td colSpan={columns.length + 4} className="text-soft">
                  and {more} more
                </td>
              </tr>
            )}
          </tbody>
        </table>
      </div>
    </div>
  );
}
