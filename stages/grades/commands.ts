import type * as row from "@/platform/db/rows";
import "server-only";
import Decimal from "decimal.js";
import { checkScheme, type SchemeDefinition } from "@/core/grades/scheme";
import { checkRule, type Scored } from "@/core/points/check";
import { channelsOf } from "@/core/run/protocol";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { plural } from "@/platform/registry/words";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { eventChannels } from "@/stages/contest/queries/events";
import { gradeActs } from "./acts";
import { gradebook, type LedgerLine } from "./queries";
import * as s from "./schema";
import { inSection, lastPublished } from "./view";

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

/** Enters, overrides, excuses or clears one component of one student. */
export const enterMark = command({
  name: "enterMark",
  act: gradeActs.edit,
  schema: s.mark,
  async subject(sql, i) {
    const [row] = await sql`
        SELECT
        FROM enrolment e
        JOIN project_section ps USING (section_id)
        WHERE ps.project_id = ${i.projectId} AND e.person_id = ${i.personId}
      `;
    return row ? { project: i.projectId } : null;
  },
  async run({ sql, audit, by }, input) {
    const [scheme] = await sql<
      { definition: SchemeDefinition }[]
    >`SELECT definition FROM scheme_version WHERE project_id = ${input.projectId} ORDER BY number DESC LIMIT 1`;
    const c = found(scheme, "The scheme").definition.components.find((x) => x.key === input.component);
    found(c, "This component");
    if (input.kind === "mark" && c!.source.kind !== "entered")
      refuse("This component is computed. Override it, with a reason.", "kind");
    const [old] = await sql<
      {
        version: row.EnteredMark["version"];
        kind: row.EnteredMark["kind"];
        share: row.EnteredMark["share"];
        reason: row.EnteredMark["reason"];
      }[]
    >`
      SELECT version, kind, share, reason
      FROM entered_mark
      WHERE project_id = ${input.projectId}
        AND person_id = ${input.personId}
        AND component = ${input.component} FOR UPDATE
    `;
    const show = (x: string | null | undefined) => (x ? new Decimal(x).times(100).toString() : "");
    checkVersion({ version: old?.version ?? 0 }, input.version, { percent: "Percent", reason: "Reason" }, input, {
      percent: show(old?.share),
      reason: old?.reason,
    });
    const share =
      input.kind === "mark" || input.kind === "override" ? new Decimal(input.percent!).div(100).toString() : null;
    if (input.kind === "none")
      await sql`
        DELETE
        FROM entered_mark
        WHERE project_id = ${input.projectId} AND person_id = ${input.personId} AND component = ${input.component}
      `;
    else
      await sql`
        INSERT INTO entered_mark ${sql({
          id: newId(),
          projectId: input.projectId,
          personId: input.personId,
          component: input.component,
          kind: input.kind,
          share,
          reason: input.reason,
          enteredBy: by,
        })}
        ON CONFLICT (project_id, person_id, component) DO UPDATE SET kind = excluded.kind, share = excluded.share,
        reason = excluded.reason, entered_by = excluded.entered_by, entered_at = app_now(),
        version = entered_mark.version + 1
      `;
    audit({
      type: "mark",
      id: input.personId,
      label: c!.name,
      before: old,
      after: { kind: input.kind, share },
      reason: input.reason,
    });
  },
});

/**
 * Freezes the grades as they are now, of all students or of a section's, with their arithmetic. A later publication
 * names what changed.
 */
export const publishGrades = command({
  name: "publishGrades",
  act: gradeActs.edit,
  schema: s.publish,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by, today }, input): Promise<{ number: number }> {
    await sql`SELECT FROM project WHERE id = ${input.projectId} FOR UPDATE`;
    const book = await gradebook(input.projectId, today, { whole: true });
    if (!book.scheme) refuse("There is no grading scheme yet.");
    const rows = book.rows.filter(inSection(input.sectionId));
    if (!rows.some((r) => r.grade.value.grade !== null))
      refuse("Nothing can be published: no component counts for anybody yet.");
    const before = await sql<
      { number: row.Publication["number"]; ledger: LedgerLine[] }[]
    >`SELECT number, ledger FROM publication WHERE project_id = ${input.projectId} ORDER BY number DESC`;
    const ledger: LedgerLine[] = rows.map(({ student, grade, marks }) => ({
      personId: student.id,
      name: student.name,
      section: student.section,
      team: student.team,
      grade: grade.value.grade,
      working: grade.working,
      components: grade.value.components.map(({ key, name, weight, state, percent, overridden }) => ({
        key,
        name,
        weight,
        state,
        percent,
        computed: overridden,
        reason: marks[key]?.reason ?? "",
      })),
    }));
    const known = lastPublished(before);
    const read = ledger.filter((l) => known.has(l.personId));
    const changed = ledger.filter((l) => (known.get(l.personId) ?? null) !== l.grade);
    if (before.length && !changed.length) refuse("No grade has changed since the last publication.");
    if (read.length && !input.whatChanged)
      refuse(`${plural(changed.length, "grade")} changed since version ${before[0]!.number}: say why.`, "whatChanged");
    const number = (before[0]?.number ?? 0) + 1;
    const id = newId();
    await sql`
      INSERT INTO publication (id, project_id, number, scheme_version, ledger, what_changed, published_by)
      VALUES (
        ${id}, ${input.projectId}, ${number}, ${book.scheme.number}, ${sql.json(ledger as never)}, ${input.whatChanged},
        ${by}
      )
    `;
    audit({
      type: "publication",
      id,
      label: `version ${number}, ${ledger.length} students`,
      after: { changed: changed.length },
      reason: input.whatChanged,
    });
    return { number };
  },
});
