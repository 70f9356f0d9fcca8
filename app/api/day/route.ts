import { fromOurPages } from "@/platform/pages/route";
import { isWritten, writeOfTheDay } from "@/stages/contest/day";

/**
 * What a device wrote on the day of a contest. It has an address of its own, so that a page which was opened long ago,
 * without a network since, can still send what it kept. Only from our own pages.
 */
export async function POST(request: Request): Promise<Response> {
  const type = request.headers.get("content-type") ?? "";
  if (!fromOurPages(request) || !type.startsWith("application/json"))
    return new Response("Only from a page of this application.", { status: 403 });
  const sent: unknown = await request.json().catch(() => null);
  if (!isWritten(sent)) return new Response("This is no attempt, match, inspection or sheet.", { status: 400 });
  return Response.json(await writeOfTheDay(sent), { headers: { "cache-control": "no-store" } });
}
