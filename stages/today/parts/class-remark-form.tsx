"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { remarkOnClassAction } from "../actions";
import { classRemark } from "../schema";
import type { ClassOn } from "./class-plan-form";

const { TextArea } = fieldsOf(classRemark);

/** What was seen in a class: it stands on the page of the next one. */
export const ClassRemarkForm = ({ on, version, remark }: { on: ClassOn; version: number; remark: string }) => (
  <ActionForm
    schema={classRemark}
    action={remarkOnClassAction}
    fixed={{ ...on, version }}
    defaults={{ remark }}
    submit="Keep"
    saved="Kept: it stands on the page of the next class."
  >
    <TextArea name="remark" label="What was seen, and what the next class begins with" rows={3} />
  </ActionForm>
);
