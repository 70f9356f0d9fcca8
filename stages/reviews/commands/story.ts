import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse, teamOf } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { reviewActs } from "../acts";
import * as s from "../schema-story";

/** Keeps a team's story as its members have it now. */
export const saveStory = command({
  name: "saveStory",
  act: reviewActs.tell,
  schema: s.saveStory,
  subject: async (sql, i) => {
    const [t] = await sql<Pick<row.Team, "projectId">[]>`
      SELECT project_id FROM team WHERE id = ${i.teamId} AND project_id = ${i.projectId}
    `;
    return t ? { project: t.projectId, team: i.teamId } : null;
  },
  async run({ sql, audit, by }, input): Promise<{ id: string }> {
    const { projectId, teamId, title } = input;
    const pictures = [...new Set(input.chapters.flatMap((c) => c.pictures))];
    if (pictures.length) {
      const own = await sql`
        SELECT f.id FROM file_use f JOIN build b ON b.id = f.build_id
        WHERE b.team_id = ${teamId} AND f.id IN ${sql(pictures)}
      `;
      if (own.length < pictures.length)
        refuse("One of the pictures is not (any more) of the team's builds.", "chapters");
    }
    const [old] = await sql<Pick<row.Story, "id" | "version" | "title" | "chapters">[]>`
      SELECT id, version, title, chapters FROM story WHERE team_id = ${teamId} FOR UPDATE
    `;
    const chapters = sql.json(input.chapters as never);
    const id = old?.id ?? newId();
    if (old) {
      checkVersion(old, input.version, { title: "Title" }, input, { title: old.title });
      await sql`
        UPDATE story
        SET title = ${title}, chapters = ${chapters}, written_by = ${by}, written_at = app_now(), version = version + 1
        WHERE id = ${id}
      `;
    } else
      await sql`
        INSERT INTO story (id, project_id, team_id, title, chapters, written_by)
        VALUES (${id}, ${projectId}, ${teamId}, ${title}, ${chapters}, ${by})
      `;
    audit({ type: "story", id, label: title, before: old?.chapters, after: input.chapters });
    return { id };
  },
});

const ofStory = (sql: Tx, id: string) => teamOf(sql, "story", id);

/** Shows a story to the class, or to the team and the instructors only. */
export const shareStory = command({
  name: "shareStory",
  act: reviewActs.tell,
  schema: s.shareStory,
  subject: (sql, i) => ofStory(sql, i.id),
  async run({ sql, audit }, input) {
    const [x] = await sql<Pick<row.Story, "title" | "version" | "sharedAt">[]>`
      SELECT title, version, shared_at FROM story WHERE id = ${input.id} FOR UPDATE
    `;
    checkVersion(found(x, "This story"), input.version, {}, {}, {});
    await sql`
      UPDATE story
      SET shared_at = ${input.shared ? sql`coalesce(shared_at, app_now())` : null}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "story",
      id: input.id,
      label: x!.title,
      before: { shared: x!.sharedAt !== null },
      after: { shared: input.shared },
    });
  },
});

export const withdrawStory = withdrawal({
  name: "withdrawStory",
  kind: "story",
  table: "story",
  act: reviewActs.tell,
  subject: ofStory,
  label: "x.title",
});
