import Decimal from "decimal.js";
import type { SchemeDefinition } from "./scheme";

/** A student's grade under one scheme. */
export interface Standing {
  readonly id: string;
  readonly grade: string | null;
  /** Before rounding. */
  readonly exact: string | null;
  readonly letter: string | null;
}

/** Whose grade moves, and by how much; null on a side where there is no grade. */
export interface Move {
  readonly id: string;
  readonly from: string | null;
  readonly to: string | null;
  /** To minus from, in percent; null where one side has no grade. */
  readonly by: string | null;
  /** Letters where they differ. */
  readonly letters: readonly [string | null, string | null] | null;
}

/**
 * The grades that differ between two schemes, the largest move first, those without a grade on one side before all.
 * @example
 * movesOf(
 *   [{ id: "a", grade: "80", exact: "80", letter: "B" }],
 *   [{ id: "a", grade: "90.5", exact: "90.5", letter: "A" }],
 * )
 * // => [{ id: "a", from: "80", to: "90.5", by: "10.5", letters: ["B", "A"] }]
 */
export function movesOf(before: readonly Standing[], after: readonly Standing[]): Move[] {
  const old = new Map(before.map((s) => [s.id, s]));
  const moves = after.flatMap((now): Move[] => {
    const was = old.get(now.id);
    const [from, to] = [was?.grade ?? null, now.grade];
    const letters = (was?.letter ?? null) === now.letter ? null : ([was?.letter ?? null, now.letter] as const);
    if (from === to && !letters) return [];
    const by = from === null || to === null ? null : new Decimal(to).minus(from).toString();
    return [{ id: now.id, from, to, by, letters }];
  });
  const size = (m: Move) => (m.by === null ? Number.POSITIVE_INFINITY : Math.abs(Number(m.by)));
  return moves.sort((a, b) => (size(a) === size(b) ? 0 : size(b) - size(a)));
}

/** A mark that a step of rounding more or less would give another letter. */
export interface Fragile {
  readonly id: string;
  readonly exact: string;
  readonly letter: string;
  /** The percent from which the letter is given. */
  readonly from: string;
  /** What it lies above (below with a minus) that, in percent. */
  readonly off: string;
}

/**
 * Grades within one step of the scheme's rounding of a letter's boundary, the nearest first.
 * @example
 * fragileOf(
 *   [{ id: "a", grade: "90", exact: "89.6", letter: "A" }],
 *   { decimals: 0, letters: [{ letter: "A", from: "90" }] },
 * )
 * // => [{ id: "a", exact: "89.6", letter: "A", from: "90", off: "-0.4" }]
 */
export function fragileOf(
  standings: readonly Standing[],
  { decimals, letters = [] }: Pick<SchemeDefinition, "decimals" | "letters">,
): Fragile[] {
  const step = new Decimal(10).pow(-decimals);
  const found = standings.flatMap(({ id, exact }) =>
    exact === null
      ? []
      : letters.flatMap(({ letter, from }) => {
          const off = new Decimal(exact).minus(from);
          return off.abs().lte(step) ? [{ id, exact, letter, from, off: off.toString() }] : [];
        }),
  );
  return found.sort((a, b) => Math.abs(Number(a.off)) - Math.abs(Number(b.off)));
}

/** How many grades lie in a range, before and after. */
export interface Band {
  readonly from: number;
  /** Not included; the last band has no end. */
  readonly to: number | null;
  readonly before: number;
  readonly after: number;
}

/**
 * Grades counted in bands of ten percent from 0 to 100, what is above 100 in a last one; students without a grade are
 * in none.
 * @example bandsOf(["79.9", "80"], ["80", null])[8] // => { from: 80, to: 90, before: 1, after: 1 }
 */
export function bandsOf(before: readonly (string | null)[], after: readonly (string | null)[]): Band[] {
  const within = (grades: readonly (string | null)[], from: number, to: number | null) =>
    grades.filter((g) => g !== null && Number(g) >= from && (to === null || Number(g) < to)).length;
  return Array.from({ length: 11 }, (_, i) => {
    const from = i * 10;
    const to = i === 10 ? null : from + 10;
    return { from, to, before: within(before, from, to), after: within(after, from, to) };
  });
}
