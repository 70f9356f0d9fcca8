"use client";

import { useState } from "react";
import { type ConstraintKind, constraintKind } from "@/core/vocabulary/teams";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { Select } from "@/ui/select";
import { tip } from "@/ui/tip";
import { addConstraintAction } from "../actions";
import { teamConstraint } from "../schema";

const { SelectField } = fieldsOf(teamConstraint);

const isSeat = (kind: ConstraintKind) => kind === "lock" || kind === "forbidden";
const kinds = constraintKind.options.map((o) => (isSeat(o.value) ? { ...o, label: `${o.label} …` } : o));

export function ConstraintForm({ projectId, people, seats }: { projectId: string; people: Option[]; seats: Option[] }) {
  const [kind, setKind] = useState<ConstraintKind>("apart");
  const [chosen, setChosen] = useState<string[]>([]);
  const [round, setRound] = useState(0);
  const seated = isSeat(kind);
  return (
    <div className="grid gap-2">
      <label className="grid gap-1">
        <span className="text-[12.5px] font-[600]">Limit</span>
        <Select value={kind} onChange={(k) => setKind(k as ConstraintKind)} options={kinds} />
      </label>
      <label className="grid gap-1">
        <span className="text-[12.5px] font-[600]">Add a student</span>
        <Select
          value=""
          onChange={(v) => v && setChosen([...chosen, v])}
          empty="choose"
          options={people.filter((p) => !chosen.includes(p.value))}
        />
      </label>
      {chosen.length > 0 && (
        <p className="flex flex-wrap gap-2 text-sm">
          {chosen.map((c) => (
            <button
              key={c}
              type="button"
              className="underline decoration-line"
              {...tip("Take out")}
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
