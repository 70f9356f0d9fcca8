import type * as row from "../db/rows";
import "server-only";
import { type ClassSession, classSessions, type MeetingPattern } from "@/core/sessions/sessions";
import { db, type Tx } from "@/platform/db/db";

export interface SectionRow {
  id: row.Section["id"];
  name: row.Section["name"];
  pattern: MeetingPattern;
  version: row.Section["version"] /** This section's own dates, where they differ from the project's. */;
  startsOn: row.ProjectSection["startsOn"];
  endsOn: row.ProjectSection["endsOn"];
  eventOn: row.ProjectSection["eventOn"];
}

export interface DayOff {
  id: row.ExtraSession["id"];
  sectionId: row.ExtraSession["sectionId"];
  onDate: row.ExtraSession["onDate"];
  reason: row.ExtraSession["reason"];
}

export interface Calendars {
  sections: SectionRow[];
  daysOff: DayOff[];
  extras: DayOff[] /** Class sessions of each section. */;
  of: Map<string, ClassSession[]>;
}

/** The class sessions of every section of a project: its pattern and own dates, minus days off, plus extra sessions. */
export async function calendarsOf(
  project: { id: string; startsOn: string; endsOn: string },
  sql: Tx = db(),
): Promise<Calendars> {
  const [sections, daysOff, extras] = await Promise.all([
    sql<SectionRow[]>`
      SELECT c.id, c.name, c.pattern, c.version, ps.starts_on, ps.ends_on, ps.event_on
      FROM section c
      JOIN project_section ps ON ps.section_id = c.id
      WHERE ps.project_id = ${project.id}
      ORDER BY c.name
    `,
    sql<
      DayOff[]
    >`SELECT id, section_id, on_date, reason FROM day_off WHERE project_id = ${project.id} ORDER BY on_date`,
    sql<
      DayOff[]
    >`SELECT id, section_id, on_date, reason FROM extra_session WHERE project_id = ${project.id} ORDER BY on_date`,
  ]);
  const mine = (list: readonly DayOff[], id: string) =>
    list.filter((d) => d.sectionId === null || d.sectionId === id).map((d) => d.onDate);
  const of = new Map(
    sections.map((c) => [
      c.id,
      classSessions({
        pattern: c.pattern,
        from: c.startsOn ?? project.startsOn,
        to: c.endsOn ?? project.endsOn,
        daysOff: new Set(mine(daysOff, c.id)),
        extra: mine(extras, c.id),
      }),
    ]),
  );
  return { sections, daysOff, extras, of };
}
