"use client";

import { ActButton } from "@/ui/form/act-button";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import type { Option } from "@/ui/option";
import { adoptRuleAction, linkBriefRuleAction } from "../actions";
import { briefRule } from "../schema";

const { SelectField } = fieldsOf(briefRule);

/** What becomes of a rule with a number: a requirement that exists, a new one, or none. */
export const RuleLink = ({
  projectId,
  ruleKey,
  text,
  requirementId,
  linked,
  requirements,
}: {
  projectId: string;
  ruleKey: string;
  text: string;
  requirementId: string;
  linked: boolean;
  requirements: Option[];
}) => (
  <UnfoldForm
    label={linked ? "change the link" : "link"}
    inline
    schema={briefRule}
    action={linkBriefRuleAction}
    fixed={{ projectId, key: ruleKey }}
    defaults={{ requirementId }}
    submit="Link"
    beside={
      <>
        {!requirementId && (
          <ActButton action={adoptRuleAction} input={{ projectId, key: ruleKey, text }} look="quiet">
            make it a requirement
          </ActButton>
        )}
        {(requirementId || !linked) && (
          <ActButton action={linkBriefRuleAction} input={{ projectId, key: ruleKey, none: true }} look="quiet">
            no requirement
          </ActButton>
        )}
      </>
    }
  >
    <SelectField
      name="requirementId"
      label="Requirement"
      hideLabel
      empty="the likely one"
      options={requirements}
      className="w-44"
    />
  </UnfoldForm>
);
