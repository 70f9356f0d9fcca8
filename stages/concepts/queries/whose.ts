import type * as row from "@/platform/db/rows";
import "server-only";
import type { Tx } from "@/platform/db/db";

/** A concept's project and author, to whom it belongs. */
export const ofConcept = async (sql: Tx, id: string) => {
  const [k] = await sql<
    { projectId: row.Concept["projectId"]; authorId: row.Concept["authorId"] }[]
  >`SELECT project_id, author_id FROM concept WHERE id = ${id}`;
  return k ? { project: k.projectId, person: k.authorId ?? "" } : null;
};
