import type * as row from "@/platform/db/rows";
import "server-only";
import { readMark, typedMark } from "@/core/grades/mark";
import { leavesOf, type SchemeDefinition, scaleOf } from "@/core/grades/scheme";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { gradeActs } from "../acts";
import * as s from "../schema";

/** Where a mark stands: a student's component. */
const at = (m: { personId: string; component: string }) => `${m.personId} ${m.component}`;

type Old = Pick<row.EnteredMark, "personId" | "component" | "version" | "kind" | "share" | "reason" | "typed">;

/** The marks that stand where these are to stand, locked. */
const oldMarks = (sql: Tx, projectId: string, marks: readonly { personId: string; component: string }[]) => sql<Old[]>`
  SELECT m.person_id, m.component, m.version, m.kind, m.share, m.reason, m.typed
  FROM entered_mark m
  JOIN unnest(${marks.map((m) => m.personId)}::uuid[], ${marks.map((m) => m.component)}::text[]) AS g(person, part)
    ON g.person = m.person_id AND g.part = m.component
  WHERE m.project_id = ${projectId}
  ORDER BY m.person_id, m.component FOR UPDATE OF m
`;

/** The students of a project among these, by name. */
const namesOf = async (sql: Tx, projectId: string, people: readonly string[]): Promise<ReadonlyMap<string, string>> => {
  const rows = await sql<{ id: string; name: string }[]>`
    SELECT DISTINCT p.id, p.name
    FROM person p
    JOIN enrolment e ON e.person_id = p.id
    JOIN project_section ps USING (section_id)
    WHERE ps.project_id = ${projectId} AND p.id = ANY(${[...people]}::uuid[])
  `;
  return new Map(rows.map((r) => [r.id, r.name]));
};

/**
 * Marks of a gradebook as they were typed: values, overrides with their reason, excused, missing, or taken back. All of
 * them stand, or none, in one write; each against the version that its cell was seen with.
 * @returns the version of each now, and what stood typed before, by which it is undone
 */
export const enterMarks = command({
  name: "enterMarks",
  act: gradeActs.edit,
  schema: s.marks,
  async subject(sql, i) {
    const people = [...new Set(i.marks.map((m) => m.personId))];
    return (await namesOf(sql, i.projectId, people)).size === people.length ? { project: i.projectId } : null;
  },
  async run({ sql, audit, by }, input) {
    const { projectId } = input;
    const [scheme] = await sql<
      { definition: SchemeDefinition }[]
    >`SELECT definition FROM scheme_version WHERE project_id = ${projectId} ORDER BY number DESC LIMIT 1`;
    const components = leavesOf(found(scheme, "The scheme").definition.components);
    const marks = [...new Map(input.marks.map((m) => [at(m), m])).values()];
    const names = await namesOf(sql, projectId, [...new Set(marks.map((m) => m.personId))]);
    const before = new Map((await oldMarks(sql, projectId, marks)).map((m) => [at(m), m]));
    const read = marks.map((m) => {
      const part = found(
        components.find((c) => c.key === m.component),
        "This component",
      );
      const old = before.get(at(m));
      const stood = old ? old.typed || typedMark(old) : "";
      const cell = `${names.get(m.personId)}, ${part.name}`;
      checkVersion({ version: old?.version ?? 0 }, m.version, { typed: cell }, m, { typed: stood });
      const is = readMark(m.typed, scaleOf(part), part.source.kind !== "entered");
      if ("wrong" in is) refuse(`${cell}: ${is.wrong}`, "typed");
      return { ...m, is, old, stood, part, version: is.kind === "none" ? 0 : m.version + 1 };
    });
    const gone = read.filter((m) => m.is.kind === "none");
    const kept = read.flatMap((m) =>
      m.is.kind === "none"
        ? []
        : [
            {
              id: newId(),
              projectId,
              personId: m.personId,
              component: m.component,
              kind: m.is.kind,
              share: m.is.share,
              reason: m.is.reason,
              late: m.is.late ?? 0,
              typed: m.typed.trim(),
              enteredBy: by,
            },
          ],
    );
    if (gone.length)
      await sql`
        DELETE FROM entered_mark m
        USING unnest(${gone.map((m) => m.personId)}::uuid[], ${gone.map((m) => m.component)}::text[]) AS g(person, part)
        WHERE m.project_id = ${projectId} AND m.person_id = g.person AND m.component = g.part
      `;
    if (kept.length)
      await sql`
        INSERT INTO entered_mark ${sql(kept)}
        ON CONFLICT (project_id, person_id, component) DO UPDATE SET kind = excluded.kind, share = excluded.share,
        reason = excluded.reason, late = excluded.late, typed = excluded.typed,
        entered_by = excluded.entered_by, entered_at = app_now(), version = entered_mark.version + 1
      `;
    for (const { personId, part, is, old, typed } of read)
      audit({
        type: "mark",
        id: personId,
        label: part.name,
        before: old && { kind: old.kind, share: old.share, typed: old.typed },
        after: { kind: is.kind, share: is.kind === "none" ? null : is.share, typed: typed.trim() },
        reason: is.kind === "none" ? undefined : is.reason,
      });
    return {
      marks: read.map(({ personId, component, version, stood }) => ({ personId, component, version, before: stood })),
    };
  },
});
