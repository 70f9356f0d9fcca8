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

/** Everything that the boards of a project show; null where the project is gone. */
export async function boardSource(projectId: string): Promise<BoardSource | null> {
  const [[project], { names, settings, ...awarded }, safety, call, boards] = await Promise.all([
    db()<{ title: row.Project["title"] }[]>`SELECT title FROM project WHERE id = ${projectId}`,
    placedContestOf(projectId),
    safetyOf(projectId),
    openCall(projectId),
    boardsOf(projectId),
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
