"use client";

import { settingOutcome } from "@/core/vocabulary/shop";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { useNewId } from "@/ui/new-id";
import { editSettingAction, recordSettingAction, withdrawSettingAction } from "../actions";
import { editSetting, machineSetting } from "../schema";

const { TextField, TextArea, SelectField, QuantityField } = fieldsOf(machineSetting);

function Fields({ unit }: { unit: string }) {
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField name="machine" label="Machine" hint="For example laser cutter, drill press." />
        <TextField name="material" label="Material" hint="As exactly as you know: birch plywood, cast acrylic." />
        <QuantityField name="thickness" label="Thickness" unit={unit} hint="Empty where it says nothing." />
      </div>
      <TextArea name="settings" label="Settings" rows={2} hint="Power, speed, passes, turns, feed, tool." />
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField name="outcome" label="What came of it" options={settingOutcome.options} />
        <TextField name="seen" label="What was seen" hint="Edge, burr, burn, crack, smell." />
      </div>
    </>
  );
}

/** Records what was tried at a machine. */
export function NewSetting({ projectId, unit }: { projectId: string; unit: string }) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      key={id}
      label="Record what was tried"
      buttonLook="plain"
      schema={machineSetting}
      action={recordSettingAction}
      fixed={{ id, projectId }}
      defaults={{ machine: "", material: "", thickness: "", settings: "", outcome: "worked", seen: "" }}
      submit="Record it"
      className="grid max-w-[860px] gap-3"
      onDone={renew}
    >
      <Fields unit={unit} />
    </UnfoldForm>
  );
}

/** Corrects a record, or takes it out. */
export const EditSetting = ({
  id,
  version,
  unit,
  typed,
}: {
  id: string;
  version: number;
  unit: string;
  typed: Record<string, string>;
}) => (
  <UnfoldForm
    label="correct"
    schema={editSetting}
    action={editSettingAction}
    fixed={{ id, version }}
    defaults={typed}
    submit="Save"
    className="grid min-w-80 gap-3"
  >
    <Fields unit={unit} />
    <p className="text-sm text-soft">
      Recorded by mistake? <WithdrawButton action={withdrawSettingAction} id={id} />
    </p>
  </UnfoldForm>
);
