// The slot planner, away from the page's own thread: its progress, then its answer.
import type { SlotProblem } from "@/core/slots/problem";
import { planSlots } from "@/core/slots/solver";

self.onmessage = (e: MessageEvent<SlotProblem>) => {
  const run = planSlots(e.data);
  for (;;) {
    const step = run.next();
    if (step.done) return self.postMessage({ done: true, plan: step.value });
    self.postMessage({ done: false, ...step.value });
  }
};
