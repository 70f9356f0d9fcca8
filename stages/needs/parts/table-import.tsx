"use client";

import { useState } from "react";
import { plural } from "@/platform/registry/words";
import { useSend } from "@/ui/form/send";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { importRequirementsAction } from "../actions";

interface Line {
  line: number;
  code: string | null;
  statement: string;
  does: string;
  problem: string | null;
}

/** A table comes in: looked at first, row by row; written only when no row is wrong. */
export function TableImport({ projectId }: { projectId: string }) {
  const ready = useReady();
  const [text, setText] = useState("");
  const [seen, setSeen] = useState<{ lines: Line[]; written: number } | null>(null);
  const { send: post, busy, note, setNote } = useSend(importRequirementsAction);
  const send = async (commit: boolean) => {
    const r = await post({ projectId, text, commit }, { stay: !commit });
    if (!r) return;
    setSeen(r.ok && !commit ? r.value : null);
    if (!r.ok || !commit) return;
    setNote(`${plural(r.value.written, "requirement")} written.`);
    setText("");
  };
  const wrong = seen?.lines.filter((l) => l.problem) ?? [];
  const count = (d: string) => seen?.lines.filter((l) => l.does === d).length ?? 0;
  return (
    <div className="grid gap-2">
      <label className="grid gap-1">
        <span className="text-[12.5px] font-[600]">Table (CSV, or pasted from a spreadsheet)</span>
        <textarea
          rows={4}
          className="input"
          disabled={!ready}
          value={text}
          onChange={(e) => {
            setText(e.target.value);
            setSeen(null);
          }}
        />
      </label>
      <div className="flex flex-wrap items-center gap-3">
        <input
          type="file"
          accept=".csv,text/csv,text/plain"
          aria-label="Table file"
          className="text-sm"
          onChange={async (e) => {
            const f = e.target.files?.[0];
            if (f) {
              setText(await f.text());
              setSeen(null);
            }
          }}
        />
        <button type="button" className={buttonClass()} disabled={busy || !text.trim()} onClick={() => send(false)}>
          Look at it
        </button>
        {seen && wrong.length === 0 && count("adds") + count("changes") > 0 && (
          <button type="button" className={buttonClass("main")} disabled={busy} onClick={() => send(true)}>
            Write {plural(count("adds") + count("changes"), "requirement")}
          </button>
        )}
      </div>
      <p role="status" className="text-sm">
        {note ||
          (seen
            ? `${count("adds")} to add, ${count("changes")} to change, ${count("same")} the same` +
              `${wrong.length ? `, ${wrong.length} wrong: nothing is written until they are right` : ""}.`
            : "")}
      </p>
      {seen && (
        <ul className="text-sm">
          {[...wrong, ...seen.lines.filter((l) => !l.problem && l.does !== "same")].slice(0, 40).map((l) => (
            <li key={l.line} className={l.problem ? "text-iron" : "text-soft"}>
              Row {l.line}: {l.code ?? "new"} {l.statement.slice(0, 70)} {l.problem ? `· ${l.problem}` : `· ${l.does}`}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
