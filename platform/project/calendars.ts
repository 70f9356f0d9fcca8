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

interface Dated {
  readonly id: string;
  readonly startsOn: string;
  readonly endsOn: string;
}

function calendarsFrom(
  project: Dated,
  { sections, daysOff, extras }: Pick<Calendars, "sections" | "daysOff" | "extras">,
): Calendars {
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

/**
 * The class sessions of every section of these projects, by project: its pattern and own dates, minus days off, plus
 * extra sessions.
 */
export async function calendarsIn(
  projectIds: readonly string[],
  sql: Tx = db(),
): Promise<Map<string, Dated & { eventOn: string | null } & Calendars>> {
  if (!projectIds.length) return new Map();
  const rows = await sql<(Dated & { eventOn: string | null } & Pick<Calendars, "sections" | "daysOff" | "extras">)[]>`
    SELECT
      p.id, p.starts_on, p.ends_on, p.event_on,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', c.id, 'name', c.name, 'pattern', c.pattern, 'version', c.version, 'startsOn', s.starts_on,
              'endsOn', s.ends_on, 'eventOn', s.event_on
            )
            ORDER BY c.name
          ),
          '[]'
        )
        FROM project_section s
        JOIN section c ON c.id = s.section_id
        WHERE s.project_id = p.id
      ) AS sections,
      (
        SELECT coalesce(
          json_agg(
            json_build_object('id', id, 'sectionId', section_id, 'onDate', on_date, 'reason', reason) ORDER BY on_date
          ),
          '[]'
        )
        FROM day_off
        WHERE project_id = p.id
      ) AS days_off,
      (
        SELECT coalesce(
          json_agg(
            json_build_object('id', id, 'sectionId', section_id, 'onDate', on_date, 'reason', reason) ORDER BY on_date
          ),
          '[]'
        )
        FROM extra_session
        WHERE project_id = p.id
      ) AS extras
    FROM project p
    WHERE p.id IN ${sql(projectIds)}
  `;
  return new Map(rows.map((r) => [r.id, { ...r, ...calendarsFrom(r, r) }]));
}

/** The same of one project. */
export async function calendarsOf(project: Dated, sql: Tx = db()): Promise<Calendars> {
  return (await calendarsIn([project.id], sql)).get(project.id)!;
}
