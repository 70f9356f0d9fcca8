"use client";

import { fieldsFor } from "@/ui/form/fields-of";

const { TextField, TextArea } = fieldsFor<{ cautions: string; officer: string }>();

/** What has to be so before an event begins, and who says that it is: part of every event's form. */
export const SafetyFields = () => (
  <div className="grid items-start gap-4 sm:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
    <TextArea
      name="cautions"
      label="Has to be so before the first of a day"
      rows={4}
      hint="One sentence a line; each is ticked. The school's rules come first."
    />
    <TextField name="officer" label="Ticked by" hint="Who answers for it; empty where any judge may." />
  </div>
);
