import "server-only";
import type { Tx } from "@/platform/db/db";

/** With its first sheet, action or verdict a review is of the team's newest build, unless another was chosen for it. */
export async function settleBuild(sql: Tx, id: string): Promise<void> {
  await sql`
    UPDATE review r
    SET
      build_id = (SELECT b.id FROM build b WHERE b.team_id = r.team_id ORDER BY b.number DESC LIMIT 1),
      build_chosen = true
    WHERE id = ${id} AND NOT build_chosen
  `;
}
