"use client";

import { useRouter } from "next/navigation";
import { brief } from "@/data/schemas/projects";
import { ActButton, ActionForm, TextArea, TextField } from "@/ui/form";
import { LinkButton } from "@/ui/page";
import { acknowledgeBriefAction, saveBriefAction } from "./actions";

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

export function ReadButton({ projectId, briefVersionId }: { projectId: string; briefVersionId: string }) {
  const router = useRouter();
  return (
    <ActButton
      action={acknowledgeBriefAction}
      input={{ projectId, briefVersionId }}
      look="main"
      onDone={() => router.refresh()}
    >
      I have read this version
    </ActButton>
  );
}

export function PrintButton() {
  return (
    <button
      type="button"
      onClick={() => window.print()}
      className="text-soft underline decoration-line underline-offset-3 hover:text-ink"
    >
      Print
    </button>
  );
}
