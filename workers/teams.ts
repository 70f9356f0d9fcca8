// The team solver, away from the page's own thread: its progress with the best arrangement so far, then its answer.
import type { TeamProblem } from "@/core/teams/problem";
import { solveTeams } from "@/core/teams/solver";

self.onmessage = (e: MessageEvent<{ problem: TeamProblem; seed: string }>) => {
  const run = solveTeams(e.data.problem, { seed: e.data.seed });
  for (;;) {
    const step = run.next();
    if (step.done) return self.postMessage({ done: true, solution: step.value });
    self.postMessage({ done: false, ...step.value });
  }
};
