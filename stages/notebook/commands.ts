import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { notebookActs } from "./acts";
import { ofEntry } from "./queries";
import * as s from "./schema";

/**
 * An entry is dated by the day it is written on; its id is made where it is typed, so that a late or repeated one is
 * one.
 */
export const writeEntry = command({
  name: "writeEntry",
  together: true,
  act: notebookActs.write,
  schema: s.notebookEntry,
  subject: (_, i) => ({ project: i.projectId, person: i.personId }),
  async run({ sql, today, audit }, input): Promise<{ id: string }> {
    const made = await sql`
        INSERT INTO notebook_entry (id, project_id, person_id, on_date)
        VALUES (${input.id}, ${input.projectId}, ${input.personId}, ${today})
        ON CONFLICT (id) DO NOTHING
        RETURNING id
      `;
    if (made.length)
      await sql`INSERT INTO notebook_version (entry_id, number, text) VALUES (${input.id}, 1, ${input.text})`;
    else
      found(
        (await sql`SELECT FROM notebook_entry WHERE id = ${input.id} AND person_id = ${input.personId}`)[0],
        "This entry",
      );
    audit({ type: "notebook", id: input.id, label: made.length ? "entry" : "entry sent again" });
    return { id: input.id };
  },
});

/** An amendment stands beside the entry: what was written first stays to be read. */
export const amendEntry = command({
  name: "amendEntry",
  act: notebookActs.write,
  schema: s.amendEntry,
  subject: (sql, i) => ofEntry(sql, i.id),
  async run({ sql, audit }, input) {
    const [e] = await sql<
      {
        version: row.NotebookEntry["version"];
        text: row.NotebookVersion["text"];
        number: row.NotebookVersion["number"];
      }[]
    >`
      SELECT e.version, v.text, v.number
      FROM notebook_entry e
      JOIN notebook_version v ON v.entry_id = e.id
      WHERE e.id = ${input.id}
      ORDER BY v.number DESC
      LIMIT 1 FOR UPDATE OF e
    `;
    checkVersion(found(e, "This entry"), input.version, { text: "Entry" }, input, e!);
    if (e!.text === input.text) refuse("Nothing was changed.", "text");
    await sql`
      INSERT INTO notebook_version (entry_id, number, text, reason)
      VALUES (${input.id}, ${e!.number + 1}, ${input.text}, ${input.reason})
    `;
    await sql`UPDATE notebook_entry SET version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "notebook", id: input.id, label: "amended", reason: input.reason });
  },
});
