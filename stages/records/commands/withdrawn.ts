import type * as row from "@/platform/db/rows";
import "server-only";
import { command } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import * as fields from "@/platform/schema/fields";
import { putBack } from "@/platform/withdraw/put-back";
import { recordActs } from "../acts";

const whose = async (sql: Tx, id: string) => {
  const [w] = await sql<
    {
      projectId: row.Withdrawn["projectId"];
      teamId: row.Withdrawn["teamId"];
      personId: row.Withdrawn["personId"];
    }[]
  >`SELECT project_id, team_id, person_id FROM withdrawn WHERE id = ${id}`;
  return w ? { project: w.projectId, team: w.teamId, person: w.personId ?? undefined } : null;
};

const named = async (sql: Tx, id: string) => {
  const [w] = await sql<
    { kind: row.Withdrawn["kind"]; label: row.Withdrawn["label"]; reason: row.Withdrawn["reason"] }[]
  >`SELECT kind, label, reason FROM withdrawn WHERE id = ${id}`;
  return w!;
};

/** Brings something that was withdrawn back, with everything that went with it. */
export const bringBack = command({
  name: "bringBack",
  act: recordActs.bringBack,
  schema: fields.byId,
  subject: (sql, i) => whose(sql, i.id),
  async run({ sql, audit }, input): Promise<{ kind: string; label: string }> {
    const { kind, label, reason } = await named(sql, input.id);
    await putBack(sql, input.id);
    audit({ type: kind, id: input.id, label, before: { withdrawn: reason }, after: { broughtBack: true } });
    return { kind, label };
  },
});

/** Deletes for good what was withdrawn; pictures that nothing else shows go with it. */
export const purgeWithdrawn = command({
  name: "purgeWithdrawn",
  afterFinish: true,
  act: recordActs.purge,
  schema: fields.byId,
  subject: (sql, i) => whose(sql, i.id),
  async run({ sql, audit }, input) {
    const { kind, label } = await named(sql, input.id);
    const pictures = await sql<{ hash: string }[]>`
      SELECT content->>'file_hash' AS hash
      FROM withdrawn_row
      WHERE withdrawn_id = ${input.id} AND table_name = 'file_use'
    `;
    await sql`DELETE FROM withdrawn WHERE id = ${input.id}`;
    if (pictures.length)
      await sql`
        DELETE FROM file f
        WHERE hash IN ${sql(pictures.map((p) => p.hash))}
          AND NOT EXISTS (SELECT FROM file_use WHERE file_hash = f.hash)
          AND NOT EXISTS (
            SELECT FROM withdrawn_row WHERE table_name = 'file_use' AND content->>'file_hash' = f.hash
          )
      `;
    audit({ type: kind, id: input.id, label, after: { deletedForGood: true } });
  },
});
