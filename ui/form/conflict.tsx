"use client";

import { buttonClass } from "../page";
import type { ConflictShown } from "./result";

/** Two people saved the same thing: both values, and which one stays. */
export function ConflictBox({
  fields,
  onMine,
  onTheirs,
}: {
  fields: readonly ConflictShown[];
  onMine: () => void;
  onTheirs: () => void;
}) {
  return (
    <div className="rounded-md border border-ochre bg-ochre-wash px-3 py-2 text-sm" role="alert">
      <p className="font-[600]">Somebody else saved first.</p>
      <table className="my-1 w-full">
        <thead>
          <tr>
            <th className="text-left">Field</th>
            <th className="text-left">Yours</th>
            <th className="text-left">Theirs</th>
          </tr>
        </thead>
        <tbody>
          {fields.map((f) => (
            <tr key={f.field}>
              <td className="pr-3 align-top text-soft">{f.label}</td>
              <td className="max-w-60 pr-3 align-top wrap-break-word">{f.yours || "–"}</td>
              <td className="max-w-60 align-top wrap-break-word">{f.theirs || "–"}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="flex gap-2">
        <button type="button" className={buttonClass("plain")} onClick={onMine}>
          Save mine over theirs
        </button>
        <button type="button" className={buttonClass("quiet")} onClick={onTheirs}>
          Take theirs
        </button>
      </div>
    </div>
  );
}
