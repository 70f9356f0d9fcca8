import "server-only";
import Decimal from "decimal.js";
import { type Grade, gradeOf } from "@/core/grades/grade";
import { typedMark } from "@/core/grades/mark";
import type { PeerFactor } from "@/core/grades/peers";
import { type ComponentState, leavesOf, type Override, type SchemeDefinition } from "@/core/grades/scheme";
import { type Computed, makeWorking } from "@/core/working/working";
import type { Student } from "@/stages/people/queries/students";
import { type Explained, explainedOf } from "../view/explained";
import { personal, stateOf } from "../view/states";
import { type Extension, extensionKey, type World } from "../view/world";
import { type ClassFacts, classFacts, type EnteredMark } from "./facts";
import type { LedgerFact } from "./publications";
import { type SchemeVersion, schemeOf } from "./scheme";

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
  /** More class sessions, by component. */
  extensions: Record<string, Extension>;
  /** What was known of each component: the grade can be computed again from it. */
  facts: LedgerFact[];
  /** The factor that the team's ratings make, before its caps. */
  peer: PeerFactor | null;
  /** What reviewers said and what would have earned more, by component; where whole workings are wanted. */
  explained: Record<string, Explained>;
}

export interface Gradebook {
  scheme: SchemeVersion | null;
  rows: GradebookRow[];
  /** Students who ask to look at a grade again, and have no answer yet. */
  asked: readonly string[];
}

/** A student's entered mark as a state; nothing where the record decides. */
function enteredState(e: EnteredMark | undefined, name: string, more: number, whole: boolean): ComponentState | null {
  if (e?.kind === "excused" || e?.kind === "missing") return { state: e.kind, note: `${e.reason} (${e.enteredBy})` };
  if (e?.kind !== "mark") return null;
  const late = Math.max(0, e.late - more);
  return { state: "scored", share: e.share!, late, working: whole ? enteredByHand(name, e) : unexplained };
}

const factOf = (key: string, state: ComponentState | undefined, override: Override | undefined): LedgerFact => ({
  key,
  state: state?.state ?? "not due",
  share: state?.state === "scored" ? state.share : null,
  late: (state?.state === "scored" && state.late) || 0,
  override: override?.share ?? null,
});

/** The grades of a class under a scheme. */
export function gradesUnder(
  scheme: SchemeDefinition,
  { students, world, marks }: ClassFacts,
  { only, whole }: { only?: string; whole: boolean },
): GradebookRow[] {
  const leaves = leavesOf(scheme.components);
  const ofTeam = new Map<string, ComponentState>();
  return students
    .filter((x) => !only || x.id === only)
    .map((student) => {
      const mine = marks.get(student.id) ?? [];
      const byPart = new Map(mine.map((e) => [e.component as string, e]));
      const states = new Map<string, ComponentState>();
      const overrides = new Map<string, Override>();
      for (const c of leaves) {
        const e = byPart.get(c.key);
        const more = world.extensions.get(extensionKey(student.id, c.key))?.sessions ?? 0;
        const entered = enteredState(e, c.name, more, whole);
        if (entered) states.set(c.key, entered);
        else {
          // A team's students may sit in several sections, each with dates of its own.
          const whose = personal(c, world, student) ? student.id : student.teamId;
          const key = `${c.key}/${whose}/${student.sectionId}`;
          if (!ofTeam.has(key)) ofTeam.set(key, stateOf(c, student, world));
          states.set(c.key, ofTeam.get(key)!);
        }
        if (e?.kind === "override") overrides.set(c.key, { share: e.share!, reason: e.reason, by: e.enteredBy });
      }
      const peer = world.peers.get(scheme.peers?.round ?? "")?.get(student.id) ?? null;
      return {
        student,
        peer,
        grade: gradeOf(scheme, states, overrides, { peer, explained: whole }),
        marks: Object.fromEntries(
          mine.map((e) => [e.component, { version: e.version, typed: e.typed || typedMark(e), reason: e.reason }]),
        ),
        extensions: Object.fromEntries(
          leaves.flatMap((c) => {
            const more = world.extensions.get(extensionKey(student.id, c.key));
            return more ? [[c.key, more]] : [];
          }),
        ),
        explained: whole
          ? Object.fromEntries(leaves.map((c) => [c.key, explainedOf(c, student, world, states.get(c.key))]))
          : {},
        facts: leaves.map((c) => factOf(c.key, states.get(c.key), overrides.get(c.key))),
      };
    });
}

/**
 * Every student's grade, from what is kept; of one student where asked. With `whole`, or of one student, the workings
 * go down to the single run; otherwise a figure's working is fetched when it is opened.
 */
export async function gradebook(
  projectId: string,
  today: string,
  {
    only,
    whole = only !== undefined,
    calendars,
  }: { only?: string; whole?: boolean; calendars?: World["calendars"] } = {},
): Promise<Gradebook> {
  const scheme = await schemeOf(projectId);
  if (!scheme) return { scheme, rows: [], asked: [] };
  const facts = await classFacts(projectId, today, [scheme.definition], { only, whole, calendars });
  return { scheme, rows: gradesUnder(scheme.definition, facts, { only, whole }), asked: facts.asked };
}
