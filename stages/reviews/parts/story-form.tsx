"use client";

import { useFieldArray, useFormContext } from "react-hook-form";
import { ActionForm } from "@/ui/form/action-form";
import { FieldGroup } from "@/ui/form/field";
import { fieldsFor, fieldsOf } from "@/ui/form/fields-of";
import { Menu } from "@/ui/menu";
import type { Option } from "@/ui/option";
import { buttonClass, LinkButton } from "@/ui/page";
import { saveStoryAction } from "../actions";
import { type Chapter, saveStory } from "../schema-story";

const { TextField } = fieldsOf(saveStory);
const chapter = fieldsFor<Chapter>();

interface Values {
  title: string;
  chapters: Chapter[];
}

function Chapters({
  drafts,
  pictures,
  notes,
}: {
  drafts: readonly Chapter[];
  pictures: readonly Option[];
  /** What the writer has in the own notebook: a date and the text. */
  notes: readonly Option[];
}) {
  const { control, getValues, setValue, watch } = useFormContext<Values>();
  const { fields, append, remove, move } = useFieldArray({ control, name: "chapters", keyName: "row" });
  const used = new Set(watch("chapters").map((c) => c.key));
  const left = drafts.filter((d) => !used.has(d.key));
  const fresh = (): Chapter => {
    let n = 1;
    while (used.has(`own ${n}`)) n++;
    return { key: `own ${n}`, heading: "", text: "", pictures: [], figure: false };
  };
  return (
    <div className="grid gap-5">
      {fields.map((f, i) => (
        <FieldGroup key={f.row} name={`chapters.${i}`}>
          <fieldset className="grid gap-3 border-t border-line pt-3">
            <legend className="pr-2 text-sm text-soft">Chapter {i + 1}</legend>
            <div className="grid items-start gap-3 sm:grid-cols-[1fr_auto]">
              <chapter.TextField name="heading" label="Heading" />
              <Menu
                label={`Chapter ${i + 1}: what can be done`}
                trigger="…"
                triggerClass={`${buttonClass("quiet")} mt-5`}
                items={[
                  ...(i > 0 ? [{ label: "Move up", onSelect: () => move(i, i - 1) }] : []),
                  ...(i < fields.length - 1 ? [{ label: "Move down", onSelect: () => move(i, i + 1) }] : []),
                  ...notes.map((n) => ({
                    label: `From my notebook: ${n.label}`,
                    onSelect: () => {
                      const text = getValues(`chapters.${i}.text`);
                      setValue(`chapters.${i}.text`, [text, n.value].filter(Boolean).join("\n\n"), {
                        shouldDirty: true,
                      });
                    },
                  })),
                  { label: "Remove", onSelect: () => remove(i) },
                ]}
              />
            </div>
            <chapter.TextArea name="text" label="Text" rows={8} hint="An empty line begins a new paragraph." />
            {pictures.length > 0 && (
              <chapter.ChoiceField name="pictures" label="Pictures" options={pictures.map((p) => ({ ...p }))} />
            )}
            <chapter.CheckField name="figure" label="with the figure of all generations" />
          </fieldset>
        </FieldGroup>
      ))}
      <div className="flex flex-wrap gap-4">
        {left.length > 0 && (
          <Menu
            label="Add a chapter from the record"
            trigger="add from the record"
            triggerClass={buttonClass("quiet")}
            items={left.map((d) => ({ label: d.heading, onSelect: () => append(d) }))}
          />
        )}
        <button type="button" className={buttonClass("quiet")} onClick={() => append(fresh())}>
          add a chapter of our own
        </button>
      </div>
    </div>
  );
}

/** A team edits its story: chapters from the record and its own, in its own order. */
export const StoryForm = ({
  projectId,
  teamId,
  version,
  defaults,
  drafts,
  pictures,
  notes,
  back,
}: {
  projectId: string;
  teamId: string;
  version: number;
  defaults: Values;
  drafts: readonly Chapter[];
  pictures: readonly Option[];
  notes: readonly Option[];
  /** Where the story is read. */
  back: string;
}) => (
  <ActionForm
    schema={saveStory}
    action={saveStoryAction}
    fixed={{ projectId, teamId, version }}
    defaults={defaults}
    submit="Save the story"
    saved="The story is saved."
    goTo={back}
    cancel={
      <LinkButton href={back} look="quiet">
        Leave without saving
      </LinkButton>
    }
    className="grid max-w-[860px] gap-4"
  >
    <TextField name="title" label="Title" />
    <Chapters drafts={drafts} pictures={pictures} notes={notes} />
  </ActionForm>
);
