import "server-only";
import { setTimeout as pause } from "node:timers/promises";
import postgres from "postgres";
import { isId } from "@/platform/db/id";
import type { Notice } from "../command/command";

interface Listener {
  tell(notice: Notice): void;
  /** Whether writes are heard of at this moment; when they are heard again, something may have been missed. */
  line(up: boolean): void;
}

interface Hub {
  readonly listeners: Map<string, Set<Listener>>;
  /** How many streams each actor holds open. */
  readonly open: Map<string, number>;
  up: boolean;
  ended: boolean;
  first: Promise<void>;
  close(): Promise<void>;
}

const held = globalThis as unknown as { ironstoneLive?: Hub };

/** Streams that one person or guest may hold open: pages in tabs, not more. */
const mostStreams = 20;

const all = (hub: Hub) => [...hub.listeners.values()].flatMap((s) => [...s]);

/** Listens until the connection is lost. */
async function listenOnce(hub: Hub, heard: () => void): Promise<void> {
  let gone = () => {};
  const closed = new Promise<void>((resolve) => (gone = resolve));
  const sql = postgres(process.env.DATABASE_URL!, {
    max: 1,
    idle_timeout: 0,
    max_lifetime: null,
    connect_timeout: 5,
    onnotice: () => {},
    onclose: () => gone(),
    onnotify: (_: string, payload: string) => {
      const notice = JSON.parse(payload) as Notice;
      for (const l of hub.listeners.get(notice.project) ?? []) l.tell(notice);
    },
  } as postgres.Options<Record<string, never>>);
  hub.close = async () => {
    hub.ended = true;
    await sql.end({ timeout: 0 });
  };
  // A database that is there and does not answer is not heard of either.
  let beat: NodeJS.Timeout | undefined;
  try {
    await sql`LISTEN ironstone`;
    hub.up = true;
    heard();
    for (const l of all(hub)) l.line(true);
    beat = setInterval(() => {
      const late = setTimeout(gone, 5000);
      sql`SELECT 1`.then(() => clearTimeout(late), gone);
    }, 15_000);
    beat.unref();
    await closed;
  } finally {
    clearInterval(beat);
    await sql.end({ timeout: 0 });
  }
}

async function keepListening(hub: Hub, heard: () => void): Promise<void> {
  while (!hub.ended) {
    await listenOnce(hub, heard).catch(() => {});
    // Also when it did not succeed: whoever waits is told that nothing is heard.
    heard();
    if (hub.ended) return;
    if (hub.up) {
      hub.up = false;
      for (const l of all(hub)) l.line(false);
    }
    await pause(500, undefined, { ref: false });
  }
}

/**
 * One LISTEN a process, taken up again whenever it is lost, and fanned out to everybody who watches a project; several
 * processes on one database stay in step.
 */
function hubOf(): Hub {
  if (!held.ironstoneLive) {
    const hub: Hub = {
      listeners: new Map(),
      open: new Map(),
      up: false,
      ended: false,
      first: Promise.resolve(),
      close: async () => {},
    };
    hub.first = new Promise((resolve) => void keepListening(hub, resolve));
    held.ironstoneLive = hub;
  }
  return held.ironstoneLive;
}

/** Ends the LISTEN of this process, for tests. */
export async function closeLive(): Promise<void> {
  const hub = held.ironstoneLive;
  held.ironstoneLive = undefined;
  if (hub) hub.ended = true;
  await hub?.close();
}

/**
 * A stream of server-sent events: one `change` for every write to the project that is about one of the named kinds of
 * things (any, where none is named), `lost` when writes are not heard of for the moment, `again` when they are, and a
 * comment now and then to keep it open.
 */
export async function watch(
  project: string,
  signal: AbortSignal,
  who: string,
  about: readonly string[] = [],
): Promise<Response> {
  const hub = hubOf();
  if (!isId(project) || (hub.open.get(who) ?? 0) >= mostStreams)
    return new Response("Too many pages are open at once. Close some.", { status: 429 });
  hub.open.set(who, (hub.open.get(who) ?? 0) + 1);
  const text = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      let over = false;
      const send = (chunk: string) => {
        try {
          controller.enqueue(text.encode(chunk));
        } catch {
          stop();
        }
      };
      const mine: Listener = {
        tell(n) {
          if (about.length && !about.includes(n.about)) return;
          send(`event: change\ndata: ${JSON.stringify({ about: n.about, request: n.request })}\n\n`);
        },
        line: (up) => send(`event: ${up ? "again" : "lost"}\ndata: {}\n\n`),
      };
      const beat = setInterval(() => send(": still here\n\n"), 20_000);
      const stop = () => {
        if (over) return;
        over = true;
        clearInterval(beat);
        hub.listeners.get(project)?.delete(mine);
        hub.open.set(who, Math.max(0, (hub.open.get(who) ?? 1) - 1));
        try {
          controller.close();
        } catch {
          // closed by the other side already
        }
      };
      if (!hub.listeners.has(project)) hub.listeners.set(project, new Set());
      hub.listeners.get(project)!.add(mine);
      signal.addEventListener("abort", stop);
      if (signal.aborted) return stop();
      send("retry: 2000\n");
      void hub.first.then(() => {
        if (!over) send(`event: ready\ndata: {}\n\n${hub.up ? "" : "event: lost\ndata: {}\n\n"}`);
      });
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
