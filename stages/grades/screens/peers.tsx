import { instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { studentsOf } from "@/stages/people/queries/students";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { Figure } from "@/ui/working";
import { OpenRound, RoundButtons } from "../parts/peer-round-forms";
import { RateForm } from "../parts/rate-form";
import { ownRatings, type PeerRound, peerRoundsOf, ratingsOf } from "../queries/peers";
import { schemeOf } from "../queries/scheme";
import { peersView, type RatedTeam, toRate } from "../view/peers";

/** Peer ratings: what they came to for instructors; the own sheet for a student, and never another's. */
export async function PeersScreen({ slug, round: asked }: { slug: string; round?: string }) {
  const page = await projectPage(slug);
  const projectId = page.frame.project.id;
  const rounds = await peerRoundsOf(projectId);
  if (!page.staff) return <OwnSheets projectId={projectId} personId={page.actor.id} rounds={rounds} />;
  const round = rounds.find((r) => r.id === asked) ?? rounds[0];
  const head = (
    <PageHead
      title="Peer ratings"
      note="Confidential: no student sees a rating. What looks odd is a reason to ask, not a judgement."
    >
      <LinkButton href={`/p/${slug}/grades`}>Gradebook</LinkButton>
    </PageHead>
  );
  if (!round)
    return (
      <>
        {head}
        <Empty title="No rating yet" action={<OpenRound projectId={projectId} slug={slug} first />}>
          Students say in confidence how much each teammate took part. The scheme can multiply the team's part of a
          grade by what comes of it, between caps.
        </Empty>
      </>
    );
  const [students, ratings, scheme] = await Promise.all([
    studentsOf(projectId),
    ratingsOf(round.id),
    schemeOf(projectId),
  ]);
  const view = peersView(students, round, ratings, scheme?.definition.peers);
  const used = scheme?.definition.peers?.round === round.id;
  return (
    <>
      {head}
      <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2">
        {rounds.map((r) => (
          <Link
            key={r.id}
            href={`/p/${slug}/grades/peers?round=${r.id}`}
            aria-current={r.id === round.id ? "page" : undefined}
            className={cx(r.id === round.id ? "font-[650]" : "text-soft hover:text-iron")}
          >
            {r.title}
          </Link>
        ))}
        <OpenRound projectId={projectId} slug={slug} first={false} />
      </div>
      <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2">
        <p>
          {round.closedAt ? `Closed ${instant(round.closedAt)}` : `Open since ${instant(round.openedAt)}`} ·{" "}
          {view.asked - view.missing.length} of {view.asked} handed in
          {!used && <span className="text-soft"> · no scheme takes its factor from it yet</span>}
        </p>
        <RoundButtons key={round.version} id={round.id} version={round.version} open={!round.closedAt} slug={slug} />
      </div>
      {view.missing.length > 0 && <p className="mb-4 text-ochre-deep">Not handed in: {view.missing.join(", ")}.</p>}
      <div className="grid items-start gap-4 xl:grid-cols-2">
        {view.teams.map((t) => (
          <TeamRatings key={t.team} team={t} caps={used} />
        ))}
      </div>
    </>
  );
}

/** A team's factors, what is odd in its ratings, and who gave what. */
function TeamRatings({ team, caps }: { team: RatedTeam; caps: boolean }) {
  const initials = (name: string) =>
    name
      .split(/\s+/)
      .map((x) => x[0])
      .join("");
  return (
    <Sheet title={team.team}>
      {team.odd.map((words) => (
        <p key={words} className="mb-1 border-l-4 border-ochre bg-ochre-wash px-2 py-1 text-sm">
          {words}
        </p>
      ))}
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={`Ratings of ${team.team}`}>
        <table className="table">
          <thead>
            <tr>
              <th>Gave ↓ to →</th>
              {team.members.map((m) => (
                <th key={m.id} className="num" title={m.name}>
                  {initials(m.name)}
                </th>
              ))}
              <th className="num">Mean received</th>
              <th className="num">Factor</th>
              {caps && <th className="num">Capped</th>}
            </tr>
          </thead>
          <tbody>
            {team.members.map((m) => (
              <tr key={m.id}>
                <td>
                  {m.name}
                  {m.comments.map((c) => (
                    <span key={c.about} className="block text-sm text-soft">
                      on {c.about}: {c.text}
                    </span>
                  ))}
                </td>
                {m.gave.map((g, i) => (
                  <td key={team.members[i]!.id} className="num text-soft">
                    {team.members[i]!.id === m.id ? "" : (g ?? "–")}
                  </td>
                ))}
                <td className="num">
                  {m.mean ?? "–"} <span className="text-soft">of {m.raters}</span>
                </td>
                <td className="num">
                  <Figure working={m.working}>{m.factor ?? "–"}</Figure>
                </td>
                {caps && <td className="num">{m.capped ?? "1"}</td>}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Sheet>
  );
}

/** A student's own sheets of the ratings that are open. */
async function OwnSheets({
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
