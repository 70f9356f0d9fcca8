import { buildsOf } from "@/stages/builds/queries/builds";
import { recordFinding } from "@/stages/needs/commands/findings";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { run } from "./run";
import * as story from "./story";

/** What was looked at and tried: the rules without a number. */
export async function lookAt(owner: string, projectId: string): Promise<void> {
  const all = await requirementsOf(projectId);
  const latest = new Map((await buildsOf(projectId)).map((b) => [b.team as string, b]));
  for (const [i, r] of all.filter((x) => x.comparator === "yes").entries())
    for (const [k, t] of story.teams.entries()) {
      const b = latest.get(t.name);
      if (!b || (i + k) % 5 === 4 || (t.name === "Downpour" && i > 1)) continue;
      await run(recordFinding, owner, {
        requirementId: r.id,
        buildId: b.id,
        outcome: (i * 3 + k * 7) % 11 === 5 ? "not met" : "met",
        note: "seen on the bench",
      });
    }
}
