"use client";

import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { parseQuantity } from "@/core/quantity/quantity";
import type { EnteredState } from "@/core/vocabulary/runs";
import { sentByUs } from "@/ui/own-requests";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { scoreAttemptAction } from "../actions";

/** Scores the next attempt of one entry: large targets, one press; what waits is kept until it is saved. */
export function ScoreEntry({
  entryId,
  team,
  attempt,
  of,
  readings,
  via,
  large,
}: {
  entryId: string;
  team: string;
  attempt: number;
  of: number;
  readings: { key: string; name: string; unit: string }[];
  via?: "guest";
  large?: boolean;
}) {
  const router = useRouter();
  const [values, setValues] = useState<Record<string, string>>({});
  const [note, setNote] = useState<{ bad: boolean; text: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const runId = useRef("");
  const ready = useReady();
  async function send(state: EnteredState) {
    if (busy) return;
    if (state === "valid")
      for (const r of readings) {
        const parsed = parseQuantity(values[r.key] ?? "", r.unit);
        if (!parsed.ok) return setNote({ bad: true, text: `${r.name}: ${parsed.message}` });
      }
    setBusy(true);
    setNote(null);
    runId.current ||= sentByUs(crypto.randomUUID());
    try {
      const id = runId.current;
      const r = await scoreAttemptAction({ id, entryId, state, readings: values }, { via, requestId: id });
      if (!r.ok) return setNote({ bad: true, text: r.message });
      runId.current = "";
      setValues({});
      setNote({ bad: false, text: `${team}: attempt ${r.value.attempt} is saved.` });
      router.refresh();
    } catch {
      setNote({ bad: true, text: "No connection. This attempt waits here; send it again." });
    } finally {
      setBusy(false);
    }
  }
  const size = large ? "min-h-13 px-5 text-[16px]" : "";
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void send("valid");
      }}
      className="grid gap-2"
      aria-label={`Attempt ${attempt} of ${team}`}
    >
      <div className="flex flex-wrap items-end gap-2.5">
        {readings.map((r) => (
          <label key={r.key} className="grid gap-0.5 text-sm">
            <span>{r.name}</span>
            <span className="flex items-center gap-1">
              <input
                disabled={!ready}
                className={`input text-right ${large ? "min-h-13 w-40 text-[22px]" : "w-24"}`}
                inputMode="decimal"
                autoComplete="off"
                value={values[r.key] ?? ""}
                onChange={(e) => {
                  setValues({ ...values, [r.key]: e.target.value });
                  setNote(null);
                }}
              />
              <span className="text-soft">{r.unit}</span>
            </span>
          </label>
        ))}
        <button type="submit" disabled={busy} className={`${buttonClass("main")} ${size}`}>
          {busy ? "Saving…" : `Save attempt ${attempt} of ${of}`}
        </button>
        <button type="button" disabled={busy} className={`${buttonClass()} ${size}`} onClick={() => send("foul")}>
          Foul
        </button>
        <button type="button" disabled={busy} className={`${buttonClass()} ${size}`} onClick={() => send("no_finish")}>
          No finish
        </button>
      </div>
      <p role="status" className={note?.bad ? "text-sm text-iron" : "text-sm text-moss"}>
        {note?.text}
      </p>
    </form>
  );
}
