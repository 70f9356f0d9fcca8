import "server-only";
import { hear, stream } from "@/platform/live/live";
import { boardSource } from "./queries/boards";
import { boardChange } from "./view/board-change";
import { type BoardSource, type BoardState, boardState } from "./view/board-face";

/** What a screen asks to see. */
export interface Asked {
  readonly board?: string;
  readonly event?: string;
}

/** One way of asking: what it shows, made into bytes once for all, and to whom it is sent. */
interface View {
  readonly asked: Asked;
  last: BoardState | null;
  text: string;
  /** The whole state, for a screen that comes now; made when the first one does. */
  whole: Uint8Array<ArrayBuffer> | null;
  readonly to: Set<(bytes: Uint8Array<ArrayBuffer>) => void>;
}

/** The screens of one project in this process: what they show is computed once a change, not once a screen. */
interface Caster {
  /** By what was asked for. */
  readonly views: Map<string, View>;
  source: BoardSource | null;
  /** Whether the source is as of the last notice. */
  fresh: boolean;
  /** The reading that is under way. */
  reading: Promise<void> | null;
  readonly end: () => void;
}

const held = globalThis as unknown as { ironstoneBoards?: Map<string, Caster> };
const casters = () => (held.ironstoneBoards ??= new Map());

const about = ["contest", "team", "build", "project"];

/** Reads what the boards show, again for as long as something has changed meanwhile, and sends what is new. */
async function renew(project: string, caster: Caster): Promise<void> {
  while (!caster.fresh) {
    caster.fresh = true;
    try {
      caster.source = await boardSource(project);
    } catch {
      // Not now: it is asked again in a moment.
      caster.fresh = false;
      return;
    }
    if (caster.source) for (const view of caster.views.values()) cast(caster.source, view);
  }
}

const utf8 = new TextEncoder();

const bytesOf = (event: string, text: string) => utf8.encode(`event: ${event}\ndata: ${text}\n\n`);
const whole = (view: View) => (view.whole ??= bytesOf("board", view.text));

/** Sends what is new: what has changed to those that have the state before, all of it where most is new. */
function cast(source: BoardSource, view: View): void {
  const state = boardState(source, view.asked);
  const text = JSON.stringify(state);
  if (text === view.text) return;
  const change = boardChange(view.last, state);
  const less = change && JSON.stringify(change);
  view.last = state;
  view.text = text;
  view.whole = null;
  const bytes = less && less.length < text.length ? bytesOf("change", less) : whole(view);
  for (const send of view.to) send(bytes);
}

function changed(project: string, caster: Caster): void {
  caster.fresh = false;
  caster.reading ??= renew(project, caster).finally(() => {
    caster.reading = null;
    if (!caster.fresh) setTimeout(() => caster.views.size > 0 && changed(project, caster), 1000).unref();
  });
}

function casterOf(project: string): Caster {
  const known = casters().get(project);
  if (known) return known;
  const caster: Caster = {
    views: new Map(),
    source: null,
    fresh: false,
    reading: null,
    end: hear(project, {
      tell: (n) => {
        if (about.includes(n.about)) changed(project, caster);
      },
      line: (up) => {
        if (up) changed(project, caster);
      },
    }),
  };
  casters().set(project, caster);
  return caster;
}

/**
 * A board's stream: what it shows now, and again whenever that changes; `lost` and `again` as any stream of a project.
 */
export function boardStream(project: string, asked: Asked, signal: AbortSignal, who: string): Response {
  return stream({ project, signal, who, most: 2000 }, (send) => {
    const caster = casterOf(project);
    const key = JSON.stringify([asked.board ?? "", asked.event ?? ""]);
    const view = caster.views.get(key) ?? { asked, last: null, text: "", whole: null, to: new Set() };
    caster.views.set(key, view);
    // Who comes has the state as it was last sent, from which changes go on.
    if (view.text) send(whole(view));
    view.to.add(send);
    if (!caster.fresh) changed(project, caster);
    else if (!view.text && caster.source) cast(caster.source, view);
    return () => {
      view.to.delete(send);
      if (view.to.size === 0) caster.views.delete(key);
      if (caster.views.size > 0) return;
      caster.end();
      casters().delete(project);
    };
  });
}
