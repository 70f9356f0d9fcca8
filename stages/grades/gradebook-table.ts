import "server-only";
import { toCsv } from "@/platform/csv/csv";
import { gradebook } from "./queries";

/** The gradebook, as CSV. */
export async function gradebookTable({ id }: { id: string }, today: string): Promise<string> {
  const book = await gradebook(id, today);
  const parts = book.scheme?.definition.components ?? [];
  return toCsv([
    ["Student", "Section", "Team", ...parts.map((c) => `${c.name} (%, weight ${c.weight})`), "Grade (%)"],
    ...book.rows.map((r) => [
      r.student.name,
      r.student.section,
      r.student.team,
      ...r.grade.value.components.map((c) => c.percent ?? c.state),
      r.grade.value.grade,
    ]),
  ]);
}
