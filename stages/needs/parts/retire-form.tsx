"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { retireRequirementAction } from "../actions";
import { retire } from "../schema";

const { TextField } = fieldsOf(retire);

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
      saved="The requirement is retired."
      goTo={`/p/${slug}/needs`}
    >
      <TextField name="reason" label="Why it no longer holds" className="w-80" />
    </ActionForm>
  );
}
