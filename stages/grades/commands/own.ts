import "server-only";
import type { Actor, Subject } from "@/core/access/can";
import { projectOf } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";

/** What a student acts on as the own: the project that a row belongs to, and the one who acts. */
export async function ownIn(sql: Tx, table: string, id: string, actor: Actor): Promise<Subject | null> {
  const project = await projectOf(sql, table, id);
  return project && { ...project, person: actor.kind === "person" ? actor.id : undefined };
}
