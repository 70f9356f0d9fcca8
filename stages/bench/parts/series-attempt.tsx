"use client";

import { useState } from "react";
import type { Condition, Measure } from "@/core/run/protocol";
import { headed } from "@/core/run/reading";
import type { EnteredState } from "@/core/vocabulary/runs";
import { attemptWords, useAttempts } from "@/ui/attempts";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { Waiting } from "@/ui/waiting";
import { inUnit, look } from "../view/reading";
import { ConditionFields } from "./condition-fields";

interface Sent {
  id: string;
  buildId: string;
  protocolVersionId: string;
  state: EnteredState;
  readings: Record<string, string>;
  conditions: Record<string, string>;
  seriesIds: readonly string[];
  pilot: boolean;
  sure: boolean;
}

/** An attempt whose readings are taken from series; what the instrument does not give is typed. */
export function SeriesAttempt({
  seriesIds,
  buildId,
  protocolVersionId,
  measures,
  conditions,
  words,
  pilot,
}: {
  seriesIds: readonly string[];
  buildId: string;
  protocolVersionId: string;
  /** The readings that are typed. */
  measures: readonly Measure[];
  conditions: readonly Condition[];
  /** What is taken, in words. */
  words: string;
  /** It comes from a simulated instrument: it is kept as a pilot run. */
  pilot: boolean;
}) {
  const ready = useReady();
  const [readings, setReadings] = useState<Record<string, string>>({});
  const [settings, setSettings] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  const [note, setNote] = useState("");
  const over = (words: string) => {
    setBusy(false);
    setNote(words);
  };
  const box = useAttempts<Sent>(`series.${seriesIds[0]}`, {
    saved: () => over(""),
    refused: (_, words) => over(words),
    waits: () => over("No connection: this attempt waits and is sent by itself."),
  });
  function save() {
    for (const m of measures) {
      const typed = readings[m.key]?.trim() ?? "";
      const seen = look(m, typed);
      if (!typed || seen?.bad) return setNote(seen?.text ?? `${m.name} is missing.`);
    }
    setBusy(true);
    setNote("");
    box.add({ buildId, protocolVersionId, state: "valid", readings, conditions: settings, seriesIds, pilot });
  }
  return (
    <form
      className="grid gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        save();
      }}
    >
      <p className="text-soft">{words}</p>
      <div className="flex flex-wrap items-end gap-3 text-sm">
        {measures.map((m) => {
          const seen = look(m, readings[m.key] ?? "");
          return (
            <label key={m.key} className="grid gap-0.5">
              <span>{headed(m)}</span>
              <input
                className="input w-32"
                disabled={!ready}
                autoComplete="off"
                aria-label={`${m.name}${inUnit(m)}`}
                aria-invalid={seen?.bad || undefined}
                value={readings[m.key] ?? ""}
                onChange={(e) => {
                  setReadings({ ...readings, [m.key]: e.target.value });
                  setNote("");
                }}
              />
              {seen && <span className={seen.bad ? "text-xs text-iron" : "text-xs text-ochre-deep"}>{seen.text}</span>}
            </label>
          );
        })}
        <ConditionFields conditions={conditions} values={settings} onChange={setSettings} disabled={!ready} />
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <button type="submit" className={buttonClass("main")} disabled={!ready || busy}>
          {busy ? "Saving…" : pilot ? "Save as a pilot run" : "Save as an attempt"}
        </button>
        <p role="status" className="text-sm text-iron">
          {note}
        </p>
      </div>
      <Waiting items={box.waiting} words={(x) => attemptWords(measures, x)} onRetry={box.retry} onDrop={box.drop} />
    </form>
  );
}
