"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { foundTeamAction } from "../actions";
import { foundTeam } from "../schema";

const { TextField } = fieldsOf(foundTeam);

/** A student who chooses the own team founds one. */
export const FoundTeam = ({ projectId, personId }: { projectId: string; personId: string }) => (
  <ActionForm
    inline
    clear
    schema={foundTeam}
    action={foundTeamAction}
    fixed={{ projectId, personId }}
    defaults={{ name: "" }}
    submit="Found a team"
    look="plain"
  >
    <TextField name="name" label="A team of one's own" className="w-52" />
  </ActionForm>
);
