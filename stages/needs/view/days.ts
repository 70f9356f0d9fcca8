import type { Protocol } from "@/stages/bench/queries/runs";
import type { ProjectState } from "../queries/state";

/** A project's bench by team and day: how many runs, and the best value of a protocol's primary channel. */
export function runsByDay(state: Pick<ProjectState, "builds" | "protocols" | "summary">, of: Protocol | null) {
  return state.builds.flatMap((b) =>
    state.protocols.flatMap((p) =>
      (state.summary(b.id, p.id, p.definition.primary)?.days ?? []).map((d) => ({
        team: b.teamId as string,
        date: d.date,
        n: d.n,
        best: p.id === of?.id ? d.best : null,
      })),
    ),
  );
}

/** The best comparable value of a protocol's primary channel over all builds, and the run that reached it. */
export function bestOfAll(
  state: Pick<ProjectState, "builds" | "protocols" | "summary">,
  of: Protocol,
): { value: number; run: string; build: string } | null {
  const sign = of.definition.better === "more" ? 1 : -1;
  return state.builds
    .flatMap((b) => {
      const s = state.summary(b.id, of.id, of.definition.primary);
      return s?.bestRun && s.best !== null ? [{ value: s.best, run: s.bestRun, build: b.id as string }] : [];
    })
    .reduce<{ value: number; run: string; build: string } | null>(
      (a, b) => (a === null || sign * b.value > sign * a.value ? b : a),
      null,
    );
}
