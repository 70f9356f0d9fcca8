"use client";

import { useState } from "react";
import { guestRole } from "@/core/vocabulary/project";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { createGuestLinkAction } from "../actions";
import { guestLink } from "../schema";
import { Once } from "./once";

const { TextField, SelectField } = fieldsOf(guestLink);

const roles = guestRole.options;

export function GuestForm({ projectId }: { projectId: string }) {
  const [made, setMade] = useState<{ secret: string; pin: string | null; board: boolean } | null>(null);
  return (
    <div>
      <ActionForm
        inline
        clear
        schema={guestLink}
        action={createGuestLinkAction}
        fixed={{ projectId }}
        defaults={{ role: "reviewer", label: "", days: 30 }}
        submit="Make a link"
        look="plain"
        onDone={(v, form) =>
          setMade({ ...(v as { secret: string; pin: string | null }), board: form.getValues("role") === "board" })
        }
      >
        <SelectField name="role" label="Who" options={roles} />
        <TextField name="label" label="Name" className="w-40" />
        <TextField name="days" label="Days" type="number" className="w-20" />
      </ActionForm>
      {made && (
        <Once
          label={made.pin ? `PIN ${made.pin}. The link:` : "The link:"}
          value={`${location.origin}/g/${made.secret}`}
        />
      )}
    </div>
  );
}
