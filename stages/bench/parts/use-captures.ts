"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { addBlocksAction, openSeriesAction, withdrawSeriesAction } from "../actions";
import { sendCapture } from "../capture/send";
import { type Capture, dropCapture, keptCaptures, lockOf, openStore, type Store } from "../capture/store";

/** A capture that this browser keeps. */
export interface KeptCapture {
  readonly capture: Capture;
  /** Nothing is added to it any more: it only waits to be sent. */
  readonly ended: boolean;
  /** A page of this browser listens to its instrument now. */
  readonly heard: boolean;
  /** Why the server takes nothing of it. */
  readonly refused: string;
}

const acts = { open: openSeriesAction as never, add: addBlocksAction as never };

/**
 * The captures that this browser keeps, sent to the server as they fill: at once, and again while they wait.
 * @param onThere an ended capture arrived whole, as these series
 */
export function useCaptures(onThere: (capture: Capture, series: readonly string[]) => void = () => {}) {
  const store = useRef<Promise<Store> | null>(null);
  const there = useRef(onThere);
  there.current = onThere;
  const busy = useRef(false);
  const [kept, setKept] = useState<KeptCapture[]>([]);
  const [offline, setOffline] = useState(false);
  const [closed, setClosed] = useState("");
  const open = useCallback(() => {
    store.current ??= openStore();
    return store.current;
  }, []);
  const look = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    try {
      const db = await open();
      const held = new Set((await navigator.locks.query()).held?.map((l) => l.name));
      const next: KeptCapture[] = [];
      let out = false;
      for (const { capture, state } of await keptCaptures(db)) {
        const { ended } = state;
        const sent = await sendCapture(db, { capture, ended }, acts).catch(() => {
          out = true;
          return "waits" as const;
        });
        const refused = typeof sent === "object" && "refused" in sent ? sent.refused : "";
        if (ended && typeof sent === "object" && "there" in sent) there.current(capture, sent.there);
        else next.push({ capture, ended, heard: held.has(lockOf(capture.id)), refused });
      }
      setOffline(out);
      setKept((before) => (JSON.stringify(before) === JSON.stringify(next) ? before : next));
    } catch (error) {
      setClosed(`This browser keeps no samples (${(error as Error).message}).`);
    } finally {
      busy.current = false;
    }
  }, [open]);
  useEffect(() => {
    void look();
    const again = setInterval(look, 2000);
    window.addEventListener("online", look);
    return () => {
      clearInterval(again);
      window.removeEventListener("online", look);
    };
  }, [look]);
  return {
    kept,
    offline,
    /** Why captures cannot be kept here. */
    closed,
    open,
    look,
    /** Forgets a capture, here and what arrived of it. */
    async drop(capture: Capture) {
      const db = await open();
      for (const { key, seriesId } of capture.readings)
        if (await db.get("sent", [capture.id, key]))
          await withdrawSeriesAction({ id: seriesId } as never, { requestId: crypto.randomUUID() });
      await dropCapture(db, capture);
      await look();
    },
  };
}
