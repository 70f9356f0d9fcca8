import "server-only";
import { format, parseISO } from "date-fns";
import type { Actor } from "@/core/access/can";
import { type ClassSession, sessionsHeld } from "@/core/sessions/sessions";
import { planStages, type StageKey, stages } from "@/core/stages/stages";
import { today } from "./command";
import { calendarsOf, type DayOff, type SectionRow } from "./calendars";
import { db } from "./db";

export interface ProjectRow {
  id: string;
  slug: string;
  title: string;
  purpose: string;
  kind: "client" | "contest" | "both";
  client: string;
  startsOn: string;
  endsOn: string;
  eventOn: string | null;
  currency: string;
  editionOf: string | null;
  finishedAt: string | null;
  version: number;
}

export interface SpineStage {
  key: StageKey;
  name: string;
  planned: number /** 0 to 1: how far the class stands in this stage. */;
  filled: number;
  note: string;
}

/** What every page of a project stands in: the project, its sections and sessions, and the spine. */
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
  readonly held: number;
  readonly today: string;
  readonly students: number;
  readonly spine: readonly SpineStage[];
}

interface Counts {
  students: number;
  placed: number;
  teams: number;
  briefs: number;
  readers: number;
  requirements: number;
  musts: number;
  verifiable: number;
  concepts: number;
  decided: number;
  chosen: number;
  builds: number;
  stageMean: number | null;
  tested: number;
  runs: number;
  aside: number;
  reviews: number;
  judged: number;
  nextReview: string | null;
  publications: number;
  events: number;
  confirmed: number;
}

const dayMonth = (iso: string) => format(parseISO(iso), "d MMM");
const plural = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;

/** Loads the frame of a project by its address; null when there is no such project. */
export async function frameOf(slug: string, actor: Actor): Promise<Frame | null> {
  const sql = db();
  const [project] = await sql<ProjectRow[]>`
    SELECT
      id, slug, title, purpose, kind, client, starts_on, ends_on, event_on, currency, edition_of, finished_at, version
    FROM project
    WHERE slug = ${slug}
  `;
  if (!project) return null;
  const p = project.id;
  const day = today();
  const [{ sections, daysOff, extras, of: calendars }, [counts]] = await Promise.all([
    calendarsOf(project, sql),
    sql<Counts[]>`
      WITH live AS (SELECT id FROM team WHERE project_id = ${p} AND retired_at IS NULL),
      pupils AS (
        SELECT DISTINCT e.person_id
        FROM enrolment e
        JOIN project_section ps USING (section_id)
        WHERE ps.project_id = ${p} AND e.to_on IS NULL
      ),
      req AS (
        SELECT DISTINCT ON (r.id) v.priority, v.method
        FROM requirement r
        JOIN requirement_version v ON v.requirement_id = r.id
        WHERE r.project_id = ${p} AND r.retired_at IS NULL
        ORDER BY r.id, v.number DESC
      ),
      newest AS (
        SELECT DISTINCT ON (team_id) id, stage FROM build WHERE project_id = ${p} ORDER BY team_id, number DESC
      ),
      latest AS (SELECT id, number FROM brief_version WHERE project_id = ${p} ORDER BY number DESC LIMIT 1)
      SELECT
        (SELECT count(*)::int FROM pupils) AS students,
        (SELECT count(*)::int FROM membership WHERE project_id = ${p} AND to_on IS NULL) AS placed,
        (SELECT count(*)::int FROM live) AS teams, coalesce((SELECT number FROM latest), 0) AS briefs,
        (SELECT count(*)::int FROM brief_reading WHERE brief_version_id = (SELECT id FROM latest)) AS readers,
        (SELECT count(*)::int FROM req) AS requirements,
        (SELECT count(*)::int FROM req WHERE priority = 'must') AS musts,
        (SELECT count(*)::int FROM req WHERE priority = 'must' AND method IS NOT NULL) AS verifiable,
        (SELECT count(*)::int FROM concept WHERE project_id = ${p}) AS concepts,
        (SELECT count(*)::int FROM concept WHERE project_id = ${p} AND fate <> 'open') AS decided,
        (SELECT count(*)::int FROM concept WHERE project_id = ${p} AND fate = 'goes on') AS chosen,
        (SELECT count(*)::int FROM build WHERE project_id = ${p}) AS builds,
        (
          SELECT avg(
            CASE stage WHEN 'mock-up' THEN 0.25 WHEN 'proof of concept' THEN 0.5 WHEN 'prototype' THEN 0.75 ELSE 1 END
          )::float
          FROM newest
        ) AS stage_mean,
        (
          SELECT count(*)::int
          FROM newest n
          WHERE EXISTS (SELECT FROM run WHERE build_id = n.id AND state = 'valid' AND place = 'bench')
        ) AS tested,
        (SELECT count(*)::int FROM run WHERE project_id = ${p} AND place = 'bench') AS runs,
        (SELECT count(*)::int FROM run WHERE project_id = ${p} AND place = 'bench' AND state = 'void') AS aside,
        (SELECT count(*)::int FROM review WHERE project_id = ${p}) AS reviews,
        (SELECT count(*)::int FROM review WHERE project_id = ${p} AND verdict IS NOT NULL) AS judged,
        (SELECT min(held_on) FROM review WHERE project_id = ${p} AND held_on >= ${day}) AS next_review,
        (SELECT count(*)::int FROM publication WHERE project_id = ${p}) AS publications,
        (SELECT count(*)::int FROM event WHERE project_id = ${p}) AS events,
        (SELECT count(*)::int FROM event WHERE project_id = ${p} AND state = 'confirmed') AS confirmed
    `,
  ]);
  const own =
    actor.kind === "person" && actor.projects[p]?.role === "student"
      ? await sql<{ sectionId: string }[]>`
          SELECT e.section_id
          FROM enrolment e
          JOIN project_section ps USING (section_id)
          WHERE ps.project_id = ${p} AND e.person_id = ${actor.id} AND e.to_on IS NULL
          LIMIT 1
        `
      : [];
  const sessions = calendars.get(own[0]?.sectionId ?? sections[0]?.id ?? "") ?? [];
  return {
    project,
    sections,
    daysOff,
    extras,
    calendars,
    sessions,
    held: sessionsHeld(sessions, day),
    today: day,
    students: counts!.students,
    spine: spineOf(counts!, project, sessions.length),
  };
}

/** How far each stage stands, from what is on record; the note is the stage's one line in the spine. */
function spineOf(c: Counts, p: ProjectRow, sessions: number): SpineStage[] {
  const plan = planStages(sessions);
  const part = (a: number, b: number) => (b === 0 ? 0 : Math.min(1, a / b));
  const facts: Record<StageKey, [number, string]> = {
    brief: [
      c.briefs === 0 ? 0 : c.students === 0 ? 1 : part(c.readers, c.students),
      c.briefs === 0 ? "not written yet" : `v${c.briefs} · read by ${c.readers} of ${c.students}`,
    ],
    needs: [
      part(c.verifiable, c.musts),
      c.requirements === 0 ? "none yet" : `${plural(c.requirements, "requirement")} · ${c.musts} must`,
    ],
    concepts: [part(c.decided, c.concepts), c.concepts === 0 ? "none yet" : `${c.chosen} chosen of ${c.concepts}`],
    teams: [
      part(c.placed, c.students),
      c.teams === 0 ? "not formed yet" : `${plural(c.teams, "team")} · ${plural(c.placed, "student")}`,
    ],
    builds: [c.teams === 0 ? 0 : (c.stageMean ?? 0), c.builds === 0 ? "none yet" : plural(c.builds, "generation")],
    bench: [
      part(c.tested, c.teams),
      c.runs === 0 ? "no runs yet" : `${plural(c.runs, "run")}${c.aside ? ` · ${c.aside} set aside` : ""}`,
    ],
    reviews: [
      part(c.judged, c.reviews),
      c.reviews === 0
        ? "none planned"
        : c.nextReview
          ? `next ${dayMonth(c.nextReview)}`
          : `${c.judged} of ${c.reviews} decided`,
    ],
    grades: [
      c.publications > 0 ? 1 : 0,
      c.publications === 0 ? "not published" : `published ${c.publications === 1 ? "once" : `${c.publications} times`}`,
    ],
    contest: [
      part(c.confirmed, c.events),
      c.events === 0
        ? p.eventOn
          ? `event ${dayMonth(p.eventOn)}`
          : "no event yet"
        : `${c.confirmed} of ${plural(c.events, "event")} confirmed`,
    ],
    records: [p.finishedAt ? 1 : 0, p.finishedAt ? "finished" : p.editionOf ? "has last year's" : "open"],
  };
  return stages.map((s) => ({
    key: s.key,
    name: s.name,
    planned: plan[s.key],
    filled: facts[s.key][0],
    note: facts[s.key][1],
  }));
}
