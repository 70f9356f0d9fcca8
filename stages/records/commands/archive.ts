import type * as row from "@/platform/db/rows";
import "server-only";
import { command, found, refuse } from "@/platform/command/command";
import { projectActs } from "@/platform/project/acts";
import * as s from "../schema";

/** Puts a project away, off the list, or takes it out again; nothing of it changes. */
export const archiveProject = command({
  name: "archiveProject",
  afterFinish: true,
  act: projectActs.finish,
  schema: s.archive,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const [p] = await sql<{ title: row.Project["title"] }[]>`
      UPDATE project
      SET archived_at = ${input.away ? sql`coalesce(archived_at, app_now())` : null}, version = version + 1
      WHERE id = ${input.projectId}
      RETURNING title
    `;
    audit({ type: "project", id: input.projectId, label: found(p).title, after: { archived: input.away } });
  },
});

/**
 * Deletes a project for good. Its bundle has to have been saved after the last change, so that it can be imported
 * again; its title is written to confirm.
 */
export const deleteProject = command({
  name: "deleteProject",
  endsProject: true,
  afterFinish: true,
  act: projectActs.finish,
  schema: s.deletion,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, today }, input): Promise<{ title: string }> {
    const [p] = await sql<{ title: row.Project["title"]; current: boolean | null }[]>`
      SELECT
        title,
        bundled_at >= (SELECT max(at) FROM audit WHERE project_id = project.id AND act <> 'archiveProject') AS current
      FROM project
      WHERE id = ${input.projectId} FOR UPDATE
    `;
    if (input.confirm.trim() !== found(p).title)
      refuse(`Write the project's title, ${p!.title}, to confirm.`, "confirm");
    if (!p!.current)
      refuse("Save the project's bundle first: it was changed since the last one was made, or there is none.");
    const sections = await sql<{ id: row.Section["id"] }[]>`
      DELETE FROM project_section WHERE project_id = ${input.projectId} RETURNING section_id AS id
    `;
    // What a run, an entry or a review holds on to goes after them.
    await sql`DELETE FROM event WHERE project_id = ${input.projectId}`;
    await sql`DELETE FROM run WHERE project_id = ${input.projectId}`;
    await sql`DELETE FROM review WHERE project_id = ${input.projectId}`;
    await sql`DELETE FROM project WHERE id = ${input.projectId}`;
    await sql`
      DELETE FROM section s
      WHERE id = ANY(${sections.map((x) => x.id)}::uuid[])
        AND NOT EXISTS (SELECT FROM project_section WHERE section_id = s.id)
    `;
    await sql`
      DELETE FROM file f
      WHERE NOT EXISTS (SELECT FROM file_use WHERE file_hash = f.hash)
        AND NOT EXISTS (SELECT FROM withdrawn_row WHERE table_name = 'file_use' AND content->>'file_hash' = f.hash)
    `;
    audit({ type: "project", label: p!.title, after: { deleted: today } });
    return { title: p!.title };
  },
});
