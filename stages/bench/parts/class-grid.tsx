"use client";

import { type ClipboardEvent, type KeyboardEvent, useState } from "react";
import type { Condition, Measure } from "@/core/run/protocol";
import { levelsOf } from "@/core/run/reading";
import type { EnteredState } from "@/core/vocabulary/runs";
import { attemptWords } from "@/ui/attempts";
import { sendBoxed } from "@/ui/boxed";
import { useBoxes } from "@/ui/boxes";
import { cx } from "@/ui/classes";
import { Measured } from "@/ui/measured";
import { useOutbox } from "@/ui/outbox";
import { useReady } from "@/ui/ready";
import { Waiting } from "@/ui/waiting";
import { inUnit, look, pastedCells, stateTyped } from "../view/reading";
import { ConditionFields, conditionNote } from "./condition-fields";

export interface GridRow {
  readonly buildId: string;
  readonly name: string;
  /** Attempts on record under this protocol. */
  readonly runs: number;
}

interface Sent {
  readonly id: string;
  readonly name: string;
  readonly buildId: string;
  readonly protocolVersionId: string;
  readonly state: EnteredState;
  readonly readings: Record<string, string>;
  readonly conditions: Readonly<Record<string, string>>;
  readonly sure: boolean;
}

/** One attempt of a build in the grid: what is typed, and what became of it. */
interface Box {
  readonly typed: Readonly<Record<string, string>>;
  readonly id?: string;
  readonly state: "typed" | "sent" | "saved" | "refused";
  readonly note?: string;
  /** It was asked about a reading outside its range: sent again, it is right. */
  readonly asked?: boolean;
}

const empty: Box = { typed: {}, state: "typed" };

/**
 * Teams down, attempts across: a whole class is entered by numbers and Enter alone, which saves the attempt and goes to
 * the next team; or pasted from a spreadsheet. A foul is an f, no finish an n.
 */
export function ClassGrid({
  rows,
  measures,
  conditions,
  protocolVersionId,
  attempts,
}: {
  rows: readonly GridRow[];
  measures: readonly Measure[];
  conditions: readonly Condition[];
  protocolVersionId: string;
  attempts: number;
}) {
  const ready = useReady();
  const [settings, setSettings] = useState<Record<string, string>>({});
  const boxes = useBoxes<Box>(empty);
  const keyOf = (row: number, attempt: number) => `${rows[row]!.buildId} ${attempt}`;
  const outbox = useOutbox<Sent>(`bench.grid.${protocolVersionId}`, sendBoxed("run"), {
    answered(sent, r) {
      const key = boxes.keyOf(sent.id);
      if (!key) return;
      if (r.ok) return boxes.change(key, { state: "saved", note: undefined });
      outbox.drop(sent.id);
      const asked = Boolean((r.fields as Record<string, string> | undefined)?.sure);
      boxes.change(key, { state: "refused", note: r.message, asked });
    },
  });

  /** Sends an attempt if it is whole; otherwise says beside it what is missing or wrong. */
  function send(row: number, attempt: number) {
    const key = keyOf(row, attempt);
    const box = boxes.now(key);
    if (box.state === "sent" || box.state === "saved") return;
    const words = measures.map((m) => box.typed[m.key]?.trim() ?? "");
    if (words.every((w) => !w)) return;
    const state = stateTyped(words[0]!);
    if (state === "valid") {
      const missing = measures.find((_, i) => !words[i]);
      if (missing) return boxes.change(key, { note: `${missing.name} is missing.` });
      const bad = measures.map((m, i) => look(m, words[i]!)).find((x) => x?.bad);
      if (bad) return boxes.change(key, { note: bad.text });
    }
    const odd = conditions.find((c) => conditionNote(c, settings[c.key] ?? "")?.bad);
    if (odd) return boxes.change(key, { note: `The condition ${odd.name} cannot be read: look above.` });
    const id = crypto.randomUUID();
    const { name, buildId } = rows[row]!;
    boxes.change(key, { id, state: "sent", note: undefined });
    const readings = state === "valid" ? Object.fromEntries(measures.map((m, i) => [m.key, words[i]!])) : {};
    const sure = box.asked === true;
    outbox.add({ id, name, buildId, protocolVersionId, state, readings, conditions: settings, sure });
  }

  const focus = (row: number, attempt: number, measure: number) =>
    boxes.focus(`${keyOf(row, attempt)} ${measures[measure]!.key}`);

  function keys(e: KeyboardEvent, row: number, attempt: number, measure: number) {
    if (e.key === "ArrowDown" && row < rows.length - 1) focus(row + 1, attempt, measure);
    else if (e.key === "ArrowUp" && row > 0) focus(row - 1, attempt, measure);
    else if (e.key === "Enter") {
      const foul = stateTyped(boxes.now(keyOf(row, attempt)).typed[measures[0]!.key] ?? "") !== "valid";
      if (measure < measures.length - 1 && !foul) return focus(row, attempt, measure + 1);
      send(row, attempt);
      if (row < rows.length - 1) focus(row + 1, attempt, 0);
      else if (attempt < attempts) focus(0, attempt + 1, 0);
    } else return;
    e.preventDefault();
  }

  /** A block of a spreadsheet, from this cell on: what becomes whole by it is sent, in the order of the attempts. */
  function paste(e: ClipboardEvent, row: number, attempt: number, measure: number) {
    const cells = pastedCells(e.clipboardData.getData("text/plain"));
    if (cells.length === 1 && cells[0]!.length === 1) return;
    e.preventDefault();
    const first = (attempt - 1) * measures.length + measure;
    const touched = new Map<string, readonly [number, number]>();
    cells.forEach((line, dy) =>
      line.forEach((text, dx) => {
        const [y, x] = [row + dy, first + dx];
        const [a, m] = [Math.floor(x / measures.length) + 1, measures[x % measures.length]!];
        if (y >= rows.length || a > attempts || !text) return;
        const key = keyOf(y, a);
        const box = boxes.now(key);
        if (box.state === "sent" || box.state === "saved") return;
        boxes.change(key, { typed: { ...box.typed, [m.key]: text }, state: "typed", note: undefined });
        touched.set(key, [y, a]);
      }),
    );
    for (const [y, a] of [...touched.values()].sort((p, q) => p[1] - q[1] || p[0] - q[0])) send(y, a);
  }

  return (
    <div className="grid gap-3">
      {conditions.length > 0 && (
        <div className="flex flex-wrap items-end gap-3 text-sm">
          <ConditionFields conditions={conditions} values={settings} onChange={setSettings} disabled={!ready} />
        </div>
      )}
      <div className="table-room" tabIndex={0} role="region" aria-label="Attempts of the whole class">
        <table className="table">
          <caption className="sr-only">Attempts of the whole class</caption>
          <thead>
            <tr>
              <th scope="col">Build</th>
              {Array.from({ length: attempts }, (_, i) =>
                measures.map((m) => (
                  <th key={`${i} ${m.key}`} scope="col" className="num">
                    <Measured name={measures.length > 1 ? `${i + 1}: ${m.name}` : `${i + 1}`} unit={m.unit} />
                  </th>
                )),
              )}
            </tr>
          </thead>
          <tbody>
            {rows.map((r, row) => (
              <tr key={r.buildId}>
                <th scope="row" className="text-left align-top font-[600] whitespace-nowrap">
                  {r.name}
                  <span className="block text-xs font-normal text-soft">{r.runs} on record</span>
                </th>
                {Array.from({ length: attempts }, (_, i) => {
                  const key = keyOf(row, i + 1);
                  const box = boxes.shown(key);
                  return measures.map((m, k) => {
                    const typed = box.typed[m.key] ?? "";
                    const seen = stateTyped(typed) === "valid" ? look(m, typed) : null;
                    const words = k === measures.length - 1 ? (box.note ?? seen?.text) : seen?.text;
                    const done = box.state === "saved" || box.state === "sent";
                    return (
                      <td key={`${key} ${m.key}`} className="num align-top" data-label={`${i + 1}: ${m.name}`}>
                        <input
                          ref={boxes.field(`${key} ${m.key}`)}
                          disabled={!ready}
                          readOnly={done}
                          aria-label={`${r.name}, attempt ${i + 1}, ${m.name}${inUnit(m)}`}
                          aria-invalid={box.state === "refused" || seen?.bad || undefined}
                          aria-describedby={words ? `${key} ${m.key} note` : undefined}
                          className={cx("input w-24 text-right", done && "border-transparent bg-transparent")}
                          autoComplete="off"
                          value={typed}
                          onChange={(e) =>
                            boxes.change(key, {
                              typed: { ...box.typed, [m.key]: e.target.value },
                              state: "typed",
                              note: undefined,
                              asked: false,
                            })
                          }
                          onKeyDown={(e) => keys(e, row, i + 1, k)}
                          onPaste={(e) => paste(e, row, i + 1, k)}
                        />
                        {box.state === "saved" && k === measures.length - 1 && (
                          <span className="block text-xs text-moss">saved</span>
                        )}
                        {words && (
                          <span
                            id={`${key} ${m.key} note`}
                            className={cx(
                              "block max-w-40 text-left text-xs",
                              box.note || seen?.bad ? "text-iron" : "text-ochre-deep",
                            )}
                          >
                            {words}
                          </span>
                        )}
                      </td>
                    );
                  });
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Waiting
        items={outbox.waiting.filter((x) => outbox.offline || x.problem)}
        words={(x) => `${x.name}: ${attemptWords(measures, x)}`}
        onRetry={outbox.retry}
        onDrop={outbox.drop}
      />
      <p className="text-sm text-soft">
        Enter saves an attempt and goes to the next team, arrows go up and down. A block from a spreadsheet is pasted
        into its first cell. f is a foul, n no finish
        {measures.some((m) => levelsOf(m)) && "; a level is written by its name or its beginning"}.
      </p>
    </div>
  );
}
