import { saveFailure } from "@/stages/builds/commands/failures";
import { run } from "./run";
import * as story from "./story";

/** What failed on the generation before, as it is told when the next one is recorded; gives what that one answers. */
export async function failuresBefore(
  owner: string,
  team: string,
  g: number,
  buildId: string | undefined,
): Promise<string[]> {
  const answered: string[] = [];
  for (const f of story.lastYear.failures.filter((x) => buildId && x.team === team && x.on === g)) {
    const { id } = await run(saveFailure, owner, {
      buildId,
      mode: f.mode,
      place: f.place,
      cause: f.cause,
      severity: "worse",
      nextStep: f.next,
    });
    if (f.answered) answered.push(id);
  }
  return answered;
}
