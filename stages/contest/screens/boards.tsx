import { notFound } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import { cx } from "@/ui/classes";
import { Empty, PageHead } from "@/ui/page";
import { contestActs } from "../acts";
import { NewBoard, Presenter } from "../parts/board/presenter";
import { CrowdVote } from "../parts/crowd-vote";
import { EventNav } from "../parts/event-nav";
import { boardSource } from "../queries/boards";
import { votesCast } from "../view/awards";
import { awardCount } from "../view/board-face";

/** The boards of a contest from the presenter's tablet: what each shows, and the awards one by one. */
export async function BoardsScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, contestActs.edit);
  const p = frame.project;
  const source = await boardSource(p.id, true);
  if (!source) notFound();
  const { boards, names } = source;
  const { ballot } = source.facts;
  return (
    <>
      <PageHead
        title="Boards"
        note={
          "Each screen in the hall shows what is pressed here. On a screen where nobody is signed in, open a board " +
          "link from People."
        }
      >
        <EventNav slug={slug} events={names} chosen="boards" staff />
      </PageHead>
      {boards.length === 0 && (
        <Empty title="No board has a name yet" action={<NewBoard projectId={p.id} />}>
          A board without a name shows what runs. Give a screen a name, Hall or Gym, to choose from here what it shows.
        </Empty>
      )}
      <div className={cx("grid items-start gap-4 xl:grid-cols-2", boards.length === 0 && "mt-4")}>
        {names.length > 0 && <CrowdVote projectId={p.id} ballot={ballot && { ...ballot, votes: votesCast(ballot) }} />}
        {boards.map((b) => (
          <Presenter
            key={b.id}
            projectId={p.id}
            board={b}
            events={names}
            awards={awardCount(source)}
            href={`/screen/${slug}?screen=${b.id}`}
          />
        ))}
      </div>
      {boards.length > 0 && (
        <div className="mt-4">
          <NewBoard projectId={p.id} />
        </div>
      )}
    </>
  );
}
