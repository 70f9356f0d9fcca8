"use client";

import type { ReactNode } from "react";
import { ActionForm, type FormProps } from "@/ui/form/action-form";
import { LinkButton } from "@/ui/page";

/** What a form of an event's rules is given. */
export interface EventFormOf {
  readonly projectId: string;
  readonly slug: string;
  readonly id?: string;
  readonly version: number;
  readonly defaults: Record<string, unknown>;
}

/** The form of an event's rules, whatever its kind: new or changed, it leads to the event's page. */
export const EventFrame = <T,>({
  projectId,
  slug,
  id,
  version,
  defaults,
  schema,
  action,
  shape,
  page,
  className = "grid max-w-[980px] gap-4",
  children,
}: EventFormOf &
  Pick<FormProps<T>, "schema" | "action" | "shape" | "className"> & {
    /** Where its kind is shown. */
    page: "" | "/matches" | "/judged";
    children: ReactNode;
  }) => (
  <ActionForm
    schema={schema}
    action={action}
    fixed={{ projectId, id, version }}
    defaults={defaults}
    submit={id ? "Save the event" : "Set up the event"}
    saved="The event is saved."
    goTo={`/p/${slug}/contest${page}?event=:id`}
    cancel={
      <LinkButton href={`/p/${slug}/contest`} look="quiet">
        Leave without saving
      </LinkButton>
    }
    className={className}
    shape={shape}
  >
    {children}
  </ActionForm>
);
