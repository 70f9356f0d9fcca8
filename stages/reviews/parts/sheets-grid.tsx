"use client";

import { type KeyboardEvent, useRef, useState } from "react";
import type { Criterion } from "@/core/sheet/sheet";
import { useBoxes } from "@/ui/boxes";
import { cx } from "@/ui/classes";
import { useSend } from "@/ui/form/send";
import { useReady } from "@/ui/ready";
import { useSheetBox, useSheetDraft } from "@/ui/sheet-box";
import { tip } from "@/ui/tip";
import { isLevel, pointsOf, type SheetRow, typedLevel } from "../view/sheets-grid";

/** A cell: what was typed into it, if anything was. */
interface Box {
  readonly id?: string;
  readonly text?: string;
}

/** The key of a team's criterion. */
const cellKey = (team: number, criterion: number) => `${team} ${criterion}`;

/** What a row holds while it is not handed in, with the version that it was begun on. */
interface Draft {
  readonly version: number;
  readonly texts: Readonly<Record<string, string>>;
}

type Said = "handed in" | "sending…" | "";

/** A team's row: a level in each cell goes on to the next, and the last one hands the sheet in. */
function Row({
  row,
  criteria,
  rater,
  raterId,
  at,
  boxes,
}: {
  row: SheetRow;
  criteria: readonly Criterion[];
  rater: string;
  raterId: string;
  at: number;
  boxes: ReturnType<typeof useBoxes<Box>>;
}) {
  const keyOf = (i: number) => cellKey(at, i);
  const stood = (i: number) => row.marks[criteria[i]!.key]?.points ?? "";
  const now = (i: number) => boxes.now(keyOf(i)).text ?? stood(i);
  const typed = criteria.map((_, i) => boxes.shown(keyOf(i)).text ?? stood(i));
  const go = (team: number, criterion: number) => boxes.focus(cellKey(team, criterion));
  const version = useRef(row.version);
  const [said, setSaid] = useState<Said>(row.version ? "handed in" : "");
  // A sheet waits in this browser where there is no connection; what is not whole yet is kept as it is typed.
  const name = `grid.${row.reviewId}.${raterId}`;
  const box = useSheetBox(name, "review", (input) => {
    version.current = Number(input.version) + 1;
    setNote("");
    setSaid("handed in");
  });
  const draft = useSheetDraft<Draft>(name, (kept) => {
    version.current = kept.version;
    for (const [i, c] of criteria.entries()) {
      const text = kept.texts[c.key];
      if (text) boxes.change(keyOf(i), { text });
    }
    setSaid("");
  });
  const { send, note, setNote } = useSend(box.send);
  const ready = useReady();
  const whole = () => criteria.every((c, i) => isLevel(now(i), c.levels));
  const last = criteria.length - 1;
  // What is typed while a sheet is on its way is sent after it.
  const under = useRef<"" | "way" | "again">("");
  const handIn = async (): Promise<void> => {
    if (under.current) {
      under.current = "again";
      return;
    }
    under.current = "way";
    setSaid("sending…");
    const r = await send(
      {
        reviewId: row.reviewId,
        version: version.current,
        raterName: rater,
        comment: row.comment,
        marks: criteria.map((c, i) => ({
          criterion: c.key,
          points: pointsOf(now(i)),
          comment: row.marks[c.key]?.comment ?? "",
        })),
      },
      { stay: true },
    );
    if (r?.ok) version.current += 1;
    if (r?.ok || (r && r.kind === "waits")) draft(null);
    const again = (under.current as string) === "again" && r?.ok;
    under.current = "";
    if (again) return handIn();
    setSaid(r?.ok ? "handed in" : "");
  };
  /** From a cell that is right to the next; a whole row is handed in at its end, and again when it is corrected. */
  const next = (i: number) => {
    if (whole() && (i === last || version.current > 0)) void handIn();
    return i < last ? go(at, i + 1) : go(at + 1, 0);
  };
  const change = (i: number, text: string) => {
    boxes.change(keyOf(i), { text });
    const texts = Object.fromEntries(criteria.map((c, k) => [c.key, k === i ? text : now(k)]));
    draft({ version: version.current, texts });
    setNote("");
    setSaid("");
    if (typedLevel(text, criteria[i]!.levels) === "level") next(i);
  };
  const onKey = (i: number) => (e: KeyboardEvent<HTMLInputElement>) => {
    const to = { ArrowUp: [at - 1, i], ArrowDown: [at + 1, i], Enter: null }[e.key];
    if (to === undefined) return;
    e.preventDefault();
    if (to) go(to[0]!, to[1]!);
    else if (isLevel(now(i), criteria[i]!.levels)) next(i);
  };
  const wrong = criteria.flatMap((c, i) =>
    typedLevel(typed[i]!, c.levels) === "wrong"
      ? [`${c.name}: ${typed[i]} is none of its levels (${c.levels.map((l) => l.points).join(", ")}).`]
      : [],
  );
  return (
    <tr className="*:align-middle">
      <th scope="row" className="text-left text-[13px] font-[650] text-ink">
        {row.team} <span className="font-normal text-soft">{row.build}</span>
      </th>
      {criteria.map((c, i) => {
        const level = c.levels.find((l) => isLevel(typed[i]!, [l]));
        return (
          <td key={c.key} className="num">
            <input
              ref={boxes.field(keyOf(i))}
              aria-label={`${row.team}, ${c.name}`}
              aria-invalid={typedLevel(typed[i]!, c.levels) === "wrong"}
              inputMode="decimal"
              autoComplete="off"
              disabled={!ready}
              value={typed[i]}
              className={cx("input w-14 text-right", typedLevel(typed[i]!, c.levels) === "wrong" && "border-iron")}
              onFocus={(e) => e.target.select()}
              onClick={(e) => e.currentTarget.select()}
              onChange={(e) => change(i, e.target.value)}
              onKeyDown={onKey(i)}
              {...(level?.descriptor ? tip(level.descriptor) : {})}
            />
          </td>
        );
      })}
      <td className={cx("text-sm", note || wrong.length ? "text-iron" : "text-soft")}>
        <span role="status">{wrong[0] ?? (note || said || "not handed in")}</span>
        {!said && !wrong.length && whole() && (
          <button type="button" className="ml-2 underline" onClick={handIn}>
            hand in
          </button>
        )}
      </td>
    </tr>
  );
}

/** One reviewer's sheets for a whole class, typed by digits: a team after the other without another key. */
export function SheetsGrid({
  rows,
  criteria,
  rater,
  raterId,
}: {
  rows: readonly SheetRow[];
  criteria: readonly Criterion[];
  rater: string;
  raterId: string;
}) {
  const boxes = useBoxes<Box>({});
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Sheets of the class">
      <table className="table">
        <thead>
          <tr>
            <th>Team</th>
            {criteria.map((c) => (
              <th key={c.key} className="num">
                {c.name}
                <span className="block font-normal text-soft">{c.levels.map((l) => l.points).join(", ")}</span>
              </th>
            ))}
            <th>Sheet</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r, i) => (
            <Row key={r.reviewId} row={r} criteria={criteria} rater={rater} raterId={raterId} at={i} boxes={boxes} />
          ))}
        </tbody>
      </table>
    </div>
  );
}
