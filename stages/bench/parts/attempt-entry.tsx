"use client";

import { type KeyboardEvent, useEffect, useRef, useState } from "react";
import type { Condition, Measure } from "@/core/run/protocol";
import { headed, levelsOf } from "@/core/run/reading";
import type { EnteredState } from "@/core/vocabulary/runs";
import { attemptWords, useAttempts } from "@/ui/attempts";
import { cx } from "@/ui/classes";
import { LevelKeys } from "@/ui/level-keys";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { Waiting } from "@/ui/waiting";
import { inUnit, look } from "../view/reading";
import { ConditionFields } from "./condition-fields";

interface Props {
  buildId: string;
  protocolVersionId: string;
  next: number;
  measures: readonly Measure[];
  conditions: readonly Condition[];
  before: Record<string, string>;
  derived: number;
  lead: number;
  /** The runs are tries of the protocol, and never count. */
  pilot?: boolean;
}

interface Sent {
  id: string;
  buildId: string;
  protocolVersionId: string;
  state: EnteredState;
  readings: Record<string, string>;
  conditions: Record<string, string>;
  sure: boolean;
  pilot?: boolean;
}

/**
 * A row in which a whole attempt is entered by keyboard alone: Enter goes to the next field and from the last one
 * saves.
 * The previous reading stands ghosted behind each field. Alt F marks a foul, Alt N no finish.
 */
export function AttemptEntry({
  buildId,
  protocolVersionId,
  next,
  measures,
  conditions,
  before,
  derived,
  lead,
  pilot,
}: Props) {
  const ready = useReady();
  const [values, setValues] = useState<Record<string, string>>({});
  const [settings, setSettings] = useState<Record<string, string>>({});
  const [note, setNote] = useState("");
  const [good, setGood] = useState(false);
  // A quick hand types the next attempt while this one is on its way: neither its readings nor its Enter is lost.
  const busy = useRef(false);
  const [saving, setSaving] = useState(false);
  const asked = useRef<EnteredState | null>(null);
  const latest = useRef(values);
  latest.current = values;
  const [shownNext, setShownNext] = useState(next);
  const fields = useRef<(HTMLInputElement | null)[]>([]);
  useEffect(() => setShownNext(next), [next]);

  /** Whatever became of an attempt: the hand is free for the next one. */
  function over(sent: Sent, words: string, wasGood: boolean, keep: boolean) {
    busy.current = false;
    setSaving(false);
    setNote(words);
    setGood(wasGood);
    const same = latest.current === sent.readings;
    if (!keep && same) {
      setValues({});
      fields.current[0]?.focus();
    }
    const waiting = asked.current;
    asked.current = null;
    if (waiting && latest.current !== sent.readings) save(waiting);
  }
  const name = `bench${pilot ? ".pilot" : ""}.${buildId}.${protocolVersionId}`;
  const box = useAttempts<Sent>(name, {
    saved(sent, attempt, own) {
      setShownNext(attempt + 1);
      if (own) over(sent, `Attempt ${attempt} is saved.`, true, false);
    },
    refused: (sent, words) => over(sent, words, false, true),
    waits: (sent) => over(sent, "No connection: this attempt waits below and is sent by itself.", false, false),
  });

  function save(state: EnteredState) {
    if (busy.current) {
      asked.current = state;
      return;
    }
    const values = latest.current;
    setGood(false);
    if (state === "valid") {
      const wrong = measures.findIndex((m) => !values[m.key]?.trim() || look(m, values[m.key]!)?.bad);
      if (wrong >= 0) {
        fields.current[wrong]?.focus();
        return setNote(
          values[measures[wrong]!.key]?.trim()
            ? look(measures[wrong]!, values[measures[wrong]!.key]!)!.text
            : `${measures[wrong]!.name} is missing.`,
        );
      }
    }
    busy.current = true;
    setSaving(true);
    setNote("");
    box.add({ buildId, protocolVersionId, state, readings: values, conditions: settings, ...(pilot && { pilot }) });
  }
  const keys = (e: KeyboardEvent, i: number) => {
    if (e.altKey && e.key.toLowerCase() === "f") {
      e.preventDefault();
      save("foul");
    } else if (e.altKey && e.key.toLowerCase() === "n") {
      e.preventDefault();
      save("no_finish");
    } else if (e.key === "Enter") {
      e.preventDefault();
      if (i < measures.length - 1) fields.current[i + 1]?.focus();
      else save("valid");
    }
  };
  return (
    <>
      <tr className="bg-[#fdfcf9]">
        <td className="font-[650] text-iron" data-label="Attempt">
          {shownNext}
        </td>
        {measures.map((m, i) => {
          const seen = look(m, values[m.key] ?? "");
          const levels = levelsOf(m);
          const enter = (text: string) => {
            setValues({ ...values, [m.key]: text });
            setNote("");
          };
          return (
            <td key={m.key} className="num" data-label={headed(m)}>
              <span className="relative block sm:ml-auto sm:w-[104px]">
                {before[m.key] && (
                  <span
                    aria-hidden
                    className="pointer-events-none absolute inset-y-0 left-2 flex items-center text-sm text-[#71675c]"
                  >
                    {before[m.key]}
                  </span>
                )}
                <input
                  disabled={!ready}
                  ref={(el) => {
                    fields.current[i] = el;
                  }}
                  aria-label={
                    `${m.name}, attempt ${shownNext}${inUnit(m)}` +
                    `${before[m.key] ? `; before ${before[m.key]}` : ""}`
                  }
                  aria-invalid={seen?.bad || undefined}
                  className="input text-right"
                  inputMode="text"
                  autoComplete="off"
                  value={values[m.key] ?? ""}
                  onChange={(e) => enter(e.target.value)}
                  onKeyDown={(e) => keys(e, i)}
                />
              </span>
              {levels && (
                <LevelKeys
                  levels={levels}
                  chosen={values[m.key] ?? ""}
                  disabled={!ready}
                  onPick={(l) => {
                    enter(l);
                    fields.current[i]?.focus();
                  }}
                />
              )}
              {seen && (
                <span
                  className={cx(
                    "mt-0.5 block text-left text-xs sm:ml-auto sm:w-[150px]",
                    seen.bad ? "text-iron" : "text-ochre-deep",
                  )}
                >
                  {seen.text}
                </span>
              )}
            </td>
          );
        })}
        {Array.from({ length: derived }, (_, i) => (
          <td key={i} className="num text-soft max-sm:!hidden">
            –
          </td>
        ))}
        <td className="text-sm">
          <span className="no-print flex flex-wrap items-center gap-x-3 gap-y-2 max-sm:py-1.5">
            {(
              [
                ["valid", saving ? "Saving…" : "Save", buttonClass("main")],
                ["foul", "Foul", buttonClass()],
                ["no_finish", "No finish", buttonClass()],
              ] as const
            ).map(([state, words, look]) => (
              <button
                key={state}
                type="button"
                disabled={!ready}
                className={cx(look, "max-sm:min-h-11 max-sm:grow")}
                onClick={() => save(state)}
              >
                {words}
              </button>
            ))}
          </span>
          <span className="text-xs text-soft max-sm:hidden">Enter goes to the next field and saves from the last.</span>
        </td>
      </tr>
      <tr>
        <td colSpan={lead}>
          <div className="flex flex-wrap items-end gap-3 text-sm">
            <ConditionFields conditions={conditions} values={settings} onChange={setSettings} disabled={!ready} />
            <Waiting
              items={box.waiting}
              words={(x) => attemptWords(measures, x)}
              onRetry={box.retry}
              onDrop={box.drop}
            />
            <span role="status" className={cx("grow text-right", good ? "text-moss" : "text-iron")}>
              {note}
            </span>
          </div>
        </td>
      </tr>
    </>
  );
}
