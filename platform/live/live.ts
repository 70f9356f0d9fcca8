import "server-only";
import { setTimeout as pause } from "node:timers/promises";
import postgres from "postgres";
import { db } from "@/platform/db/db";
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
  /** The last notices of each project, in order and without a gap, for as long as the line stands. */
  readonly recent: Map<string, Notice[]>;
  up: boolean;
  ended: boolean;
  first: Promise<void>;
  close(): Promise<void>;
}

const held = globalThis as unknown as { ironstoneLive?: Hub };

/** How many notices of a project are remembered. */
const mostRecent = 200;

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
      hub.recent.set(notice.project, [...(hub.recent.get(notice.project) ?? []).slice(1 - mostRecent), notice]);
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
    // What was sent while nobody listened is not known of.
    hub.recent.clear();
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
      recent: new Map(),
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

/** How many notices the project has sent so far. */
async function sentSoFar(project: string): Promise<number> {
  const [row] = await db()<{ number: number }[]>`SELECT number FROM notice_count WHERE project_id = ${project}`;
  return row?.number ?? 0;
}

/** Whether a page that knows of the first `since` notices, of `now`, may have missed one that it shows. */
export function mayHaveMissed(
  recent: readonly Pick<Notice, "number" | "about">[],
  { since, now, about }: { since: number; now: number; about: readonly string[] },
): boolean {
  if (now < since) return true;
  const missed = recent.filter((n) => n.number > since && n.number <= now);
  // Not all of them are remembered: then one of them may have been about it.
  if (missed.length < now - since) return true;
  return missed.some((n) => about.length === 0 || about.includes(n.about));
}

/** Hears every notice of a project, and when the line is lost and there again; gives the way to stop. */
export function hear(project: string, listener: Listener): () => void {
  const hub = hubOf();
  if (!hub.listeners.has(project)) hub.listeners.set(project, new Set());
  hub.listeners.get(project)!.add(listener);
  return () => hub.listeners.get(project)?.delete(listener);
}

/** Who reads a stream, of which project, and how many of them one reader may hold open. */
interface Reader {
  readonly project: string;
  readonly signal: AbortSignal;
  readonly who: string;
  readonly most?: number;
}

/**
 * A stream of server-sent events that is open until its reader leaves, with a comment now and then to keep it so, and
 * `lost` and `again` as the line to the database is. `begin` is given the way to send and gives what is done at the
 * end.
 */
export function stream(
  { project, signal, who, most = mostStreams }: Reader,
  begin: (send: (chunk: string | Uint8Array<ArrayBuffer>) => void, isOver: () => boolean) => () => void,
): Response {
  const hub = hubOf();
  if (!isId(project) || (hub.open.get(who) ?? 0) >= most)
    return new Response("Too many pages are open at once. Close some.", { status: 429 });
  hub.open.set(who, (hub.open.get(who) ?? 0) + 1);
  const text = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      let over = false;
      const send = (chunk: string | Uint8Array<ArrayBuffer>) => {
        if (over) return;
        try {
          controller.enqueue(typeof chunk === "string" ? text.encode(chunk) : chunk);
        } catch {
          stop();
        }
      };
      const still = hear(project, {
        tell() {},
        line: (up) => send(`event: ${up ? "again" : "lost"}\ndata: {}\n\n`),
      });
      const beat = setInterval(() => send(": still here\n\n"), 20_000);
      let end = () => {};
      const stop = () => {
        if (over) return;
        over = true;
        clearInterval(beat);
        still();
        end();
        hub.open.set(who, Math.max(0, (hub.open.get(who) ?? 1) - 1));
        try {
          controller.close();
        } catch {
          // closed by the other side already
        }
      };
      signal.addEventListener("abort", stop);
      if (signal.aborted) return stop();
      send("retry: 2000\n");
      end = begin(send, () => over);
      if (over) return end();
      void hub.first.then(() => hub.up || send("event: lost\ndata: {}\n\n"));
    },
  });
  return new Response(body, {
    headers: {
      "content-type": "text/event-stream",
      "cache-control": "no-cache, no-transform",
      "x-accel-buffering": "no",
    },
  });
}

/**
 * A stream of server-sent events: one `change` for every write to the project that is about one of the named kinds of
 * things (any, where none is named). Every event has the number of the last notice as its id; who asks from a number on
 * is told at once when something has been written since.
 */
export async function watch(
  project: string,
  signal: AbortSignal,
  who: string,
  about: readonly string[] = [],
  since: number | null = null,
): Promise<Response> {
  return stream({ project, signal, who }, (send, isOver) => {
    const hub = hubOf();
    const tell = ({ about: what, request, number }: Omit<Notice, "project">) => {
      if (!about.length || about.includes(what))
        send(`id: ${number}\nevent: change\ndata: ${JSON.stringify({ about: what, request, number })}\n\n`);
    };
    const end = hear(project, { tell, line() {} });
    const begin = async () => {
      await hub.first;
      const now = await sentSoFar(project).catch(() => null);
      if (isOver()) return;
      if (now !== null && since !== null && mayHaveMissed(hub.recent.get(project) ?? [], { since, now, about }))
        tell({ about: about[0] ?? "", request: null, number: now });
      send(`${now === null ? "" : `id: ${now}\n`}event: ready\ndata: ${JSON.stringify({ number: now })}\n\n`);
    };
    void begin();
    return end;
  });
}
