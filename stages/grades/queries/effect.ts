import "server-only";
import { leavesOf, type SchemeDefinition } from "@/core/grades/scheme";
import { checkRule, type Scored } from "@/core/points/rule";
import { channelsOf } from "@/core/run/protocol";
import { refuse } from "@/platform/command/command";
import type { Sql, Tx } from "@/platform/db/db";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { eventChannels } from "@/stages/contest/queries/events";
import { definitionOf, type TypedDefinition } from "../view/definition";
import { type Effect, effectView } from "../view/effect";
import { classFacts } from "./facts";
import { gradesUnder } from "./gradebook";
import { schemeOf } from "./scheme";

/** The scheme that was typed; refuses it, in words, where it can't be used. */
export async function readScheme(sql: Sql | Tx, projectId: string, typed: unknown): Promise<SchemeDefinition> {
  const { definition, wrong } = definitionOf(typed as TypedDefinition);
  const problems = [...wrong, ...checkSources(definition, await scoredIn(projectId, sql as Tx))];
  const { peers } = definition;
  if (
    peers &&
    !(await sql`SELECT FROM peer_round WHERE id::text = ${peers.round} AND project_id = ${projectId}`).length
  )
    problems.push("The rating that makes the peer factor is not here (any more).");
  if (problems.length) refuse(problems.join(" "));
  return definition;
}

/** Whose grade moves, and by how much, with this scheme in place of the one that stands. */
export async function effectOf(projectId: string, today: string, definition: SchemeDefinition): Promise<Effect> {
  const now = await schemeOf(projectId);
  const facts = await classFacts(projectId, today, now ? [definition, now.definition] : [definition], { whole: false });
  const rows = (d: SchemeDefinition) => gradesUnder(d, facts, { whole: false });
  return effectView(now ? rows(now.definition) : [], rows(definition), definition);
}

/** What a component's measure is, by its protocol and channel or its event; as far as its rule has to know. */
type Measure = { protocol?: string; channel?: string; event?: string; overall?: boolean; recorded?: string };
type ScoredBy = (measure: Measure | undefined) => Scored | undefined;

async function scoredIn(projectId: string, sql: Tx): Promise<ScoredBy> {
  const [protocols, events] = await Promise.all([protocolsOf(projectId, sql), eventChannels(projectId, sql)]);
  return (m) => {
    const channel = protocols.find((p) => p.id === m?.protocol);
    return m?.event
      ? events.find((e) => e.id === m.event)
      : channel && channelsOf(channel.definition).find((c) => c.key === m?.channel);
  };
}

/** What is missing in the components' sources, in words. */
function checkSources(d: SchemeDefinition, scoredBy: ScoredBy): string[] {
  return leavesOf(d.components).flatMap((c) => {
    const x = c.source;
    if (x.kind === "rubric" || x.kind === "individual") return x.review ? [] : [`${c.name}: choose the review.`];
    if (x.kind === "milestone") return x.milestone ? [] : [`${c.name}: choose the milestone.`];
    if (x.kind !== "points") return [];
    const r = x.rule;
    if (!r) return [`${c.name}: choose a rule.`];
    const m = x.measure as Measure | undefined;
    const out: string[] = [];
    if (!m || !(m.event || m.overall || m.recorded || (m.protocol && m.channel)))
      out.push(`${c.name}: choose what is measured.`);
    if (!(Number(x.full) > 0)) out.push(`${c.name}: how many points are full marks?`);
    out.push(...checkRule(r, scoredBy(m)).map((words) => `${c.name}: ${words}`));
    if (r.kind === "place" && !m?.event && !m?.overall) out.push(`${c.name}: places come from a contest event.`);
    if (m?.overall && r.kind !== "place") out.push(`${c.name}: a place in the contest takes the rule by placing.`);
    return out;
  });
}
