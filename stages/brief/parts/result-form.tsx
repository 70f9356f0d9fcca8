"use client";

import * as yup from "yup";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { recordChallengeAction } from "../actions";

const result = yup.object({
  who: yup.string().trim().max(120).required("Who was it?"),
  value: yup.string().trim().required("What was measured?"),
});

const { TextField, QuantityField } = fieldsOf(result);

export const ResultForm = ({ challengeId, unit, measure }: { challengeId: string; unit: string; measure: string }) => (
  <ActionForm
    inline
    clear
    schema={result}
    action={recordChallengeAction}
    defaults={{ who: "", value: "" }}
    shape={(v) => ({ ...v, challengeId, id: crypto.randomUUID() })}
    submit="Record"
    look="main"
  >
    <TextField name="who" label="Group" className="w-44" />
    <QuantityField name="value" label={measure} unit={unit} className="w-36" />
  </ActionForm>
);
