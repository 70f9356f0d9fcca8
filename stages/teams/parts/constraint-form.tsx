"use client";

import { useState } from "react";
import { ActionForm } from "@/ui/form/action-form";
import { SelectField } from "@/ui/form/fields";
import type { Choice } from "@/ui/option";
import { addConstraintAction } from "../actions";
import { teamConstraint } from "../schema";

export function ConstraintForm({ projectId, people, seats }: { projectId: string; people: Choice[]; seats: Choice[] }) {
  const [kind, setKind] = useState("apart");
  const [chosen, setChosen] = useState<string[]>([]);
  const [round, setRound] = useState(0);
  const seated = kind === "lock" || kind === "forbidden";
  return (
    <div className="grid gap-2">
      <label className="grid gap-1">
        <span className="text-[12.5px] font-[600]">Limit</span>
        <select className="input" value={kind} onChange={(e) => setKind(e.target.value)}>
          <option value="apart">kept apart</option>
          <option value="together">kept together</option>
          <option value="lock">locked seat in a team</option>
          <option value="forbidden">not in a team</option>
        </select>
      </label>
      <label className="grid gap-1">
        <span className="text-[12.5px] font-[600]">Add a student</span>
        <select
          className="input"
          value=""
          onChange={(e) => {
            if (e.target.value && !chosen.includes(e.target.value)) setChosen([...chosen, e.target.value]);
          }}
        >
          <option value="">choose</option>
          {people
            .filter((p) => !chosen.includes(p.value))
            .map((p) => (
              <option key={p.value} value={p.value}>
                {p.label}
              </option>
            ))}
        </select>
      </label>
      {chosen.length > 0 && (
        <p className="flex flex-wrap gap-2 text-sm">
          {chosen.map((c) => (
            <button
              key={c}
              type="button"
              className="underline decoration-line"
              title="Take out"
              onClick={() => setChosen(chosen.filter((x) => x !== c))}
            >
              {people.find((p) => p.value === c)?.label} ×
            </button>
          ))}
        </p>
      )}
      <ActionForm
        key={`${kind}${round}`}
        schema={teamConstraint}
        action={addConstraintAction}
        fixed={{ projectId }}
        defaults={{ seat: "" }}
        shape={(v) => ({ ...v, kind, people: chosen })}
        submit="Add the limit"
        look="plain"
        onDone={() => {
          setChosen([]);
          setRound(round + 1);
        }}
      >
        {seated && <SelectField name="seat" label="Team or concept" empty="choose" options={seats} />}
      </ActionForm>
    </div>
  );
}
