"use client";

import { useRef, useState } from "react";
import { type JudgedRules, sheetMark } from "@/core/contest/judged";
import { Fold } from "@/ui/fold";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { useTyping } from "@/ui/typing";
import type { JudgedRow } from "../view/judged";
import { useDay } from "./day-box";
import { MarkChoice } from "./mark-choice";
import { focusNext } from "./sheet-keys";
import { SheetWords } from "./sheet-words";

/** One judge's sheet of one team: a mark for each criterion, what it comes to, and the way to step back. */
export function JudgeSheet({
  row,
  rules,
  onSaved,
}: {
  row: JudgedRow;
  rules: Pick<JudgedRules, "criteria" | "most">;
  onSaved: (words: string) => void;
}) {
  const ready = useReady();
  const day = useDay();
  const form = useRef<HTMLFormElement>(null);
  const [{ marks, note, why }, type] = useTyping(`ironstone.sheet.${row.entryId}.${row.version}`, {
    marks: Object.fromEntries(Object.entries(row.marks).map(([k, v]) => [k, String(v)])) as Record<string, string>,
    note: row.state === "stepped" ? "" : row.note,
    why: "",
  });
  const [problem, setProblem] = useState("");
  const [busy, setBusy] = useState(false);
  const missing = rules.criteria.filter((c) => !marks[c.key]);
  const onNext = (from: HTMLElement) => focusNext(form.current, from);
  const send = (stepped: boolean) => {
    if (busy) return;
    if (stepped && !why.trim()) return setProblem("Say why you step back, in a few words.");
    if (!stepped && missing.length) return setProblem(`Not marked yet: ${missing.map((c) => c.name).join(", ")}.`);
    setBusy(true);
    setProblem("");
    const words = `${row.team}: ${stepped ? "you step back" : "your sheet"}`;
    day.add(
      {
        what: "sheet",
        input: {
          entryId: row.entryId,
          after: row.version,
          stepped,
          marks: stepped ? {} : marks,
          note: (stepped ? why : note).trim(),
        },
        words,
      },
      {
        saved() {
          type(null);
          onSaved(`${words}${stepped ? ", and that" : ""} is saved.`);
        },
        refused(text) {
          setBusy(false);
          setProblem(text);
        },
        waits() {
          type(null);
          onSaved(`No connection: ${words} waits and is sent by itself.`);
        },
      },
    );
  };
  return (
    <form
      ref={form}
      aria-label={`Sheet of ${row.team}`}
      className="grid gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        send(false);
      }}
    >
      {row.state === "stepped" && (
        <p className="text-soft">
          You stepped back from {row.team}: {row.note} Marks below would replace that.
        </p>
      )}
      <ul>
        {rules.criteria.map((c) => (
          <li
            key={c.key}
            className="grid items-center gap-x-4 gap-y-1 border-b border-line py-2 md:grid-cols-[1fr_auto]"
          >
            <span className="text-[16px] font-[600]">
              {c.name} <span className="text-sm font-normal text-soft">counts {c.weight}</span>
            </span>
            <MarkChoice
              label={c.name}
              most={rules.most}
              value={marks[c.key] ?? ""}
              disabled={!ready}
              onPick={(mark) => {
                type({ marks: { ...marks, [c.key]: mark } });
                setProblem("");
              }}
              onNext={onNext}
            />
          </li>
        ))}
      </ul>
      <SheetWords
        most={600}
        label="What you saw (kept with your sheet)"
        value={note}
        onChange={(to) => type({ note: to })}
      />
      <div className="flex flex-wrap items-center gap-3">
        <button
          type="submit"
          data-line
          disabled={!ready || busy}
          className={`${buttonClass("main")} min-h-12 px-5 text-[16px]`}
        >
          {busy ? "Saving…" : "Save the sheet"}
        </button>
        <span className="tabular-nums" aria-live="polite">
          {missing.length
            ? `${missing.length} to mark`
            : `${Number(sheetMark(rules, numbers(marks))).toFixed(1)} of 100`}
        </span>
      </div>
      <p role="alert" className="text-iron empty:hidden">
        {problem}
      </p>
      <Fold label="Step back from this team" labelClass="min-h-11 items-center text-sm text-soft">
        <div className="grid max-w-md gap-2">
          <p className="text-sm text-soft">
            Who taught, coached or is kin to this team does not mark it. The others' sheets count.
          </p>
          <SheetWords most={600} label="Why" value={why} onChange={(to) => type({ why: to })} />
          <button type="button" className={`${buttonClass()} min-h-11 justify-self-start`} onClick={() => send(true)}>
            Step back
          </button>
        </div>
      </Fold>
    </form>
  );
}

const numbers = (marks: Readonly<Record<string, string>>) =>
  Object.fromEntries(Object.entries(marks).map(([k, v]) => [k, Number(v)]));
