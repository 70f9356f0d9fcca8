/** What a rater's sheet says of one question, as it was filled in. */
export interface SheetAsked {
  concepts: { id: string; title: string }[];
  criteria: { key: string; name: string }[];
  /** The concept that all others are compared with; it gets no marks. */
  datum: string | null;
  /** The highest score. */
  top: number;
  /** Marks against a datum are kept as signs; all others are numbers. */
  signs: boolean;
}
export type SheetRead = { marks: Record<string, unknown> } | { wrong: string };

/**
 * Reads the marks of a sheet: empty cells are left out, a decimal comma is a decimal point, what is no number is named.
 * @param asked the concepts (rows), criteria (columns), datum and highest score
 * @param typed what stands in each cell: concept id → criterion key → text
 * @returns concept id → criterion key → number (or sign), or which cell is wrong and what would be right
 * @example
 * readSheet(
 *   {
 *     concepts: [{ id: "a", title: "Float" }],
 *     criteria: [{ key: "c", name: "Cost" }],
 *     datum: null,
 *     top: 5,
 *     signs: false,
 *   },
 *   { a: { c: "3,5" } },
 * )
 * // => { marks: { a: { c: 3.5 } } }
 */
export function readSheet(asked: SheetAsked, typed: Record<string, Record<string, string>>): SheetRead {
  const marks: Record<string, Record<string, number | string>> = {};
  for (const concept of asked.concepts) {
    if (concept.id === asked.datum) continue;
    const row: Record<string, number | string> = {};
    for (const criterion of asked.criteria) {
      const text = (typed[concept.id]?.[criterion.key] ?? "").trim();
      if (text === "") continue;
      const value = asked.signs ? text : Number(text.replace(",", "."));
      if (typeof value === "number" && !(value >= 0 && value <= asked.top))
        return { wrong: `${concept.title}, ${criterion.name}: a score from 0 to ${asked.top}.` };
      row[criterion.key] = value;
    }
    marks[concept.id] = row;
  }
  return { marks };
}

/**
 * Reads a choice: the concepts chosen, and the reasons of those alone.
 * @example
 * readChoice(["a"], { a: "light", b: "old" })
 * // => { marks: { chosen: ["a"], reasons: { a: "light" } } }
 */
export function readChoice(chosen: string[], reasons: Record<string, string>): SheetRead {
  return {
    marks: { chosen, reasons: Object.fromEntries(Object.entries(reasons).filter(([id]) => chosen.includes(id))) },
  };
}
