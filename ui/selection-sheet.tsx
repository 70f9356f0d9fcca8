"use client";

import { useEffect, useState } from "react";
import { readChoice, readSheet } from "@/core/concepts/sheet";
import { type ConceptMethod, datumMark } from "@/core/vocabulary/concepts";
import { Checkbox } from "./checkbox";
import { cx } from "./classes";
import { useSend } from "./form/send";
import { buttonClass } from "./page";
import { useReady } from "./ready";
import { Select } from "./select";
import { useSheetBox, useSheetDraft } from "./sheet-box";
import { Waiting } from "./waiting";

export interface SheetQuestion {
  id: string;
  school: ConceptMethod;
  criteria: { key: string; name: string }[];
  top: number;
  keep: number;
  votes: number;
  datum: string | null;
  concepts: { id: string; title: string }[];
}

/**
 * A rater's sheet in any school: choices with reasons, votes, scores, or marks against a datum. Works on a phone; what
 * is filled in stays until it is handed in.
 */
export function SelectionSheet({
  q,
  given,
  raterId,
  via,
}: {
  q: SheetQuestion;
  given: Record<string, unknown> | null;
  raterId: string;
  via?: "guest";
}) {
  const ready = useReady();
  const [chosen, setChosen] = useState<string[]>((given?.chosen as string[] | undefined) ?? []);
  const [reasons, setReasons] = useState<Record<string, string>>(
    (given?.reasons as Record<string, string> | undefined) ?? {},
  );
  const [marks, setMarks] = useState<Record<string, Record<string, string>>>(() =>
    Object.fromEntries(
      q.concepts.map((k) => [
        k.id,
        Object.fromEntries(
          q.criteria.map((c) => [c.key, String((given?.[k.id] as Record<string, unknown> | undefined)?.[c.key] ?? "")]),
        ),
      ]),
    ),
  );
  const [good, setGood] = useState("");
  const picks = q.school === "client" || q.school === "vote";
  const most = q.school === "client" ? q.keep : q.votes;
  const filled = () => (picks ? readChoice(chosen, reasons) : readSheet({ ...q, signs: q.school === "datum" }, marks));
  const handed = () => {
    setNote("");
    setClean(stands);
    setGood("Handed in. You can change it until the selection is closed.");
  };
  const name = `selection.${q.id}.${raterId}`;
  const box = useSheetBox(
    name,
    "ratings",
    (late) => {
      const sheet = filled();
      if ("marks" in sheet && JSON.stringify(sheet.marks) === JSON.stringify(late.marks)) handed();
    },
    via,
  );
  const { send, busy, note, setNote } = useSend(box.send);
  const now = { chosen, reasons, marks };
  const keep = useSheetDraft<typeof now>(name, (draft) => {
    setChosen(draft.chosen);
    setReasons(draft.reasons);
    setMarks({ ...marks, ...draft.marks });
  });
  const stands = JSON.stringify(now);
  const [clean, setClean] = useState(stands);
  useEffect(() => keep(stands === clean ? null : now), [stands, clean]);
  const handIn = async () => {
    setGood("");
    const sheet = filled();
    if ("wrong" in sheet) return setNote(sheet.wrong);
    const r = await send({ selectionId: q.id, marks: sheet.marks });
    if (r?.ok) handed();
  };
  return (
    <fieldset disabled={!ready} className="grid gap-3">
      <Waiting items={box.waiting} words={() => "What you handed in"} onRetry={box.retry} onDrop={box.drop} />
      {picks ? (
        <>
          <p className="text-soft">
            Choose {most === 1 ? "one" : `up to ${most}`}
            {q.school === "client" && ", and say why: the students read your reason"}.
          </p>
          <ul className="grid gap-2">
            {q.concepts.map((k) => (
              <li
                key={k.id}
                className={cx(
                  "rounded-md border px-3 py-2",
                  chosen.includes(k.id) ? "border-iron bg-sheet" : "border-line",
                )}
              >
                <label className="flex min-h-9 items-center gap-2.5">
                  <Checkbox
                    checked={chosen.includes(k.id)}
                    disabled={!chosen.includes(k.id) && most > 1 && chosen.length >= most}
                    onChange={(on) =>
                      setChosen(on ? (most === 1 ? [k.id] : [...chosen, k.id]) : chosen.filter((x) => x !== k.id))
                    }
                  />
                  <span className="font-[600]">{k.title}</span>
                </label>
                {q.school === "client" && chosen.includes(k.id) && (
                  <textarea
                    rows={2}
                    className="input mt-1"
                    aria-label={`Why ${k.title}`}
                    placeholder="Why this one"
                    value={reasons[k.id] ?? ""}
                    onChange={(e) => setReasons({ ...reasons, [k.id]: e.target.value })}
                  />
                )}
              </li>
            ))}
          </ul>
        </>
      ) : (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Sheet">
          <table className="table">
            <thead>
              <tr>
                <th>Concept</th>
                {q.criteria.map((c) => (
                  <th key={c.key}>
                    {c.name}
                    {q.school !== "datum" && <span className="block font-normal">0 to {q.top}</span>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {q.concepts.map((k) => (
                <tr key={k.id}>
                  <td className="min-w-36 font-[600]">
                    {k.title}
                    {k.id === q.datum && <span className="font-normal text-soft"> is the datum</span>}
                  </td>
                  {q.criteria.map((c) => (
                    <td key={c.key}>
                      {k.id === q.datum ? (
                        "0"
                      ) : q.school === "datum" ? (
                        <Select
                          className="w-16"
                          aria-label={`${k.title}, ${c.name}`}
                          value={marks[k.id]![c.key]!}
                          onChange={(v) => setMarks({ ...marks, [k.id]: { ...marks[k.id], [c.key]: v } })}
                          empty="–"
                          options={datumMark.values.map((v) => ({ value: v, label: v }))}
                        />
                      ) : (
                        <input
                          className="input w-16"
                          inputMode="decimal"
                          autoComplete="off"
                          aria-label={`${k.title}, ${c.name}`}
                          value={marks[k.id]![c.key]}
                          onChange={(e) => setMarks({ ...marks, [k.id]: { ...marks[k.id], [c.key]: e.target.value } })}
                        />
                      )}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <button type="button" className={buttonClass("main")} disabled={busy} onClick={handIn}>
          {busy ? "Handing in…" : given ? "Hand in again" : "Hand in"}
        </button>
        <p role="status" className={cx("text-sm", note ? "text-iron" : "text-moss")}>
          {note || good}
        </p>
      </div>
    </fieldset>
  );
}
