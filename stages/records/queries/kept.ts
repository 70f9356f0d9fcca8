import "server-only";
import { db } from "@/platform/db/db";
import { isId } from "@/platform/db/id";
import type * as row from "@/platform/db/rows";
import { type PartRow, partsOf } from "@/stages/builds/queries/parts";

/** A kept model with the build that it is and who has had it. */
export interface KeptModel extends row.Artefact {
  readonly build: string | null;
  readonly edition: row.Project["title"];
  readonly slug: row.Project["slug"];
  readonly loans: readonly Pick<row.ArtefactLoan, "id" | "lentTo" | "lentOn" | "dueOn" | "backOn" | "version">[];
}

/** The kept models of some editions; what was scrapped last. */
export const keptModels = (projectIds: readonly string[]) => db()<KeptModel[]>`
  SELECT
    a.*, t.name || ' G' || b.number AS build, p.title AS edition, p.slug,
    (
      SELECT coalesce(
        json_agg(
          json_build_object(
            'id', l.id, 'lentTo', l.lent_to, 'lentOn', l.lent_on, 'dueOn', l.due_on, 'backOn', l.back_on,
            'version', l.version
          )
          ORDER BY l.lent_on DESC, l.id DESC
        ),
        '[]'
      )
      FROM artefact_loan l
      WHERE l.artefact_id = a.id
    ) AS loans
  FROM artefact a
  JOIN project p ON p.id = a.project_id
  LEFT JOIN build b ON b.id = a.build_id
  LEFT JOIN team t ON t.id = b.team_id
  WHERE a.project_id IN ${db()(projectIds)}
  ORDER BY a.scrapped_on IS NOT NULL, a.place, a.name, a.id
`;

/** A build guide with the build that it makes again. */
export interface GuideRow extends row.BuildGuide {
  readonly teamId: row.Team["id"];
  readonly build: string;
  readonly edition: row.Project["title"];
  readonly sides: row.Build["sides"];
  readonly steps: number;
}

/** The build guides of some editions, the newest first; or one of them. */
export const guidesOf = (projectIds: readonly string[], id: string | null = null) => db()<GuideRow[]>`
  SELECT
    g.*, b.team_id, t.name || ' G' || b.number AS build, p.title AS edition, b.sides,
    (SELECT count(*)::int FROM guide_step WHERE guide_id = g.id) AS steps
  FROM build_guide g
  JOIN project p ON p.id = g.project_id
  JOIN build b ON b.id = g.build_id
  JOIN team t ON t.id = b.team_id
  WHERE g.project_id IN ${db()(projectIds)} AND (${id}::uuid IS NULL OR g.id = ${id})
  ORDER BY g.written_at DESC, g.id
`;

/** A step with the part that it fits, by name. */
export interface StepRow extends row.GuideStep {
  readonly part: PartRow["name"] | null;
}

/** A guide of one of some editions with its steps, the parts list and the pictures of its build; null where none is. */
export async function guideWhole(projectIds: readonly string[], id: string) {
  if (!isId(id)) return null;
  const sql = db();
  const [guide] = await guidesOf(projectIds, id);
  if (!guide) return null;
  const [steps, parts, photos] = await Promise.all([
    sql<StepRow[]>`
      SELECT s.*, p.name AS part
      FROM guide_step s
      LEFT JOIN part_line p ON p.id = s.part_id
      WHERE s.guide_id = ${id}
      ORDER BY s.place, s.id
    `,
    partsOf(guide.buildId),
    sql<Pick<row.FileUse, "id" | "caption">[]>`
      SELECT id, caption FROM file_use WHERE build_id = ${guide.buildId} ORDER BY id
    `,
  ]);
  return { guide, steps, parts, photos };
}

/** The later editions in whose classes a picture is shown, because a guide of its edition shows it. */
export const guideReaders = async (fileUseId: string): Promise<string[]> =>
  (
    await db()<{ id: row.Project["id"] }[]>`
      WITH RECURSIVE later AS (
        SELECT p.id
        FROM guide_step s
        JOIN build_guide g ON g.id = s.guide_id
        JOIN project p ON p.edition_of = g.project_id
        WHERE s.photo_id = ${fileUseId}
        UNION
        SELECT p.id FROM project p JOIN later l ON p.edition_of = l.id
      )
      SELECT id FROM later
    `
  ).map((r) => r.id);
