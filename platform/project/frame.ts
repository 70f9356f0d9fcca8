import type * as row from "../db/rows";
import "server-only";
import type { Actor } from "@/core/access/can";
import { type ProjectUnits, unitsOf } from "@/core/quantity/systems";
import { type ClassSession, sessionsHeld } from "@/core/sessions/sessions";
import type { DateStyle, UnitSystem } from "@/core/vocabulary/project";
import { today } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { calendarsOf, type DayOff, type SectionRow } from "./calendars";

export interface ProjectRow {
  id: row.Project["id"];
  slug: row.Project["slug"];
  title: row.Project["title"];
  purpose: row.Project["purpose"];
  kind: row.Project["kind"];
  client: row.Project["client"];
  startsOn: row.Project["startsOn"];
  endsOn: row.Project["endsOn"];
  eventOn: row.Project["eventOn"];
  currency: row.Project["currency"];
  editionOf: row.Project["editionOf"];
  finishedAt: row.Project["finishedAt"];
  archivedAt: row.Project["archivedAt"];
  version: row.Project["version"];
  units: UnitSystem | null;
  dates: DateStyle | null;
  /** How many notices of writes it had sent when the page began to be made. */
  notices: number;
}

/** What every page of a project stands in: the project, its sections and sessions, and its students. */
export interface Frame {
  readonly project: ProjectRow;
  readonly sections: readonly SectionRow[];
  readonly daysOff: readonly DayOff[];
  /** Sessions outside the pattern. */
  readonly extras: readonly DayOff[];
  /** Sessions of each section. */
  readonly calendars: ReadonlyMap<string, ClassSession[]>;
  /** The calendar that dates are counted in: the viewer's own section, or the first. */
  readonly sessions: readonly ClassSession[];
  readonly units: ProjectUnits;
  /** The section whose sessions those are. */
  readonly counted: string | null;
  readonly held: number;
  readonly today: string;
  readonly students: number;
}

/** Loads the frame of a project by its address; null when there is no such project. */
export async function frameOf(slug: string, actor: Actor): Promise<Frame | null> {
  const sql = db();
  const [project] = await sql<ProjectRow[]>`
    SELECT
      id, slug, title, purpose, kind, client, starts_on, ends_on, event_on, currency, edition_of, finished_at,
      archived_at, version, settings->>'units' AS units, settings->>'dates' AS dates,
      coalesce((SELECT number FROM notice_count WHERE project_id = project.id), 0) AS notices
    FROM project
    WHERE slug = ${slug}
  `;
  if (!project) return null;
  const p = project.id;
  const day = today();
  const [{ sections, daysOff, extras, of: calendars }, [counts]] = await Promise.all([
    calendarsOf(project, sql),
    sql<{ students: number }[]>`
      SELECT count(DISTINCT e.person_id)::int AS students
      FROM enrolment e
      JOIN project_section ps USING (section_id)
      WHERE ps.project_id = ${p} AND e.to_on IS NULL
    `,
  ]);
  const own =
    actor.kind === "person" && actor.projects[p]?.role === "student"
      ? await sql<{ sectionId: row.Enrolment["sectionId"] }[]>`
          SELECT e.section_id
          FROM enrolment e
          JOIN project_section ps USING (section_id)
          WHERE ps.project_id = ${p} AND e.person_id = ${actor.id} AND e.to_on IS NULL
          LIMIT 1
        `
      : [];
  const counted = sections.find((x) => x.id === own[0]?.sectionId) ?? sections[0];
  const sessions = calendars.get(counted?.id ?? "") ?? [];
  return {
    project,
    sections,
    daysOff,
    extras,
    calendars,
    sessions,
    units: unitsOf(project.units ?? "metric"),
    counted: counted?.name ?? null,
    held: sessionsHeld(sessions, day),
    today: day,
    students: counts!.students,
  };
}
