import { isId } from "@/platform/db/id";
import { allowed, refused } from "@/platform/pages/route";
import { guestActor } from "@/platform/sign-in/actors";
import { contestActs } from "@/stages/contest/acts";
import { boardStream } from "@/stages/contest/board-stream";

export const dynamic = "force-dynamic";

/** What a board shows, sent whenever it changes; a board's link is enough to watch. */
export async function GET(request: Request): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const idIn = (name: string) => {
    const value = query.get(name);
    return value && isId(value) ? value : undefined;
  };
  const asked = { board: idIn("screen"), event: idIn("event") };
  const link = query.get("board");
  if (link) {
    const guest = await guestActor(link);
    return guest.kind === "guest" && guest.role === "board"
      ? boardStream(guest.project, asked, request.signal, guest.id)
      : refused();
  }
  const project = query.get("project") ?? "";
  const actor = await allowed(contestActs.read, project);
  return actor && actor.kind !== "nobody" ? boardStream(project, asked, request.signal, actor.id) : refused();
}
