import "server-only";
import type { ClassSession } from "@/core/sessions/sessions";
import { type Context, refuse } from "@/platform/command/command";
import { within } from "@/platform/command/within";
import { calendarsIn } from "@/platform/project/calendars";
import { saveSettings } from "@/platform/project/save-settings";
import { saveProtocol } from "@/stages/bench/commands/protocols";
import { saveBrief } from "@/stages/brief/commands";
import { saveEvent } from "@/stages/contest/commands/events";
import { saveJudgedEvent } from "@/stages/contest/commands/judged";
import { saveMatchEvent } from "@/stages/contest/commands/matches";
import { saveScheme } from "@/stages/grades/commands/scheme";
import { draftQuestion } from "@/stages/needs/commands/questions";
import { saveRequirement } from "@/stages/needs/commands/requirements";
import { addGateItem, setGate } from "@/stages/plan/commands/gates";
import { saveMilestone, setMilestoneDate } from "@/stages/plan/commands/milestones";
import { saveTask } from "@/stages/plan/commands/tasks";
import { saveRubric } from "@/stages/reviews/commands/planning";
import { saveTool } from "@/stages/shop/commands/tools";
import type { Template } from "./schema";
import { stretched, stretchedLength } from "./stretch";

type Ids = ReadonlyMap<string, string>;

/** The id of what stands in the file by its name. */
function known(ids: Ids, what: string, name: string | undefined, place: string): string {
  const id = ids.get(name ?? "");
  if (!id) refuse(`${place}: there is no ${what} “${name ?? ""}” in this template.`, "file");
  return id;
}

/** Milestones on the day of their session in each section's own calendar, with their gates. */
async function makeMilestones(
  context: Context,
  projectId: string,
  t: Template,
  tools: Ids,
  sections: readonly (readonly [id: string, sessions: readonly ClassSession[]])[],
  startsOn: string,
): Promise<Ids> {
  const ids = new Map<string, string>();
  for (const m of t.milestones) {
    const place = `milestone “${m.title}”`;
    const dayIn = (sessions: readonly ClassSession[]) =>
      sessions[stretched(m.session, t.sessions, sessions.length) - 1]?.date ?? startsOn;
    const days = sections.map(([section, sessions]) => [section, dayIn(sessions)] as const);
    const dueOn = days[0]?.[1] ?? startsOn;
    const { id } = await within(context, saveMilestone, { projectId, title: m.title, dueOn, scope: m.scope }, place);
    ids.set(m.title, id);
    for (const [sectionId, own] of days)
      if (own !== dueOn) await within(context, setMilestoneDate, { milestoneId: id, sectionId, dueOn: own }, place);
    if (!m.gate) continue;
    await within(context, setGate, { milestoneId: id, stage: m.gate.stage }, place);
    for (const { tool, ...item } of m.gate.items) {
      const toolId = item.kind === "tool" ? known(tools, "tool", tool, place) : undefined;
      await within(context, addGateItem, { ...item, milestoneId: id, toolId }, place);
    }
  }
  return ids;
}

/** Tasks in the order of the file: each after those that it names. */
async function makeTasks(
  context: Context,
  projectId: string,
  t: Template,
  milestones: Ids,
  sessions: number,
): Promise<void> {
  const ids = new Map(milestones);
  for (const task of t.tasks) {
    const place = `task “${task.title}”`;
    const after = (task.after as string[]).map((title) => known(ids, "task or milestone before it", title, place));
    const milestoneId = task.milestone ? known(milestones, "milestone", task.milestone, place) : undefined;
    const length = stretchedLength(task.length, t.sessions, sessions);
    const { id } = await within(context, saveTask, { projectId, title: task.title, length, after, milestoneId }, place);
    ids.set(task.title, id);
  }
}

async function makeEvents(context: Context, projectId: string, t: Template, protocols: Ids): Promise<Ids> {
  const ids = new Map<string, string>();
  for (const e of t.events) {
    const rules = e.attempts ?? e.matches ?? e.judged;
    if (!rules) continue;
    const place = `event “${rules.name}”`;
    const saved = e.attempts
      ? await within(
          context,
          saveEvent,
          { ...e.attempts, projectId, protocolId: known(protocols, "protocol", e.attempts.protocol, place) },
          place,
        )
      : e.matches
        ? await within(context, saveMatchEvent, { ...e.matches, projectId }, place)
        : await within(context, saveJudgedEvent, { ...e.judged, projectId }, place);
    ids.set(rules.name, saved.id);
  }
  return ids;
}

type Line = NonNullable<Template["scheme"]>["components"][number];

/** A component of the scheme with what it leans on found by its name. */
function sourced(line: Line, ids: { protocols: Ids; events: Ids; milestones: Ids }): Line {
  const { source } = line;
  if (!source) return line;
  const place = `component “${line.name}”`;
  if (source.kind === "milestone")
    return {
      ...line,
      source: { ...source, milestone: known(ids.milestones, "milestone", source.milestone, place) },
    };
  const { measure } = source;
  if (measure?.protocol)
    return {
      ...line,
      source: {
        ...source,
        measure: { ...measure, protocol: known(ids.protocols, "protocol", measure.protocol, place) },
      },
    };
  if (measure?.event)
    return { ...line, source: { ...source, measure: { event: known(ids.events, "event", measure.event, place) } } };
  return line;
}

/** Writes a template into a new project: each part as its own form would, all in the transaction that made it. */
export async function applyTemplate(context: Context, projectId: string, t: Template): Promise<void> {
  const calendars = (await calendarsIn([projectId], context.sql)).get(projectId)!;
  const sections = calendars.sections.map((s) => [s.id, calendars.of.get(s.id) ?? []] as const);
  await within(context, saveSettings, { ...t.settings, projectId }, "settings");
  if (t.brief) await within(context, saveBrief, { projectId, baseNumber: 0, body: t.brief }, "brief");
  for (const text of t.questions) await within(context, draftQuestion, { projectId, text }, `question “${text}”`);
  const tools = new Map<string, string>();
  for (const x of t.tools)
    tools.set(x.name, (await within(context, saveTool, { ...x, projectId }, `tool “${x.name}”`)).id);
  const protocols = new Map<string, string>();
  for (const x of t.protocols)
    protocols.set(x.name, (await within(context, saveProtocol, { ...x, projectId }, `protocol “${x.name}”`)).id);
  for (const { protocol, ...r } of t.requirements) {
    const place = `requirement “${r.statement}”`;
    const measure = protocol ? `run:${known(protocols, "protocol", protocol, place)}:${r.measure}` : r.measure;
    await within(context, saveRequirement, { ...r, projectId, measure }, place);
  }
  for (const x of t.rubrics) await within(context, saveRubric, { ...x, projectId }, `rubric “${x.name}”`);
  const milestones = await makeMilestones(context, projectId, t, tools, sections, calendars.startsOn);
  await makeTasks(context, projectId, t, milestones, sections[0]?.[1].length ?? 0);
  const events = await makeEvents(context, projectId, t, protocols);
  if (t.scheme) {
    const components = t.scheme.components.map((x) => sourced(x, { protocols, events, milestones }));
    await within(context, saveScheme, { ...t.scheme, components, projectId, baseNumber: 0 }, "grading scheme");
  }
}
