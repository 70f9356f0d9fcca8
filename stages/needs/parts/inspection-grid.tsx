"use client";

import type { KeyboardEvent } from "react";
import type { Verdict } from "@/core/vocabulary/needs";
import { sendBoxed } from "@/ui/boxed";
import { useBoxes } from "@/ui/boxes";
import { cx } from "@/ui/classes";
import { useOutbox } from "@/ui/outbox";
import { useReady } from "@/ui/ready";
import { VerdictMark } from "@/ui/verdict";
import { Waiting } from "@/ui/waiting";
import { type InspectionRow, readCell } from "../view/inspection";

interface Sent {
  readonly id: string;
  readonly requirementId: string;
  readonly buildId: string;
  readonly outcome?: string;
  readonly value: string;
  /** For people, while it waits. */
  readonly what: string;
}

interface Box {
  readonly typed: string;
  readonly state: "typed" | "sent" | "saved";
  readonly note?: string;
  readonly id?: string;
  /** What it came to. */
  readonly verdict?: Verdict;
}

const empty: Box = { typed: "", state: "typed" };

/**
 * Requirements down, builds across: what is looked at is entered by one key a cell, or by its number, and Enter, which
 * saves it and goes down.
 */
export function InspectionGrid({
  projectId,
  builds,
  rows,
}: {
  projectId: string;
  builds: readonly { id: string; name: string }[];
  rows: readonly InspectionRow[];
}) {
  const ready = useReady();
  const boxes = useBoxes<Box>(empty);
  const keyOf = (row: number, column: number) => `${rows[row]!.id} ${builds[column]!.id}`;
  const outbox = useOutbox<Sent>(`needs.inspection.${projectId}`, sendBoxed("finding"), {
    answered(sent, r) {
      const key = boxes.keyOf(sent.id);
      if (!key) return;
      if (r.ok)
        return boxes.change(key, { typed: "", state: "saved", verdict: (r.value as { outcome: Verdict }).outcome });
      outbox.drop(sent.id);
      boxes.change(key, { state: "typed", note: r.message });
    },
  });

  function send(row: number, column: number) {
    const key = keyOf(row, column);
    const box = boxes.now(key);
    const r = rows[row]!;
    const typed = box.typed.trim();
    if (!typed || box.state === "sent") return;
    const read = readCell(typed, r.unit);
    if (read.kind === "wrong") return boxes.change(key, { note: read.message });
    const id = crypto.randomUUID();
    boxes.change(key, { id, state: "sent", note: undefined });
    outbox.add({
      id,
      requirementId: r.id,
      buildId: builds[column]!.id,
      what: `${r.code}, ${builds[column]!.name}: ${typed}`,
      ...(read.kind === "outcome" ? { outcome: read.outcome, value: "" } : { value: typed }),
    });
  }
  const focus = (row: number, column: number) => boxes.focus(keyOf(row, column));
  function keys(e: KeyboardEvent, row: number, column: number) {
    if (e.key === "ArrowDown" && row < rows.length - 1) focus(row + 1, column);
    else if (e.key === "ArrowUp" && row > 0) focus(row - 1, column);
    else if (e.key === "Enter") {
      send(row, column);
      if (row < rows.length - 1) focus(row + 1, column);
      else if (column < builds.length - 1) focus(0, column + 1);
    } else return;
    e.preventDefault();
  }
  return (
    <div className="grid gap-3">
      <div className="table-room" tabIndex={0} role="region" aria-label="Inspection">
        <table className="table">
          <caption className="sr-only">Inspection</caption>
          <thead>
            <tr>
              <th scope="col">Requirement</th>
              {builds.map((b) => (
                <th key={b.id} scope="col" className="whitespace-nowrap">
                  {b.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((r, row) => (
              <tr key={r.id}>
                <th scope="row" className="min-w-44 text-left align-top font-normal">
                  <span className="font-[600]">{r.code}</span> {r.statement}
                  <span className="block text-xs text-soft">
                    {[r.must ? "must" : "", r.limit === "yes" ? "" : r.limit].filter(Boolean).join(" · ")}
                  </span>
                </th>
                {builds.map((b, column) => {
                  const key = keyOf(row, column);
                  const box = boxes.shown(key);
                  const verdict = box.verdict ?? r.verdicts[column]!;
                  return (
                    <td key={b.id} className="align-top" data-label={b.name}>
                      <span className="flex items-center gap-1.5">
                        <VerdictMark verdict={verdict} />
                        <input
                          ref={boxes.field(key)}
                          disabled={!ready}
                          className={cx("input", r.unit ? "w-20" : "w-12")}
                          autoComplete="off"
                          aria-label={`${r.code}, ${b.name}${r.unit ? `, in ${r.unit}, or m, n, x` : ": m, n or x"}`}
                          aria-invalid={box.note ? true : undefined}
                          aria-describedby={box.note ? `${key} note` : undefined}
                          value={box.typed}
                          onChange={(e) =>
                            boxes.change(key, { typed: e.target.value, state: "typed", note: undefined })
                          }
                          onKeyDown={(e) => keys(e, row, column)}
                        />
                      </span>
                      {(box.note || box.state === "saved") && (
                        <span
                          id={`${key} note`}
                          className={cx("block max-w-36 text-xs", box.note ? "text-iron" : "text-moss")}
                        >
                          {box.note ?? `saved: ${box.verdict}`}
                        </span>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Waiting
        items={outbox.waiting.filter((x) => outbox.offline || x.problem)}
        words={(x) => x.what}
        onRetry={outbox.retry}
        onDrop={outbox.drop}
      />
      <p className="text-sm text-soft">
        m is met, n not met, x does not apply; where a requirement has a number, what was measured. Enter saves and goes
        down, arrows go up and down.
      </p>
    </div>
  );
}
