import { projectPage } from "@/platform/pages/page";
import { contestActs } from "../acts";
import { Board } from "../parts/board";
import { eventsOf } from "../queries/events";
import { matchEventsOf } from "../queries/matches";

/** The board for somebody who is signed in. */
export async function OwnBoardScreen({ slug, event }: { slug: string; event?: string }) {
  const { frame } = await projectPage(slug, contestActs.read);
  const [events, matches] = await Promise.all([eventsOf(frame.project.id), matchEventsOf(frame.project.id)]);
  return (
    <Board
      title={`${frame.project.title} contest`}
      events={events}
      matches={matches}
      wanted={event}
      since={frame.project.notices}
      liveUrl={`/api/live?project=${frame.project.id}`}
    />
  );
}
