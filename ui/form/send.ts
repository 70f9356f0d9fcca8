"use client";

import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { sentByUs } from "../own-requests";
import { type ActionResult, lost, type Send } from "./result";

/**
 * Sending a write and hearing its answer: one at a time, the same request when it is sent again unchanged after no
 * answer came, and the page loaded again when it was taken. `note` is what went wrong, for people.
 * @param action the server action
 * @param words what is said when no answer came
 */
export function useSend<T>(action: Send<T>, words: string = lost) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [note, setNote] = useState("");
  const sending = useRef(false);
  const open = useRef({ id: "", input: "" });

  /** Gives the answer; nothing while another is on its way, or when none came. */
  async function send(input: unknown, how: { via?: "guest"; stay?: boolean } = {}): Promise<ActionResult<T> | null> {
    if (sending.current) return null;
    sending.current = true;
    setBusy(true);
    setNote("");
    const print = JSON.stringify(input);
    if (!open.current.id || open.current.input !== print)
      open.current = { id: sentByUs(crypto.randomUUID()), input: print };
    try {
      const result = await action(input, { requestId: open.current.id, via: how.via });
      open.current = { id: "", input: "" };
      if (!result.ok) setNote(result.message);
      else if (!how.stay) router.refresh();
      return result;
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
