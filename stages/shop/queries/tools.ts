import type * as row from "@/platform/db/rows";
import "server-only";
import { cache } from "react";
import { db, type Tx } from "@/platform/db/db";

export interface Tool {
  id: row.Tool["id"];
  name: row.Tool["name"];
  caution: row.Tool["caution"];
  version: row.Tool["version"];
  rules: row.Tool["rules"];
  trainers: row.Tool["trainers"];
  place: row.Tool["place"];
  months: row.Tool["months"];
  shared: row.Tool["shared"];
  checks: row.Tool["checks"];
  signed: { personId: string; on: string; by: string; expiresOn: string | null }[];
}

const asked = cache(
  (projectId: string, sql: Tx) => sql<Tool[]>`
  SELECT
    t.id, t.name, t.caution, t.version, t.rules, t.trainers, t.place, t.months, t.shared, t.checks,
    (
      SELECT coalesce(
        json_agg(
          json_build_object(
            'personId', x.person_id, 'on', x.signed_on, 'by', x.signed_by, 'expiresOn', x.expires_on
          )
        ), '[]'
      )
      FROM tool_sign_off x
      WHERE x.tool_id = t.id
    ) AS signed
  FROM tool t
  WHERE t.project_id = ${projectId}
  ORDER BY t.name
`,
);

/** The tools of a project with who is signed for them; asked once a page. */
export const toolsOf = (projectId: string, sql: Tx = db()): PromiseLike<Tool[]> => asked(projectId, sql);

/** A setting that was tried, here or in an edition before. */
export type Setting = row.MachineSetting & {
  /** The edition before that it was tried in; null where it was tried here. */
  readonly edition: row.Project["title"] | null;
};

/** The settings that were tried in a project and in its editions before, by machine, material and thickness. */
export const settingsTried = (projectId: string) => db()<Setting[]>`
  WITH RECURSIVE chain AS (
    SELECT id, edition_of, 0 AS before FROM project WHERE id = ${projectId}
    UNION
    SELECT p.id, p.edition_of, c.before + 1 FROM project p JOIN chain c ON c.edition_of = p.id
  )
  SELECT m.*, CASE WHEN c.before > 0 THEN p.title END AS edition
  FROM machine_setting m
  JOIN chain c ON c.id = m.project_id
  JOIN project p ON p.id = m.project_id
  ORDER BY lower(m.machine), lower(m.material), m.thickness NULLS FIRST, m.tried_on DESC, m.id
`;
