"use client";

import { useEffect, useRef, useState } from "react";
import type { Boxed } from "@/core/vocabulary/boxed";
import { sendBoxed } from "./boxed";
import type { ActionResult, Send } from "./form/result";
import { keep, keptObject } from "./kept";
import { useOutbox } from "./outbox";

interface Handed {
  id: string;
  input: Record<string, unknown>;
}

export const sheetWaits = "No connection: the sheet waits in this browser and is handed in by itself.";

/**
 * A sheet on its way to the server, through the outbox: kept through a lost network and a reload, handed in once.
 * @param name whose sheet of what
 * @param what what it is to the server
 * @param arrived told when a sheet that had waited was taken, with what it held
 * @returns `send`, to be used in the place of the action: it answers at once, with what the server said or that the
 *   sheet waits; and what waits, to be shown
 */
export function useSheetBox<T>(
  name: string,
  what: Boxed,
  arrived: (input: Record<string, unknown>) => void,
  via?: "guest",
) {
  const open = useRef<{ id: string; done(answer: ActionResult<T>): void } | null>(null);
  // What is on its way is not shown as waiting.
  const [onItsWay, setOnItsWay] = useState<string | null>(null);
  const settle = (answer: ActionResult<T>) => {
    open.current?.done(answer);
    open.current = null;
    setOnItsWay(null);
  };
  const box = useOutbox<Handed>(
    `sheet.${name}`,
    (x, envelope) => sendBoxed<T>(what)((x as Handed).input, { ...envelope, via }),
    {
      answered(x, answer) {
        if (open.current?.id !== x.id) {
          if (answer.ok) arrived(x.input);
          return;
        }
        // What was refused is still in the form, with the reason beside it.
        if (!answer.ok) box.drop(x.id);
        settle(answer as ActionResult<T>);
      },
      waits: () => settle({ ok: false, kind: "waits", message: sheetWaits }),
    },
  );
  const send: Send<T> = (input, { requestId }) =>
    new Promise((done) => {
      open.current = { id: requestId, done };
      setOnItsWay(requestId);
      // A sheet that was refused is replaced by the one that is handed in after it.
      for (const x of box.waiting) if (x.problem) box.drop(x.id);
      // Each sheet ahead of it makes one more version.
      const { version } = input as { version?: number };
      const ahead = box.waiting.filter((x) => !x.sent && !x.problem).length;
      const counted = version === undefined ? {} : { version: version + ahead };
      box.add({ id: requestId, input: { ...(input as object), ...counted } });
    });
  return { ...box, send, waiting: box.waiting.filter((x) => x.id !== onItsWay) };
}

/** What stands in a sheet that is being filled in, kept in this browser until it is handed in. */
export function useSheetDraft<T extends object>(name: string, put: (draft: T) => void) {
  const key = `ironstone.draft.sheet.${name}`;
  const restore = useRef(put);
  restore.current = put;
  useEffect(() => {
    const kept = keptObject<T>(key);
    if (kept) restore.current(kept);
  }, [key]);
  return (draft: T | null) => keep(key, draft && JSON.stringify(draft));
}
