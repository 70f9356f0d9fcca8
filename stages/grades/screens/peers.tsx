import { instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { studentsOf } from "@/stages/people/queries/students";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { OpenRound, RoundButtons } from "../parts/peer-round-forms";
import { TeamRatings } from "../parts/team-ratings";
import { peerRoundsOf, ratingsOf } from "../queries/peers";
import { schemeOf } from "../queries/scheme";
import { peersView } from "../view/peers";
import { OwnRatings } from "./own-ratings";

/** Peer ratings: what they came to for instructors; the own sheet for a student, and never another's. */
export async function PeersScreen({ slug, round: asked }: { slug: string; round?: string }) {
  const page = await projectPage(slug);
  const projectId = page.frame.project.id;
  const rounds = await peerRoundsOf(projectId);
  if (!page.staff) return <OwnRatings projectId={projectId} personId={page.actor.id} rounds={rounds} />;
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
        <RoundButtons id={round.id} version={round.version} open={!round.closedAt} slug={slug} />
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
