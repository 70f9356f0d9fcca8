import type * as row from "@/platform/db/rows";
import "server-only";
import { command, found, refuse } from "@/platform/command/command";
import { contestActs } from "../acts";
import { ofCall } from "../queries/whose";
import * as s from "../schema";

/** Calls somebody in the hall: every board shows the words; the call before ends. */
export const callInHall = command({
  name: "callInHall",
  act: contestActs.inspect,
  schema: s.call,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input) {
    const [known] = await sql<Pick<row.HallCall, "words">[]>`SELECT words FROM hall_call WHERE id = ${input.id}`;
    if (known && known.words !== input.words) refuse("This page has called already. Load it again, then call.");
    if (known) return audit({ type: "call", id: input.id, label: "sent again" });
    await sql`SELECT FROM project WHERE id = ${input.projectId} FOR UPDATE`;
    await sql`
      UPDATE hall_call SET ended_at = app_now() WHERE project_id = ${input.projectId} AND ended_at IS NULL
    `;
    await sql`
      INSERT INTO hall_call ${sql({ id: input.id, projectId: input.projectId, words: input.words, calledBy: by })}
    `;
    audit({ type: "call", id: input.id, label: `Called in the hall: ${input.words}` });
  },
});

/** Ends a call: the boards do not show it any more. */
export const endCall = command({
  name: "endCall",
  act: contestActs.inspect,
  schema: s.eventId,
  subject: (sql, i) => ofCall(sql, i.id),
  async run({ sql, audit }, input) {
    const [call] = await sql<
      Pick<row.HallCall, "words">[]
    >`UPDATE hall_call SET ended_at = coalesce(ended_at, app_now()) WHERE id = ${input.id} RETURNING words`;
    audit({ type: "call", id: input.id, label: `The call is ended: ${found(call, "This call").words}` });
  },
});
