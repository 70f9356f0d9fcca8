"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import type { Option } from "@/ui/option";
import { addStudentAction } from "../actions";
import { newStudent } from "../schema";

const { TextField, SelectField, CheckField } = fieldsOf(newStudent);

/** Adds one student by hand. */
export const AddStudent = ({ projectId, sections }: { projectId: string; sections: Option[] }) => (
  <UnfoldForm
    label="Add one student"
    buttonLook="plain"
    schema={newStudent}
    action={addStudentAction}
    fixed={{ projectId }}
    defaults={{ name: "", email: "", sectionId: sections[0]?.value ?? "", twin: false }}
    submit="Add"
    className="grid max-w-md gap-2"
  >
    <TextField name="name" label="Name" />
    <TextField name="email" label="Email, if there is one" />
    <SelectField name="sectionId" label="Section" options={sections} />
    <CheckField name="twin" label="Somebody else of the same name is in the section" />
  </UnfoldForm>
);
