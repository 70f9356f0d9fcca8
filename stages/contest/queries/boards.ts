import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import type { BoardSource } from "../view/board-face";
import { withoutOpenMarks } from "../view/overall";
import { openCall } from "./calls";
import { placedContestOf } from "./contest";
import { safetyOf } from "./safety";

const boardsOf = (projectId: string) => db()<row.Board[]>`
  SELECT * FROM board WHERE project_id = ${projectId} ORDER BY lower(name)
`;

/**
 * Everything that the boards of a project show; null where the project is gone.
 * @param awards whether awards are asked for though no board shows them
 */
export async function boardSource(projectId: string, awards = false): Promise<BoardSource | null> {
  const boards = await boardsOf(projectId);
  const shown = awards || boards.some((b) => b.shows === "awards" || b.shows === "vote");
  const [[project], { names, settings, ...awarded }, safety, call] = await Promise.all([
    db()<{ title: row.Project["title"] }[]>`SELECT title FROM project WHERE id = ${projectId}`,
    placedContestOf(projectId, shown),
    safetyOf(projectId),
    openCall(projectId),
  ]);
  if (!project) return null;
  return {
    title: `${project.title} ${settings.rehearsal ? "rehearsal" : "contest"}`,
    ...awarded,
    contest: withoutOpenMarks(awarded.contest),
    call: call?.words ?? "",
    halts: new Map([...safety].flatMap(([id, s]) => (s.halt ? [[id, s.halt.reason] as const] : []))),
    boards,
    names,
  };
}
