import { notFound } from "next/navigation";
import { guestActor } from "@/platform/sign-in/actors";
import { Board } from "../parts/board/board";
import { boardSource } from "../queries/boards";
import { boardState } from "../view/board-face";
import { boardUrl } from "../view/board-url";

/** The board by a guest link: its secret is all it takes, and all it shows is the contest. */
export async function LinkBoardScreen({ secret, event, screen }: { secret: string; event?: string; screen?: string }) {
  const guest = await guestActor(secret);
  if (guest.kind !== "guest" || guest.role !== "board") notFound();
  const source = await boardSource(guest.project);
  if (!source) notFound();
  const asked = { board: screen, event };
  return <Board first={boardState(source, asked)} url={boardUrl(`board=${secret}`, asked)} />;
}
