import { projectFacts } from "@/stages/needs/queries/facts";
import { requirementStatus } from "@/stages/needs/view/verdicts";
import type { World } from "./world";

/** How a requirement stands for a build of the test's project. */
export async function statusIn(w: World, requirement: string, build = w.build): Promise<string> {
  const facts = await projectFacts(w.projectId);
  return requirementStatus(
    facts,
    facts.requirements.find((r) => r.id === requirement)!,
    facts.builds.find((b) => b.id === build),
  ).value;
}
