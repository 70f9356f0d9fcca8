import { notFound } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import { contestActs } from "../acts";
import { Board } from "../parts/board/board";
import { boardSource } from "../queries/boards";
import { boardState } from "../view/board-face";
import { boardUrl } from "../view/board-url";

/** The board for somebody who is signed in. */
export async function OwnBoardScreen({ slug, event, screen }: { slug: string; event?: string; screen?: string }) {
  const { frame } = await projectPage(slug, contestActs.read);
  const source = await boardSource(frame.project.id);
  if (!source) notFound();
  const asked = { board: screen, event };
  return <Board first={boardState(source, asked)} url={boardUrl(`project=${frame.project.id}`, asked)} />;
}
