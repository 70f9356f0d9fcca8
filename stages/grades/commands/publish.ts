import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { plural } from "@/platform/registry/words";
import { gradeActs } from "../acts";
import { gradebook } from "../queries/gradebook";
import { type LedgerLine, publishedLines } from "../queries/publications";
import * as s from "../schema";
import { ledgerOf } from "../view/ledger";
import { inSection, lastPublished } from "../view/states";
import { byTeam } from "../view/world";

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
    const before = await publishedLines(input.projectId, sql);
    const teams = byTeam(book.rows.map((r) => r.student));
    const ledger: LedgerLine[] = ledgerOf(rows, { round: book.scheme.definition.peers?.round, teams });
    const known = lastPublished(before);
    const read = ledger.filter((l) => known.has(l.personId));
    const changed = ledger.filter((l) => (known.get(l.personId) ?? null) !== l.grade);
    if (known.size && !changed.length) refuse("No grade has changed since the last publication.");
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

/** Takes a published version back: students read the one before it, and the version stays on record with the reason. */
export const takeBackPublication = command({
  name: "takeBackPublication",
  act: gradeActs.edit,
  schema: s.takeBackPublication,
  subject: (sql, i) => projectOf(sql, "publication", i.id),
  async run({ sql, audit, by }, input) {
    const [p] = await sql<Pick<row.Publication, "number" | "withdrawnAt" | "version">[]>`
      SELECT number, withdrawn_at, version FROM publication WHERE id = ${input.id} FOR UPDATE
    `;
    checkVersion(found(p, "This version"), input.version, {}, {}, {});
    if (p!.withdrawnAt) refuse("This version is withdrawn already.");
    await sql`
      UPDATE publication
      SET withdrawn_at = app_now(), withdrawn_by = ${by}, withdrawn_reason = ${input.reason}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({ type: "publication", id: input.id, label: `version ${p!.number}`, reason: input.reason });
  },
});
