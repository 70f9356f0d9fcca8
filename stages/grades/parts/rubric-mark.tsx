"use client";

import { useWatch } from "react-hook-form";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsFor } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { enterMarksAction } from "../actions";
import { marks } from "../schema";
import { lowest, type NotebookRubric, typedByRubric } from "../view/rubric-mark";

const { SelectField } = fieldsFor<{ points: Record<string, string> }>();

interface Props {
  projectId: string;
  personId: string;
  component: string;
  version: number;
  rubric: NotebookRubric;
  onDone: () => void;
}

/** What the chosen levels come to, while they are chosen. */
function Total({ rubric }: { rubric: NotebookRubric }) {
  const points = useWatch({ name: "points" }) as Record<string, string>;
  return <p className="text-sm text-soft">{typedByRubric(rubric, points)}</p>;
}

/** A mark by the levels of a rubric; it goes into the gradebook with how it came. */
export default function RubricMark({ projectId, personId, component, version, rubric, onDone }: Props) {
  return (
    <ActionForm
      schema={marks}
      action={enterMarksAction}
      fixed={{ projectId, version }}
      defaults={{ points: lowest(rubric) }}
      shape={(v, begun) => ({
        marks: [
          {
            personId,
            component,
            version: begun.version,
            typed: typedByRubric(rubric, v.points as unknown as Record<string, string>),
          },
        ],
      })}
      submit="Enter this mark"
      look="plain"
      className="grid basis-full gap-2 sm:grid-cols-2"
      onDone={onDone}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={onDone}>
          leave
        </button>
      }
    >
      {rubric.definition.criteria.map((c) => (
        <SelectField
          key={c.key}
          name={`points.${c.key}`}
          label={c.name}
          options={c.levels.map((l) => ({ value: l.points, label: `${l.points} ${l.descriptor}`.trim() }))}
        />
      ))}
      <div className="sm:col-span-2">
        <Total rubric={rubric} />
      </div>
    </ActionForm>
  );
}
