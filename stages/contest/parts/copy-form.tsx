"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { LinkButton } from "@/ui/page";
import { copyEventsAction } from "../actions";
import { copyEvents } from "../schema";

const { ChoiceField } = fieldsOf(copyEvents);

/** Which events of the edition before are copied. */
export const CopyForm = ({
  projectId,
  slug,
  events,
}: {
  projectId: string;
  slug: string;
  events: readonly Option[];
}) => (
  <ActionForm
    schema={copyEvents}
    action={copyEventsAction}
    fixed={{ projectId }}
    defaults={{ ids: events.map((e) => e.value) }}
    submit="Copy these"
    saved="Copied: read the rules of each and tick them."
    goTo={`/p/${slug}/contest`}
    cancel={
      <LinkButton href={`/p/${slug}/contest`} look="quiet">
        Leave
      </LinkButton>
    }
    className="grid max-w-[640px] gap-4"
  >
    <ChoiceField name="ids" label="Events" options={[...events]} />
  </ActionForm>
);
