"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { buttonClass } from "@/ui/page";
import { saveTaskAction } from "../actions";
import { task } from "../schema";

const { TextField, SelectField, ChoiceField } = fieldsOf(task);

export interface TaskValues {
  id: string;
  version: number;
  title: string;
  length: number;
  notBefore: string;
  deadline: string;
  milestoneId: string;
  after: string[];
}

export function TaskForm({
  projectId,
  tasks,
  milestones,
  edit,
  onDone,
}: {
  projectId: string;
  tasks: Option[];
  milestones: Option[];
  edit?: TaskValues;
  onDone?: () => void;
}) {
  const { id, version, ...values } = edit ?? {
    id: undefined,
    version: 0,
    title: "",
    length: 1,
    notBefore: "",
    deadline: "",
    milestoneId: "",
    after: [] as string[],
  };
  return (
    <ActionForm
      clear={!edit}
      schema={task}
      action={saveTaskAction}
      fixed={{ projectId, id, version }}
      defaults={values}
      submit={edit ? "Save" : "Add task"}
      look="plain"
      onDone={onDone}
      cancel={
        onDone && (
          <button type="button" className={buttonClass("quiet")} onClick={onDone}>
            Leave
          </button>
        )
      }
    >
      <div className="flex flex-wrap gap-3">
        <TextField name="title" label="Task" className="w-52" />
        <TextField name="length" label="Sessions" type="number" className="w-20" />
        <SelectField name="milestoneId" label="Leads to" empty="no milestone" options={milestones} className="w-44" />
        <TextField name="notBefore" label="Not before" type="date" className="w-38" />
        <TextField name="deadline" label="Deadline" type="date" className="w-38" />
      </div>
      {tasks.length + milestones.length > 0 && (
        <ChoiceField
          name="after"
          label="Begins after"
          options={[...tasks, ...milestones].filter((t) => t.value !== id)}
        />
      )}
    </ActionForm>
  );
}
