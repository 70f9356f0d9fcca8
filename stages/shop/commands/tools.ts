import type * as row from "@/platform/db/rows";
import "server-only";
import { addMonths } from "@/core/shop/training";
import { linesOf } from "@/core/text/lines";
import { checkVersion, command, found, projectOf } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { planActs } from "@/stages/plan/acts";
import { toolActs } from "../acts";
import * as s from "../schema";

const labels = {
  name: "Tool",
  caution: "Caution",
  rules: "Rules of the school",
  trainers: "Who may train",
  place: "Place",
  months: "Months that a training holds",
  shared: "Shared",
  checks: "Looked at each day",
};

/** Adds a tool, or corrects one. */
export const saveTool = command({
  name: "saveTool",
  act: planActs.edit,
  schema: s.tool,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const { name, caution, rules, trainers, place, shared } = input;
    const values = { name, caution, rules, trainers, place, shared, months: input.months || null };
    const row = { ...values, checks: linesOf(input.checks) };
    const id = input.id ?? newId();
    let before: object | undefined;
    if (input.id) {
      const [asked] = await sql<row.Tool[]>`
        SELECT * FROM tool WHERE id = ${id} AND project_id = ${input.projectId} FOR UPDATE
      `;
      const old = found(asked, "This tool");
      const typed = { ...old, months: old.months ?? 0, checks: old.checks.join("\n") };
      checkVersion(old, input.version, labels, input, typed);
      before = old;
      await sql`UPDATE tool SET ${sql(row)}, version = version + 1 WHERE id = ${id}`;
    } else await sql`INSERT INTO tool ${sql({ ...row, id, projectId: input.projectId })}`;
    audit({ type: "tool", id, label: name, before, after: row });
    return { id };
  },
});

/**
 * Signs a student for a tool after training, by the school's own rules, for as long as a training for it holds; or
 * takes the signature back.
 */
export const signTool = command({
  name: "signTool",
  act: toolActs.sign,
  schema: s.toolSign,
  subject: (sql, i) => projectOf(sql, "tool", i.toolId),
  async run({ sql, by, today, audit }, input) {
    const [t] = await sql<
      { projectId: row.Tool["projectId"]; name: row.Tool["name"]; months: row.Tool["months"] }[]
    >`SELECT project_id, name, months FROM tool WHERE id = ${input.toolId}`;
    const [p] = await sql<{ name: row.Person["name"] }[]>`
      SELECT p.name
      FROM person p
      JOIN enrolment e ON e.person_id = p.id AND e.to_on IS NULL
      JOIN project_section ps USING (section_id)
      WHERE ps.project_id = ${t!.projectId} AND p.id = ${input.personId}
    `;
    found(p, "This student");
    await sql`DELETE FROM tool_sign_off WHERE tool_id = ${input.toolId} AND person_id = ${input.personId}`;
    if (input.on)
      await sql`
        INSERT INTO tool_sign_off ${sql({
          toolId: input.toolId,
          personId: input.personId,
          projectId: t!.projectId,
          signedOn: today,
          signedBy: by,
          expiresOn: t!.months ? addMonths(today, t!.months) : null,
        })}
      `;
    audit({ type: "tool", id: input.toolId, label: `${t!.name}: ${p!.name}`, after: { signed: input.on } });
  },
});
