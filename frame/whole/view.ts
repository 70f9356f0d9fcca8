import { coverage } from "@/core/needs/requirement";
import { formatSi } from "@/core/quantity/quantity";
import type { ProjectUnits } from "@/core/quantity/systems";
import { primaryOf } from "@/core/run/protocol";
import type { ClassSession } from "@/core/sessions/sessions";
import type { ProjectState } from "@/stages/needs/queries/state";
import type { Milestone } from "@/stages/plan/queries/milestones";
import { dueFor } from "@/stages/plan/view/tasks";

type State = Pick<ProjectState, "builds" | "newest" | "protocols" | "requirements" | "summary" | "verdict">;

/** A team's generations, the newest first, its verdicts, and its milestones with what is passed. */
export function teamView(
  team: { readonly id: string; readonly sectionId: string | null },
  state: State,
  milestones: readonly Milestone[],
  units: ProjectUnits,
) {
  const primary = state.protocols[0];
  const channel = primary ? primaryOf(primary.definition) : null;
  const newest = state.newest.get(team.id);
  const verdicts = state.requirements.map((r) => ({
    id: r.id,
    code: r.code,
    statement: r.statement,
    priority: r.priority,
    verdict: state.verdict(r.id, newest?.id),
  }));
  return {
    channel,
    newest,
    verdicts,
    ...coverage(verdicts),
    generations: state.builds
      .filter((b) => b.teamId === team.id)
      .toSorted((a, b) => b.number - a.number)
      .map((b) => {
        const sum = primary ? state.summary(b.id, primary.id, primary.definition.primary) : null;
        return {
          id: b.id,
          number: b.number,
          stage: b.stage,
          builtOn: b.builtOn,
          whatChanged: b.whatChanged,
          mass: b.mass === null ? null : formatSi(b.mass, units.mass, 2),
          cost: b.cost === null ? null : formatSi(b.cost, "1", 2),
          counted: sum && sum.counted !== null ? { value: sum.counted, shown: sum.shown } : null,
          runs: sum?.n ?? 0,
          met: coverage(state.requirements.map((r) => ({ priority: r.priority, verdict: state.verdict(r.id, b.id) })))
            .verified,
        };
      }),
    milestones: milestones
      .filter((m) => m.scope === "team")
      .map((m) => ({
        id: m.id,
        title: m.title,
        dueOn: dueFor(m, team.sectionId),
        doneOn: m.checks.find((k) => k.teamId === team.id)?.doneOn ?? null,
      }))
      .sort((a, b) => a.dueOn.localeCompare(b.dueOn)),
  };
}

/**
 * A student's notebook against the class: on how many of the classes that the student attended there is an entry of
 * that day, of those held so far; and the longest stretch of such classes without one.
 */
export function notebookView(
  sessions: readonly ClassSession[],
  entries: readonly string[],
  missed: readonly string[],
  today: string,
): { attended: number; written: number; longest: number } {
  const days = [...new Set(sessions.map((s) => s.date))].filter((d) => d < today && !missed.includes(d));
  let gap = 0;
  let longest = 0;
  for (const d of days) {
    gap = entries.includes(d) ? 0 : gap + 1;
    longest = Math.max(longest, gap);
  }
  return { attended: days.length, written: days.filter((d) => entries.includes(d)).length, longest };
}
