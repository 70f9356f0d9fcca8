import type * as row from "@/platform/db/rows";
import "server-only";
import { command, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { plural } from "@/platform/registry/words";
import { gradeActs } from "../acts";
import { gradebook, type LedgerLine } from "../queries";
import * as s from "../schema";
import { inSection, lastPublished } from "../view/states";

/**
 * Freezes the grades as they are now, of all students or of a section's, with their arithmetic. A later publication
 * names what changed.
 */
export const publishGrades = command({
  name: "publishGrades",
  act: gradeActs.edit,
  schema: s.publish,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by, today }, input): Promise<{ number: number }> {
    await sql`SELECT FROM project WHERE id = ${input.projectId} FOR UPDATE`;
    const book = await gradebook(input.projectId, today, { whole: true });
    if (!book.scheme) refuse("There is no grading scheme yet.");
    const rows = book.rows.filter(inSection(input.sectionId));
    if (!rows.some((r) => r.grade.value.grade !== null))
      refuse("Nothing can be published: no component counts for anybody yet.");
    const before = await sql<
      { number: row.Publication["number"]; ledger: LedgerLine[] }[]
    >`SELECT number, ledger FROM publication WHERE project_id = ${input.projectId} ORDER BY number DESC`;
    const ledger: LedgerLine[] = rows.map(({ student, grade, marks }) => ({
      personId: student.id,
      name: student.name,
      section: student.section,
      team: student.team,
      grade: grade.value.grade,
      working: grade.working,
      components: grade.value.components.map(({ key, name, weight, state, percent, overridden }) => ({
        key,
        name,
        weight,
        state,
        percent,
        computed: overridden,
        reason: marks[key]?.reason ?? "",
      })),
    }));
    const known = lastPublished(before);
    const read = ledger.filter((l) => known.has(l.personId));
    const changed = ledger.filter((l) => (known.get(l.personId) ?? null) !== l.grade);
    if (before.length && !changed.length) refuse("No grade has changed since the last publication.");
    if (read.length && !input.whatChanged)
      refuse(`${plural(changed.length, "grade")} changed since version ${before[0]!.number}: say why.`, "whatChanged");
    const number = (before[0]?.number ?? 0) + 1;
    const id = newId();
    await sql`
      INSERT INTO publication (id, project_id, number, scheme_version, ledger, what_changed, published_by)
      VALUES (
        ${id}, ${input.projectId}, ${number}, ${book.scheme.number}, ${sql.json(ledger as never)}, ${input.whatChanged},
        ${by}
      )
    `;
    audit({
      type: "publication",
      id,
      label: `version ${number}, ${ledger.length} students`,
      after: { changed: changed.length },
      reason: input.whatChanged,
    });
    return { number };
  },
});
