"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { openSourceAction } from "../actions";
import { source } from "../schema";

const { TextField, SelectField } = fieldsOf(source);

export function SourceForm({ projectId, slug, today }: { projectId: string; slug: string; today: string }) {
  return (
    <ActionForm
      schema={source}
      action={openSourceAction}
      fixed={{ projectId }}
      defaults={{ kind: "interview", title: "", who: "", heldOn: today }}
      submit="Begin"
      saved="The source is saved."
      goTo={`/p/${slug}/needs/sources/:id`}
      className="grid gap-3"
    >
      <SelectField
        name="kind"
        label="Kind"
        options={[
          { value: "interview", label: "Interview, the class types along" },
          { value: "observation", label: "Observation of users at work" },
          { value: "product", label: "Existing product, looked at or measured" },
        ]}
      />
      <TextField name="title" label="Title" hint="Interview 1, or what was watched, or the product's kind" />
      <TextField name="who" label="With whom, or where" />
      <TextField name="heldOn" label="On" type="date" />
    </ActionForm>
  );
}
