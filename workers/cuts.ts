// The cut planner, away from the page's own thread: its progress, then its answer.
import { planCuts } from "@/core/cutting/plan";
import type { CutProblem } from "@/core/cutting/problem";

self.onmessage = (e: MessageEvent<CutProblem>) => {
  const run = planCuts(e.data);
  let told = 0;
  for (;;) {
    const step = run.next();
    if (step.done) return self.postMessage({ done: true, answer: step.value });
    if (step.value - told < 0.02) continue;
    told = step.value;
    self.postMessage({ done: false, share: step.value });
  }
};
