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

/** The project that a call in the hall is of. */
export const ofCall = (sql: Tx, id: string) => projectOf(sql, "hall_call", id);

/** The project that a vote of the crowd is of. */
export const ofBallot = (sql: Tx, id: string) => projectOf(sql, "ballot", id);

/** The project that a judge's sheet is of. */
export const ofSheet = async (sql: Tx, id: string) => {
  const [e] = await sql<{ projectId: row.Event["projectId"] }[]>`
    SELECT e.project_id FROM judge_sheet s JOIN entry n ON n.id = s.entry_id JOIN event e ON e.id = n.event_id
    WHERE s.id = ${id}
  `;
  return e ? { project: e.projectId } : null;
};

/** The project that an inspection is of. */
export const ofInspection = async (sql: Tx, id: string) => {
  const [b] = await sql<
    { projectId: row.Build["projectId"] }[]
  >`SELECT b.project_id FROM inspection i JOIN build b ON b.id = i.build_id WHERE i.id = ${id}`;
  return b ? { project: b.projectId } : null;
};

/** The project that a halt of an event is of. */
export const ofHalt = async (sql: Tx, id: string) => {
  const [h] = await sql<{ eventId: row.EventHalt["eventId"] }[]>`SELECT event_id FROM event_halt WHERE id = ${id}`;
  return h ? ofEvent(sql, h.eventId) : null;
};

/** The project that an attempt of a contest is of. */
export const ofContestRun = async (sql: Tx, id: string) => {
  const [r] = await sql<
    { projectId: row.Run["projectId"] }[]
  >`SELECT project_id FROM run WHERE id = ${id} AND place = 'contest'`;
  return r ? { project: r.projectId } : null;
};
