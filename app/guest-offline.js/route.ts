import { readFile } from "node:fs/promises";
import { join } from "node:path";

/** The worker that keeps guests' pages for use without a network: made with the application, asked for each time. */
export async function GET(): Promise<Response> {
  const script = await readFile(join(process.cwd(), ".next", "offline.js"), "utf8").catch(() => null);
  if (script === null) return new Response("It is made when the application is built.", { status: 404 });
  return new Response(script, {
    headers: { "content-type": "text/javascript; charset=utf-8", "cache-control": "no-cache" },
  });
}
