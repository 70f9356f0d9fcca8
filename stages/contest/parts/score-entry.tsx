"use client";

import { useState } from "react";
import { type Kind, levelsOf, parseReading } from "@/core/run/reading";
import type { EnteredState } from "@/core/vocabulary/runs";
import { attemptWords, useAttempts } from "@/ui/attempts";
import { LevelKeys } from "@/ui/level-keys";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { Waiting } from "@/ui/waiting";
import { scoreAttemptAction } from "../actions";

interface Sent {
  id: string;
  entryId: string;
  state: EnteredState;
  readings: Record<string, string>;
  sure: boolean;
}

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
  readings: (Kind & { key: string; name: string; unit: string })[];
  via?: "guest";
  large?: boolean;
}) {
  const [values, setValues] = useState<Record<string, string>>({});
  const [note, setNote] = useState<{ bad: boolean; text: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const ready = useReady();
  const over = (text: string, bad: boolean, keep: boolean) => {
    setBusy(false);
    setNote({ bad, text });
    if (!keep) setValues({});
  };
  const box = useAttempts<Sent>(
    `score.${entryId}`,
    (input, envelope) => scoreAttemptAction(input, { ...envelope, via }),
    {
      saved(_, n, own) {
        const text = `${team}: attempt ${n} is saved.`;
        if (own) over(text, false, false);
        else setNote({ bad: false, text });
      },
      refused: (_, words) => over(words, true, true),
      waits: () => over("No connection: this attempt waits and is sent by itself.", true, false),
    },
  );
  function send(state: EnteredState) {
    // The second press of a double click comes when the attempt is saved already.
    const empty = readings.every((r) => !values[r.key]?.trim());
    if (busy || (state === "valid" && empty && note && !note.bad)) return;
    if (state === "valid")
      for (const r of readings) {
        const parsed = parseReading(r, values[r.key] ?? "");
        if (!parsed.ok) return setNote({ bad: true, text: `${r.name}: ${parsed.message}` });
      }
    setBusy(true);
    setNote(null);
    box.add({ entryId, state, readings: values });
  }
  const size = large ? "min-h-13 px-5 text-[16px]" : "";
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        send("valid");
      }}
      className="grid gap-2"
      aria-label={`Attempt ${attempt} of ${team}`}
    >
      <div className="flex flex-wrap items-end gap-2.5">
        {readings.map((r) => {
          const levels = levelsOf(r);
          const enter = (text: string) => {
            setValues({ ...values, [r.key]: text });
            setNote(null);
          };
          return (
            <div key={r.key}>
              <label className="grid gap-0.5 text-sm">
                <span>{r.name}</span>
                <span className="flex items-center gap-1">
                  <input
                    disabled={!ready}
                    className={`input text-right ${large ? "min-h-13 w-40 text-[22px]" : "w-24"}`}
                    inputMode={levels ? "text" : "decimal"}
                    autoComplete="off"
                    value={values[r.key] ?? ""}
                    onChange={(e) => enter(e.target.value)}
                  />
                  {r.unit !== "1" && <span className="text-soft">{r.unit}</span>}
                </span>
              </label>
              {levels && (
                <LevelKeys
                  levels={levels}
                  chosen={values[r.key] ?? ""}
                  disabled={!ready}
                  large={large}
                  onPick={enter}
                />
              )}
            </div>
          );
        })}
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
      <Waiting items={box.waiting} words={(x) => attemptWords(readings, x)} onRetry={box.retry} onDrop={box.drop} />
    </form>
  );
}
