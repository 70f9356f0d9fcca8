import { deviceHere } from "@/platform/sign-in/cookies";
import { Vote } from "../parts/vote";
import { openBallot, votedFor } from "../queries/awards";

/** The vote for the favourite of the crowd, on a spectator's phone. */
export async function VoteScreen({ code }: { code: string }) {
  const asked = code.toUpperCase();
  const device = await deviceHere();
  const [ballot, voted] = await Promise.all([openBallot(asked), device ? votedFor(asked, device) : null]);
  return (
    <main className="mx-auto grid max-w-xl gap-4 px-4 py-6">
      {ballot ? (
        <>
          <div>
            <p className="text-soft">{ballot.title}</p>
            <h1>Which one is your favourite?</h1>
            <p className="mt-1 text-soft">
              One vote for each phone; you may change it while the vote is open. We do not ask who you are.
            </p>
          </div>
          <Vote code={asked} teams={ballot.teams} voted={voted} />
        </>
      ) : (
        <>
          <h1>This vote is not open</h1>
          <p className="text-soft">
            It is closed, or the address was typed otherwise than it stands on the board: six letters and digits.
          </p>
        </>
      )}
    </main>
  );
}
