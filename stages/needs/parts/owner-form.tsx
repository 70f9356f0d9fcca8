"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { ownRequirementAction } from "../actions";
import { requirementOwner } from "../schema";

const { SelectField } = fieldsOf(requirementOwner);

export const OwnerForm = ({ id, ownerId, people }: { id: string; ownerId: string | null; people: Option[] }) => (
  <ActionForm
    inline
    schema={requirementOwner}
    action={ownRequirementAction}
    fixed={{ id }}
    defaults={{ ownerId: ownerId ?? "" }}
    submit="Set"
    look="plain"
  >
    <SelectField name="ownerId" label="Looked after by" empty="nobody" options={people} className="w-44" />
  </ActionForm>
);
