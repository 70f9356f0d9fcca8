"use client";

import { gateStrictness } from "@/core/vocabulary/project";
import { settings } from "@/platform/project/schema";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { saveSettingsAction } from "../actions";

const { SelectField } = fieldsOf(settings);

export const StrictnessForm = ({ projectId, value }: { projectId: string; value: string }) => (
  <ActionForm
    schema={settings}
    action={saveSettingsAction}
    fixed={{ projectId }}
    defaults={{ gateStrictness: value }}
    submit="Save"
    look="plain"
    saved="Saved."
  >
    <SelectField
      name="gateStrictness"
      label="Gate before material"
      options={gateStrictness.options}
      hint="Warning teaches without standing in the way; blocking saves the dear material; none lets hands think first."
    />
  </ActionForm>
);
