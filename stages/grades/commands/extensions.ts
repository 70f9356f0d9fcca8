import type * as row from "@/platform/db/rows";
import "server-only";
import { leavesOf } from "@/core/grades/scheme";
import { checkVersion, command, found } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { studentSubject } from "@/stages/people/queries/students";
import { gradeActs } from "../acts";
import { schemeOf } from "../queries/scheme";
import * as s from "../schema";

/** Gives one student more class sessions for a component, changes how many, or with none takes them back. */
export const extendDeadline = command({
  name: "extendDeadline",
  act: gradeActs.edit,
  schema: s.extend,
  async subject(sql, i) {
    return (await studentSubject(sql, i.projectId, i.personId)) && { project: i.projectId };
  },
  async run({ sql, audit, by }, input) {
    const { projectId, personId, component, sessions, reason } = input;
    const scheme = found(await schemeOf(projectId, sql), "The scheme");
    const part = found(
      leavesOf(scheme.definition.components).find((c) => c.key === component),
      "This component",
    );
    const [old] = await sql<Pick<row.Extension, "id" | "sessions" | "reason" | "version">[]>`
      SELECT id, sessions, reason, version
      FROM extension
      WHERE project_id = ${projectId} AND person_id = ${personId} AND component = ${component} FOR UPDATE
    `;
    checkVersion({ version: old?.version ?? 0 }, input.version, { sessions: "Class sessions more" }, input, {
      sessions: old?.sessions ?? 0,
    });
    if (sessions === 0) await sql`DELETE FROM extension WHERE id = ${old?.id ?? null}`;
    else
      await sql`
        INSERT INTO extension ${sql({ id: newId(), projectId, personId, component, sessions, reason, grantedBy: by })}
        ON CONFLICT (project_id, person_id, component) DO UPDATE SET sessions = excluded.sessions,
        reason = excluded.reason, granted_by = excluded.granted_by, granted_at = app_now(),
        version = extension.version + 1
      `;
    audit({
      type: "extension",
      id: personId,
      label: part.name,
      before: old && { sessions: old.sessions, reason: old.reason },
      after: { sessions },
      reason,
    });
  },
});
