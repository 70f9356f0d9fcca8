import { coreLog, type LogCell } from "@/core/log/corelog";
import { coverage } from "@/core/needs/requirement";
import { formatSi } from "@/core/quantity/quantity";
import type { ProjectUnits } from "@/core/quantity/systems";
import { primaryOf } from "@/core/run/protocol";
import { projectWeeks } from "@/core/sessions/sessions";
import type { ProjectKind } from "@/core/vocabulary/project";
import type { Better } from "@/core/vocabulary/runs";
import type { ProjectState } from "@/stages/needs/queries/state";
import { bestOfAll, runsByDay } from "@/stages/needs/view/days";
import type { Milestone } from "@/stages/plan/queries/milestones";
import type { Review } from "@/stages/reviews/queries/reviews";

/** The project as the core log needs it. */
export interface LogFrame {
  readonly kind: ProjectKind;
  readonly startsOn: string;
  readonly endsOn: string;
  readonly eventOn: string | null;
  readonly finishedAt: string | null;
  readonly today: string;
  readonly units: ProjectUnits;
  readonly sessions: readonly { number: number; date: string }[];
}

type Facts = Pick<
  ProjectState,
  "requirements" | "teams" | "builds" | "newest" | "protocols" | "verdict" | "summary" | "tested"
>;

/** What comes in a week, written over its row. */
export interface Band {
  readonly text: string;
  readonly on: string;
  readonly event: boolean;
}

/** Whether a date lies in the seven days from a Monday on. */
export const inWeek = (date: string, monday: string): boolean =>
  date >= monday && date < new Date(Date.parse(monday) + 7 * 86_400_000).toISOString().slice(0, 10);

/** Shade of a layer, 0 to 1: the best so far against the benchmark or the class's best. */
function shade(cells: readonly LogCell[], i: number, top: number | null, better: Better): number {
  const so = bestIn(cells.slice(0, i + 1), better);
  if (so === null || top === null) return 0.06;
  const ratio = better === "more" ? so / top : top / so;
  return 0.18 + 0.82 * (Number.isFinite(ratio) ? Math.max(0, Math.min(1, ratio)) : 1);
}

/** The best of some cells, and of what else is given; null where there is nothing. */
function bestIn(cells: readonly LogCell[], better: Better, ...also: (number | null)[]): number | null {
  const all = [...cells.map((c) => c.best), ...also].filter((x) => x !== null);
  return all.length ? all.reduce((a, b) => (better === "more" ? Math.max(a, b) : Math.min(a, b))) : null;
}

/** What the front page shows: a column a team, a layer a week, what comes, and how far the project is. */
export function logView(
  project: LogFrame,
  facts: Facts,
  reviews: readonly Pick<Review, "teamId" | "heldOn" | "title">[],
  milestones: readonly Pick<Milestone, "title" | "dueOn" | "checks">[],
  benchmark: number | null,
) {
  const { today, units } = project;
  const primary = facts.protocols[0] ?? null;
  const channel = primary ? primaryOf(primary.definition) : null;
  const weeks = projectWeeks(project.startsOn, project.endsOn);
  const better = primary?.definition.better ?? "more";
  const cells = coreLog(
    {
      from: project.startsOn,
      today,
      weeks,
      teams: facts.teams,
      builds: facts.builds.map((b) => ({ team: b.teamId, date: b.builtOn, label: `G${b.number}` })),
      runs: runsByDay(facts, primary),
      reviews: reviews.filter((r) => r.heldOn <= today).map((r) => ({ team: r.teamId, date: r.heldOn })),
      checks: milestones.flatMap((m) =>
        m.checks.flatMap((k) => (k.teamId ? [{ team: k.teamId, date: k.doneOn, title: m.title }] : [])),
      ),
    },
    better,
  );
  const top = bestIn([...cells.values()].flat(), better, benchmark);
  const massIn = (team: string, monday: string) => {
    const b = facts.builds.findLast((x) => x.teamId === team && x.mass !== null && inWeek(x.builtOn, monday));
    return b ? `${formatSi(b.mass!, units.mass, 2)} ${units.mass}` : null;
  };
  const covered = facts.teams.map((t) => ({
    team: t.name,
    ...coverage(
      facts.requirements.map((r) => ({
        priority: r.priority,
        verdict: facts.verdict(r.id, facts.newest.get(t.id)?.id),
      })),
    ),
  }));
  const coming: Band[] = [
    ...new Map(
      reviews
        .filter((r) => r.heldOn > today)
        .map((r) => [`${r.title} ${r.heldOn}`, { text: r.title, on: r.heldOn, event: false }]),
    ).values(),
    ...milestones.filter((m) => m.dueOn > today).map((m) => ({ text: m.title, on: m.dueOn, event: false })),
    ...(project.eventOn && project.eventOn >= today
      ? [{ text: project.kind === "client" ? "Handover" : "Contest", on: project.eventOn, event: true }]
      : []),
  ];
  const thisWeek = weeks.findLast((w) => w.monday <= today)?.number ?? 0;
  return {
    primary,
    channel,
    /** The best of the whole project, with the run that reached it. */
    best: primary ? bestOfAll(facts, primary) : null,
    covered,
    verified: covered.reduce((n, c) => n + c.verified, 0),
    musts: covered.reduce((n, c) => n + c.musts, 0),
    /** Class sessions after today up to the event. */
    left: project.sessions.filter((s) => s.date > today && s.date <= (project.eventOn ?? project.endsOn)),
    weeks: weeks.map((w, i) => ({
      ...w,
      now: w.number === thisWeek && !project.finishedAt,
      ahead: w.number > thisWeek,
      bands: coming.filter((b) => inWeek(b.on, w.monday)),
      cells: facts.teams.map((t) => ({
        team: t,
        cell: cells.get(t.id)![i]!,
        shade: shade(cells.get(t.id)!, i, top, better),
        mass: massIn(t.id, w.monday),
      })),
    })),
  };
}
