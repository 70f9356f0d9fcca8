import "server-only";
import { command } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { attentionActs } from "../acts";
import * as s from "../schema";

/** Puts a reason to look at a team aside; what was said of it before is replaced. */
export const putAside = command({
  name: "putAside",
  act: attentionActs.aside,
  schema: s.flagAside,
  async subject(sql, i) {
    const [t] = await sql<{ projectId: string }[]>`SELECT project_id FROM team WHERE id = ${i.teamId}`;
    return t ? { project: t.projectId, team: i.teamId } : null;
  },
  async run({ sql, audit, by }, input): Promise<{ id: string }> {
    const [team] = await sql<{ projectId: string; name: string }[]>`
      SELECT project_id, name FROM team WHERE id = ${input.teamId}
    `;
    const row = { ...input, id: newId(), projectId: team!.projectId, setBy: by };
    const [kept] = await sql<{ id: string }[]>`
      INSERT INTO flag_aside ${sql(row)}
      ON CONFLICT (team_id, kind, about) DO UPDATE
      SET size = excluded.size, reason = excluded.reason, note = excluded.note, set_by = excluded.set_by,
        set_at = excluded.set_at
      RETURNING id
    `;
    audit({ type: "flag", id: kept!.id, label: `${team!.name}: ${input.reason}`, reason: input.note });
    return { id: kept!.id };
  },
});
