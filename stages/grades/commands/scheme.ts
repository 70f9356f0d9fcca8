import "server-only";
import { checkScheme, type SchemeDefinition } from "@/core/grades/scheme";
import { checkRule, type Scored } from "@/core/points/check";
import { channelsOf } from "@/core/run/protocol";
import { checkVersion, command, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { eventChannels } from "@/stages/contest/queries/events";
import { gradeActs } from "../acts";
import * as s from "../schema";

export const saveScheme = command({
  name: "saveScheme",
  act: gradeActs.edit,
  schema: s.scheme,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ number: number }> {
    await sql`SELECT FROM project WHERE id = ${input.projectId} FOR UPDATE`;
    const definition = { components: input.components, decimals: input.decimals } as unknown as SchemeDefinition;
    const problems = [...checkScheme(definition), ...checkSources(definition, await scoredIn(input.projectId, sql))];
    if (new Set(input.components.map((x) => x.key)).size < input.components.length)
      problems.push("Two components have the same key.");
    if (problems.length) refuse(problems.join(" "));
    const [last] = await sql<
      { n: number }[]
    >`SELECT coalesce(max(number), 0)::int AS n FROM scheme_version WHERE project_id = ${input.projectId}`;
    checkVersion(
      { version: last!.n },
      input.baseNumber,
      { components: "Components" },
      { components: `${input.components.length} components` },
      { components: "another scheme was saved" },
    );
    await sql`
      INSERT INTO scheme_version (id, project_id, number, definition, created_by)
      VALUES (${newId()}, ${input.projectId}, ${last!.n + 1}, ${sql.json(definition as never)}, ${by})
    `;
    audit({ type: "scheme", label: `version ${last!.n + 1}`, after: definition });
    return { number: last!.n + 1 };
  },
});

/** What a component's measure is, by its protocol and channel or its event; as far as its rule has to know. */
type ScoredBy = (measure: { protocol?: string; channel?: string; event?: string } | undefined) => Scored | undefined;

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
  return d.components.flatMap((c) => {
    const x = c.source;
    if (x.kind === "rubric") return x.review ? [] : [`${c.name}: choose the review.`];
    if (x.kind === "milestone") return x.milestone ? [] : [`${c.name}: choose the milestone.`];
    if (x.kind === "entered") return [];
    const r = x.rule;
    if (!r) return [`${c.name}: choose a rule.`];
    const m = x.measure as { protocol?: string; channel?: string; event?: string } | undefined;
    const out: string[] = [];
    if (!m || !(m.event || (m.protocol && m.channel))) out.push(`${c.name}: choose what is measured.`);
    if (!(Number(x.full) > 0)) out.push(`${c.name}: how many points are full marks?`);
    out.push(...checkRule(r, scoredBy(m)).map((words) => `${c.name}: ${words}`));
    if (r.kind === "place" && !m?.event) out.push(`${c.name}: places come from a contest event.`);
    return out;
  });
}
