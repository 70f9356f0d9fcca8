"use client";

import { trainingStrictness } from "@/core/vocabulary/shop";
import { settings } from "@/platform/project/schema";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { methodFieldOf } from "@/ui/form/method-field-of";
import { saveSettingsAction } from "../actions";

const { TextField } = fieldsOf(settings);
const MethodField = methodFieldOf(settings);

/** How strictly the shop holds to trainings, and how long a session's machine time is. */
export const ShopMethodForm = ({
  projectId,
  strictness,
  minutes,
}: {
  projectId: string;
  strictness: string;
  minutes: number;
}) => (
  <ActionForm
    schema={settings}
    action={saveSettingsAction}
    fixed={{ projectId }}
    defaults={{ trainingStrictness: strictness, sessionMinutes: String(minutes) }}
    submit="Save"
    look="plain"
    saved="Saved."
  >
    <MethodField name="trainingStrictness" label="Without a training" options={trainingStrictness.options} />
    <TextField
      name="sessionMinutes"
      label="Minutes of a session"
      inputMode="numeric"
      hint="In which machines run: without coming in and clearing up."
    />
  </ActionForm>
);
