"use client";

import { useFieldArray, useFormContext } from "react-hook-form";
import { linesOf } from "@/core/text/lines";
import { ActionForm } from "@/ui/form/action-form";
import { FieldGroup } from "@/ui/form/field";
import { fieldsFor, fieldsOf } from "@/ui/form/fields-of";
import { buttonClass, LinkButton } from "@/ui/page";
import { saveRubricAction } from "../actions";
import { rubric } from "../schema";

/** A criterion as it is typed: its levels a line each. */
type TypedCriterion = { name: string; weight: string; levelText: string };
const { TextField } = fieldsOf(rubric);
const criterion = fieldsFor<TypedCriterion>();

function Criteria() {
  const { control } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name: "criteria" });
  return (
    <div className="grid gap-3">
      {fields.map((f, i) => (
        <FieldGroup key={f.id} name={`criteria.${i}`}>
          <div className="grid items-start gap-3 border-t border-line pt-3 sm:grid-cols-[1fr_90px_2fr_auto]">
            <criterion.TextField name="name" label="Criterion" />
            <criterion.TextField name="weight" label="Weight" inputMode="decimal" />
            <criterion.TextArea
              name="levelText"
              label="Levels"
              rows={4}
              hint="One a line: points, then what it takes"
            />
            <button type="button" className={`${buttonClass("quiet")} mt-5`} onClick={() => remove(i)}>
              remove
            </button>
          </div>
        </FieldGroup>
      ))}
      <button
        type="button"
        className={`${buttonClass("quiet")} justify-self-start`}
        onClick={() => append({ name: "", weight: "1", levelText: "0 not shown\n1 begun\n2 sound\n3 excellent" })}
      >
        add a criterion
      </button>
    </div>
  );
}

const levelsOf = (text: string) =>
  linesOf(text).map((l) => {
    const [points = "", ...rest] = l.split(/[\s:–-]+/);
    return { points, descriptor: l.slice(points.length).replace(/^[\s:–-]+/, "") || rest.join(" ") };
  });

export function RubricForm({
  projectId,
  slug,
  id,
  version,
  defaults,
}: {
  projectId: string;
  slug: string;
  id?: string;
  version: number;
  defaults: { name: string; criteria: { key: string; name: string; weight: string; levelText: string }[] };
}) {
  return (
    <ActionForm
      schema={rubric}
      action={saveRubricAction}
      fixed={{ projectId, id, version }}
      defaults={defaults}
      submit={id ? "Save a new version" : "Save rubric"}
      saved="The rubric is saved."
      goTo={`/p/${slug}/reviews`}
      cancel={
        <LinkButton href={`/p/${slug}/reviews`} look="quiet">
          Leave without saving
        </LinkButton>
      }
      className="grid max-w-[900px] gap-4"
      shape={(v) => ({
        name: v.name,
        criteria: (v.criteria as { key?: string; name: string; weight: string; levelText: string }[]).map((c, i) => ({
          key: c.key || `c${i + 1}`,
          name: c.name,
          weight: c.weight,
          levels: levelsOf(c.levelText),
        })),
      })}
    >
      <TextField name="name" label="Name" className="max-w-80" />
      <Criteria />
    </ActionForm>
  );
}
