import type { TeamProblem } from "@/core/teams/problem";
import { reportTeams, type SolverReport } from "@/core/teams/report";
import type { Concept } from "@/stages/concepts/queries/concepts";
import type { Option } from "@/ui/option";
import type { TeamConstraint, TeamPlan } from "../queries/forming";
import type { Team } from "../queries/teams";

type Going = Pick<Concept, "id" | "title" | "fate">;

/** Concepts that go on and that no team works on yet. */
export const freeConcepts = (concepts: readonly Going[], teams: readonly Pick<Team, "conceptId">[]): Option[] =>
  concepts
    .filter((k) => k.fate === "goes on" && !teams.some((t) => t.conceptId === k.id))
    .map((k) => ({ value: k.id, label: k.title }));

/** Where somebody can be seated: the teams, and the concepts that will get one. */
export const seatsOf = (
  concepts: readonly Going[],
  teams: readonly Pick<Team, "id" | "name" | "conceptId">[],
): Option[] => [...teams.map((t) => ({ value: t.id as string, label: t.name })), ...freeConcepts(concepts, teams)];

const kinds = { apart: "kept apart", together: "kept together", lock: "locked seat in", forbidden: "not in" } as const;

/** A limit in words: whom it is of, and what it asks. Who left and what is gone is said so. */
export function limitWords(
  limit: Pick<TeamConstraint, "kind" | "people" | "seat">,
  students: readonly { id: string; name: string }[],
  seats: readonly Option[],
  teams: readonly Pick<Team, "name" | "conceptId">[],
): { people: string; asks: string } {
  const name = (id: string) => students.find((s) => s.id === id)?.name ?? "somebody who left";
  const seat =
    limit.seat === null
      ? null
      : (seats.find((x) => x.value === limit.seat)?.label ??
        teams.find((t) => t.conceptId === limit.seat)?.name ??
        "a team that is gone");
  return { people: limit.people.map(name).join(", "), asks: seat ? `${kinds[limit.kind]} ${seat}` : kinds[limit.kind] };
}

export interface PlanLine {
  readonly plan: TeamPlan;
  readonly problem: TeamProblem;
  /** What it comes to now; null when the roster changed so that it does not seat everybody any more. */
  readonly report: SolverReport | null;
  readonly idea: string;
  readonly wish: string;
}

/** A kept plan held against the class as it is now. */
export function planLine(plan: TeamPlan, problem: TeamProblem): PlanLine {
  const whole = problem.people.every((x) => problem.teams.some((t) => t.id === plan.assignment[x.id]));
  const report = whole ? reportTeams(problem, plan.assignment) : null;
  const words = (kind: string) =>
    report ? (report.soft.find((x) => x.kind === kind)?.text ?? "") : "the roster changed since";
  return { plan, problem, report, idea: words("idea"), wish: words("wish") };
}
