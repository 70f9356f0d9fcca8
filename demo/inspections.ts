import { randomUUID } from "node:crypto";
import { inspectBuild } from "@/stages/contest/commands/inspections";
import { enteredOf, linesOf } from "@/stages/contest/queries/inspections";
import { checkAll } from "@/stages/contest/view/inspection";
import { at, run } from "./run";

/**
 * The inspection on the morning: what is weighed and measured is what the teams recorded, what is looked at is in
 * order; who is over a limit may start because it was agreed on. The first is turned away for a loose clamp, and passes
 * when it is mended.
 */
export async function inspectAll(owner: string, projectId: string, day: string): Promise<void> {
  const builds = await enteredOf(projectId);
  for (const [i, b] of builds.entries()) {
    await at(day, 8, 10 + 4 * i);
    const lines = await linesOf(projectId, b.buildId);
    const typed = Object.fromEntries(lines.map((l) => [l.key, l.reads === "word" ? "met" : l.declared]));
    const { over, missing } = checkAll(lines, typed);
    let after = b.inspections.length;
    const inspect = (more: object) =>
      run(inspectBuild, owner, { id: randomUUID(), buildId: b.buildId, after: after++, typed, ...more });
    if (i === 0) await inspect({ outcome: "turned away", note: "A hose clamp is loose" });
    const waiver = over.length || missing.length ? "Agreed with the client at the final review" : "";
    await inspect({ outcome: "passed", waiver });
  }
}
