import type * as row from "@/platform/db/rows";
import "server-only";
import { type Component, mapLeaves, type SchemeDefinition, withoutPeers } from "@/core/grades/scheme";
import { addDays, daysBetween } from "@/core/sessions/date";
import { newId } from "@/platform/db/db";
import type { Carry, Ids } from "./carry";

/** Dates as many whole weeks later as the new first day is, so that weekdays stay; none after the new last day. */
export const shifter = (oldStart: string, newStart: string, newEnd: string) => (date: string) => {
  const to = addDays(date, 7 * Math.round(daysBetween(oldStart, newStart) / 7));
  return to > newEnd ? newEnd : to;
};

/** Milestones with their sections' own dates, gates with their checklists, and tasks; gives the milestones' new ids. */
export async function carryPlan(
  c: Carry,
  shift: (date: string) => string,
  known: { sections: Ids; tools: Ids },
): Promise<Ids> {
  const ids = new Map<string, string>();
  const milestones = await c.sql<
    {
      id: row.Milestone["id"];
      title: row.Milestone["title"];
      dueOn: row.Milestone["dueOn"];
      scope: row.Milestone["scope"];
      gateStage: row.Milestone["gateStage"];
    }[]
  >`SELECT id, title, due_on, scope, gate_stage FROM milestone WHERE project_id = ${c.from}`;
  for (const { id, ...m } of milestones) {
    ids.set(id, newId());
    await c.sql`
      INSERT INTO milestone ${c.sql({ ...m, id: ids.get(id)!, projectId: c.to, dueOn: shift(m.dueOn) })}
    `;
  }
  const own = await c.sql<
    {
      milestoneId: row.MilestoneDate["milestoneId"];
      sectionId: row.MilestoneDate["sectionId"];
      dueOn: row.MilestoneDate["dueOn"];
    }[]
  >`
    SELECT d.milestone_id, d.section_id, d.due_on
    FROM milestone_date d
    JOIN milestone m ON m.id = d.milestone_id
    WHERE m.project_id = ${c.from}
  `;
  for (const d of own) {
    const [milestoneId, sectionId] = [ids.get(d.milestoneId), known.sections.get(d.sectionId)];
    if (milestoneId && sectionId)
      await c.sql`INSERT INTO milestone_date ${c.sql({ milestoneId, sectionId, dueOn: shift(d.dueOn) })}`;
  }
  const items = await c.sql<
    {
      milestoneId: row.GateItem["milestoneId"];
      kind: row.GateItem["kind"];
      label: row.GateItem["label"];
      needs: row.GateItem["needs"];
      toolId: row.GateItem["toolId"];
    }[]
  >`SELECT milestone_id, kind, label, needs, tool_id FROM gate_item WHERE project_id = ${c.from} ORDER BY id`;
  for (const i of items) {
    const toolId = i.toolId && (known.tools.get(i.toolId) ?? null);
    // A line that asks for a tool goes where the tool goes.
    if (i.toolId && !toolId) continue;
    const milestoneId = ids.get(i.milestoneId)!;
    await c.sql`INSERT INTO gate_item ${c.sql({ ...i, id: newId(), projectId: c.to, milestoneId, toolId })}`;
  }
  const tasks = await c.sql<
    {
      id: row.Task["id"];
      title: row.Task["title"];
      length: row.Task["length"];
      notBefore: row.Task["notBefore"];
      deadline: row.Task["deadline"];
      milestoneId: row.Task["milestoneId"];
      after: row.Task["after"];
      place: row.Task["place"];
    }[]
  >`
    SELECT id, title, length, not_before, deadline, milestone_id, after, place FROM task WHERE project_id = ${c.from}
  `;
  for (const t of tasks) ids.set(t.id, newId());
  for (const t of tasks) {
    const [notBefore, deadline] = [t.notBefore && shift(t.notBefore), t.deadline && shift(t.deadline)];
    await c.sql`
      INSERT INTO task (id, project_id, title, length, not_before, deadline, milestone_id, after, place)
      VALUES (
        ${ids.get(t.id)!}, ${c.to}, ${t.title}, ${t.length}, ${notBefore}, ${deadline},
        ${t.milestoneId && ids.get(t.milestoneId)!}, ${t.after.flatMap((a) => ids.get(a) ?? [])}::uuid[], ${t.place}
      )
    `;
  }
  return ids;
}

/** The contest's events with their rules, without entries; those whose protocol is not carried stay behind. */
export async function carryEvents(c: Carry, protocols: Ids): Promise<Ids> {
  const ids = new Map<string, string>();
  const events = await c.sql<{ id: row.Event["id"]; protocolId: string | null }[]>`
    SELECT e.id, v.protocol_id
    FROM event e
    LEFT JOIN protocol_version v ON v.id = e.protocol_version_id
    WHERE e.project_id = ${c.from}
    ORDER BY e.id
  `;
  for (const e of events) {
    const protocol = e.protocolId === null ? null : protocols.get(e.protocolId);
    if (protocol === undefined) continue;
    ids.set(e.id, newId());
    await c.sql`
      SELECT copy_event(
        ${e.id}, ${ids.get(e.id)!}, ${c.to}, (SELECT id FROM protocol_version WHERE protocol_id = ${protocol}::uuid)
      )
    `;
  }
  return ids;
}

/** A component in the new project; entered by hand where what it came from is not carried. */
function carriedComponent(x: Component, known: { protocols: Ids; events: Ids; milestones: Ids }): Component {
  const { source } = x;
  const entered = { ...x, source: { kind: "entered" as const } };
  switch (source.kind) {
    case "rubric":
    case "individual":
    case "entered":
    case "coverage":
    case "notebook":
      return x;
    case "milestone": {
      const milestone = known.milestones.get(source.milestone);
      return milestone ? { ...x, source: { ...source, milestone } } : entered;
    }
    case "points": {
      if ("overall" in source.measure || "recorded" in source.measure) return x;
      if ("event" in source.measure && source.measure.event) {
        const event = known.events.get(source.measure.event);
        return event ? { ...x, source: { ...source, measure: { event } } } : entered;
      }
      const measure = source.measure as { protocol: string; channel: string };
      const protocol = known.protocols.get(measure.protocol);
      return protocol ? { ...x, source: { ...source, measure: { ...measure, protocol } } } : entered;
    }
  }
}

/** The grading scheme in its last version. */
export async function carryScheme(c: Carry, known: { protocols: Ids; events: Ids; milestones: Ids }): Promise<void> {
  const [last] = await c.sql<{ definition: SchemeDefinition }[]>`
    SELECT definition FROM scheme_version WHERE project_id = ${c.from} ORDER BY number DESC LIMIT 1
  `;
  if (!last) return;
  // Ratings of a class are that class's: the new one asks anew.
  const { peers: _, ...kept } = last.definition;
  const definition: SchemeDefinition = {
    ...kept,
    components: withoutPeers(mapLeaves(kept.components, (x) => carriedComponent(x, known))),
  };
  await c.sql`
    INSERT INTO scheme_version (id, project_id, number, definition, created_by)
    VALUES (${newId()}, ${c.to}, 1, ${c.sql.json(definition as never)}, ${c.by})
  `;
}
