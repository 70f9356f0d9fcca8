import { formatSi } from "@/core/quantity/quantity";
import { implausible, type Measure } from "@/core/run/protocol";
import { levelsOf, parseReading } from "@/core/run/reading";
import type { EnteredState } from "@/core/vocabulary/runs";

/** What is wrong or odd with a typed reading, said at once beside the field. */
export function look(m: Measure, typed: string): { bad: boolean; text: string } | null {
  if (!typed.trim()) return null;
  const parsed = parseReading(m, typed);
  if (!parsed.ok) return { bad: true, text: parsed.message };
  const odd = implausible(m, formatSi(parsed.quantity.si, m.unit).replace("−", "-"));
  return odd ? { bad: false, text: odd } : null;
}

/** What a field's label says after its name: the unit, or the names that it takes. */
export function inUnit(m: Measure): string {
  const levels = levelsOf(m);
  return levels ? `: ${levels.join(", ")}` : m.unit === "1" ? "" : ` in ${m.unit}`;
}

/**
 * Cells of a spreadsheet as they are pasted: a line a row, tabs between the cells; a last empty line is none.
 */
export const pastedCells = (text: string): string[][] =>
  text
    .replace(/\r\n?/g, "\n")
    .replace(/\n$/, "")
    .split("\n")
    .map((line) => line.split("\t").map((cell) => cell.trim()));

/** What a word in place of a reading says of the attempt: a foul, or no finish. */
export const stateTyped = (typed: string): EnteredState =>
  /^f(oul)?$/i.test(typed.trim()) ? "foul" : /^(n|nf|no ?finish)$/i.test(typed.trim()) ? "no_finish" : "valid";
