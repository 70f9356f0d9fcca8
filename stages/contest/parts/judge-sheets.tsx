"use client";

import { Tabs } from "radix-ui";
import { useState } from "react";
import type { JudgedRules } from "@/core/contest/judged";
import { sheetState } from "@/core/vocabulary/contest";
import { cx } from "@/ui/classes";
import type { JudgedRow } from "../view/judged";
import { useDay } from "./day-box";
import { JudgeSheet } from "./judge-sheet";
import { useNextKey } from "./sheet-keys";

//X from "./judge-sheet";

/** A row with what this device has written of it: also what still waits for the network. */
function useRows(rows: readonly JudgedRow[]): JudgedRow[] {
  const { items } = useDay();
  return rows.map((row) => {
    const own = items.flatMap(({ item, problem, going }) =>
      item.what === "sheet" && item.input.entryId === row.entryId && !problem && !going ? [item.input] : [],
    );
    const last = own.findLast((i) => i.after >= row.version);
    if (!last) return row;
    return {
      ...row,
      version: last.after + 1,
      state: last.stepped ? "stepped" : "marked",
      marks: Object.fromEntries(Object.entries(last.marks).map(([k, v]) => [k, Number(v)])),
      note: last.note,
    };
  });
}

/** The sheets of one judge, a team at a time; N, where nothing is typed, goes to the next team without a sheet. */
export function JudgeSheets({
  rows: known,
  rules,
}: {
  rows: readonly JudgedRow[];
  rules: Pick<JudgedRules, "criteria" | "most">;
}) {
  const rows = useRows(known);
  const [at, setAt] = useState(rows[0]?.entryId ?? "");
  const [says, setSays] = useState("");
  const here = rows.findIndex((r) => r.entryId === at);
  const next = [...rows.slice(here + 1), ...rows.slice(0, here)].find((r) => r.state === null);
  const goTo = next?.entryId;
  useNextKey(goTo ? () => setAt(goTo) : null);
  if (!rows.length) return <p className="text-soft">No team has entered.</p>;
  const left = rows.filter((r) => r.state === null).length;
  return (
    <Tabs.Root value={at} onValueChange={setAt}>
      <p role="status" className="text-moss empty:hidden">
        {says}
      </p>
      <p className="mb-2 text-sm text-soft">
        {left === 0 ? "You have marked every team; a sheet can be corrected until the result is confirmed." : ""}
        {left > 0 && `${left} of ${rows.length} to mark. N goes to the next one.`}
      </p>
      <Tabs.List aria-label="Teams" className="mb-3 flex flex-wrap gap-1.5">
        {rows.map((r) => (
          <Tabs.Trigger
            key={r.entryId}
            value={r.entryId}
            className={cx(
              "min-h-11 rounded-sm border border-[#a59a8a] px-3 text-left",
              "data-[state=active]:border-ink data-[state=active]:bg-ink data-[state=active]:text-sheet",
            )}
          >
            {r.team} <span className="text-sm opacity-85">{r.state && sheetState.labels[r.state]}</span>
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {rows.map((r) => (
        <Tabs.Content key={r.entryId} value={r.entryId}>
          <h2 className="mb-1">
            {r.team} <span className="font-normal text-soft">{r.build}</span>
          </h2>
          <JudgeSheet
            key={r.version}
            row={r}
            rules={rules}
            onSaved={(words) => {
              setSays(words);
              if (goTo) setAt(goTo);
            }}
          />
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}
