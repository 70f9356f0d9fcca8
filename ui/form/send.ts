"use client";

import { useRef, useState } from "react";
import { sentByUs } from "../own-requests";
import { useRefresh } from "../refresh";
import { type ActionResult, lost, type Send } from "./result";

const stands =
  "What you sent before the connection was lost has been saved: it is on the page now. Look at it, then change it " +
  "there; what you typed since was not sent.";

/** What became of a request that got no answer; a request that was not done is given up for good. */
async function outcomeOf(request: string, via?: "guest"): Promise<"saved" | "not saved" | "unknown"> {
  try {
    const r = await fetch(`/api/outcome?request=${request}${via ? `&via=${via}` : ""}`, { method: "POST" });
    return r.ok ? ((await r.json()) as { outcome: "saved" | "not saved" | "unknown" }).outcome : "unknown";
  } catch {
    return "unknown";
  }
}

/**
 * Sending a write and hearing its answer: one at a time, the same request until it is known what became of it, and the
 * page loaded again when it was taken. `note` is what went wrong, for people.
 * @param action the server action
 * @param words what is said when no answer came
 */
export function useSend<T>(action: Send<T>, words: string = lost) {
  const refresh = useRefresh();
  const [busy, setBusy] = useState(false);
  const [note, setNote] = useState("");
  const sending = useRef(false);
  /** The request whose outcome is not known. */
  const open = useRef({ id: "", input: "" });

  async function post(input: unknown, how: { via?: "guest"; stay?: boolean }): Promise<ActionResult<T> | null> {
    const print = JSON.stringify(input);
    if (open.current.id && open.current.input !== print) {
      const outcome = await outcomeOf(open.current.id, how.via);
      if (outcome === "unknown") {
        setNote(words);
        return null;
      }
      open.current = { id: "", input: "" };
      if (outcome === "saved") {
        setNote(stands);
        refresh();
        return null;
      }
    }
    if (!open.current.id) open.current = { id: sentByUs(crypto.randomUUID()), input: print };
    const result = await action(input, { requestId: open.current.id, via: how.via });
    if (result.ok || result.kind !== "unknown") open.current = { id: "", input: "" };
    if (!result.ok) setNote(result.message);
    else if (!how.stay) refresh();
    return result;
  }

  /** Gives the answer; nothing while another is on its way, or when none came. */
  async function send(input: unknown, how: { via?: "guest"; stay?: boolean } = {}): Promise<ActionResult<T> | null> {
    if (sending.current) return null;
    sending.current = true;
    setBusy(true);
    setNote("");
    try {
      return await post(input, how);
    } catch {
      setNote(words);
      return null;
    } finally {
      sending.current = false;
      setBusy(false);
    }
  }
  return { send, busy, note, setNote };
}
