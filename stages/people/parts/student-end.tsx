"use client";

import { useState } from "react";
import { ActButton } from "@/ui/form/act-button";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { endEnrolmentAction, eraseStudentAction } from "../actions";
import { erase } from "../schema";

const { TextField } = fieldsOf(erase);

export function StudentEnd({ projectId, personId, name }: { projectId: string; personId: string; name: string }) {
  const [erasing, setErasing] = useState(false);
  if (erasing)
    return (
      <ActionForm
        inline
        schema={erase}
        action={eraseStudentAction}
        fixed={{ projectId, personId }}
        defaults={{ confirm: "" }}
        submit="Erase for good"
        look="danger"
        cancel={
          <button type="button" className={buttonClass("quiet")} onClick={() => setErasing(false)}>
            No
          </button>
        }
      >
        <TextField
          name="confirm"
          label={`Name, login, marks and notes go; team records stay without the name. Write ${name} to confirm`}
          className="w-80"
        />
      </ActionForm>
    );
  return (
    <span className="flex flex-wrap gap-3">
      <ActButton
        action={endEnrolmentAction}
        input={{ projectId, personId }}
        look="quiet"
        confirm={`${name} leaves the section; the record stays.`}
      >
        leave
      </ActButton>
      <button type="button" className={buttonClass("quiet")} onClick={() => setErasing(true)}>
        erase
      </button>
    </span>
  );
}
