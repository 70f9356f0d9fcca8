import "server-only";
import { checkVersion, command, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { plural } from "@/platform/registry/words";
import { gradeActs } from "../acts";
import { effectOf, readScheme } from "../queries/effect";
import { isPublished } from "../queries/publications";
import { schemeOf } from "../queries/scheme";
import * as s from "../schema";

/** A new version of the scheme. Where grades were published and move, it says why. */
export const saveScheme = command({
  name: "saveScheme",
  act: gradeActs.edit,
  schema: s.scheme,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by, today }, input): Promise<{ number: number }> {
    const { projectId } = input;
    await sql`SELECT FROM project WHERE id = ${projectId} FOR UPDATE`;
    const definition = await readScheme(sql, projectId, input);
    const last = await schemeOf(projectId, sql);
    checkVersion(
      { version: last?.number ?? 0 },
      input.baseNumber,
      { components: "Components" },
      { components: `${input.components.length} components` },
      { components: "another scheme was saved" },
    );
    const published = last !== null && (await isPublished(projectId, sql));
    const { moves } = published ? await effectOf(projectId, today, definition) : { moves: [] };
    if (moves.length && !input.why)
      refuse(`Grades are published, and ${plural(moves.length, "grade")} would move: say why.`, "why");
    const number = (last?.number ?? 0) + 1;
    await sql`
      INSERT INTO scheme_version (id, project_id, number, definition, why, created_by)
      VALUES (${newId()}, ${projectId}, ${number}, ${sql.json(definition as never)}, ${input.why}, ${by})
    `;
    audit({
      type: "scheme",
      label: `version ${number}`,
      before: last?.definition,
      after: { ...definition, ...(published && { moved: moves.length }) },
      reason: input.why || undefined,
    });
    return { number };
  },
});
