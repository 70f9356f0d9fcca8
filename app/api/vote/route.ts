import { fromOurPages } from "@/platform/pages/route";
import { clientAddress, thisDevice } from "@/platform/sign-in/cookies";
import { crowd, knockAt } from "@/platform/sign-in/guess";
import { castVote } from "@/stages/contest/commands/vote";
import { voteSent } from "@/stages/contest/schema";

const says = (status: number, message: string) =>
  Response.json({ ok: false, message }, { status, headers: { "cache-control": "no-store" } });

/** A vote for the favourite of the crowd: from anybody with the address, one a device, only from our own page. */
export async function POST(request: Request): Promise<Response> {
  const type = request.headers.get("content-type") ?? "";
  if (!fromOurPages(request) || !type.startsWith("application/json"))
    return says(403, "Only from a page of this application.");
  const sent: unknown = await request.json().catch(() => null);
  if (!voteSent.isValidSync(sent, { strict: true })) return says(400, "This is no vote.");
  const wait = await knockAt(crowd(await clientAddress()));
  if (wait > 0) return says(429, `Very many votes come from here. Press again in ${wait} s.`);
  const team = await castVote(sent.code, sent.team, await thisDevice());
  if (!team) return says(409, "The vote is closed. Thank you for coming.");
  return Response.json({ ok: true, team }, { headers: { "cache-control": "no-store" } });
}
