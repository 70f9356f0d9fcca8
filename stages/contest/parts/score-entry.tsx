"use client";

import { useRef, useState } from "react";
import { parseReading } from "@/core/run/reading";
import type { EnteredState } from "@/core/vocabulary/runs";
import { attemptWords } from "@/ui/attempts";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { useTyping } from "@/ui/typing";
import type { FieldRules } from "../view/field";
import { useDay } from "./day-box";
import { Penalties, type Typed } from "./penalties";
import { ReadingField } from "./reading-field";

const nothing: { values: Record<string, string>; seconds: Record<string, string>; charged: Typed } = {
  values: {},
  seconds: {},
  charged: {},
};

/** Scores the next attempt of one entry: large targets, one press; what waits is kept until it is saved. */
export function ScoreEntry({
  entryId,
  team,
  nth,
  rules,
  large,
}: {
  entryId: string;
  team: string;
  /** Which attempt it is, with those that wait. */
  nth: number;
  rules: FieldRules;
  large?: boolean;
}) {
  const day = useDay();
  const [{ values, seconds, charged }, type] = useTyping(`ironstone.scoring.${entryId}`, nothing);
  const [note, setNote] = useState<{ bad: boolean; text: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const asked = useRef("");
  const ready = useReady();
  const { readings, twice } = rules;
  const over = (text: string, bad: boolean, keep: boolean) => {
    setBusy(false);
    setNote({ bad, text });
    if (!keep) type(null);
  };
  function send(state: EnteredState) {
    // The second press of a double click comes when the attempt is saved already.
    const empty = readings.every((r) => !values[r.key]?.trim());
    if (busy || (state === "valid" && empty && note && !note.bad)) return;
    if (state === "valid" || (rules.where && !empty))
      for (const r of readings) {
        for (const [typed, who] of [[values, ""] as const, [seconds, ", second reader"] as const]) {
          if (typed === seconds && !twice.includes(r.key)) continue;
          const parsed = parseReading(r, typed[r.key] ?? "");
          if (!parsed.ok) return setNote({ bad: true, text: `${r.name}${who}: ${parsed.message}` });
        }
      }
    setBusy(true);
    setNote(null);
    const penalties = Object.entries(charged).flatMap(([key, p]) => (p.count > 0 ? [{ key, ...p }] : []));
    const typed = JSON.stringify([values, seconds]);
    day.add(
      {
        what: "attempt",
        input: {
          entryId,
          nth,
          state,
          reason: "",
          readings: values,
          seconds,
          penalties,
          sure: asked.current === typed,
        },
        words: `${team}, attempt ${nth}: ${attemptWords(readings, { state, readings: values })}`,
      },
      {
        saved(value) {
          const { twice: rival } = value as { twice?: "alike" | "differs" | null };
          if (rival === "differs")
            return over(`${team}: somebody else scored attempt ${nth} too. Both stand below: choose.`, true, false);
          over(
            `${team}: attempt ${nth} is saved${rival === "alike" ? ", as somebody else had it" : ""}.`,
            false,
            false,
          );
        },
        refused(words, sure) {
          if (sure) asked.current = typed;
          over(words, true, true);
        },
        waits: () => over("No connection: this attempt waits and is sent by itself.", true, false),
      },
    );
  }
  const size = large ? "min-h-13 px-5 text-[16px]" : "";
  const enter = (which: "values" | "seconds", key: string) => (text: string) => {
    type({ [which]: { ...(which === "values" ? values : seconds), [key]: text } });
    setNote(null);
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        send("valid");
      }}
      className="grid gap-2"
      aria-label={`Attempt ${nth} of ${team}`}
    >
      <div className="flex flex-wrap items-end gap-2.5">
        {readings.map((r) => (
          <ReadingField
            key={r.key}
            reading={r}
            label={r.name}
            value={values[r.key] ?? ""}
            disabled={!ready}
            busy={busy}
            large={large}
            onEnter={enter("values", r.key)}
          />
        ))}
        {readings
          .filter((r) => twice.includes(r.key))
          .map((r) => (
            <ReadingField
              key={r.key}
              reading={r}
              label={`${r.name}, second reader`}
              value={seconds[r.key] ?? ""}
              disabled={!ready}
              busy={busy}
              large={large}
              onEnter={enter("seconds", r.key)}
            />
          ))}
        <button type="submit" disabled={busy} className={`${buttonClass("main")} ${size}`}>
          {busy ? "Saving…" : `Save attempt ${nth} of ${rules.n}`}
        </button>
        <button type="button" disabled={busy} className={`${buttonClass()} ${size}`} onClick={() => send("foul")}>
          Foul
        </button>
        <button type="button" disabled={busy} className={`${buttonClass()} ${size}`} onClick={() => send("no_finish")}>
          No finish
        </button>
      </div>
      <Penalties rules={rules.penalties} typed={charged} onChange={(to) => type({ charged: to })} large={large} />
      <p role="status" className={note?.bad ? "text-sm text-iron" : "text-sm text-moss"}>
        {note?.text}
      </p>
    </form>
  );
}
