"use client";

import type { ReactNode } from "react";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { Select } from "@/ui/select";
import type { Shown } from "../view/gradebook";

/** What is shown of the gradebook, and what can be done to all of it. */
export function GridBar({
  shown,
  onShow,
  teams,
  sections,
  can,
  onUndo,
  onRedo,
  onCopy,
}: {
  shown: Shown;
  onShow: (to: Shown) => void;
  teams: readonly string[];
  sections: ReactNode;
  can: { readonly undo: boolean; readonly redo: boolean };
  onUndo: () => void;
  onRedo: () => void;
  onCopy: () => void;
}) {
  const ready = useReady();
  const plain = "text-soft underline decoration-line underline-offset-3 hover:text-ink";
  return (
    <div className="no-print mb-2 flex flex-wrap items-center gap-3 text-sm">
      <input
        type="search"
        className="input max-w-44"
        placeholder="Filter"
        aria-label="Filter the gradebook"
        disabled={!ready}
        value={shown.words}
        onChange={(e) => onShow({ ...shown, words: e.target.value })}
      />
      <Select
        aria-label="A row for"
        className="w-40"
        value={shown.by}
        onChange={(by) => onShow({ ...shown, by: by as Shown["by"] })}
        options={[
          { value: "students", label: "each student" },
          { value: "teams", label: "each team" },
        ]}
        disabled={!ready}
      />
      <Select
        aria-label="Team"
        className="w-36"
        value={shown.team}
        onChange={(team) => onShow({ ...shown, team })}
        options={teams.map((value) => ({ value, label: value }))}
        empty="all teams"
        disabled={!ready}
      />
      {sections}
      <button type="button" className={buttonClass("plain")} disabled={!ready || !can.undo} onClick={onUndo}>
        Undo
      </button>
      <button type="button" className={buttonClass("plain")} disabled={!ready || !can.redo} onClick={onRedo}>
        Redo
      </button>
      <button type="button" className={plain} onClick={onCopy}>
        Copy for a spreadsheet
      </button>
    </div>
  );
}
