import "server-only";
import Decimal from "decimal.js";
import {
  checkScheme,
  type Component,
  type ComponentState,
  type Grade,
  gradeOf,
  type Override,
  type SchemeDefinition,
} from "@/core/grades/scheme";
import { applyRule } from "@/core/points/rule";
import { channelsOf } from "@/core/run/protocol";
import { combineSheets } from "@/core/sheet/sheet";
import { type Computed, makeWorking } from "@/core/working/working";
import { checkVersion, command, found, refuse } from "./command";
import { contestOf } from "./contest";
import { db, newId } from "./db";
import { type Student, studentsOf } from "./people";
import { reviewsOf } from "./reviews";
import * as s from "./schemas/judging";
import { type ProjectFacts, projectFacts, summaryOf } from "./status";

export interface SchemeVersion {
  number: number;
  definition: SchemeDefinition;
  createdBy: string;
  createdAt: string;
}
export async function schemeOf(projectId: string): Promise<SchemeVersion | null> {
  return (
    (
      await db()<SchemeVersion[]>`
        SELECT number, definition, created_by, created_at
        FROM scheme_version
        WHERE project_id = ${projectId}
        ORDER BY number DESC
        LIMIT 1
      `
    )[0] ?? null
  );
}

export interface Milestone {
  id: string;
  title: string;
  dueOn: string /** Sections with a date of their own. */;
  dates: Record<string, string>;
  scope: "team" | "person";
  gateStage: string | null;
  version: number;
  checks: { teamId: string | null; personId: string | null; doneOn: string; checkedBy: string }[];
}
export const milestonesOf = (projectId: string) => db()<Milestone[]>`
  SELECT
    m.id, m.title, m.due_on, m.scope, m.gate_stage, m.version,
    (SELECT coalesce(json_object_agg(section_id, due_on), '{}') FROM milestone_date WHERE milestone_id = m.id) AS dates,
    (
      SELECT coalesce(
        json_agg(
          json_build_object('teamId', team_id, 'personId', person_id, 'doneOn', done_on, 'checkedBy', checked_by)
        ),
        '[]'
      )
      FROM milestone_check
      WHERE milestone_id = m.id
    ) AS checks
  FROM milestone m
  WHERE m.project_id = ${projectId}
  ORDER BY m.due_on, m.title
`;

interface EnteredMark {
  personId: string;
  component: string;
  kind: "mark" | "override" | "excused" | "missing";
  share: string | null;
  reason: string;
  enteredBy: string;
  enteredAt: string;
  version: number;
}

export interface GradebookRow {
  student: Student;
  grade: Computed<Grade>;
  marks: Record<string, { kind: EnteredMark["kind"]; version: number; percent: string | null; reason: string }>;
}
export interface Gradebook {
  scheme: SchemeVersion | null;
  rows: GradebookRow[];
}

/** Every student's grade from the facts; narrowed to one student where given. */
export async function gradebook(projectId: string, today: string, only?: string): Promise<Gradebook> {
  const [scheme, students, facts, reviews, milestones, events, entered] = await Promise.all([
    schemeOf(projectId),
    studentsOf(projectId),
    projectFacts(projectId),
    reviewsOf(projectId),
    milestonesOf(projectId),
    contestOf(projectId),
    db()<EnteredMark[]>`
      SELECT person_id, component, kind, share, reason, entered_by, entered_at, version
      FROM entered_mark
      WHERE project_id = ${projectId}
    `,
  ]);
  if (!scheme) return { scheme, rows: [] };
  const world = { facts, reviews, milestones, events, today };
  const teamCache = new Map<string, ComponentState>();
  const rows = students
    .filter((x) => !only || x.id === only)
    .map((student) => {
      const mine = entered.filter((e) => e.personId === student.id);
      const states = new Map<string, ComponentState>();
      const overrides = new Map<string, Override>();
      for (const c of scheme.definition.components) {
        const e = mine.find((x) => x.component === c.key);
        if (e?.kind === "excused" || e?.kind === "missing")
          states.set(c.key, { state: e.kind, note: `${e.reason} (${e.enteredBy})` });
        else if (e?.kind === "mark")
          states.set(c.key, {
            state: "scored",
            share: e.share!,
            working: makeWorking({
              title: c.name,
              result: new Decimal(e.share!).times(100).toString(),
              unit: "%",
              rule: "Entered by hand.",
              inputs: [
                {
                  label: "mark",
                  value: new Decimal(e.share!).times(100).toString(),
                  unit: "%",
                  by: e.enteredBy,
                  at: e.enteredAt,
                },
              ],
            }),
          });
        else {
          const personal =
            c.source.kind === "milestone" &&
            milestones.find((m) => m.id === (c.source as { milestone: string }).milestone)?.scope === "person";
          const key = `${c.key}/${personal ? student.id : student.teamId}`;
          if (!teamCache.has(key)) teamCache.set(key, stateOf(c, student, world));
          states.set(c.key, teamCache.get(key)!);
        }
        if (e?.kind === "override") overrides.set(c.key, { share: e.share!, reason: e.reason, by: e.enteredBy });
      }
      return {
        student,
        grade: gradeOf(scheme.definition, states, overrides),
        marks: Object.fromEntries(
          mine.map((e) => [
            e.component,
            {
              kind: e.kind,
              version: e.version,
              percent: e.share === null ? null : new Decimal(e.share).times(100).toString(),
              reason: e.reason,
            },
          ]),
        ),
      };
    });
  return { scheme, rows };
}

interface World {
  facts: ProjectFacts;
  reviews: Awaited<ReturnType<typeof reviewsOf>>;
  milestones: Milestone[];
  events: Awaited<ReturnType<typeof contestOf>>;
  today: string;
}

/** What is known of a component for a student from the record: nothing is zero that was not due. */
function stateOf(c: Component, student: Student, w: World): ComponentState {
  const waiting = (note: string): ComponentState => ({ state: "not due", note });
  const src = c.source;
  if (src.kind === "entered") return waiting("no mark is entered yet");
  if (!student.teamId && !(src.kind === "milestone")) return waiting("the student has no team");
  if (src.kind === "rubric") {
    const review = w.reviews.find((r) => r.title === src.review && r.teamId === student.teamId);
    if (!review) return waiting(`no review “${src.review}” is planned for the team`);
    const score = combineSheets(
      review.definition,
      review.sheets.map((x) => ({ rater: x.raterName, marks: x.marks })),
    );
    return score.value === null
      ? waiting(`the review on ${review.heldOn} has no complete sheet yet`)
      : { state: "scored", share: score.value, working: score.working };
  }
  if (src.kind === "milestone") {
    const m = w.milestones.find((x) => x.id === src.milestone);
    if (!m) return waiting("the milestone is not in the plan (any more)");
    const due = m.dates[student.sectionId] ?? m.dueOn;
    const done = m.checks.find((k) =>
      m.scope === "team" ? k.teamId === student.teamId && student.teamId !== null : k.personId === student.id,
    );
    if (done)
      return {
        state: "scored",
        share: "1",
        working: makeWorking({
          title: c.name,
          result: "100",
          unit: "%",
          rule: "Full marks for a milestone that was passed.",
          steps: [`${m.title}: due ${due}, passed ${done.doneOn}`],
          inputs: [{ label: m.title, value: "passed", by: done.checkedBy, at: done.doneOn }],
          warnings: done.doneOn > m.dueOn ? ["It was passed after its date."] : [],
        }),
      };
    return due < w.today
      ? { state: "missing", note: `${m.title} was due ${due}` }
      : waiting(`${m.title} is due ${due}`);
  }
  const full = new Decimal(src.full || "100");
  const scored = (
    value: string,
    unit: string,
    from: Computed<unknown>["working"],
    best?: string,
    place?: { place: number; sharing: number },
  ): ComponentState => {
    const points = applyRule(src.rule, value, unit, { best, ...place });
    if (points.value === null) return waiting("nothing to score yet");
    const share = new Decimal(points.value).div(full);
    return {
      state: "scored",
      share: share.toString(),
      working: makeWorking({
        ...points.working,
        title: c.name,
        result: share.times(100).toDecimalPlaces(2).toString(),
        unit: "%",
        steps: [
          ...from.steps,
          ...points.working.steps,
          `${points.working.result} of ${full} points = ${share.times(100).toDecimalPlaces(2)} %`,
        ],
        inputs: from.inputs,
        warnings: from.warnings,
      }),
    };
  };
  if ("event" in src.measure && src.measure.event) {
    const wanted = src.measure.event;
    const event = w.events.find((e) => e.id === wanted);
    const standing = event?.standings.find((x) => event.entries.find((n) => n.id === x.id)?.teamId === student.teamId);
    if (!event || !standing || standing.counted === null)
      return waiting(
        event ? `${event.name} has no result for the team yet` : "the event is not in the plan (any more)",
      );
    const sharing = event.standings.filter((x) => x.place === standing.place).length;
    return scored(standing.counted, event.definition.unit, standing.working, event.standings[0]?.counted ?? undefined, {
      place: Math.floor(standing.place!),
      sharing,
    });
  }
  const measure = src.measure as { protocol: string; channel: string };
  const protocol = w.facts.protocols.find((p) => p.id === measure.protocol);
  const channel = protocol && channelsOf(protocol.definition).find((x) => x.key === measure.channel);
  if (!protocol || !channel) return waiting("the protocol is not there (any more)");
  // Performance on the bench: the newest build that has a run that counts.
  for (const b of w.facts.builds.filter((x) => x.teamId === student.teamId).reverse()) {
    const summary = summaryOf(w.facts, protocol, b.id, channel.key);
    if (summary.value.counted === null) continue;
    // The value is put into the rule as it is shown: at two digits of its uncertainty, so that a calculator gives the
    // same points.
    const others = src.rule.kind === "ratio" ? bestOfClass(w.facts, protocol, channel.key) : undefined;
    return scored(
      shownValue(summary),
      channel.unit,
      { ...summary.working, steps: [`G${b.number}: ${summary.working.steps[0] ?? ""}`] },
      others,
    );
  }
  return waiting("no run of the team counts yet");
}

const shownValue = (x: Computed<unknown>) => x.working.result.replace("−", "-");

function bestOfClass(
  facts: ProjectFacts,
  protocol: ProjectFacts["protocols"][number],
  key: string,
): string | undefined {
  const all = facts.builds
    .map((b) => summaryOf(facts, protocol, b.id, key))
    .filter((x) => x.value.counted !== null)
    .map(shownValue);
  return all.sort((a, b) => (protocol.definition.better === "more" ? Number(b) - Number(a) : Number(a) - Number(b)))[0];
}

// Commands -----------------------------------------------------------------------------------------------------------

export const saveScheme = command({
  name: "saveScheme",
  act: "grade.edit",
  schema: s.scheme,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ number: number }> {
    await sql`SELECT FROM project WHERE id = ${input.projectId} FOR UPDATE`;
    const definition = { components: input.components, decimals: input.decimals } as unknown as SchemeDefinition;
    const problems = [...checkScheme(definition), ...checkSources(definition)];
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

/** What is missing in the components' sources, in words. */
function checkSources(d: SchemeDefinition): string[] {
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
    if (r.kind === "line" && (r.anchors?.length ?? 0) < 2) out.push(`${c.name}: a line takes two anchors or more.`);
    if (r.kind === "line" && new Set(r.anchors?.map((a) => Number(a.at))).size < (r.anchors?.length ?? 0))
      out.push(`${c.name}: two anchors stand at the same value.`);
    if (r.kind === "bands" && !r.bands?.length) out.push(`${c.name}: give at least one band.`);
    if (r.kind === "target" && !(r.target && r.points && r.perStep && Number(r.step) > 0 && r.floor !== undefined))
      out.push(`${c.name}: a target rule takes the target, points, points a step, a step above zero and a floor.`);
    if (r.kind === "place" && !m?.event) out.push(`${c.name}: places come from a contest event.`);
    return out;
  });
}

/** Enters, overrides, excuses or clears one component of one student. */
export const enterMark = command({
  name: "enterMark",
  act: "grade.edit",
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
    const [old] = await sql<{ version: number; kind: string; share: string | null; reason: string }[]>`
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

export interface LedgerLine {
  personId: string;
  name: string;
  section: string;
  team: string | null;
  grade: string | null;
  components: { key: string; name: string; weight: string; state: string; percent: string | null }[];
  working: unknown;
}
export interface Publication {
  id: string;
  number: number;
  schemeVersion: number;
  ledger: LedgerLine[];
  whatChanged: string;
  publishedBy: string;
  publishedAt: string;
}
export const publicationsOf = (projectId: string) =>
  db()<Publication[]>`
    SELECT id, number, scheme_version, ledger, what_changed, published_by, published_at
    FROM publication
    WHERE project_id = ${projectId}
    ORDER BY number DESC
  `;

/** Freezes every student's grade as it is now, with its arithmetic. A later publication names what changed. */
export const publishGrades = command({
  name: "publishGrades",
  act: "grade.edit",
  schema: s.publish,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by, today }, input): Promise<{ number: number }> {
    await sql`SELECT FROM project WHERE id = ${input.projectId} FOR UPDATE`;
    const book = await gradebook(input.projectId, today);
    if (!book.scheme) refuse("There is no grading scheme yet.");
    if (!book.rows.some((r) => r.grade.value.grade !== null))
      refuse("Nothing can be published: no component counts for anybody yet.");
    const [last] = await sql<
      { number: number; ledger: LedgerLine[] }[]
    >`SELECT number, ledger FROM publication WHERE project_id = ${input.projectId} ORDER BY number DESC LIMIT 1`;
    const ledger: LedgerLine[] = book.rows.map(({ student, grade }) => ({
      personId: student.id,
      name: student.name,
      section: student.section,
      team: student.team,
      grade: grade.value.grade,
      working: grade.working,
      components: grade.value.components.map(({ key, name, weight, state, percent }) => ({
        key,
        name,
        weight,
        state,
        percent,
      })),
    }));
    const changed = last
      ? ledger.filter((l) => last.ledger.find((o) => o.personId === l.personId)?.grade !== l.grade)
      : [];
    if (last && !changed.length) refuse("No grade has changed since the last publication.");
    if (last && !input.whatChanged)
      refuse(
        `${changed.length} grade${changed.length === 1 ? "" : "s"} changed since version ${last.number}: say why.`,
        "whatChanged",
      );
    const number = (last?.number ?? 0) + 1;
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
