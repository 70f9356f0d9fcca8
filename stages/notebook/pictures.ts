import type * as row from "@/platform/db/rows";
import "server-only";
import { command, found } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { readPicture, usePicture } from "@/platform/files/files";
import { notebookActs } from "./acts";
import { ofEntry } from "./queries";
import * as s from "./schema";

/** What an act on a picture of an entry acts on: its student's notebook. */
export async function ofPicture(sql: Tx, id: string): Promise<{ project: string; person: string } | null> {
  const [u] = await sql<Pick<row.FileUse, "entryId">[]>`SELECT entry_id FROM file_use WHERE id = ${id}`;
  return u?.entryId ? ofEntry(sql, u.entryId) : null;
}

/** A photo or a photographed sketch stands with an entry of the notebook. */
export const addEntryPicture = command({
  name: "addEntryPicture",
  act: notebookActs.write,
  schema: s.entryPicture,
  subject: (sql, i) => ofEntry(sql, i.entryId),
  prepare: (i) => readPicture(Buffer.from(i.base64, "base64")),
  async run({ sql, audit, by }, { entryId, caption }, picture): Promise<{ id: string }> {
    const { project } = (await ofEntry(sql, entryId))!;
    const id = await usePicture(sql, picture, { projectId: project, entryId, caption, addedBy: by });
    audit({ type: "notebook", id: entryId, label: `picture${caption && `: ${caption}`}` });
    return { id };
  },
});

/** What is written on a picture and under it. */
export const markEntryPicture = command({
  name: "markEntryPicture",
  act: notebookActs.write,
  schema: s.markPicture,
  subject: (sql, i) => ofPicture(sql, i.id),
  async run({ sql, audit }, { id, caption, marks }): Promise<{ id: string }> {
    const [asked] = await sql<Pick<row.FileUse, "entryId" | "caption" | "marks">[]>`
      SELECT entry_id, caption, marks FROM file_use WHERE id = ${id} FOR UPDATE
    `;
    const { entryId, ...before } = found(asked, "This picture");
    await sql`UPDATE file_use SET caption = ${caption}, marks = ${sql.json(marks as never)} WHERE id = ${id}`;
    audit({ type: "notebook", id: entryId!, label: "marks on a picture", before, after: { caption, marks } });
    return { id };
  },
});
