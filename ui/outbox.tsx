"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { readKept, keep as write } from "./kept";
import { sentByUs } from "./own-requests";
import { useRefresh } from "./refresh";
import { keepIn, readBox, takeFrom } from "./waiting-store";

export interface Waiting<T> {
  id: string;
  /** Under which it is sent: its own id at first, another after an answer, since that request is over for good. */
  request?: string;
  input: T /** The server has it. */;
  sent: boolean /** What the server answered when it took it. */;
  value?: unknown /** Said by the server when it would not take it. */;
  problem?: string;
}
interface Answer {
  ok: boolean;
  message?: string;
  kind?: string;
  value?: unknown;
  fields?: unknown;
}
export type Send = (input: unknown, envelope: { requestId: string }) => Promise<Answer>;

/** Hears what became of what was added: an answer, or that it waits for the network. */
interface Ear<T> {
  answered?(input: T, answer: Answer): void;
  waits?(input: T): void;
}

/**
 * What was written and is not on the server yet: kept in this browser's database, then sent, and again when the network
 * is back. Nothing is lost by a reload or a closed browser, and nothing arrives twice: each carries an id made here.
 */
export function useOutbox<T extends { id: string }>(
  name: string,
  send: Send,
  ear: Ear<T> = {},
  /** Ids that the page shows from the server already. */
  known: readonly string[] = [],
) {
  const heard = useRef(ear);
  heard.current = ear;
  // A sender that is made anew with every rendering is the same sender.
  const sender = useRef(send);
  sender.current = send;
  const refresh = useRefresh();
  const [items, setItems] = useState<Waiting<T>[]>([]);
  const [offline, setOffline] = useState(false);
  const list = useRef<Waiting<T>[]>([]);
  const busy = useRef(false);
  const show = useCallback((next: Waiting<T>[]) => {
    list.current = next;
    setItems(next);
  }, []);
  /** What became of one of them; the database has it as soon as it can. */
  const change = useCallback(
    (id: string, to: Partial<Waiting<T>>) => {
      show(list.current.map((x) => (x.id === id ? { ...x, ...to } : x)));
      const now = list.current.find((x) => x.id === id);
      if (now) void (now.sent ? takeFrom(name, id) : keepIn(name, now)).catch(() => {});
    },
    [name, show],
  );
  const flush = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    let at: Waiting<T> | undefined;
    const waits = () => {
      setOffline(true);
      if (at) heard.current.waits?.(at.input);
    };
    try {
      for (
        let next = list.current.find((x) => !x.sent && !x.problem);
        next;
        next = list.current.find((x) => !x.sent && !x.problem)
      ) {
        at = next;
        const { id } = at;
        const r = await sender.current(at.input, { requestId: sentByUs(at.request ?? at.id) });
        // It may stand already: it is sent again in a while, under the same id.
        if (r.kind === "unknown") return waits();
        setOffline(false);
        const over = r.ok
          ? { value: r.value, problem: undefined }
          : { problem: r.message, request: crypto.randomUUID() };
        change(id, { sent: r.ok, ...over });
        heard.current.answered?.(at.input, r);
        if (r.ok) refresh();
      }
    } catch {
      waits();
    } finally {
      busy.current = false;
    }
  }, [change, refresh]);
  useEffect(() => {
    let gone = false;
    void readBox<Waiting<T>>(name)
      .catch(() => [])
      .then((kept) => {
        if (gone) return;
        const here = new Set(list.current.map((x) => x.id));
        const before = kept.filter((x) => !here.has(x.id)).map((x) => ({ ...x, problem: undefined }));
        if (!before.length) return;
        show([...before, ...list.current]);
        return flush();
      });
    const again = setInterval(() => {
      if (list.current.some((x) => !x.sent && !x.problem)) void flush();
    }, 4000);
    window.addEventListener("online", flush);
    return () => {
      gone = true;
      clearInterval(again);
      window.removeEventListener("online", flush);
    };
  }, [flush, show, name]);
  const there = new Set(known);
  return {
    waiting: items.filter((x) => !there.has(x.id)),
    offline,
    add: (input: T) => {
      const item: Waiting<T> = { id: input.id, input, sent: false };
      show([...list.current.filter((x) => !(x.sent && there.has(x.id))), item]);
      void keepIn(name, item)
        .catch(() => {})
        .then(flush);
    },
    drop: (id: string) => {
      show(list.current.filter((x) => x.id !== id));
      void takeFrom(name, id).catch(() => {});
    },
    retry: (id: string) => {
      change(id, { problem: undefined });
      void flush();
    },
  };
}

/** A text being typed, kept in this browser until it is sent: a reload does not lose it. */
export function useDraft(name: string): [string, (text: string) => void] {
  const key = `ironstone.draft.${name}`;
  const [text, setText] = useState("");
  useEffect(() => setText(readKept(key) ?? ""), [key]);
  return [
    text,
    (next) => {
      setText(next);
      write(key, next);
    },
  ];
}
