"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { LinkButton } from "@/ui/page";
import { saveBriefAction } from "../actions";
import { brief } from "../schema";

const { TextField, TextArea } = fieldsOf(brief);

export function BriefForm({
  projectId,
  slug,
  baseNumber,
  body,
}: {
  projectId: string;
  slug: string;
  baseNumber: number;
  body: string;
}) {
  return (
    <ActionForm
      schema={brief}
      action={saveBriefAction}
      fixed={{ projectId, baseNumber }}
      defaults={{ body, whatChanged: "" }}
      submit={baseNumber ? `Save as version ${baseNumber + 1}` : "Save version 1"}
      saved="The brief is saved."
      goTo={`/p/${slug}/brief`}
      cancel={
        <LinkButton href={`/p/${slug}/brief`} look="quiet">
          Leave without saving
        </LinkButton>
      }
    >
      <TextArea
        name="body"
        label="Brief"
        rows={22}
        hint={
          "Markdown: # heading, - list, **bold**. Keep it to one page: the need, the client, the rules, the " +
          "deliverables, the dates, the safety rules."
        }
      />
      {baseNumber > 0 && (
        <TextField name="whatChanged" label="What changed" hint="The class reads this beside the new version." />
      )}
    </ActionForm>
  );
}
