import type * as row from "@/platform/db/rows";
import "server-only";
import { projectOf } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";

/** The project that an event is of. */
export const ofEvent = (sql: Tx, id: string) => projectOf(sql, "event", id);

/** The project that an entry is of. */
export const ofEntry = async (sql: Tx, id: string) => {
  const [e] = await sql<
    { projectId: row.Event["projectId"] }[]
  >`SELECT e.project_id FROM entry n JOIN event e ON e.id = n.event_id WHERE n.id = ${id}`;
  return e ? { project: e.projectId } : null;
};

/** The project that a recorded match is of. */
export const ofMatch = async (sql: Tx, id: string) => {
  const [e] = await sql<
    { projectId: row.Event["projectId"] }[]
  >`SELECT e.project_id FROM match_result m JOIN event e ON e.id = m.event_id WHERE m.id = ${id}`;
  return e ? { project: e.projectId } : null;
};
