import type * as row from "@/platform/db/rows";
import "server-only";
import { proposeRequirement } from "@/core/needs/propose";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { insertRequirement } from "@/platform/register/requirement";
import * as fields from "@/platform/schema/fields";
import { changeActs, needsActs } from "../acts";
import { requirementsOf } from "../queries/requirements";
import * as s from "../schema";

/** Fixes the register as it stands: from now on changes of a limit are counted and asked for. */
export const makeBaseline = command({
  name: "makeBaseline",
  act: needsActs.edit,
  schema: s.baseline,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ number: number }> {
    await sql`SELECT FROM project WHERE id = ${input.projectId} FOR UPDATE`;
    const list = await requirementsOf(input.projectId, sql);
    const bad = list.filter((r) => r.priority === "must" && !r.method);
    if (!list.length) refuse("There is no requirement to fix yet.");
    if (bad.length)
      refuse(
        `${bad.map((r) => r.code).join(", ")}: a must without a way to verify it. Say how, then fix the baseline.`,
      );
    const [last] = await sql<
      { number: number }[]
    >`SELECT max(number) AS number FROM baseline WHERE project_id = ${input.projectId}`;
    const number = (last?.number ?? 0) + 1;
    const id = newId();
    await sql`
      INSERT INTO baseline (id, project_id, number, content, note, made_by)
      VALUES (
        ${id}, ${input.projectId}, ${number},
        ${sql.json(list.map((r) => ({ code: r.code, version: r.number, statement: r.statement })))}, ${input.note},
        ${by}
      )
    `;
    audit({ type: "baseline", id, label: `baseline ${number}`, after: { requirements: list.length } });
    return { number };
  },
});

export const askChange = command({
  name: "askChange",
  act: changeActs.ask,
  schema: s.changeRequest,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ id: string }> {
    if (input.requirementId)
      found(
        (await sql`SELECT FROM requirement WHERE id = ${input.requirementId} AND project_id = ${input.projectId}`)[0],
        "This requirement",
      );
    const id = newId();
    await sql`
      INSERT INTO change_request (id, project_id, requirement_id, what, reason, asked_by)
      VALUES (${id}, ${input.projectId}, ${input.requirementId ?? null}, ${input.what}, ${input.reason}, ${by})
    `;
    audit({ type: "change request", id, label: input.what, reason: input.reason });
    return { id };
  },
});

export const decideChange = command({
  name: "decideChange",
  act: needsActs.edit,
  schema: s.decideChange,
  subject: (sql, i) => projectOf(sql, "change_request", i.id),
  async run({ sql, by, audit }, input) {
    const [c] = await sql<
      { version: row.ChangeRequest["version"]; what: row.ChangeRequest["what"]; state: row.ChangeRequest["state"] }[]
    >`SELECT version, what, state FROM change_request WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(c, "This request"), input.version, { state: "Decision" }, input, c!);
    await sql`
      UPDATE change_request
      SET
        state = ${input.state}, decision = ${input.decision}, decided_by = ${by}, decided_at = app_now(),
        version = version + 1
      WHERE id = ${input.id}
    `;
    audit({ type: "change request", id: input.id, label: `${c!.what}: ${input.state}`, reason: input.decision });
  },
});

export const ownRequirement = command({
  name: "ownRequirement",
  act: needsActs.edit,
  schema: s.requirementOwner,
  subject: (sql, i) => projectOf(sql, "requirement", i.id),
  async run({ sql, audit }, input) {
    if (input.ownerId)
      found(
        (
          await sql`
            SELECT
            FROM requirement r
            WHERE r.id = ${input.id}
              AND (
                EXISTS (SELECT FROM staff WHERE project_id = r.project_id AND person_id = ${input.ownerId}) OR EXISTS (
                  SELECT
                  FROM enrolment e
                  JOIN project_section ps USING (section_id)
                  WHERE ps.project_id = r.project_id AND e.person_id = ${input.ownerId} AND e.to_on IS NULL
                )
              )
          `
        )[0],
        "This person",
      );
    const [r] = await sql<
      { code: row.Requirement["code"] }[]
    >`UPDATE requirement SET owner_id = ${input.ownerId ?? null} WHERE id = ${input.id} RETURNING code`;
    audit({ type: "requirement", id: input.id, label: r?.code, after: { owner: input.ownerId ?? null } });
  },
});

/** A statement becomes a requirement, with the limit that it states; the words that it came from are its source. */
export const adoptStatement = command({
  name: "adoptStatement",
  act: needsActs.edit,
  schema: fields.byId,
  subject: (sql, i) => projectOf(sql, "statement", i.id),
  async run({ sql, by, audit }, input): Promise<{ requirementId: string; code: string }> {
    const [st] = await sql<
      {
        projectId: row.Statement["projectId"];
        text: row.Statement["text"];
        requirementId: row.Statement["requirementId"];
      }[]
    >`SELECT project_id, text, requirement_id FROM statement WHERE id = ${input.id} FOR UPDATE`;
    if (found(st, "This statement").requirementId) refuse("This statement is a requirement already.");
    const [first] = await sql<{ text: row.Note["text"]; source: row.Source["title"] }[]>`
      SELECT n.text, o.title AS source
      FROM statement_note x
      JOIN note n ON n.id = x.note_id
      JOIN source o ON o.id = n.source_id
      WHERE x.statement_id = ${input.id}
      ORDER BY n.written_at
      LIMIT 1
    `;
    const { id: requirementId, code } = await insertRequirement(
      sql,
      st!.projectId,
      {
        ...proposeRequirement(st!.text),
        statement: st!.text,
        source: first ? `${first.source}: “${first.text}”`.slice(0, 600) : "",
      },
      by,
    );
    await sql`UPDATE statement SET requirement_id = ${requirementId}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "requirement", id: requirementId, label: `${code} ${st!.text}`, after: { from: "statement" } });
    return { requirementId, code };
  },
});
