"use client";

import { handbookTarget } from "@/core/vocabulary/handbook";
import type { UnitSystem } from "@/core/vocabulary/project";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsFor } from "@/ui/form/fields-of";
import { useNewId } from "@/ui/new-id";
import { Sheet } from "@/ui/page";
import { attachUseAction, changeUseAction } from "../actions";
import type { Target } from "../queries/uses";
import { attachUse, changeUse } from "../schema";
import type { OpenUse } from "../view/handbook";
import { WithdrawUse } from "./withdraw-use";

/** Where calculations of a project may be kept, and the kept one that is open, if it may be changed. */
export interface Keeping {
  readonly targets: readonly Target[];
  readonly use: OpenUse | null;
}

const { SelectField, TextField } = fieldsFor<{ target: string; note: string }>();
const hint = "What it was for, in a few words. It stays with its inputs, and is computed again whenever it is read.";

/** Keeps a calculation with what it was made for, or corrects the kept one. */
export function KeepForm({
  keeping,
  opened,
  calculator,
  units,
  inputs,
  target,
  ready,
  base,
}: {
  keeping: Keeping;
  opened: OpenUse | null;
  calculator: string;
  units: UnitSystem;
  inputs: Readonly<Record<string, string>>;
  target: string;
  ready: boolean;
  base: string;
}) {
  const [id, renew] = useNewId();
  const { targets } = keeping;
  if (opened)
    return (
      <Sheet className="no-print mt-6 max-w-[640px]" title="This calculation is kept">
        <ActionForm
          schema={changeUse}
          action={changeUseAction}
          held={Object.entries(inputs).some(([symbol, text]) => (opened.inputs[symbol] ?? text) !== text)}
          fixed={{ id: opened.id, version: opened.version }}
          defaults={{ note: opened.note }}
          shape={({ note }) => ({ note, inputs, units })}
          submit="Save what was changed"
          saved="Saved."
          cancel={<WithdrawUse id={opened.id} goTo={`${base}/handbook`} />}
        >
          <TextField name="note" label="Note" hint={hint} />
        </ActionForm>
      </Sheet>
    );
  if (!targets.length)
    return (
      <p className="no-print mt-6 text-soft">
        A calculation can be kept with a build of your team or an entry of your notebook: there is none yet.
      </p>
    );
  return (
    <Sheet className="no-print mt-6 max-w-[640px]" title="Keep it with">
      <ActionForm
        schema={attachUse}
        action={attachUseAction}
        defaults={{ target: targets.some((t) => `${t.kind} ${t.id}` === target) ? target : "", note: "" }}
        shape={(typed) => {
          const [kind, targetId] = String(typed.target ?? "").split(" ");
          return { id, kind, targetId, calculator, units, inputs, note: typed.note };
        }}
        submit="Keep it"
        look={ready ? "main" : "plain"}
        saved="Kept. It stands where it was kept, with its inputs and its working."
        onDone={renew}
      >
        <SelectField
          name="target"
          label="What it was made for"
          empty="choose"
          options={targets.map((t) => ({
            value: `${t.kind} ${t.id}`,
            label: `${handbookTarget.labels[t.kind]}: ${t.label}`,
          }))}
        />
        <TextField name="note" label="Note" hint={hint} />
      </ActionForm>
    </Sheet>
  );
}
