import { type Band, bandsOf, type Fragile, fragileOf, movesOf, type Standing } from "@/core/grades/effect";
import type { SchemeDefinition } from "@/core/grades/scheme";
import { mean } from "@/core/stats/describe";
import type { GradebookRow } from "../queries/gradebook";

/** A student whose grade moves. */
export interface Moved {
  readonly id: string;
  readonly name: string;
  readonly section: string;
  readonly from: string | null;
  readonly to: string | null;
  readonly by: string | null;
  /** Both letters in words where they differ. */
  readonly letters: string;
}

/** What a scheme does to a class, against the scheme that stands. */
export interface Effect {
  readonly students: number;
  readonly moves: readonly Moved[];
  readonly fragile: readonly (Fragile & { readonly name: string })[];
  readonly bands: readonly Band[];
  /** Every grade before and after, for a plot. */
  readonly before: readonly number[];
  readonly after: readonly number[];
  readonly mean: { readonly before: string | null; readonly after: string | null };
}

const standingOf = (r: GradebookRow): Standing => {
  const { grade, exact, letter } = r.grade.value;
  return { id: r.student.id, grade, exact, letter };
};
const numbers = (all: readonly Standing[]) => all.flatMap((s) => (s.grade === null ? [] : [Number(s.grade)]));
const meanOf = (grades: readonly number[]) => (grades.length ? mean(grades).toFixed(1) : null);

/** What a scheme does to a class: who moves by how much, how grades are spread, and which marks hang by a rounding. */
export function effectView(
  before: readonly GradebookRow[],
  after: readonly GradebookRow[],
  scheme: SchemeDefinition,
): Effect {
  const [was, now] = [before.map(standingOf), after.map(standingOf)];
  const grades = { before: numbers(was), after: numbers(now) };
  const who = new Map(after.map((r) => [r.student.id as string, r.student]));
  return {
    students: after.length,
    moves: (before.length ? movesOf(was, now) : []).map(({ letters, ...m }) => ({
      ...m,
      name: who.get(m.id)!.name,
      section: who.get(m.id)!.section,
      letters: letters ? `${letters[0] ?? "–"} → ${letters[1] ?? "–"}` : "",
    })),
    fragile: fragileOf(now, scheme).map((f) => ({ ...f, name: who.get(f.id)!.name })),
    bands: bandsOf(
      was.map((s) => s.grade),
      now.map((s) => s.grade),
    ).filter((b) => b.before + b.after > 0),
    before: grades.before,
    after: grades.after,
    mean: { before: meanOf(grades.before), after: meanOf(grades.after) },
  };
}
