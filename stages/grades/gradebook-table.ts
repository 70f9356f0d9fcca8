import "server-only";
import { leavesOf } from "@/core/grades/scheme";
import { decimalSign, type MarkIdentifier, markIdentifier } from "@/core/vocabulary/grades";
import { toCsv } from "@/platform/csv/csv";
import type { Student } from "@/stages/people/queries/students";
import { gradebook } from "./queries/gradebook";
import { weightsOfWhole } from "./view/gradebook";
import { inSection } from "./view/states";

const identified: Readonly<Record<MarkIdentifier, readonly [string, (s: Student) => string | null]>> = {
  name: ["Student", (s) => s.name],
  email: ["Email", (s) => s.email],
  login: ["Sign-in name", (s) => s.loginName],
};

/**
 * The gradebook as CSV, of one section where asked; students by name and e-mail, or by the one identifier that the
 * address names; with a decimal comma where it asks for one.
 */
export async function gradebookTable(
  { id }: { id: string },
  today: string,
  only?: { section: string | null; which?(name: string): string },
): Promise<string> {
  const book = await gradebook(id, today);
  const tree = book.scheme?.definition.components ?? [];
  const weights = weightsOfWhole(tree);
  const parts = leavesOf(tree);
  const by = markIdentifier.values.find((v) => v === only?.which?.("by"));
  const who = by ? [identified[by]] : [identified.name, identified.email];
  const letters = book.scheme?.definition.letters?.length ? ["Letter"] : [];
  const heads = parts.map((c) => `${c.name} (%, weight ${weights.get(c.key)} %)`);
  return toCsv(
    [
      [...who.map(([head]) => head), "Section", "Team", ...heads, "Grade (%)", ...letters],
      ...book.rows
        .filter(inSection(only?.section))
        .map(({ student, grade: { value } }) => [
          ...who.map(([, of]) => of(student)),
          student.section,
          student.team,
          ...value.components.map((c) => c.percent ?? c.state),
          value.grade,
          ...letters.map(() => value.letter),
        ]),
    ],
    { comma: only?.which?.("decimal") === decimalSign.values[1] },
  );
}
