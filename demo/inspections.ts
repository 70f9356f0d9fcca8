import { randomUUID } from "node:crypto";
import { inspectBuild } from "@/stages/contest/commands/inspections";
import { enteredOf, linesOf } from "@/stages/contest/queries/inspections";
import { asRecorded } from "@/stages/contest/view/inspection";
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
    const { typed, waives } = asRecorded(await linesOf(projectId, b.buildId));
    let after = b.inspections.length;
    const inspect = (more: object) =>
      run(inspectBuild, owner, { id: randomUUID(), buildId: b.buildId, after: after++, typed, ...more });
    if (i === 0) await inspect({ outcome: "turned away", note: "A hose clamp is loose" });
    const waiver = waives ? "Agreed with the client at the final review" : "";
    await inspect({ outcome: "passed", waiver });
  }
}
