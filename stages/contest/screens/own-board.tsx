import { projectPage } from "@/platform/pages/page";
import { contestActs } from "../acts";
import { Board } from "../parts/board";
import { eventsOf } from "../queries/events";

/** The board for somebody who is signed in. */
export async function OwnBoardScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, contestActs.read);
  return (
    <Board
      title={`${frame.project.title} contest`}
      events={await eventsOf(frame.project.id)}
      since={frame.project.notices}
      liveUrl={`/api/live?project=${frame.project.id}`}
    />
  );
}
