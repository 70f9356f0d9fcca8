import { type MarkScale, readMark } from "@/core/grades/mark";
import { outlineOf, sharesOfWhole } from "@/core/grades/outline";
import { type ComponentState, leavesOf, type SchemeNode, scaleOf } from "@/core/grades/scheme";
import { byName, plainLetters } from "@/core/text/plain";
import { copyText } from "@/ui/table-rows";
import type { Gradebook, GradebookRow } from "../queries/gradebook";

/** A component of the scheme, as a column that is typed into. */
export interface GridColumn {
  readonly key: string;
  readonly name: string;
  /** Percent of the whole. */
  readonly weight: string;
  /** It comes from the record: what is typed is an override. */
  readonly computed: boolean;
  readonly scale: MarkScale;
}

/** A student's component: what is known of it. What is empty is left out, since there are thousands. */
export interface GridCell {
  readonly state: ComponentState["state"];
  readonly percent?: string;
  /** As it was typed, and the version of that. */
  readonly typed?: string;
  readonly version?: number;
  /** What was computed, where it is set by hand. */
  readonly computed?: string;
}

const codes = { s: "scored", n: "not due", x: "excused", m: "missing" } as const;
type Code = keyof typeof codes;
const codeOf = Object.fromEntries(Object.entries(codes).map(([code, state]) => [state, code])) as Readonly<
  Record<GridCell["state"], Code>
>;

/** A cell as a short text, on its way to the browser: there are thousands of them. */
export function packCell({ state, percent = "", typed, version, computed = "" }: GridCell): string {
  const entered = version === undefined ? "" : `~${version}~${computed}~${typed === percent ? "" : typed}`;
  return `${codeOf[state]}${percent}${entered}`;
}

/** The cell that such a text is. */
export function unpackCell(text: string): GridCell {
  const [seen = "", version, computed, ...typed] = text.split("~");
  const percent = seen.slice(1);
  return {
    state: codes[seen[0] as Code],
    ...(percent && { percent }),
    ...(version !== undefined && { typed: typed.join("~") || percent, version: Number(version) }),
    ...(computed && { computed }),
  };
}

/** A student on the way to the browser. */
export type PackedStudent = Omit<GridStudent, "cells"> & { readonly cells: readonly string[] };

/** The students as they came. */
export const unpacked = (students: readonly PackedStudent[]): GridStudent[] =>
  students.map((s) => ({ ...s, cells: s.cells.map(unpackCell) }));

/** A student in the grid. */
export interface GridStudent {
  readonly id: string;
  readonly name: string;
  readonly section: string;
  readonly team: string;
  readonly grade: string | null;
  /** By column. */
  readonly cells: readonly GridCell[];
}

/** A row that is typed into: a student, or a team, whose students get the same mark. */
export interface GridRow {
  readonly id: string;
  readonly name: string;
  readonly section: string;
  readonly team: string;
  readonly grade: string;
  readonly students: readonly GridStudent[];
}

const cellOf = (row: GradebookRow, at: number): GridCell => {
  const c = row.grade.value.components[at]!;
  const entered = row.marks[c.key];
  return {
    state: c.state,
    ...(c.percent !== null && { percent: c.percent }),
    ...(entered && { typed: entered.typed, version: entered.version }),
    ...(c.overridden !== null && { computed: c.overridden }),
  };
};

/** Percent of the whole that each component of a scheme is, by its key. */
export function weightsOfWhole(tree: readonly SchemeNode[]): ReadonlyMap<string, string> {
  const rows = outlineOf(tree);
  const shares = sharesOfWhole(rows);
  return new Map(rows.map((r, i) => [r.key, String(Number((shares[i] ?? 0).toFixed(1)))]));
}

/** The gradebook as a grid: a column a component, a row a student. */
export function gridOf(book: Gradebook): { columns: GridColumn[]; students: PackedStudent[] } {
  const tree = book.scheme?.definition.components ?? [];
  const parts = leavesOf(tree);
  const weights = weightsOfWhole(tree);
  return {
    columns: parts.map((c) => ({
      key: c.key,
      name: c.name,
      weight: weights.get(c.key) ?? c.weight,
      computed: c.source.kind !== "entered",
      scale: scaleOf(c),
    })),
    students: book.rows.map((r) => ({
      id: r.student.id,
      name: r.student.name,
      section: r.student.section,
      team: r.student.team ?? "",
      grade: r.grade.value.grade,
      cells: parts.map((_, i) => packCell(cellOf(r, i))),
    })),
  };
}

/** What is shown of the gradebook, and how. */
export interface Shown {
  readonly by: "students" | "teams";
  readonly team: string;
  readonly words: string;
  /** The column that it is sorted by, or one of these. */
  readonly sort: string;
  readonly down: boolean;
}

const alone = (s: GridStudent): GridRow => ({ ...s, grade: s.grade ?? "", students: [s] });

/** The rows by team; a student without one is a row alone. */
function teamRows(students: readonly GridStudent[]): GridRow[] {
  const teams = new Map<string, GridStudent[]>();
  for (const s of students) teams.set(s.team || s.id, [...(teams.get(s.team || s.id) ?? []), s]);
  return [...teams].map(([id, of]) => {
    if (!of[0]!.team) return alone(of[0]!);
    const sections = [...new Set(of.map((s) => s.section))];
    return { id, name: id, section: sections.join(", "), team: id, grade: "", students: of };
  });
}

/** A cell's place in the order of its column: what has no percent comes before zero. */
const percentOf = (row: GridRow, at: number) => Number(row.students[0]!.cells[at]?.percent ?? -1);

/** The rows of the grid, filtered and in their order. */
export function rowsShown(students: readonly GridStudent[], columns: readonly GridColumn[], of: Shown): GridRow[] {
  const words = plainLetters(of.words.trim());
  const found = students.filter(
    (s) => (!of.team || s.team === of.team) && plainLetters(`${s.name} ${s.team} ${s.section}`).includes(words),
  );
  const rows = of.by === "teams" ? teamRows(found) : found.map(alone);
  const at = columns.findIndex((c) => c.key === of.sort);
  const order = (a: GridRow, b: GridRow): number => {
    if (at >= 0) return percentOf(a, at) - percentOf(b, at);
    if (of.sort === "grade") return Number(a.grade || -1) - Number(b.grade || -1);
    return of.sort ? byName(a[of.sort as "name" | "team"], b[of.sort as "name" | "team"]) : 0;
  };
  const sorted = rows.toSorted(order);
  return of.down ? sorted.toReversed() : sorted;
}

/** The rows in an order that they had: a sheet that is typed into does not sort itself anew under the keys. */
export function inOrder(rows: readonly GridRow[], ids: readonly string[]): GridRow[] {
  const place = new Map(ids.map((id, i) => [id, i]));
  return rows.toSorted((a, b) => (place.get(a.id) ?? ids.length) - (place.get(b.id) ?? ids.length));
}

/** How a cell is told apart, by a mark and a colour. */
export type Look = "mark" | "hand" | "not due" | "excused" | "missing" | "differs";

/** What a cell of a row shows; of a team whose students differ, that they do. */
export function lookOf(row: Pick<GridRow, "students">, at: number): { text: string; look: Look } {
  const cells = row.students.map((s) => s.cells[at]!);
  const first = cells[0]!;
  if (cells.some((c) => c.percent !== first.percent || c.state !== first.state))
    return { text: "differ", look: "differs" };
  if (first.state === "missing") return { text: "0 missing", look: "missing" };
  if (first.percent === undefined)
    return first.state === "excused" ? { text: "excused", look: "excused" } : { text: "not due", look: "not due" };
  const text = Number(first.percent).toFixed(1);
  return first.computed === undefined ? { text, look: "mark" } : { text: `${text} ✎`, look: "hand" };
}

/** The rows as they are shown, as text that a spreadsheet takes. */
export function copied(rows: readonly GridRow[], columns: readonly GridColumn[]): string {
  const heads = [
    { key: "name", text: "Student" },
    { key: "section", text: "Section" },
    { key: "team", text: "Team" },
    ...columns.map((c) => ({ key: `part ${c.key}`, text: `${c.name} (%)` })),
    { key: "grade", text: "Grade (%)" },
  ];
  const told = rows.map(({ id, name, section, team, grade, ...row }) => {
    const parts = columns.map((c, i) => [`part ${c.key}`, lookOf(row, i).text] as const);
    return { id, cells: { name, section, team, grade, ...Object.fromEntries(parts) } };
  });
  return copyText(heads, told);
}

/** What was typed into a cell of a row; of a team whose students differ, nothing. */
export function typedOf(row: GridRow, at: number): string {
  const all = row.students.map((s) => s.cells[at]!.typed ?? "");
  return all.every((t) => t === all[0]) ? all[0]! : "";
}

/** What would be wrong with typing this into a column, in words; null where it can be taken. */
export function wrongWith(typed: string, column: GridColumn): string | null {
  const read = readMark(typed, column.scale, column.computed);
  return "wrong" in read ? read.wrong : null;
}

/** What a column takes, in a line. */
export function takes({ scale, computed }: GridColumn): string {
  if (computed) return "nothing, it comes from the record; a number with its reason sets it by hand";
  if (scale.kind === "points") return `points of ${scale.of}, or a percent: 85 %`;
  if (scale.kind === "letters") return scale.table.map((l) => `${l.letter} ${l.percent} %`).join(", ");
  return "percent, or for example 17 of 20";
}
