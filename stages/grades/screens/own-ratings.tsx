import { studentsOf } from "@/stages/people/queries/students";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { RateForm } from "../parts/rate-form";
import { ownRatings, type PeerRound } from "../queries/peers";
import { toRate } from "../view/peers";

/** A student's own sheets of the ratings that are open. */
export async function OwnRatings({
  projectId,
  personId,
  rounds,
}: {
  projectId: string;
  personId: string;
  rounds: readonly PeerRound[];
}) {
  const [students, given] = await Promise.all([studentsOf(projectId), ownRatings(projectId, personId)]);
  const open = rounds.filter((r) => !r.closedAt);
  return (
    <>
      <PageHead
        title="Rate your team"
        note="Only your instructor reads this. Rate what each one did, not who they are."
      />
      {open.length === 0 && <Empty title="No rating is open">When your instructor opens one, it stands here.</Empty>}
      {open.map((r) => {
        const mates = toRate(
          students,
          personId,
          given.filter((g) => g.round === r.id),
        );
        return (
          <Sheet key={r.id} title={r.title} className="mb-4 max-w-[760px]">
            {mates.length ? (
              <RateForm key={mates.map((m) => m.id).join()} roundId={r.id} method={r.method} teammates={mates} />
            ) : (
              <p className="text-soft">You are in no team with others, so there is nobody to rate.</p>
            )}
          </Sheet>
        );
      })}
    </>
  );
}
