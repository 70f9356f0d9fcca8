import { unitsOf } from "@/core/quantity/systems";
import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import { settingsOf } from "@/platform/project/settings";
import type { BoardSource } from "../view/board-face";
import { placedEventsOf } from "./events";
import { eventNames, matchEventsOf } from "./matches";
import { safetyOf } from "./safety";
import { freshenStandings } from "./standings";

const boardsOf = (projectId: string) => db()<row.Board[]>`
  SELECT * FROM board WHERE project_id = ${projectId} ORDER BY lower(name)
`;

/** Everything that the boards of a project show; null where the project is gone. */
export async function boardSource(projectId: string): Promise<BoardSource | null> {
  // What is marked is computed first, so that both kinds of event are read once.
  await freshenStandings(projectId);
  const [[project], events, races, safety, names, settings, boards] = await Promise.all([
    db()<{ title: row.Project["title"] }[]>`SELECT title FROM project WHERE id = ${projectId}`,
    placedEventsOf(projectId),
    matchEventsOf(projectId),
    safetyOf(projectId),
    eventNames(projectId),
    settingsOf(projectId),
    boardsOf(projectId),
  ]);
  if (!project) return null;
  return {
    title: `${project.title} contest`,
    contest: {
      events,
      races,
      method: settings.combine,
      weights: new Map(names.map((e) => [e.id as string, e.weight])),
    },
    massUnit: unitsOf(settings.units).mass,
    halts: new Map([...safety].flatMap(([id, s]) => (s.halt ? [[id, s.halt.reason] as const] : []))),
    boards,
    names,
  };
}
