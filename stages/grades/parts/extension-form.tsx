"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { extendDeadlineAction } from "../actions";
import { extend } from "../schema";

const { TextField } = fieldsOf(extend);

/** More class sessions for one student's component. */
export function ExtensionForm({
  projectId,
  personId,
  component,
  version,
  sessions,
  reason,
}: {
  projectId: string;
  personId: string;
  component: string;
  version: number;
  sessions: number;
  reason: string;
}) {
  return (
    <UnfoldForm
      label={sessions ? `${sessions} more class session${sessions === 1 ? "" : "s"}` : "more time"}
      schema={extend}
      action={extendDeadlineAction}
      fixed={{ projectId, personId, component, version }}
      defaults={{ sessions: String(sessions || 1), reason }}
      submit="Save"
      inline
    >
      <TextField
        name="sessions"
        label="Class sessions more"
        inputMode="numeric"
        hint="0 takes it back"
        className="w-36"
      />
      <TextField name="reason" label="Why" className="w-56" />
    </UnfoldForm>
  );
}
