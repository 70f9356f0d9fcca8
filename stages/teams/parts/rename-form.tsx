"use client";

import { useState } from "react";
import { ActButton } from "@/ui/form/act-button";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import Link from "@/ui/link";
import { renameTeamAction, retireTeamAction } from "../actions";
import { renameTeam } from "../schema";

const { TextField } = fieldsOf(renameTeam);

export function RenameForm({ id, version, name, href }: { id: string; version: number; name: string; href: string }) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <span className="flex items-baseline gap-2">
        <Link href={href} className="text-[15px] font-[650] hover:text-iron">
          {name}
        </Link>
        <button type="button" className="text-xs text-soft underline" onClick={() => setOpen(true)}>
          rename
        </button>
        <ActButton
          action={retireTeamAction}
          input={{ id }}
          look="quiet"
          confirm={`${name} leaves the project; its record stays.`}
        >
          <span className="text-xs">retire</span>
        </ActButton>
      </span>
    );
  return (
    <ActionForm
      inline
      schema={renameTeam}
      action={renameTeamAction}
      fixed={{ id, version }}
      defaults={{ name }}
      submit="Rename"
      look="plain"
      onDone={() => setOpen(false)}
    >
      <TextField name="name" label="Name" hideLabel className="w-36" />
    </ActionForm>
  );
}
