import { type Envelope, perform } from "@/platform/command/perform";
import { fromOurPages } from "@/platform/pages/route";
import { boxedCommand } from "@/stages/boxed";

interface Sent extends Envelope {
  readonly what?: unknown;
  readonly input?: unknown;
}

/**
 * What a page kept in its box until there was a network. It has an address of its own, so that a page which was opened
 * long ago, without a network since, can still send what it kept. Only from our own pages.
 */
export async function POST(request: Request): Promise<Response> {
  const type = request.headers.get("content-type") ?? "";
  if (!fromOurPages(request) || !type.startsWith("application/json"))
    return new Response("Only from a page of this application.", { status: 403 });
  const sent = (await request.json().catch(() => null)) as Sent | null;
  const command = boxedCommand(sent?.what);
  if (!sent || !command) return new Response("This is nothing that a box holds.", { status: 400 });
  const { requestId, via } = sent;
  return Response.json(await perform(command, sent.input, { requestId, via }), {
    headers: { "cache-control": "no-store" },
  });
}
