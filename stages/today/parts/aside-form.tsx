"use client";

import type { Flag } from "@/core/log/flags";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { putAsideAction } from "../actions";
import { flagAside } from "../schema";

const { TextField } = fieldsOf(flagAside);

/** Puts one reason aside, with a note: what was seen, or agreed. */
export const AsideForm = ({ flag }: { flag: Flag }) => {
  const { team: teamId, kind, about, size, reason } = flag;
  return (
    <UnfoldForm
      label="put aside"
      schema={flagAside}
      action={putAsideAction}
      fixed={{ teamId, kind, about, size, reason }}
      defaults={{ note: "" }}
      submit="Put aside"
      saved="Put aside."
      inline
    >
      <TextField name="note" label="What was seen or agreed" className="w-72" />
    </UnfoldForm>
  );
};
