import "server-only";
import { checkVersion, command, found, projectOf } from "@/platform/command/command";
import type * as row from "@/platform/db/rows";
import { notebookActs } from "./acts";
import * as s from "./schema";

/** Marks an entry as read by the instructor in the version that was seen, or as unread again. */
export const seeEntry = command({
  name: "seeEntry",
  together: true,
  act: notebookActs.mark,
  schema: s.seeEntry,
  subject: (sql, i) => projectOf(sql, "notebook_entry", i.entryId),
  async run({ sql, actor, audit }, { entryId, number }) {
    const reader = actor.kind === "person" ? actor.id : "";
    if (number)
      await sql`
        INSERT INTO notebook_seen (entry_id, person_id, number)
        VALUES (${entryId}, ${reader}, ${number})
        ON CONFLICT (entry_id, person_id) DO UPDATE
        SET number = greatest(notebook_seen.number, excluded.number), seen_at = excluded.seen_at
      `;
    else await sql`DELETE FROM notebook_seen WHERE entry_id = ${entryId} AND person_id = ${reader}`;
    audit({ type: "notebook", id: entryId, label: number ? "read" : "unread again" });
  },
});

/** Says something of an entry to its student. */
export const remarkOnEntry = command({
  name: "remarkOnEntry",
  together: true,
  act: notebookActs.mark,
  schema: s.remark,
  subject: (sql, i) => projectOf(sql, "notebook_entry", i.entryId),
  async run({ sql, audit, by }, input): Promise<{ id: string }> {
    const { project } = (await projectOf(sql, "notebook_entry", input.entryId))!;
    await sql`
      INSERT INTO notebook_remark (id, project_id, entry_id, text, made_by)
      VALUES (${input.id}, ${project}, ${input.entryId}, ${input.text}, ${by})
      ON CONFLICT (id) DO NOTHING
    `;
    audit({ type: "notebook", id: input.entryId, label: "remark", after: { text: input.text } });
    return { id: input.id };
  },
});

/** Corrects a remark. */
export const editRemark = command({
  name: "editRemark",
  act: notebookActs.mark,
  schema: s.editRemark,
  subject: (sql, i) => projectOf(sql, "notebook_remark", i.id),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [asked] = await sql<Pick<row.NotebookRemark, "entryId" | "text" | "version">[]>`
      SELECT entry_id, text, version FROM notebook_remark WHERE id = ${input.id} FOR UPDATE
    `;
    const old = found(asked, "This remark");
    checkVersion(old, input.version, { text: "Remark" }, input, { text: old.text });
    await sql`UPDATE notebook_remark SET text = ${input.text}, version = version + 1 WHERE id = ${input.id}`;
    audit({
      type: "notebook",
      id: old.entryId,
      label: "remark",
      before: { text: old.text },
      after: { text: input.text },
    });
    return { id: input.id };
  },
});
