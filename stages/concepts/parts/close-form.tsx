"use client";

import { useState } from "react";
import { Checkbox } from "@/ui/checkbox";
import { ActButton } from "@/ui/form/act-button";
import { closeSelectionAction } from "../actions";

/** Which go on: the leading ones are ticked, a person decides, and every concept gets its reason. */
export function CloseForm({
  id,
  version,
  keep,
  rows,
}: {
  id: string;
  version: number;
  keep: number;
  rows: { id: string; title: string; leads: boolean; broken: string[] }[];
}) {
  const [going, setGoing] = useState(rows.filter((r) => r.leads).map((r) => r.id));
  const [reasons, setReasons] = useState<Record<string, string>>({});
  const warn = rows.filter((r) => going.includes(r.id) && r.broken.length);
  return (
    <div className="grid gap-2">
      <ul className="grid gap-1">
        {rows.map((r) => (
          <li key={r.id} className="grid items-center gap-2 sm:grid-cols-[minmax(0,16rem)_1fr]">
            <label className="flex items-center gap-2">
              <Checkbox
                checked={going.includes(r.id)}
                onChange={(on) => setGoing(on ? [...going, r.id] : going.filter((x) => x !== r.id))}
              />
              {r.title}
            </label>
            <input
              className="input"
              aria-label={`Reason for ${r.title}`}
              placeholder="reason; left empty, the result itself stands as the reason"
              value={reasons[r.id] ?? ""}
              onChange={(e) => setReasons({ ...reasons, [r.id]: e.target.value })}
            />
          </li>
        ))}
      </ul>
      {warn.map((r) => (
        <p key={r.id} className="text-sm text-iron">
          {r.title} breaks {r.broken.join(", ")}. It can go on; it must change.
        </p>
      ))}
      <ActButton
        key={going.join() + JSON.stringify(reasons)}
        action={closeSelectionAction}
        input={{ id, version, going, reasons }}
        look="main"
        confirm={`${going.length} of ${rows.length} go on, ${rows.length - going.length} are set aside.`}
      >{`Close: ${going.length} of ${keep} go on`}</ActButton>
    </div>
  );
}
