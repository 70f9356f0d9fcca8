import "server-only";
import { db } from "./db";

export interface AuditRow {
  id: string;
  at: string;
  actorName: string;
  actorKind: string;
  act: string;
  subjectType: string;
  label: string;
  before: unknown;
  after: unknown;
  reason: string | null;
}

/** The audit of a project, newest first, a page at a time; narrowed by words in who, what or label. */
export async function auditOf(
  projectId: string,
  { words = "", before = null as string | null, limit = 60 } = {},
): Promise<AuditRow[]> {
  const like = `%${words.replace(/[%_\\]/g, "\\$&")}%`;
  return db()<AuditRow[]>`
    SELECT id, at, actor_name, actor_kind, act, subject_type, label, before, after, reason
    FROM audit
    WHERE project_id = ${projectId} ${before ? db()`AND id < ${before}` : db()``}
      AND (actor_name || ' ' || act || ' ' || subject_type || ' ' || label) ILIKE ${like}
    ORDER BY id DESC
    LIMIT ${limit}
  `;
}

export interface Hit {
  kind: "team" | "student" | "requirement" | "build" | "run" | "review";
  label: string;
  detail: string;
  href: string;
}

/** The jump box: teams, students (for staff), requirements, builds, runs and reviews of a project whose words match. */
export async function search(projectId: string, slug: string, words: string, staff: boolean): Promise<Hit[]> {
  const q = words.trim();
  if (!q) return [];
  const like = `%${q.replace(/[%_\\]/g, "\\$&")}%`;
  const sql = db();
  const base = `/p/${slug}`;
  const [teams, students, requirements, builds, runs, reviews] = await Promise.all([
    sql<{ id: string; name: string }[]>`
      SELECT id, name
      FROM team
      WHERE project_id = ${projectId} AND retired_at IS NULL AND name ILIKE ${like}
      ORDER BY name
      LIMIT 6
    `,
    staff
      ? sql<{ id: string; name: string; section: string }[]>`
          SELECT p.id, p.name, c.name AS section
          FROM enrolment e
          JOIN project_section ps USING (section_id)
          JOIN person p ON p.id = e.person_id
          JOIN section c ON c.id = e.section_id
          WHERE ps.project_id = ${projectId} AND e.to_on IS NULL AND p.name ILIKE ${like}
          ORDER BY p.name
          LIMIT 6
        `
      : [],
    sql<{ code: string; statement: string }[]>`
      SELECT r.code, v.statement
      FROM requirement r
      JOIN LATERAL (
        SELECT statement FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1
      ) v ON true
      WHERE r.project_id = ${projectId} AND r.retired_at IS NULL AND (r.code || ' ' || v.statement) ILIKE ${like}
      ORDER BY r.code
      LIMIT 6
    `,
    sql<{ id: string; number: number; team: string; whatChanged: string }[]>`
      SELECT b.id, b.number, t.name AS team, b.what_changed
      FROM build b
      JOIN team t ON t.id = b.team_id
      WHERE b.project_id = ${projectId} AND (t.name || ' G' || b.number || ' ' || b.what_changed) ILIKE ${like}
      ORDER BY t.name, b.number
      LIMIT 6
    `,
    sql<
      {
        id: string;
        attempt: number;
        team: string;
        number: number;
        protocol: string;
        buildId: string;
        protocolId: string;
        recordedAt: string;
      }[]
    >`
      SELECT
        r.id, r.attempt, t.name AS team, b.number, p.name AS protocol, b.id AS build_id, p.id AS protocol_id,
        r.recorded_at
      FROM run r
      JOIN build b ON b.id = r.build_id
      JOIN team t ON t.id = b.team_id
      JOIN protocol_version v ON v.id = r.protocol_version_id
      JOIN protocol p ON p.id = v.protocol_id
      WHERE r.project_id = ${projectId}
        AND r.place = 'bench'
        AND (t.name || ' G' || b.number || ' ' || p.name || ' attempt ' || r.attempt) ILIKE ${like}
      ORDER BY r.recorded_at DESC
      LIMIT 6
    `,
    sql<{ id: string; title: string; team: string }[]>`
      SELECT r.id, r.title, t.name AS team
      FROM review r
      JOIN team t ON t.id = r.team_id
      WHERE r.project_id = ${projectId} AND (r.title || ' ' || t.name) ILIKE ${like}
      ORDER BY r.held_on
      LIMIT 6
    `,
  ]);
  return [
    ...teams.map((t) => ({
      kind: "team" as const,
      label: t.name,
      detail: "team",
      href: `${base}/builds?team=${t.id}`,
    })),
    ...students.map((p) => ({
      kind: "student" as const,
      label: p.name,
      detail: `section ${p.section}`,
      href: `${base}/grades/${p.id}`,
    })),
    ...requirements.map((r) => ({
      kind: "requirement" as const,
      label: r.code,
      detail: r.statement,
      href: `${base}/needs?r=${r.code}`,
    })),
    ...builds.map((b) => ({
      kind: "build" as const,
      label: `${b.team} G${b.number}`,
      detail: b.whatChanged,
      href: `${base}/builds/${b.id}`,
    })),
    ...runs.map((r) => ({
      kind: "run" as const,
      label: `${r.team} G${r.number}, attempt ${r.attempt}`,
      detail: r.protocol,
      href: `${base}/bench?protocol=${r.protocolId}&build=${r.buildId}`,
    })),
    ...reviews.map((r) => ({
      kind: "review" as const,
      label: `${r.title}: ${r.team}`,
      detail: "review",
      href: `${base}/reviews/${r.id}`,
    })),
  ];
}
