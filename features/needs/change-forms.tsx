"use client";

import { useState } from "react";
import { baseline, changeRequest, decideChange, requirementOwner } from "@/data/schemas/front";
import { ActionForm, SelectField, TextArea, TextField } from "@/ui/form";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import {
  askChangeAction,
  decideChangeAction,
  importRequirementsAction,
  makeBaselineAction,
  ownRequirementAction,
} from "./actions";

type Choice = { value: string; label: string };

export const BaselineForm = ({ projectId, next }: { projectId: string; next: number }) => (
  <ActionForm
    inline
    clear
    schema={baseline}
    action={makeBaselineAction}
    fixed={{ projectId }}
    defaults={{ note: "" }}
    submit={`Fix baseline ${next}`}
    look="main"
    saved="Fixed."
  >
    <TextField name="note" label="With whom it was agreed" className="w-64" />
  </ActionForm>
);
export const ChangeForm = ({ projectId, requirements }: { projectId: string; requirements: Choice[] }) => (
  <ActionForm
    clear
    schema={changeRequest}
    action={askChangeAction}
    fixed={{ projectId }}
    defaults={{ requirementId: "", what: "", reason: "" }}
    submit="Ask for the change"
    saved="Asked."
  >
    <SelectField name="requirementId" label="Requirement" empty="a new one" options={requirements} />
    <TextField name="what" label="What should change" hint="for example: 5.5 kg instead of 5.0 kg" />
    <TextArea name="reason" label="Why" rows={2} />
  </ActionForm>
);

export function DecideForm({ id, version }: { id: string; version: number }) {
  return (
    <ActionForm
      inline
      schema={decideChange}
      action={decideChangeAction}
      fixed={{ id, version }}
      defaults={{ state: "accepted", decision: "" }}
      submit="Decide"
      look="plain"
    >
      <SelectField
        name="state"
        label="Decision"
        hideLabel
        options={[
          { value: "accepted", label: "accept" },
          { value: "declined", label: "decline" },
        ]}
      />
      <TextField name="decision" label="Reason" hideLabel placeholder="why" className="w-56" />
    </ActionForm>
  );
}

export const OwnerForm = ({ id, ownerId, people }: { id: string; ownerId: string | null; people: Choice[] }) => (
  <ActionForm
    inline
    schema={requirementOwner}
    action={ownRequirementAction}
    fixed={{ id }}
    defaults={{ ownerId: ownerId ?? "" }}
    submit="Set"
    look="plain"
  >
    <SelectField name="ownerId" label="Looked after by" empty="nobody" options={people} className="w-44" />
  </ActionForm>
);

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
  const [note, setNote] = useState("");
  const [busy, setBusy] = useState(false);
  const send = async (commit: boolean) => {
    setBusy(true);
    setNote("");
    try {
      const r = await importRequirementsAction({ projectId, text, commit });
      if (r.ok) {
        setSeen(r.value);
        if (commit) {
          setNote(`${r.value.written} requirements were written.`);
          setText("");
          setSeen(null);
        }
      } else {
        setSeen(null);
        setNote(r.message);
      }
    } catch {
      setNote("The network did not answer. The table is still here.");
    } finally {
      setBusy(false);
    }
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
            Write {count("adds") + count("changes")} requirements
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
