"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { setTeamConceptAction } from "../actions";
import { teamConcept } from "../schema";

const { SelectField } = fieldsOf(teamConcept);

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
