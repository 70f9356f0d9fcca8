import { outcomeOf } from "@/platform/command/outcome";
import { isId } from "@/platform/db/id";
import { fromOurPages, refused } from "@/platform/pages/route";
import { currentGuest, currentPerson } from "@/platform/sign-in/cookies";

/**
 * Whether a request whose answer was lost was done; one that was not is given up for good. Only who sent it is told,
 * and only from our own pages.
 */
export async function POST(request: Request): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const id = query.get("request") ?? "";
  const actor = query.get("via") === "guest" ? await currentGuest() : await currentPerson();
  if (actor.kind === "nobody" || !isId(id) || !fromOurPages(request)) return refused();
  return Response.json({ outcome: await outcomeOf(id, actor.id) });
}
