import { watch } from "@/platform/live/live";
import { allowed, refused } from "@/platform/pages/route";
import { projectActs } from "@/platform/project/acts";
import { guestActor } from "@/platform/sign-in/actors";
import { briefActs } from "@/stages/brief/acts";
import { contestActs } from "@/stages/contest/acts";
import { reviewActs } from "@/stages/reviews/acts";

export const dynamic = "force-dynamic";

/** Server-sent events of a project; a board's link is enough to watch. */
export async function GET(request: Request): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const about = (query.get("about") ?? "").split(",").filter(Boolean);
  // A stream that is taken up again by itself says what it heard last; a page says when it was made.
  const heard = request.headers.get("last-event-id") ?? query.get("since");
  const since = heard !== null && /^\d{1,9}$/.test(heard) ? Number(heard) : null;
  const board = query.get("board");
  if (board) {
    const guest = await guestActor(board);
    return guest.kind === "guest" ? watch(guest.project, request.signal, guest.id, about, since) : refused();
  }
  const project = query.get("project") ?? "";
  const actor =
    (await allowed(projectActs.read, project)) ??
    (await allowed(contestActs.read, project)) ??
    (await allowed(briefActs.read, project)) ??
    (await allowed(reviewActs.read, project));
  return actor && actor.kind !== "nobody" ? watch(project, request.signal, actor.id, about, since) : refused();
}
