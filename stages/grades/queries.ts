import type * as row from "@/platform/db/rows";
import "server-only";
import Decimal from "decimal.js";
import { typedMark } from "@/core/grades/mark";
import { type ComponentState, type Grade, gradeOf, type Override, type SchemeDefinition } from "@/core/grades/scheme";
import { type Computed, makeWorking } from "@/core/working/working";
import { db } from "@/platform/db/db";
import { eventsOf } from "@/stages/contest/queries/events";
import { factsOfBuilds } from "@/stages/needs/queries/facts";
import { projectState } from "@/stages/needs/queries/state";
import { type Student, studentsOf } from "@/stages/people/queries/students";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { reviewsOf } from "@/stages/reviews/queries";
import { stateOf } from "./view/states";

export interface SchemeVersion {
  number: row.SchemeVersion["number"];
  definition: SchemeDefinition;
  createdBy: row.SchemeVersion["createdBy"];
  createdAt: row.SchemeVersion["createdAt"];
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

interface EnteredMark {
  personId: row.EnteredMark["personId"];
  component: row.EnteredMark["component"];
  kind: row.EnteredMark["kind"];
  share: row.EnteredMark["share"];
  reason: row.EnteredMark["reason"];
  enteredBy: row.EnteredMark["enteredBy"];
  enteredAt: row.EnteredMark["enteredAt"];
  typed: row.EnteredMark["typed"];
  version: row.EnteredMark["version"];
}

/** The working of a mark that was entered. */
const enteredByHand = (name: string, e: EnteredMark) =>
  makeWorking({
    title: name,
    result: new Decimal(e.share!).times(100).toDecimalPlaces(2).toString(),
    unit: "%",
    rule: "Entered by hand.",
    inputs: [{ label: "mark", value: e.typed || typedMark(e), by: e.enteredBy, at: e.enteredAt }],
  });
/** What stands in its place where a whole class is read at once. */
const unexplained = makeWorking({ title: "", result: "", rule: "" });

export interface GradebookRow {
  student: Student;
  grade: Computed<Grade>;
  /** What was entered, by component: as it was typed, and why. */
  marks: Record<string, { version: number; typed: string; reason: string }>;
}

export interface Gradebook {
  scheme: SchemeVersion | null;
  rows: GradebookRow[];
}

/**
 * Every student's grade, from what is kept; of one student where asked. With `whole`, or of one student, the workings
 * go down to the single run; otherwise a figure's working is fetched when it is opened.
 */
export async function gradebook(
  projectId: string,
  today: string,
  { only, whole = only !== undefined }: { only?: string; whole?: boolean } = {},
): Promise<Gradebook> {
  const [scheme, students, state, reviews, milestones, events, entered] = await Promise.all([
    schemeOf(projectId),
    studentsOf(projectId),
    projectState(projectId),
    reviewsOf(projectId),
    milestonesOf(projectId),
    eventsOf(projectId),
    db()<EnteredMark[]>`
      SELECT person_id, component, kind, share, reason, typed, entered_by, entered_at, version
      FROM entered_mark
      WHERE project_id = ${projectId}
    `,
  ]);
  if (!scheme) return { scheme, rows: [] };
  const team = students.find((x) => x.id === only)?.teamId;
  const shown = state.builds.filter((b) => only === undefined || b.teamId === team).map((b) => b.id);
  const facts = whole ? await factsOfBuilds(projectId, shown) : null;
  const world = { state, facts, reviews, milestones, events, today };
  const teamCache = new Map<string, ComponentState>();
  const marksOf = new Map<string, EnteredMark[]>(students.map((x) => [x.id, []]));
  for (const e of entered) marksOf.get(e.personId)?.push(e);
  const rows = students
    .filter((x) => !only || x.id === only)
    .map((student) => {
      const mine = marksOf.get(student.id) ?? [];
      const byPart = new Map(mine.map((e) => [e.component as string, e]));
      const states = new Map<string, ComponentState>();
      const overrides = new Map<string, Override>();
      for (const c of scheme.definition.components) {
        const e = byPart.get(c.key);
        if (e?.kind === "excused" || e?.kind === "missing")
          states.set(c.key, { state: e.kind, note: `${e.reason} (${e.enteredBy})` });
        else if (e?.kind === "mark")
          states.set(c.key, {
            state: "scored",
            share: e.share!,
            working: whole ? enteredByHand(c.name, e) : unexplained,
          });
        else {
          const personal =
            c.source.kind === "milestone" &&
            milestones.find((m) => m.id === (c.source as { milestone: string }).milestone)?.scope === "person";
          // A team's students may sit in several sections, each with dates of its own.
          const key = `${c.key}/${personal || !student.teamId ? student.id : student.teamId}/${student.sectionId}`;
          if (!teamCache.has(key)) teamCache.set(key, stateOf(c, student, world));
          states.set(c.key, teamCache.get(key)!);
        }
        if (e?.kind === "override") overrides.set(c.key, { share: e.share!, reason: e.reason, by: e.enteredBy });
      }
      return {
        student,
        grade: gradeOf(scheme.definition, states, overrides, whole),
        marks: Object.fromEntries(
          mine.map((e) => [e.component, { version: e.version, typed: e.typed || typedMark(e), reason: e.reason }]),
        ),
      };
    });
  return { scheme, rows };
}

export interface LedgerLine {
  personId: string;
  name: string;
  section: string;
  team: string | null;
  grade: string | null;
  components: {
    key: string;
    name: string;
    weight: string;
    state: string;
    percent: string | null;
    /** What was computed where it was set by hand. */
    computed?: string | null;
    /** Why it was set by hand, excused or counted as missing. */
    reason?: string;
  }[];
  working: unknown;
}

export interface Publication {
  id: row.Publication["id"];
  number: row.Publication["number"];
  schemeVersion: row.Publication["schemeVersion"];
  ledger: LedgerLine[];
  whatChanged: row.Publication["whatChanged"];
  publishedBy: row.Publication["publishedBy"];
  publishedAt: row.Publication["publishedAt"];
}

export const publicationsOf = (projectId: string) =>
  db()<Publication[]>`
    SELECT id, number, scheme_version, ledger, what_changed, published_by, published_at
    FROM publication
    WHERE project_id = ${projectId}
    ORDER BY number DESC
  `;
