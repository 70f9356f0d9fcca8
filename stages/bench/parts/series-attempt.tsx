"use client";

import { useState } from "react";
import type { Condition, Measure } from "@/core/run/protocol";
import { headed } from "@/core/run/reading";
import { useSend } from "@/ui/form/send";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { recordRunAction } from "../actions";
import { inUnit, look } from "../view/reading";
import { ConditionFields } from "./condition-fields";

/** An attempt whose reading is taken from a series; what the instrument does not give is typed. */
export function SeriesAttempt({
  seriesId,
  buildId,
  protocolVersionId,
  measures,
  conditions,
  words,
}: {
  seriesId: string;
  buildId: string;
  protocolVersionId: string;
  /** The readings that are typed. */
  measures: readonly Measure[];
  conditions: readonly Condition[];
  /** What is taken, in words. */
  words: string;
}) {
  const ready = useReady();
  const [readings, setReadings] = useState<Record<string, string>>({});
  const [settings, setSettings] = useState<Record<string, string>>({});
  const [asked, setAsked] = useState("");
  const [runId] = useState(() => crypto.randomUUID());
  const { send, busy, note, setNote } = useSend(recordRunAction);
  async function save() {
    for (const m of measures) {
      const typed = readings[m.key]?.trim() ?? "";
      const seen = look(m, typed);
      if (!typed || seen?.bad) return setNote(seen?.text ?? `${m.name} is missing.`);
    }
    const now = JSON.stringify(readings);
    const r = await send({
      id: runId,
      buildId,
      protocolVersionId,
      state: "valid",
      readings,
      conditions: settings,
      seriesId,
      sure: asked === now,
    });
    if (r && !r.ok && (r.fields as Record<string, string> | undefined)?.sure) setAsked(now);
  }
  return (
    <form
      className="grid gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
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
          {busy ? "Saving…" : "Save as an attempt"}
        </button>
        <p role="status" className="text-sm text-iron">
          {note}
        </p>
      </div>
    </form>
  );
}
