import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { incidentActs, toolActs } from "../acts";
import * as s from "../schema";

/** Says that a machine was looked at today, line by line, before it runs. */
export const checkMachine = command({
  name: "checkMachine",
  together: true,
  act: toolActs.record,
  schema: s.machineCheck,
  subject: (sql, i) => projectOf(sql, "tool", i.toolId),
  async run({ sql, audit, by, today }, input): Promise<{ id: string }> {
    const [asked] = await sql<row.Tool[]>`SELECT * FROM tool WHERE id = ${input.toolId}`;
    const tool = found(asked, "This machine");
    if (!tool.checks.length) refuse(`${tool.name} has no list yet of what is looked at each day.`);
    const open = tool.checks.filter((line) => !input.lines.includes(line));
    if (open.length)
      refuse(
        `Not looked at yet: ${open.join("; ")}. Something is wrong? Leave the machine off, and tell your instructor.`,
        "lines",
      );
    await sql`
      INSERT INTO machine_check ${sql({
        id: input.id,
        projectId: tool.projectId,
        toolId: tool.id,
        onDate: today,
        lines: tool.checks,
        checkedBy: by,
      })}
      ON CONFLICT (id) DO NOTHING
    `;
    audit({ type: "tool", id: tool.id, label: `${tool.name}: looked at`, after: { lines: tool.checks } });
    return { id: input.id };
  },
});

/** The machine of an incident, where it is one of the project's. */
async function toolOf(sql: Tx, projectId: string, toolId: string | undefined): Promise<string | null> {
  if (!toolId) return null;
  const [t] = await sql`SELECT FROM tool WHERE id = ${toolId} AND project_id = ${projectId}`;
  found(t, "This machine");
  return toolId;
}

/** Tells what happened or nearly happened: instructors read it. */
export const reportIncident = command({
  name: "reportIncident",
  together: true,
  act: incidentActs.report,
  schema: s.incident,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by, today }, input): Promise<{ id: string }> {
    if (input.onDate > today) refuse("This day is still to come.", "onDate");
    const { id, projectId, kind, onDate, place, what, done } = input;
    const values = { kind, onDate, place, what, done, toolId: await toolOf(sql, projectId, input.toolId) };
    await sql`
      INSERT INTO incident ${sql({ ...values, id, projectId, reportedBy: by })} ON CONFLICT (id) DO NOTHING
    `;
    audit({ type: "incident", id, label: kind, after: values });
    return { id };
  },
});

const labels = {
  kind: "Kind",
  onDate: "Day",
  place: "Place",
  what: "What happened",
  done: "Done at once",
  told: "Who was told",
  changed: "What was changed",
  toolId: "Machine",
};

async function lockIncident(sql: Tx, id: string): Promise<row.Incident> {
  const [asked] = await sql<row.Incident[]>`SELECT * FROM incident WHERE id = ${id} FOR UPDATE`;
  return found(asked, "This incident");
}

/** Corrects what was told of an incident, and adds who was told and what was changed. */
export const editIncident = command({
  name: "editIncident",
  act: incidentActs.keep,
  schema: s.editIncident,
  subject: (sql, i) => projectOf(sql, "incident", i.id),
  async run({ sql, audit, today }, input) {
    const old = await lockIncident(sql, input.id);
    checkVersion(old, input.version, labels, input, { ...old });
    if (input.onDate > today) refuse("This day is still to come.", "onDate");
    const { kind, onDate, place, what, done, told, changed } = input;
    const values = { kind, onDate, place, what, done, told, changed };
    const toolId = await toolOf(sql, old.projectId, input.toolId);
    await sql`UPDATE incident SET ${sql({ ...values, toolId })}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "incident", id: input.id, label: kind, before: old, after: { ...values, toolId } });
  },
});

/** Closes an incident once it says who was told and what was changed; or opens it again. */
export const closeIncident = command({
  name: "closeIncident",
  act: incidentActs.keep,
  schema: s.closeIncident,
  subject: (sql, i) => projectOf(sql, "incident", i.id),
  async run({ sql, audit, by }, input) {
    const old = await lockIncident(sql, input.id);
    checkVersion(old, input.version, {}, {}, {});
    if (input.closed && !old.told) refuse("Write first who was told: the school's own rule says who must be.");
    if (input.closed && !old.changed)
      refuse("Write first what was changed so that it does not come again; or that nothing was, and why.");
    await sql`
      UPDATE incident
      SET closed_at = ${input.closed ? sql`app_now()` : null}, closed_by = ${input.closed ? by : null},
        version = version + 1
      WHERE id = ${input.id}
    `;
    audit({ type: "incident", id: input.id, label: old.kind, after: { closed: input.closed } });
  },
});
