import "server-only";
import type { HandbookTarget } from "@/core/vocabulary/handbook";
import { db, type Tx } from "@/platform/db/db";
import type { OpenUse, StoredUse } from "../view/handbook";

/** What a calculation may be kept with. */
export interface Target {
  readonly kind: HandbookTarget;
  readonly id: string;
  readonly label: string;
}

/** Whose calculations: of one thing, or of all that somebody may read. */
export interface UsesAsked {
  readonly build?: string;
  readonly protocol?: string;
  readonly requirement?: string;
  readonly entries?: readonly string[];
}

/** What a use `u` stays with: its kind and its id. */
export const target = (sql: Tx) => sql`
  CASE
    WHEN u.build_id IS NOT NULL THEN 'build'
    WHEN u.protocol_id IS NOT NULL THEN 'protocol'
    WHEN u.requirement_id IS NOT NULL THEN 'requirement'
    ELSE 'entry'
  END AS kind,
  coalesce(u.build_id, u.protocol_id, u.requirement_id, u.entry_id) AS target_id
`;

/** The calculations that stay with something, the newest first. */
export const usesOf = (projectId: string, { build, protocol, requirement, entries }: UsesAsked) => db()<StoredUse[]>`
  SELECT
    u.id, u.calculator, u.inputs, u.units, u.note, u.made_by, u.made_at, u.version,
    ${target(db())},
    coalesce(t.name || ' G' || b.number, p.name, r.code, 'notebook, ' || e.on_date) AS target
  FROM handbook_use u
  LEFT JOIN build b ON b.id = u.build_id
  LEFT JOIN team t ON t.id = b.team_id
  LEFT JOIN protocol p ON p.id = u.protocol_id
  LEFT JOIN requirement r ON r.id = u.requirement_id
  LEFT JOIN notebook_entry e ON e.id = u.entry_id
  WHERE u.project_id = ${projectId}
    AND (
      u.build_id = ${build ?? null} OR u.protocol_id = ${protocol ?? null} OR u.requirement_id = ${requirement ?? null}
      OR u.entry_id = ANY(${[...(entries ?? [])]}::uuid[])
    )
  ORDER BY u.made_at DESC, u.id
`;

/** What a page of a build, a protocol or a requirement is about, and whose it is; null where there is no such thing. */
export async function aboutOf(
  projectId: string,
  kind: Exclude<HandbookTarget, "entry">,
  named: string,
): Promise<{ id: string; words: string; team: string | null } | null> {
  const sql = db();
  const of = {
    build: sql`
      SELECT id, concat_ws(' ', stage, what_changed) AS words, team_id AS team
      FROM build
      WHERE project_id = ${projectId} AND id::text = ${named}
    `,
    protocol: sql`
      SELECT id, name AS words, NULL AS team FROM protocol WHERE project_id = ${projectId} AND id::text = ${named}
    `,
    requirement: sql`
      SELECT
        r.id, NULL AS team,
        concat_ws(' ', v.measure, v.statement, CASE WHEN v.comparator = '≤' THEN 'at most ' || v.unit END) AS words
      FROM requirement r
      JOIN requirement_version v ON v.requirement_id = r.id
      WHERE r.project_id = ${projectId} AND ${named} IN (r.id::text, r.code)
      ORDER BY v.number DESC
      LIMIT 1
    `,
  }[kind];
  const [about] = (await of) as unknown as { id: string; words: string; team: string | null }[];
  return about ?? null;
}

/** One calculation that is opened again; null where there is none. */
export async function useOf(projectId: string, id: string): Promise<OpenUse | null> {
  const [use] = await db()<OpenUse[]>`
    SELECT
      id, inputs, units, note, version, ${target(db())}
    FROM handbook_use u
    WHERE project_id = ${projectId} AND id = ${id}
  `;
  return use ?? null;
}

/**
 * What somebody may keep a calculation with: builds of the own team and entries of the own notebook; instructors any
 * team's newest builds, protocols and requirements.
 */
export const targetsOf = (projectId: string, personId: string, team: string | null, staff: boolean) => db()<Target[]>`
  SELECT kind, id, label
  FROM (
    SELECT 'build' AS kind, b.id, t.name || ' G' || b.number AS label, 1 AS place, t.name AS name, -b.number AS number
    FROM build b
    JOIN team t ON t.id = b.team_id
    WHERE b.project_id = ${projectId} AND (${staff} OR b.team_id = ${team})
    UNION ALL
    SELECT 'protocol', p.id, p.name, 2, p.name, 0
    FROM protocol p
    WHERE p.project_id = ${projectId} AND ${staff}
    UNION ALL
    SELECT 'requirement', r.id, r.code, 3, r.code, 0
    FROM requirement r
    WHERE r.project_id = ${projectId} AND ${staff}
    UNION ALL
    (
      SELECT 'entry', e.id, e.on_date::text, 4, '', row_number() OVER (ORDER BY e.on_date DESC)
      FROM notebook_entry e
      WHERE e.project_id = ${projectId} AND e.person_id = ${personId}
      ORDER BY e.on_date DESC
      LIMIT 12
    )
  ) x
  ORDER BY place, name, number
`;
