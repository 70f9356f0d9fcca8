import "server-only";
import { toCsv } from "@/platform/csv/csv";
import { gradebook } from "./queries/gradebook";
import { inSection } from "./view/states";

/** The gradebook as CSV, of one section where asked. */
export async function gradebookTable(
  { id }: { id: string },
  today: string,
  only?: { section: string | null },
): Promise<string> {
  const book = await gradebook(id, today);
  const parts = book.scheme?.definition.components ?? [];
  return toCsv([
    ["Student", "Email", "Section", "Team", ...parts.map((c) => `${c.name} (%, weight ${c.weight})`), "Grade (%)"],
    ...book.rows
      .filter(inSection(only?.section))
      .map((r) => [
        r.student.name,
        r.student.email,
        r.student.section,
        r.student.team,
        ...r.grade.value.components.map((c) => c.percent ?? c.state),
        r.grade.value.grade,
      ]),
  ]);
}
