import type * as row from "@/platform/db/rows";
import "server-only";
import { command, refuse } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { notebookActs } from "./acts";
import { ofEntry } from "./queries";
import * as s from "./schema";

/** Whose notebook a countersignature stands in. */
export async function ofCountersign(sql: Tx, id: string): Promise<{ project: string; person: string } | null> {
  const [c] = await sql<Pick<row.NotebookCountersign, "entryId">[]>`
    SELECT entry_id FROM notebook_countersign WHERE id = ${id}
  `;
  return c ? ofEntry(sql, c.entryId) : null;
}

/** Shows an entry to another student of the project, to be read and signed. */
export const askCountersign = command({
  name: "askCountersign",
  act: notebookActs.write,
  schema: s.askCountersign,
  subject: (sql, i) => ofEntry(sql, i.entryId),
  async run({ sql, audit }, { id, entryId, partnerId }): Promise<{ id: string }> {
    const { project, person } = (await ofEntry(sql, entryId))!;
    const classmate = await sql`
      SELECT
      FROM enrolment e
      JOIN project_section s USING (section_id)
      WHERE s.project_id = ${project} AND e.person_id = ${partnerId} AND e.to_on IS NULL
    `;
    if (!classmate.length) refuse("Choose somebody of the class.", "partnerId");
    if (partnerId === person) refuse("Nobody countersigns an entry of their own.", "partnerId");
    await sql`
      INSERT INTO notebook_countersign ${sql({ id, entryId, partnerId })} ON CONFLICT (id) DO NOTHING
    `;
    audit({ type: "notebook", id: entryId, label: "shown, to be countersigned" });
    return { id };
  },
});

/** Who was shown an entry has read it as it stands, and signs it; again where it was amended since. */
export const countersign = command({
  name: "countersign",
  act: notebookActs.countersign,
  schema: s.countersign,
  async subject(sql, i) {
    const [c] = await sql<Pick<row.NotebookCountersign, "entryId" | "partnerId">[]>`
      SELECT entry_id, partner_id FROM notebook_countersign WHERE id = ${i.id}
    `;
    const of = c && (await ofEntry(sql, c.entryId));
    return of ? { project: of.project, person: c.partnerId } : null;
  },
  async run({ sql, audit }, { id, number }) {
    const [entry] = await sql<Pick<row.NotebookEntry, "id" | "version">[]>`
      SELECT e.id, e.version
      FROM notebook_entry e
      JOIN notebook_countersign c ON c.entry_id = e.id
      WHERE c.id = ${id} FOR UPDATE OF e
    `;
    if (entry!.version !== number) refuse("It was amended since you read it. Reload, read it again, then sign.");
    await sql`UPDATE notebook_countersign SET number = ${number}, signed_at = app_now() WHERE id = ${id}`;
    audit({ type: "notebook", id: entry!.id, label: "countersigned", after: { number } });
  },
});
