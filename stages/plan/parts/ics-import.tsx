"use client";

import { useState } from "react";
import { longDate } from "@/ui/date";
import type { Choice } from "@/ui/option";
import { buttonClass } from "@/ui/page";
import { importDaysOffAction } from "../actions";

/**
 * Days off from a calendar file: what it holds is shown, and what cannot be read is named, before anything is taken in.
 */
export function IcsImport({ projectId, sections }: { projectId: string; sections: Choice[] }) {
  const [text, setText] = useState("");
  const [section, setSection] = useState("");
  const [seen, setSeen] = useState<{
    days: { date: string; reason: string }[];
    problems: string[];
    outside: number;
  } | null>(null);
  const [note, setNote] = useState("");
  const send = async (content: string, commit: boolean) => {
    try {
      const r = await importDaysOffAction({ projectId, text: content, sectionId: section, commit });
      if (!r.ok) return setNote(r.message);
      setSeen(commit ? null : r.value);
      setNote(
        commit
          ? `${r.value.written} days off were added` +
              (r.value.written < r.value.days.length
                ? `; ${r.value.days.length - r.value.written} stood here already`
                : "") +
              "."
          : "",
      );
    } catch {
      setNote("The network did not answer. Choose the file again.");
    }
  };
  return (
    <div className="grid gap-2">
      <label className="grid gap-1 text-[12.5px] font-[600]">
        Calendar file (ICS)
        <input
          type="file"
          accept=".ics,text/calendar"
          className="text-sm font-normal"
          onChange={async (e) => {
            const f = e.target.files?.[0];
            if (!f) return;
            const t = await f.text();
            setText(t);
            void send(t, false);
          }}
        />
      </label>
      <label className="grid gap-1 text-[12.5px] font-[600]">
        For
        <select className="input" value={section} onChange={(e) => setSection(e.target.value)}>
          <option value="">all sections</option>
          {sections.map((s) => (
            <option key={s.value} value={s.value}>
              {s.label}
            </option>
          ))}
        </select>
      </label>
      {seen && (
        <>
          <p className="text-sm">
            {seen.days.length} days off within the project{seen.outside > 0 && `, ${seen.outside} entries outside it`}.
          </p>
          <ul className="max-h-40 overflow-y-auto text-sm">
            {seen.days.map((d) => (
              <li key={d.date}>
                {longDate(d.date)} <span className="text-soft">{d.reason}</span>
              </li>
            ))}
          </ul>
          {seen.problems.map((p) => (
            <p key={p} className="text-sm text-iron">
              {p}
            </p>
          ))}
          {seen.days.length > 0 && (
            <button type="button" className={buttonClass("main")} onClick={() => send(text, true)}>
              Take in {seen.days.length} days off
            </button>
          )}
        </>
      )}
      <p role="status" className="text-sm">
        {note}
      </p>
    </div>
  );
}
