import Decimal from "decimal.js";
import type { Component, ComponentState } from "@/core/grades/scheme";
import { coverage } from "@/core/needs/requirement";
import { sessionsHeld } from "@/core/sessions/sessions";
import { combineSheets, individualPart, teamPart } from "@/core/sheet/sheet";
import { equation } from "@/core/working/equation";
import { makeWorking } from "@/core/working/working";
import type { Student } from "@/stages/people/queries/students";
import { pointsState } from "./scored";
import { extensionKey, reviewOf, sessionsAfter, sessionsBetween, type World, waiting } from "./world";

function rubricState(title: string, student: Student, w: World): ComponentState {
  const review = reviewOf(w, title, student);
  if (!review) return waiting(`no review “${title}” is planned for the team`);
  const score = combineSheets(
    teamPart(review.definition),
    // The student reads this working: who rated stays with the instructors.
    review.sheets.map((x, i) => ({ rater: `Reviewer ${i + 1}`, marks: x.marks })),
  );
  return score.value === null
    ? waiting(`the review on ${review.heldOn} has no complete sheet yet`)
    : { state: "scored", share: score.value, working: score.working };
}

/** What reviewers gave one member of the team alone. */
function individualState(name: string, title: string, student: Student, w: World): ComponentState {
  const review = reviewOf(w, title, student);
  if (!review) return waiting(`no review “${title}” is planned for the team`);
  const own = individualPart(review.definition);
  if (!own.criteria.length) return waiting(`the rubric of “${title}” marks nobody alone`);
  const sheets = review.sheets.flatMap((s, i) => {
    const marks = s.persons.filter((m) => m.person === student.id);
    return marks.length ? [{ rater: `Reviewer ${i + 1}`, marks }] : [];
  });
  const score = combineSheets(own, sheets);
  return score.value === null
    ? waiting(`nobody was marked alone at the review on ${review.heldOn} yet`)
    : { state: "scored", share: score.value, working: { ...score.working, title: name } };
}

function milestoneState(c: Component, id: string, student: Student, w: World): ComponentState {
  const m = w.milestones.find((x) => x.id === id);
  if (!m) return waiting("the milestone is not in the plan (any more)");
  const due = m.dates[student.sectionId] ?? m.dueOn;
  const done = m.checks.find((k) =>
    m.scope === "team" ? k.teamId === student.teamId && student.teamId !== null : k.personId === student.id,
  );
  const sessions = w.calendars.get(student.sectionId) ?? [];
  const more = w.extensions.get(extensionKey(student.id, c.key))?.sessions ?? 0;
  const extended = more ? `, with ${more} class session${more === 1 ? "" : "s"} more` : "";
  if (done) {
    const late = Math.max(0, sessionsBetween(sessions, due, done.doneOn) - more);
    return {
      state: "scored",
      share: "1",
      late,
      working: makeWorking({
        title: c.name,
        result: "100",
        unit: "%",
        rule: "Full marks for a milestone that was passed.",
        steps: [`${m.title}: due ${due}${extended}, passed ${done.doneOn}`],
        inputs: [{ label: m.title, value: "passed", by: done.checkedBy, at: done.doneOn }],
        warnings: done.doneOn > due && !(more && late === 0) ? ["It was passed after its date."] : [],
      }),
    };
  }
  // Within the grace nothing is taken off, so it is not missing yet.
  const allowed = sessionsAfter(sessions, due, more + (c.late?.grace ?? 0));
  return allowed < w.today
    ? { state: "missing", note: `${m.title} was due ${due}${extended}` }
    : waiting(`${m.title} is due ${due}${extended}`);
}

/** So many of so many. */
function partOf(c: Component, n: number, of: number, rule: string, before = ""): ComponentState {
  const share = new Decimal(n).div(of);
  const percent = share.times(100).toDecimalPlaces(2).toString();
  const steps = [`${before}${equation([`${n} ÷ ${of} × 100`], percent, "%")}`];
  const working = makeWorking({ title: c.name, result: percent, unit: "%", rule, steps });
  return { state: "scored", share: share.toString(), working };
}

/** The share of musts that the team's newest build is known to meet. */
function coverageState(c: Component, student: Student, w: World): ComponentState {
  const build = w.state.newest.get(student.teamId!);
  if (!build) return waiting("the team has no build yet");
  const { verified, musts } = coverage(
    w.state.requirements.map((r) => ({ priority: r.priority, verdict: w.state.verdict(r.id, build.id) })),
  );
  if (!musts) return waiting("there is no must to meet yet");
  return partOf(
    c,
    verified,
    musts,
    "Musts that the newest build is known to meet, over all musts.",
    `G${build.number}: `,
  );
}

/** The share of the notebook entries that are asked, one for so many class sessions held. */
function notebookState(c: Component, every: number, student: Student, w: World): ComponentState {
  const sessions = w.calendars.get(student.sectionId) ?? [];
  const asked = Math.floor(sessionsHeld(sessions, w.today) / every);
  if (!asked) return waiting("no notebook entry is asked yet");
  const days = w.notebooks.get(student.id) ?? [];
  const within = new Set(
    days.map((d) => sessionsHeld(sessions, d)).flatMap((n) => (n > 0 ? [Math.ceil(n / every)] : [])),
  );
  const written = [...within].filter((n) => n <= asked).length;
  const span = every === 1 ? "each class session" : `each ${every} class sessions`;
  return partOf(
    c,
    written,
    asked,
    `One entry is asked for ${span} held; an entry belongs to the class session before it.`,
  );
}

/** What is known of a component for a student from the record: nothing is zero that was not due. */
export function stateOf(c: Component, student: Student, w: World): ComponentState {
  const src = c.source;
  if (src.kind === "entered") return waiting("no mark is entered yet");
  if (src.kind === "milestone") return milestoneState(c, src.milestone, student, w);
  if (src.kind === "notebook") return notebookState(c, src.every, student, w);
  if (!student.teamId) return waiting("the student has no team");
  if (src.kind === "rubric") return rubricState(src.review, student, w);
  if (src.kind === "individual") return individualState(c.name, src.review, student, w);
  if (src.kind === "coverage") return coverageState(c, student, w);
  return pointsState(c, src, student, w);
}

/** Whether what is known of a component is a student's own, and not all the team's. */
export const personal = (c: Component, w: Pick<World, "milestones" | "extensions">, student: Student): boolean => {
  const { source } = c;
  if (source.kind === "notebook" || source.kind === "individual" || !student.teamId) return true;
  if (w.extensions.has(extensionKey(student.id, c.key))) return true;
  return source.kind === "milestone" && w.milestones.find((m) => m.id === source.milestone)?.scope === "person";
};

/** Keeps a gradebook's rows of one section; all where none is named. */
export const inSection = (sectionId: string | null | undefined) => (row: { student: { sectionId: string } }) =>
  !sectionId || row.student.sectionId === sectionId;

/** The grade that each student reads: a publication may hold one section only, and what was withdrawn is not read. */
export function lastPublished(
  publications: readonly {
    number: number;
    withdrawnAt?: string | null;
    ledger: readonly { personId: string; grade: string | null }[];
  }[],
): Map<string, string | null> {
  const oldestFirst = publications.filter((p) => !p.withdrawnAt).sort((a, b) => a.number - b.number);
  return new Map(oldestFirst.flatMap((p) => p.ledger.map((l) => [l.personId, l.grade] as const)));
}

/** The sections that a publication holds, in words; nothing where it holds all of the project's. */
export function publishedFor(ledger: readonly { section: string }[], sections: readonly { name: string }[]): string {
  const held = sections.filter((s) => ledger.some((l) => l.section === s.name));
  return held.length === sections.length || held.length === 0 ? "" : held.map((s) => `section ${s.name}`).join(", ");
}
