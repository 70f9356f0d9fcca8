import "server-only";
import { inTransaction } from "@/platform/db/db";
import type * as row from "../db/rows";

export type Outcome = "saved" | "not saved" | "unknown";

const givenUp = "given up";

/**
 * Whether a request of this actor was done, asked when its answer was lost. One that was not done is given up for good:
 * should it still arrive, it is refused. While it is being written, this waits for it.
 */
export async function outcomeOf(requestId: string, actor: string): Promise<Outcome> {
  try {
    return await inTransaction(async (sql) => {
      const first = await sql`
        INSERT INTO request_done (id, act, actor)
        VALUES (${requestId}, ${givenUp}, ${actor})
        ON CONFLICT DO NOTHING
        RETURNING id
      `;
      if (first.length) return "not saved";
      const [done] = await sql<
        { act: row.RequestDone["act"]; actor: row.RequestDone["actor"] }[]
      >`SELECT act, actor FROM request_done WHERE id = ${requestId}`;
      if (done?.actor !== actor) return "unknown";
      return done.act === givenUp ? "not saved" : "saved";
    });
  } catch {
    return "unknown";
  }
}
