"use client";

import { useRouter } from "next/navigation";
import { type ReactNode, useRef, useState } from "react";
import { sentByUs } from "../own-requests";
import { buttonClass } from "../page";
import { lost, type Send } from "./result";

/** A button that is a whole form: one act, its answer shown in place. Asks once more where something goes. */
export function ActButton<T>({
  action,
  input,
  children,
  look = "plain",
  confirm,
  onDone,
  goTo,
  via,
}: {
  action: Send<T>;
  input: unknown;
  children: ReactNode;
  look?: "plain" | "main" | "quiet" | "danger";
  confirm?: string;
  onDone?: (value: T) => void;
  goTo?: string;
  via?: "guest";
}) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [asked, setAsked] = useState(false);
  const [note, setNote] = useState("");
  const requestId = useRef("");
  async function act() {
    if (busy) return;
    if (confirm && !asked) return setAsked(true);
    setBusy(true);
    setNote("");
    requestId.current ||= sentByUs(crypto.randomUUID());
    try {
      const result = await action(input, { requestId: requestId.current, via });
      requestId.current = "";
      if (!result.ok) return setNote(result.message);
      onDone?.(result.value);
      if (goTo)
        router.push(goTo.replace(/:(\w+)/g, (_, k) => String((result.value as Record<string, unknown>)?.[k] ?? "")));
      router.refresh();
    } catch {
      setNote(lost);
    } finally {
      setBusy(false);
      setAsked(false);
    }
  }
  return (
    <span className="inline-flex flex-wrap items-center gap-2">
      {asked && <span className="text-sm">{confirm}</span>}
      <button type="button" onClick={act} disabled={busy} className={buttonClass(asked ? "danger" : look)}>
        {asked ? "Yes, do it" : children}
      </button>
      {asked && (
        <button type="button" onClick={() => setAsked(false)} className={buttonClass("quiet")}>
          No
        </button>
      )}
      {note && (
        <span role="alert" className="text-sm text-iron">
          {note}
        </span>
      )}
    </span>
  );
}
