"use client";

import { useState } from "react";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { useSend } from "@/ui/form/send";
import { Confirm } from "@/ui/lazy";
import { Menu } from "@/ui/menu";
import type { Option } from "@/ui/option";
import { buttonClass } from "@/ui/page";
import { toast } from "@/ui/toast";
import { editStudentAction, endEnrolmentAction, eraseStudentAction, mergeStudentsAction } from "../actions";
import { editStudent, erase, mergeStudents } from "../schema";

const editing = fieldsOf(editStudent);
const merging = fieldsOf(mergeStudents);
const erasing = fieldsOf(erase);

export interface StudentShown {
  id: string;
  version: number;
  name: string;
  email: string;
  sectionId: string;
}

/** What is done with one student's record: it is corrected often; the rest lies in the menu. */
export function StudentTools({
  projectId,
  student,
  sections,
  others,
  record,
}: {
  projectId: string;
  student: StudentShown;
  sections: Option[];
  /** Who may be the same student, entered twice. */
  others: Option[];
  /** Where the record is downloaded from. */
  record: string;
}) {
  const [open, setOpen] = useState<"" | "edit" | "merge" | "erase">("");
  const [leaving, setLeaving] = useState(false);
  const { send, note } = useSend(endEnrolmentAction);
  const { name } = student;
  const fixed = { projectId, personId: student.id };
  const close = () => setOpen("");
  const cancel = (
    <button type="button" className={buttonClass("quiet")} onClick={close}>
      Leave it
    </button>
  );
  if (open === "edit")
    return (
      <ActionForm
        schema={editStudent}
        action={editStudentAction}
        fixed={{ ...fixed, version: student.version }}
        defaults={{ name, email: student.email, sectionId: student.sectionId }}
        submit="Save"
        look="plain"
        className="grid w-64 gap-2"
        cancel={cancel}
        onDone={({ team }) => {
          close();
          if (team) toast(`${name} is still in team ${team}, which is of another section.`);
        }}
      >
        <editing.TextField name="name" label="Name" />
        <editing.TextField name="email" label="Email, if there is one" />
        <editing.SelectField name="sectionId" label="Section" options={sections} />
      </ActionForm>
    );
  if (open === "merge")
    return (
      <ActionForm
        schema={mergeStudents}
        action={mergeStudentsAction}
        fixed={fixed}
        defaults={{ fromId: "" }}
        submit="Make them one"
        look="danger"
        className="grid w-64 gap-2"
        cancel={cancel}
        onDone={({ left }) => {
          close();
          toast(left ? `Merged. ${left} things were in both; those of ${name} count.` : "Merged.");
        }}
      >
        <merging.SelectField
          name="fromId"
          label={`Which other record is ${name} too?`}
          hint="Its work comes to this record and it is gone; that cannot be undone."
          empty="choose"
          options={others}
        />
      </ActionForm>
    );
  if (open === "erase")
    return (
      <ActionForm
        inline
        schema={erase}
        action={eraseStudentAction}
        fixed={fixed}
        defaults={{ confirm: "" }}
        submit="Erase for good"
        look="danger"
        cancel={cancel}
      >
        <erasing.TextField
          name="confirm"
          label={`Name, login, marks and notes go; team records stay without the name. Write ${name} to confirm`}
          className="w-80"
        />
      </ActionForm>
    );
  return (
    <span className="flex flex-wrap items-baseline gap-3">
      <button type="button" className={buttonClass("quiet")} onClick={() => setOpen("edit")}>
        correct
      </button>
      <Menu
        label={`More for ${name}`}
        trigger="more"
        triggerClass={buttonClass("quiet")}
        items={[
          { label: "Download the record", onSelect: () => window.location.assign(record) },
          { label: "Merge with another record of the same student", onSelect: () => setOpen("merge") },
          { label: "Leaves the section", onSelect: () => setLeaving(true) },
          { label: "Erase", onSelect: () => setOpen("erase") },
        ]}
      />
      {leaving && (
        <Confirm open onOpen={setLeaving} onYes={() => void send(fixed)}>
          {name} leaves the section and the team; the record stays, and {name} can be taken in again below.
        </Confirm>
      )}
      {note && (
        <span role="alert" className="text-sm text-iron">
          {note}
        </span>
      )}
    </span>
  );
}
