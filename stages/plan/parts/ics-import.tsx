"use client";

import { useState } from "react";
import { useDates } from "@/ui/dates";
import { useSend } from "@/ui/form/send";
import type { Option } from "@/ui/option";
import { buttonClass } from "@/ui/page";
import { Select } from "@/ui/select";
import { importDaysOffAction } from "../actions";

/**
 * Days off from a calendar file: what it holds is shown, and what cannot be read is named, before anything is taken in.
 */
export function IcsImport({ projectId, sections }: { projectId: string; sections: Option[] }) {
  const { longDate } = useDates();
  const [text, setText] = useState("");
  const [section, setSection] = useState("");
  const [seen, setSeen] = useState<{
    days: { date: string; reason: string }[];
    problems: string[];
    outside: number;
  } | null>(null);
  const { send: post, note, setNote } = useSend(importDaysOffAction);
  const send = async (content: string, commit: boolean) => {
    const r = await post({ projectId, text: content, sectionId: section, commit }, { stay: !commit });
    if (!r?.ok) return;
    setSeen(commit ? null : r.value);
    const there = r.value.days.length - r.value.written;
    if (commit) setNote(`${r.value.written} days off were added${there > 0 ? `; ${there} stood here already` : ""}.`);
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
        <Select value={section} onChange={setSection} empty="all sections" options={sections} />
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
