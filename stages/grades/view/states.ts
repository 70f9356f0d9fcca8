import Decimal from "decimal.js";
import type { Component, ComponentState } from "@/core/grades/scheme";
import { applyRule } from "@/core/points/rule";
import { channelsOf } from "@/core/run/protocol";
import { combineSheets } from "@/core/sheet/sheet";
import { equation } from "@/core/working/equation";
import { type Computed, makeWorking } from "@/core/working/working";
import type { Protocol } from "@/stages/bench/queries/runs";
import type { eventsOf } from "@/stages/contest/queries/events";
import type { ProjectFacts } from "@/stages/needs/queries/facts";
import type { ProjectState } from "@/stages/needs/queries/state";
import type { KeptSummary } from "@/stages/needs/view/kept";
import { summaryOf } from "@/stages/needs/view/verdicts";
import type { Student } from "@/stages/people/queries/students";
import type { Milestone } from "@/stages/plan/queries/milestones";
import type { reviewsOf } from "@/stages/reviews/queries";

/** What counts, as it goes into a rule: not rounded. */
const counts = (x: KeptSummary) => new Decimal(x.counted!).toSignificantDigits(15).toString();

/** What is known of a component for a student from the record: nothing is zero that was not due. */
export function stateOf(c: Component, student: Student, w: World): ComponentState {
  const waiting = (note: string): ComponentState => ({ state: "not due", note });
  const src = c.source;
  if (src.kind === "entered") return waiting("no mark is entered yet");
  if (!student.teamId && !(src.kind === "milestone")) return waiting("the student has no team");
  if (src.kind === "rubric") {
    const review = w.reviews.find((r) => r.title === src.review && r.teamId === student.teamId);
    if (!review) return waiting(`no review “${src.review}” is planned for the team`);
    const score = combineSheets(
      review.definition,
      // The student reads this working: who rated stays with the instructors.
      review.sheets.map((x, i) => ({ rater: `Reviewer ${i + 1}`, marks: x.marks })),
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
          warnings: done.doneOn > due ? ["It was passed after its date."] : [],
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
    const percent = share.times(100).toDecimalPlaces(2).toString();
    return {
      state: "scored",
      share: share.toString(),
      working: makeWorking({
        ...points.working,
        title: c.name,
        result: percent,
        unit: "%",
        steps: [
          ...from.steps,
          ...points.working.steps,
          `of ${full} points: ${equation([{ of: points.value! }, ` ÷ ${full} × 100`], percent, "%")}`,
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
    return scored(standing.counted, event.definition.unit, standing.working, event.standings[0]?.counted ?? undefined, {
      place: standing.first!,
      sharing: standing.sharing,
    });
  }
  const measure = src.measure as { protocol: string; channel: string };
  const protocol = w.state.protocols.find((p) => p.id === measure.protocol);
  const channel = protocol && channelsOf(protocol.definition).find((x) => x.key === measure.channel);
  if (!protocol || !channel) return waiting("the protocol is not there (any more)");
  // Performance on the bench: the newest build that has a run that counts.
  for (const b of w.state.builds.filter((x) => x.teamId === student.teamId).reverse()) {
    const kept = w.state.summary(b.id, protocol.id, channel.key);
    if (!kept || kept.counted === null) continue;
    const working = w.facts
      ? summaryOf(w.facts, protocol, b.id, channel.key).working
      : makeWorking({ title: channel.name, result: kept.shown, unit: channel.unit, rule: "" });
    const others = src.rule.kind === "ratio" ? bestOfClass(w.state, protocol, channel.key) : undefined;
    return scored(
      counts(kept),
      channel.unit,
      { ...working, steps: [`G${b.number}: ${working.steps[0] ?? ""}`] },
      others,
    );
  }
  return waiting("no run of the team counts yet");
}

interface World {
  /** What is kept, of the whole project. */
  state: ProjectState;
  /** The facts of the builds in question, where whole workings are wanted. */
  facts: ProjectFacts | null;
  reviews: Awaited<ReturnType<typeof reviewsOf>>;
  milestones: Milestone[];
  events: Awaited<ReturnType<typeof eventsOf>>;
  today: string;
}

/** The best counted value of all builds in a channel, not rounded. */
export function bestOfClass(state: ProjectState, protocol: Protocol, key: string): string | undefined {
  const all = state.builds.flatMap((b) => {
    const kept = state.summary(b.id, protocol.id, key);
    return kept && kept.counted !== null ? [counts(kept)] : [];
  });
  return all.sort((a, b) => (protocol.definition.better === "more" ? Number(b) - Number(a) : Number(a) - Number(b)))[0];
}

/** Keeps a gradebook's rows of one section; all where none is named. */
export const inSection = (sectionId: string | null | undefined) => (row: { student: { sectionId: string } }) =>
  !sectionId || row.student.sectionId === sectionId;

/** The grade that each student has read last: a publication may hold one section only. */
export function lastPublished(
  publications: readonly { number: number; ledger: readonly { personId: string; grade: string | null }[] }[],
): Map<string, string | null> {
  const oldestFirst = [...publications].sort((a, b) => a.number - b.number);
  return new Map(oldestFirst.flatMap((p) => p.ledger.map((l) => [l.personId, l.grade] as const)));
}

/** The sections that a publication holds, in words; nothing where it holds all of the project's. */
export function publishedFor(ledger: readonly { section: string }[], sections: readonly { name: string }[]): string {
  const held = sections.filter((s) => ledger.some((l) => l.section === s.name));
  return held.length === sections.length || held.length === 0 ? "" : held.map((s) => `section ${s.name}`).join(", ");
}
