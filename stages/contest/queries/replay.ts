import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import type { BoardSource } from "../view/board-face";
import { asOf, type Moment } from "../view/replay";
import { boardSource } from "./boards";
import { computeStandings } from "./standings";
import { sinceRehearsal } from "./versions";

const acts = ["scoreAttempt", "recordMatch", "markSheet", "inspectBuild", "confirmEvent"];

/** What was recorded of a contest, in the order in which it happened. */
export const momentsOf = (projectId: string) => db()<Moment[]>`
  SELECT at, act, label, subject_id
  FROM audit
  WHERE project_id = ${projectId} AND act = ANY(${acts}) AND ${sinceRehearsal(db(), projectId)}
  ORDER BY at, id
`;

/** What the boards of a contest showed at a time: only what was recorded by then. */
export async function replayedSource(
  projectId: string,
  moments: readonly Moment[],
  until: row.Audit["at"],
): Promise<BoardSource | null> {
  const source = await boardSource(projectId);
  if (!source) return null;
  const computed = await computeStandings(
    db(),
    projectId,
    source.names.map((n) => n.id),
    until,
  );
  return asOf(source, new Map(computed.map((c) => [c.eventId, c.standings])), moments, until);
}
