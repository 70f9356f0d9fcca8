"use client";

import { useFormContext } from "react-hook-form";
import type { InferType } from "yup";
import { failureSeverity } from "@/core/vocabulary/builds";
import { fieldsFor } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { Caution } from "@/ui/page";
import { saveFailureAction } from "../actions";
import { failure } from "../schema";
import { PinField } from "./pin-field";

/** `among` is the choice from the list; the cause is it, or what is written beside “another”. */
const { TextField, TextArea, SelectField } = fieldsFor<InferType<typeof failure> & { among: string }>();

/** A cause that is not in the list is written; the list has it the next time. */
function Cause({ causes }: { causes: readonly string[] }) {
  const form = useFormContext();
  const other = form.watch("among") === "other";
  return (
    <>
      <SelectField
        name="among"
        label="Likely cause"
        empty="not known yet"
        options={[...causes.map((c) => ({ value: c, label: c })), { value: "other", label: "another cause" }]}
      />
      {other && <TextField name="cause" label="Which cause" hint="The class's list has it from now on." />}
    </>
  );
}

/** Where somebody could have been hurt the first thing is not the record. */
function Danger() {
  return useFormContext().watch("severity") === "danger" ? (
    <Caution>
      <p>
        Stop using it and tell the instructor now, before you write this down. The school's rules for incidents apply.
      </p>
    </Caution>
  ) : null;
}

export interface FailureDefaults {
  readonly mode: string;
  readonly place: string;
  readonly cause: string;
  readonly severity: string;
  readonly nextStep: string;
  readonly photoId: string;
  readonly pinX?: number;
  readonly pinY?: number;
}

/** What failed: new, or corrected. */
export function FailureForm({
  buildId,
  id,
  version = 0,
  causes,
  photos,
  defaults = { mode: "", place: "", cause: "", severity: "", nextStep: "", photoId: "" },
}: {
  buildId: string;
  id?: string;
  version?: number;
  causes: readonly string[];
  photos: readonly { id: string; caption: string }[];
  defaults?: FailureDefaults;
}) {
  return (
    <UnfoldForm
      label={id ? "correct" : "Record a failure"}
      buttonLook={id ? "quiet" : "plain"}
      schema={failure}
      action={saveFailureAction}
      fixed={{ buildId, id, version }}
      defaults={{ ...defaults, among: causes.includes(defaults.cause) || !defaults.cause ? defaults.cause : "other" }}
      shape={({ among, ...v }) => ({ ...v, cause: among === "other" ? v.cause : (among ?? "") })}
      submit="Save"
      saved="Recorded."
      clear={!id}
      className="grid w-full gap-3"
    >
      <TextField
        name="mode"
        label="What failed"
        hint="What was seen, not what is thought: the lever split along the grain"
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField name="place" label="Where" hint="at the pivot" />
        <SelectField name="severity" label="How much it matters" empty="choose" options={failureSeverity.options} />
        <Cause causes={causes} />
      </div>
      <Danger />
      <TextArea name="nextStep" label="Next step" rows={2} hint="What the next build does about it." />
      {photos.length > 0 && (
        <>
          <SelectField
            name="photoId"
            label="On which photo"
            empty="no photo"
            options={photos.map((p, i) => ({ value: p.id, label: p.caption || `photo ${i + 1}` }))}
          />
          <PinField photos={photos} />
        </>
      )}
    </UnfoldForm>
  );
}
