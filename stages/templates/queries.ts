import "server-only";
import { runMeasure } from "@/core/needs/requirement";
import { type ClassSession, sessionsHeld } from "@/core/sessions/sessions";
import { db } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";
import { calendarsIn } from "@/platform/project/calendars";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { briefVersions } from "@/stages/brief/queries";
import { eventsOf } from "@/stages/contest/queries/events";
import { judgedEventsOf } from "@/stages/contest/queries/judged";
import { matchEventsOf } from "@/stages/contest/queries/matches";
import { safetyOf } from "@/stages/contest/queries/safety";
import { typedEvent, typedJudged, typedMatches } from "@/stages/contest/view/typed-events";
import { schemeOf } from "@/stages/grades/queries/scheme";
import { questionsOf } from "@/stages/needs/queries/questions";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { asTyped } from "@/stages/needs/view/requirements";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { tasksOf } from "@/stages/plan/queries/tasks";
import { rubricsOf } from "@/stages/reviews/queries/reviews";
import { toolsOf } from "@/stages/shop/queries/tools";
import { lean } from "./lean";

/** The session on which a date lies: the last one held by then. */
const sessionOf = (sessions: readonly ClassSession[], date: string): number =>
  Math.max(1, sessionsHeld(sessions, date));

/**
 * A project as a template's file: brief, questions, tools, protocols, requirements, rubrics, plan in class sessions,
 * events and grading scheme, without people, teams, builds, results and dates.
 */
export async function templateOf(projectId: string): Promise<object> {
  const sql = db();
  const [[p], calendars] = await Promise.all([
    sql<(Pick<row.Project, "title" | "purpose" | "kind" | "client" | "currency"> & { settings: object })[]>`
      SELECT title, purpose, kind, client, currency, settings - 'conceptsOpen' AS settings
      FROM project
      WHERE id = ${projectId}
    `,
    calendarsIn([projectId]),
  ]);
  const sessions = [...(calendars.get(projectId)?.of.values() ?? [])][0] ?? [];
  const [briefs, questions, tools, protocols, requirements, rubrics, milestones, tasks] = await Promise.all([
    briefVersions(projectId),
    questionsOf(projectId),
    toolsOf(projectId),
    protocolsOf(projectId),
    requirementsOf(projectId),
    rubricsOf(projectId),
    milestonesOf(projectId),
    tasksOf(projectId),
  ]);
  const [items, events, matches, judged, safeties, scheme] = await Promise.all([
    sql<row.GateItem[]>`SELECT * FROM gate_item WHERE project_id = ${projectId} ORDER BY id`,
    eventsOf(projectId),
    matchEventsOf(projectId),
    judgedEventsOf(projectId),
    safetyOf(projectId),
    schemeOf(projectId),
  ]);
  const { settings, ...project } = p!;
  const protocolName = (id: string | null | undefined) => protocols.find((x) => x.id === id)?.name ?? "";
  const titleOf = (id: string | null | undefined) =>
    milestones.find((m) => m.id === id)?.title ?? tasks.find((t) => t.id === id)?.title;
  const eventName = (id: string) => [...events, ...matches, ...judged].find((e) => e.id === id)?.name ?? "";
  const safety = (id: string) => ({ cautions: safeties.get(id)?.cautions.join("\n") ?? "" });
  return {
    ironstone: "project template",
    version: 1,
    name: project.title,
    about: project.purpose,
    sessions: Math.max(1, sessions.length),
    project,
    settings,
    brief: briefs.at(0)?.body ?? "",
    questions: questions.filter((q) => !q.dropped && q.mergedInto === null && !q.forClient).map((q) => q.text),
    tools: tools.map(({ name, caution, rules, trainers, place, months, shared, checks }) => ({
      name,
      caution,
      rules,
      trainers,
      place,
      months: months ?? 0,
      shared,
      checks: checks.join("\n"),
    })),
    protocols: protocols.map(({ name, definition }) => ({ name, definition })),
    requirements: requirements.map((r) => {
      const { reason: _, measure, ...typed } = asTyped(r);
      const run = runMeasure(measure);
      return run ? { ...typed, measure: run.channel, protocol: protocolName(run.protocol) } : { ...typed, measure };
    }),
    rubrics: rubrics.map(({ name, definition }) => ({ name, criteria: definition.criteria })),
    milestones: milestones.map((m) => ({
      title: m.title,
      session: sessionOf(sessions, m.dueOn),
      scope: m.scope,
      ...(m.gateStage && {
        gate: {
          stage: m.gateStage,
          items: items
            .filter((i) => i.milestoneId === m.id)
            .map(({ kind, label, needs, toolId }) => ({
              kind,
              label,
              needs,
              ...(toolId && { tool: tools.find((t) => t.id === toolId)?.name }),
            })),
        },
      }),
    })),
    tasks: inOrder(tasks).map((t) => ({
      title: t.title,
      length: t.length,
      after: t.after.flatMap((id) => titleOf(id) ?? []),
      ...(t.milestoneId && { milestone: titleOf(t.milestoneId) }),
    })),
    events: [
      ...events.map((e) => ({
        attempts: {
          ...typedEvent(e.definition),
          points: e.definition.points,
          name: e.name,
          protocol: protocolName(e.protocolId),
          ...safety(e.id),
        },
      })),
      ...matches.map((e) => ({ matches: { ...typedMatches(e.rules), name: e.name, ...safety(e.id) } })),
      ...judged.map((e) => ({ judged: { ...typedJudged(e.rules), name: e.name, ...safety(e.id) } })),
    ],
    ...(scheme && { scheme: lean(scheme.definition, { protocolName, eventName, titleOf }) }),
  };
}

/** Tasks so that each stands behind those that it waits for. */
function inOrder<T extends { readonly id: string; readonly after: readonly string[] }>(tasks: readonly T[]): T[] {
  const out: T[] = [];
  const put = (t: T) => {
    if (out.includes(t)) return;
    for (const id of t.after) {
      const before = tasks.find((x) => x.id === id);
      if (before) put(before);
    }
    out.push(t);
  };
  tasks.forEach(put);
  return out;
}
