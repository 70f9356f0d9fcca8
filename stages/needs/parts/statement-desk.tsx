"use client";

import { useState } from "react";
import { Checkbox } from "@/ui/checkbox";
import { cx } from "@/ui/classes";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { saveStatementAction } from "../actions";
import { statement } from "../schema";

const { TextArea } = fieldsOf(statement);

/** Notes become a statement: tick what it rests on, write what it says. */
export function StatementDesk({
  projectId,
  notes,
}: {
  projectId: string;
  notes: { id: string; text: string; author: string; source: string; used: number }[];
}) {
  const [picked, setPicked] = useState<string[]>([]);
  const [all, setAll] = useState(false);
  const shown = notes.filter((n) => all || n.used === 0 || picked.includes(n.id));
  const sources = [...new Set(shown.map((n) => n.source))];
  const first = notes.find((n) => n.id === picked[0]);
  return (
    <div className="grid gap-2">
      <ActionForm
        key={first?.id ?? "none"}
        schema={statement}
        action={saveStatementAction}
        fixed={{ projectId }}
        defaults={{ text: first?.text ?? "" }}
        shape={(v) => ({ ...v, noteIds: picked })}
        submit={
          picked.length
            ? `Save, resting on ${picked.length} ${picked.length === 1 ? "note" : "notes"}`
            : "Save without a note"
        }
        clear
        onDone={() => setPicked([])}
      >
        <TextArea
          name="text"
          label="Statement"
          rows={2}
          hint="One need in one sentence, with a number and a unit where the words give one."
        />
      </ActionForm>
      <div className="max-h-[28rem] overflow-y-auto" tabIndex={0} role="region" aria-label="Notes">
        {sources.map((s) => (
          <div key={s}>
            <h3 className="mt-1.5">{s}</h3>
            <ul>
              {shown
                .filter((n) => n.source === s)
                .map((n) => (
                  <li key={n.id}>
                    <label className="flex items-start gap-2 py-0.5">
                      <Checkbox
                        className="mt-[3px]"
                        checked={picked.includes(n.id)}
                        onChange={(on) => setPicked(on ? [...picked, n.id] : picked.filter((x) => x !== n.id))}
                      />
                      <span>
                        {n.text}{" "}
                        <span className="text-xs text-soft">
                          {n.author}
                          {n.used > 0 && " · used"}
                        </span>
                      </span>
                    </label>
                  </li>
                ))}
            </ul>
          </div>
        ))}
        {shown.length === 0 && <p className="text-soft">Every note has become part of a statement.</p>}
      </div>
      {notes.some((n) => n.used > 0) && (
        <button type="button" className={cx(buttonClass("quiet"), "justify-self-start")} onClick={() => setAll(!all)}>
          {all ? "only notes not used yet" : "all notes"}
        </button>
      )}
    </div>
  );
}
