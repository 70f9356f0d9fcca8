import { saveAllowedPart } from "@/stages/contest/commands/inspections";
import { run } from "./run";

/** What the rules allow by count: the inspection compares it with a build's parts list. */
export async function allowParts(owner: string, projectId: string): Promise<void> {
  for (const [name, most] of [
    ["Valve", 4],
    ["Hose", 1],
    ["Electric motor", 0],
  ] as const)
    await run(saveAllowedPart, owner, { projectId, name, most });
}
