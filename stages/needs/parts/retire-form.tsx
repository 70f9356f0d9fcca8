"use client";

import { ActionForm } from "@/ui/form/action-form";
import { TextField } from "@/ui/form/fields";
import { retireRequirementAction } from "../actions";
import { retire } from "../schema";

export function RetireForm({ id, version, slug }: { id: string; version: number; slug: string }) {
  return (
    <ActionForm
      inline
      schema={retire}
      action={retireRequirementAction}
      fixed={{ id, version }}
      defaults={{ reason: "" }}
      submit="Retire"
      look="danger"
      goTo={`/p/${slug}/needs`}
    >
      <TextField name="reason" label="Why it no longer holds" className="w-80" />
    </ActionForm>
  );
}
