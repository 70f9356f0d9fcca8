import { type Envelope, perform } from "@/platform/command/perform";
import type { Result } from "@/platform/command/result";
import { fromOurPages } from "@/platform/pages/route";
import { boxedCommand } from "@/stages/boxed";

interface Sent extends Envelope {
  readonly what?: unknown;
  readonly input?: unknown;
}

const said = (result: Result<unknown>) => Response.json(result, { headers: { "cache-control": "no-store" } });

/** So many characters are more than anything that a box holds. */
const MOST = 2_000_000;

/**
 * What a page kept in its box until there was a network. It has an address of its own, so that a page which was opened
 * long ago, without a network since, can still send what it kept. Only from our own pages.
 */
export async function POST(request: Request): Promise<Response> {
  const type = request.headers.get("content-type") ?? "";
  if (!fromOurPages(request) || !type.startsWith("application/json"))
    return new Response("Only from a page of this application.", { status: 403 });
  const text = await request.text();
  // A refusal, and no failure: what fails is sent again.
  if (text.length > MOST) return said({ ok: false, kind: "refused", message: "This is too much to be sent at once." });
  let sent: Sent | null = null;
  try {
    sent = JSON.parse(text) as Sent | null;
  } catch {}
  const command = boxedCommand(sent?.what);
  if (!sent || !command) return new Response("This is nothing that a box holds.", { status: 400 });
  const { requestId, via } = sent;
  return said(await perform(command, sent.input, { requestId, via }));
}
