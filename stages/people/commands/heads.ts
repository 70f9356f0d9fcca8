import type * as row from "@/platform/db/rows";
import "server-only";
import { command, found } from "@/platform/command/command";
import { schoolActs } from "@/platform/project/acts";
import * as s from "../schema";

/** Names an instructor head of the department, or no longer: who keeps the school does it. */
export const nameHead = command({
  name: "nameHead",
  act: schoolActs.keep,
  schema: s.head,
  subject: () => ({}),
  async run({ sql, audit }, { personId, on }) {
    const [p] = await sql<Pick<row.Person, "name">[]>`
      UPDATE person
      SET head = ${on}, version = version + 1
      WHERE id = ${personId} AND instructor AND erased_at IS NULL
      RETURNING name
    `;
    audit({ type: "person", id: personId, label: found(p, "This instructor").name, after: { head: on } });
  },
});
