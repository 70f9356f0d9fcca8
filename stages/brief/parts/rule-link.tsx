"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { linkBriefRuleAction } from "../actions";
import { briefRule } from "../schema";

const { SelectField } = fieldsOf(briefRule);

export const RuleLink = ({
  projectId,
  ruleKey,
  requirementId,
  requirements,
}: {
  projectId: string;
  ruleKey: string;
  requirementId: string;
  requirements: Option[];
}) => (
  <ActionForm
    inline
    schema={briefRule}
    action={linkBriefRuleAction}
    fixed={{ projectId, key: ruleKey }}
    defaults={{ requirementId }}
    submit="Link"
    look="plain"
  >
    <SelectField
      name="requirementId"
      label="Requirement"
      hideLabel
      empty="no requirement"
      options={requirements}
      className="w-44"
    />
  </ActionForm>
);
