import { allowed, refused } from "@/server/route";
import { watch } from "@/server/live";
import { guestActor } from "@/data/people";

export const dynamic = "force-dynamic";

/** Server-sent events of a project; a board's link is enough to watch. */
export async function GET(request: Request): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const board = query.get("board");
  if (board) {
    const guest = await guestActor(board);
    return guest.kind === "guest" ? watch(guest.project, request.signal) : refused();
  }
  const project = query.get("project") ?? "";
  const actor =
    (await allowed("project.read", project)) ??
    (await allowed("contest.read", project)) ??
    (await allowed("brief.read", project)) ??
    (await allowed("review.read", project));
  return actor ? watch(project, request.signal) : refused();
}
