"use client";

import { ActionForm } from "@/ui/form/action-form";
import { SelectField } from "@/ui/form/fields";
import type { Option } from "@/ui/option";
import { setTeamConceptAction } from "../actions";
import { teamConcept } from "../schema";

export const ConceptOfTeam = ({
  id,
  conceptId,
  concepts,
}: {
  id: string;
  conceptId: string | null;
  concepts: Option[];
}) => (
  <ActionForm
    inline
    schema={teamConcept}
    action={setTeamConceptAction}
    fixed={{ id }}
    defaults={{ conceptId: conceptId ?? "" }}
    submit="Set"
    look="plain"
  >
    <SelectField name="conceptId" label="Works on" empty="no concept" options={concepts} className="w-44" />
  </ActionForm>
);
