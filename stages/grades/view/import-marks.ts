import { readMark } from "@/core/grades/mark";
import { plainLetters } from "@/core/text/plain";
import type { GridCell, GridColumn } from "./gradebook";

/** A student as a list of marks may name one. */
export interface Named {
  readonly id: string;
  readonly name: string;
  readonly email: string | null;
  readonly loginName: string | null;
  /** By column. */
  readonly cells: readonly GridCell[];
}

/** A mark that a list would change. */
export interface MarkChange {
  readonly personId: string;
  readonly component: string;
  readonly version: number;
  readonly typed: string;
  readonly student: string;
  readonly column: string;
  /** What stands now, as it was typed or in words. */
  readonly was: string;
}

/** What taking in a list of marks would do. */
export interface MarksLook {
  readonly changes: readonly MarkChange[];
  /** Cells that say what stands already. */
  readonly same: number;
  /** Columns of the list that are marks. */
  readonly columns: readonly string[];
  readonly problems: readonly { readonly line: number; readonly message: string }[];
}

const plain = (text: string) =>
  plainLetters(text)
    .replace(/[^a-z0-9]+/g, " ")
    .trim();
/** Words that head the column of a student. */
const whoHeads = new Set(
  ["student", "name", "email", "e mail", "mail", "sign in name", "number", "id", "student number", "login"].map(plain),
);
/** Columns that a list of the gradebook brings along, and that are no marks. */
const passedOver = new Set(["section", "team", "grade", "letter", "email"]);

/** A heading without what stands in brackets after it, and whether its numbers are percent. */
function headOf(text: string): { name: string; percent: boolean } {
  const [, name = text, inside = ""] = /^(.*?)\s*(?:\((.*)\))?\s*$/.exec(text) ?? [];
  return { name: plain(name), percent: inside.startsWith("%") };
}

const sameText = (a: string, b: string) => a.replace(",", ".").trim() === b.replace(",", ".").trim();

/** What stands in a cell, for the preview. */
const standing = (cell: GridCell): string =>
  cell.typed ?? (cell.percent === undefined ? cell.state : `${cell.percent} %`);

/** Whether a cell of the list says what stands already. */
function says(cell: GridCell, typed: string, percent: boolean): boolean {
  if (typed === cell.state || sameText(typed, standing(cell))) return true;
  if (cell.percent === undefined) return false;
  const number = Number(typed.replace(",", ".").replace(/\s*%$/, ""));
  return (percent || /%$/.test(typed)) && number === Number(cell.percent);
}

/**
 * What a list of marks would change: its first row has headings, one column names the students by name, e-mail or
 * sign-in name, the others are components by their names. What is empty, or says what stands, changes nothing.
 */
export function importLook(
  table: readonly (readonly string[])[],
  students: readonly Named[],
  columns: readonly GridColumn[],
): MarksLook {
  const empty = { changes: [], same: 0, columns: [] };
  const [heads, ...lines] = table;
  if (!heads || !lines.length)
    return {
      ...empty,
      problems: [{ line: 1, message: "The list needs a row of headings, and a row a student below it." }],
    };
  const who = heads.findIndex((h) => whoHeads.has(headOf(h).name));
  if (who < 0)
    return {
      ...empty,
      problems: [{ line: 1, message: "No column says who it is: head one Student, Email or Sign-in name." }],
    };
  const problems: { line: number; message: string }[] = [];
  const taken = heads.flatMap((h, at) => {
    const { name, percent } = headOf(h);
    if (at === who || !name || passedOver.has(name) || whoHeads.has(name)) return [];
    const column = columns.findIndex((c) => plain(c.name) === name);
    if (column >= 0) return [{ at, column, percent }];
    problems.push({ line: 1, message: `“${h}” is no component of the scheme: its column is passed over.` });
    return [];
  });
  const found = new Map<string, Named[]>();
  for (const s of students)
    for (const key of new Set([s.name, s.email, s.loginName].flatMap((x) => (x ? plainLetters(x) : []))))
      found.set(key, [...(found.get(key) ?? []), s]);
  const changes: MarkChange[] = [];
  const seen = new Set<string>();
  let same = 0;
  for (const [i, line] of lines.entries()) {
    const key = (line[who] ?? "").trim();
    if (!key) continue;
    const [student, other] = found.get(plainLetters(key)) ?? [];
    const problem = (message: string) => problems.push({ line: i + 2, message });
    if (!student) problem(`Nobody in the class is called “${key}”.`);
    else if (other) problem(`“${key}” could be more than one student: use the e-mail.`);
    else if (seen.has(student.id)) problem(`${student.name} stands in the list twice.`);
    else {
      seen.add(student.id);
      for (const { at, column, percent } of taken) {
        const raw = (line[at] ?? "").trim();
        const cell = student.cells[column]!;
        const c = columns[column]!;
        if (!raw) continue;
        if (says(cell, raw, percent)) {
          same++;
          continue;
        }
        const typed = percent && /^\d+([.,]\d+)?$/.test(raw) ? `${raw} %` : raw;
        const read = readMark(typed, c.scale, c.computed);
        if ("wrong" in read) problem(`${student.name}, ${c.name}: ${read.wrong}`);
        else
          changes.push({
            personId: student.id,
            component: c.key,
            version: cell.version ?? 0,
            typed,
            student: student.name,
            column: c.name,
            was: standing(cell),
          });
      }
    }
  }
  return { changes, same, columns: taken.map((t) => columns[t.column]!.name), problems };
}
