import { saveAwards } from "@/stages/contest/commands/overall";
import { castVote, closeVote, openVote } from "@/stages/contest/commands/vote";
import { ballotOf, openBallot } from "@/stages/contest/queries/awards";
import { at, run } from "./run";

/** Six awards: those of the record, the judges' and the crowd's. */
export const chooseAwards = (owner: string, projectId: string): Promise<unknown> =>
  run(saveAwards, owner, {
    projectId,
    given: ["champion", "best", "judged", "race", "lightest", "improved", "records", "favourite"],
  });

/** The crowd votes on its phones, and the vote is closed. */
export async function crowdVotes(owner: string, projectId: string, day: string, rnd: () => number): Promise<void> {
  await at(day, 13, 40);
  const { code } = await run(openVote, owner, { projectId });
  const { teams } = (await openBallot(code))!;
  for (let phone = 0; phone < 43; phone++) {
    const team = teams[Math.floor(rnd() ** 1.6 * teams.length)]!;
    await castVote(code, team.id, `phone ${phone} of ${projectId}`);
  }
  await at(day, 14, 20);
  const ballot = (await ballotOf(projectId))!;
  await run(closeVote, owner, { id: ballot.id, version: ballot.version });
}
