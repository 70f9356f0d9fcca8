"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { saveProgrammeAction } from "../actions";
import { programme } from "../schema";

const { TextField } = fieldsOf(programme);

/** When an event begins and how it is run through. */
export const ProgrammeForm = ({
  id,
  version,
  matches,
  defaults,
}: {
  id: string;
  version: number;
  /** Two at a time: it is matches that take their minutes. */
  matches: boolean;
  defaults: { starts: string; lanes: number; minutes: string; repair: number };
}) => (
  <UnfoldForm
    label={defaults.starts ? "Change" : "Put into the programme"}
    buttonLook="quiet"
    schema={programme}
    action={saveProgrammeAction}
    fixed={{ id, version }}
    defaults={defaults}
    submit="Save"
    saved="Saved."
    className="grid max-w-[760px] items-start gap-4 sm:grid-cols-4"
  >
    <TextField name="starts" label="Begins at" hint="like 9:30; empty: not in the programme" />
    <TextField name="lanes" label={matches ? "Matches side by side" : "Benches or lanes"} type="number" />
    <TextField name="minutes" label={matches ? "Minutes a match" : "Minutes an attempt"} inputMode="decimal" />
    <TextField name="repair" label="Minutes for repair" type="number" hint="at least, between two of a team" />
  </UnfoldForm>
);
