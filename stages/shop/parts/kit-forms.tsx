"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { useNewId } from "@/ui/new-id";
import type { Option } from "@/ui/option";
import { toast } from "@/ui/toast";
import { countKitAction, handOutKitAction, saveKitAction, withdrawKitAction, withdrawKitOutAction } from "../actions";
import { countKit, handOutKit, kit } from "../schema-stock";

const { TextField, TextArea } = fieldsOf(kit);
const out = fieldsOf(handOutKit);
const count = fieldsOf(countKit);

const Fields = () => (
  <>
    <TextField name="name" label="Kit" />
    <TextArea name="contents" label="What is in it" rows={6} hint="One thing a line: 4 × clamp." />
  </>
);

/** A kit more. */
export function NewKit({ projectId }: { projectId: string }) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      key={id}
      label="A kit more"
      buttonLook="plain"
      schema={kit}
      action={saveKitAction}
      fixed={{ id, projectId }}
      defaults={{ name: "", contents: "" }}
      submit="Keep it"
      className="grid max-w-md gap-2"
      onDone={renew}
    >
      <Fields />
    </UnfoldForm>
  );
}

/** Corrects a kit. */
export const EditKit = ({
  projectId,
  id,
  version,
  name,
  contents,
}: {
  projectId: string;
  id: string;
  version: number;
  name: string;
  contents: string;
}) => (
  <UnfoldForm
    label="correct"
    beside={
      <WithdrawButton action={withdrawKitAction} id={id} name={name}>
        take out
      </WithdrawButton>
    }
    schema={kit}
    action={saveKitAction}
    fixed={{ id, projectId, version }}
    defaults={{ name, contents }}
    submit="Save"
    className="grid max-w-md gap-2"
  >
    <Fields />
  </UnfoldForm>
);

/** Hands a kit out to a team that has none of it. */
export function HandOut({ kitId, teams }: { kitId: string; teams: readonly Option[] }) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      key={id}
      label="hand out"
      schema={handOutKit}
      action={handOutKitAction}
      fixed={{ id, kitId }}
      defaults={{ teamId: teams[0]?.value ?? "" }}
      submit="Hand it out"
      className="grid max-w-xs gap-2"
      onDone={renew}
    >
      <out.SelectField name="teamId" label="To" options={[...teams]} />
    </UnfoldForm>
  );
}

/** Counts a kit back, line by line; what is missing is said. */
export const CountKit = ({
  id,
  version,
  lines,
  counted,
  note,
}: {
  id: string;
  version: number;
  lines: readonly { readonly name: string; readonly count: number }[];
  counted: readonly number[] | null;
  note: string;
}) => (
  <UnfoldForm
    label={counted ? "correct the count" : "count back"}
    beside={
      <WithdrawButton action={withdrawKitOutAction} id={id} name="the handing out">
        take out
      </WithdrawButton>
    }
    schema={countKit}
    action={countKitAction}
    fixed={{ id, version }}
    defaults={{ counted: lines.map((l, i) => String(counted?.[i] ?? l.count)), note }}
    submit="Counted"
    className="grid max-w-md gap-2"
    onDone={({ missing }) => toast(missing.length ? `Missing: ${missing.join(", ")}.` : "Everything is back.")}
  >
    <div className="grid gap-2 sm:grid-cols-2">
      {lines.map((l, i) => (
        <count.TextField key={l.name} name={`counted.${i}`} label={`${l.name}, of ${l.count}`} inputMode="numeric" />
      ))}
    </div>
    <count.TextField name="note" label="Note" />
  </UnfoldForm>
);
