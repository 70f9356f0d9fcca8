import "server-only";
import { db } from "@/platform/db/db";
import type { Notice } from "../command/command";

type Listener = (notice: Notice) => void;

const held = globalThis as unknown as {
  ironstoneLive?: { listeners: Map<string, Set<Listener>>; ready: Promise<unknown> };
};

/**
 * One LISTEN a process, fanned out to everybody who watches a project; several processes on one database stay in step.
 */
function hub() {
  if (!held.ironstoneLive) {
    const listeners = new Map<string, Set<Listener>>();
    const ready = db().listen("ironstone", (payload) => {
      const notice = JSON.parse(payload) as Notice;
      for (const tell of listeners.get(notice.project) ?? []) tell(notice);
    });
    held.ironstoneLive = { listeners, ready };
  }
  return held.ironstoneLive;
}

/**
 * A stream of server-sent events: one `change` for every write to the project that is about one of the named kinds of
 * things (any, where none is named), and a comment now and then to keep it open.
 */
export async function watch(project: string, signal: AbortSignal, about: readonly string[] = []): Promise<Response> {
  const { listeners, ready } = hub();
  await ready;
  const text = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (chunk: string) => {
        try {
          controller.enqueue(text.encode(chunk));
        } catch {
          stop();
        }
      };
      const tell: Listener = (n) => {
        if (about.length && !about.includes(n.about)) return;
        send(`event: change
data: ${JSON.stringify({ about: n.about, request: n.request })}

`);
      };
      const beat = setInterval(() => send(": still here\n\n"), 20_000);
      const stop = () => {
        clearInterval(beat);
        listeners.get(project)?.delete(tell);
        try {
          controller.close();
        } catch {
          // closed by the other side already
        }
      };
      if (!listeners.has(project)) listeners.set(project, new Set());
      listeners.get(project)!.add(tell);
      signal.addEventListener("abort", stop);
      send("retry: 2000\nevent: ready\ndata: {}\n\n");
    },
  });
  return new Response(stream, {
    headers: {
      "content-type": "text/event-stream",
      "cache-control": "no-cache, no-transform",
      "x-accel-buffering": "no",
    },
  });
}
