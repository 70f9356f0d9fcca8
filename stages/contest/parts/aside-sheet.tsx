"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { asideSheetAction } from "../actions";
import { asideSheet } from "../schema-judged";

const { TextField } = fieldsOf(asideSheet);

/** Sets a judge's sheet aside with a reason, or lets it count again. */
export const AsideSheet = ({
  id,
  version,
  aside,
  of,
}: {
  id: string;
  version: number;
  aside: boolean;
  /** Whose sheet of which team. */
  of: string;
}) => (
  <UnfoldForm
    label={
      <>
        {aside ? "set aside" : "let it count again"} <span className="sr-only">{of}</span>
      </>
    }
    inline
    schema={asideSheet}
    action={asideSheetAction}
    fixed={{ id, version, aside }}
    defaults={{ reason: "" }}
    submit={aside ? "Set aside" : "Let it count again"}
  >
    <TextField name="reason" label="Why" className="w-48" />
  </UnfoldForm>
);
