"use client";

import { useState } from "react";
import { useFieldArray, useFormContext } from "react-hook-form";
import { readRubric } from "@/core/sheet/rubric-table";
import { ActionForm } from "@/ui/form/action-form";
import { FieldGroup } from "@/ui/form/field";
import { fieldsFor, fieldsOf } from "@/ui/form/fields-of";
import { Menu } from "@/ui/menu";
import { buttonClass, LinkButton } from "@/ui/page";
import { PasteField } from "@/ui/paste-field";
import { useReady } from "@/ui/ready";
import { saveRubricAction } from "../actions";
import { rubric } from "../schema";
import { rubricShelf } from "../view/rubric-shelf";
import { fourLevels, freeKey, type TypedCriterion, typedCriteria, typedLevels } from "../view/typed-rubric";

const { TextField } = fieldsOf(rubric);
const criterion = fieldsFor<TypedCriterion>();
interface Values {
  name: string;
  criteria: TypedCriterion[];
}

function Criteria() {
  const { control, getValues } = useFormContext<Values>();
  const { fields, append, remove } = useFieldArray({ control, name: "criteria" });
  return (
    <div className="grid gap-3">
      {fields.map((f, i) => (
        <FieldGroup key={f.id} name={`criteria.${i}`}>
          <div className="grid items-start gap-3 border-t border-line pt-3 sm:grid-cols-[1fr_90px_2fr_auto]">
            <div className="grid gap-2">
              <criterion.TextField name="name" label="Criterion" />
              <criterion.CheckField name="individual" label="each member alone" />
            </div>
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
        onClick={() =>
          append({
            key: freeKey(getValues("criteria")),
            name: "",
            weight: "1",
            levelText: fourLevels,
            individual: false,
          })
        }
      >
        add a criterion
      </button>
    </div>
  );
}

/** Fills the form from the shelf or from a spreadsheet; nothing is saved by it. */
function Sources() {
  const { setValue, getValues } = useFormContext<Values>();
  const [pasting, setPasting] = useState(false);
  const [text, setText] = useState("");
  const [wrong, setWrong] = useState("");
  const ready = useReady();
  const fill = (criteria: TypedCriterion[]) => setValue("criteria", criteria, { shouldDirty: true });
  const take = async () => {
    const { default: Papa } = await import("papaparse");
    const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, "").trim(), { skipEmptyLines: true });
    const read = readRubric(data);
    if ("wrong" in read) return setWrong(read.wrong);
    setWrong("");
    setPasting(false);
    fill(typedCriteria(read.criteria));
  };
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap gap-4">
        <Menu
          label="Take a rubric from the shelf in place of this one"
          trigger="from the shelf"
          triggerClass={buttonClass("quiet")}
          head="takes the place of the criteria here"
          items={rubricShelf.map((r) => ({
            label: `${r.name}: ${r.why}`,
            onSelect: () => {
              if (!getValues("name")) setValue("name", r.name, { shouldDirty: true });
              fill(typedCriteria(r.criteria));
            },
          }))}
        />
        <button type="button" className={buttonClass("quiet")} disabled={!ready} onClick={() => setPasting(!pasting)}>
          from a spreadsheet
        </button>
      </div>
      {pasting && (
        <div className="grid gap-2">
          <PasteField
            label="Paste the rubric"
            rows={5}
            value={text}
            onChange={setText}
            placeholder={"Criterion\tWeight\tLevel 1\tLevel 2\nIdea\t2\t0 none\t3 argued"}
          />
          <div className="flex items-center gap-3">
            <button type="button" className={buttonClass()} disabled={!text.trim()} onClick={take}>
              Put it into the form
            </button>
            <p role="status" className="text-sm text-iron">
              {wrong}
            </p>
          </div>
        </div>
      )}
    </div>
  );
}

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
  defaults: Values;
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
        criteria: (v.criteria as TypedCriterion[]).map((c) => ({
          key: c.key,
          name: c.name,
          weight: c.weight,
          ...(c.individual && { individual: true }),
          levels: typedLevels(c.levelText),
        })),
      })}
    >
      <TextField name="name" label="Name" className="max-w-80" />
      <Sources />
      <Criteria />
    </ActionForm>
  );
}
