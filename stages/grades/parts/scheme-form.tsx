"use client";

import { useFormContext } from "react-hook-form";
import { rounding } from "@/core/vocabulary/grades";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsFor } from "@/ui/form/fields-of";
import { LinkButton, Sheet } from "@/ui/page";
import { saveSchemeAction } from "../actions";
import { scheme } from "../schema";
import type { Sources } from "../view/shelf";
import { readTyped, type TypedScheme } from "../view/typed-scheme";
import { EffectPanel } from "./effect-panel";
import { SchemeOutline } from "./scheme-outline";

const whole = fieldsFor<TypedScheme & { why: string }>();

/** How a grade ends: rounding, letters, the highest, and the peer factor's caps. */
function EndFields({ sources }: { sources: Sources }) {
  const { watch } = useFormContext<TypedScheme>();
  return (
    <Sheet title="The end of the grade">
      <div className="grid items-start gap-3 sm:grid-cols-2">
        <whole.SelectField
          name="decimals"
          label="Rounded once, to"
          options={[
            { value: "0", label: "whole percents" },
            { value: "1", label: "one decimal" },
            { value: "2", label: "two decimals" },
          ]}
        />
        <whole.SelectField name="rounding" label="Rounded" options={rounding.options} />
        <whole.TextArea
          name="letters"
          label="Letters, the highest first"
          rows={4}
          hint="One a line with the percent from which it is given, like A 90. Empty: no letters."
        />
        <div className="grid gap-3">
          <whole.CheckField name="most" label="no grade above 100" />
          {sources.rounds.length > 0 && (
            <whole.SelectField name="round" label="Peer factor from" empty="no rating" options={[...sources.rounds]} />
          )}
          {watch("round") && (
            <div className="grid grid-cols-2 gap-3">
              <whole.TextField name="low" label="Factor at least" inputMode="decimal" />
              <whole.TextField name="high" label="Factor at most" inputMode="decimal" />
            </div>
          )}
        </div>
      </div>
    </Sheet>
  );
}

export function SchemeForm({
  projectId,
  slug,
  baseNumber,
  published,
  defaults,
  sources,
}: {
  projectId: string;
  slug: string;
  baseNumber: number;
  /** Students read grades by an earlier version: a change says why. */
  published: boolean;
  defaults: TypedScheme;
  sources: Sources;
}) {
  return (
    <ActionForm
      schema={scheme}
      action={saveSchemeAction}
      fixed={{ projectId, baseNumber }}
      defaults={{ ...defaults, why: "" }}
      submit={baseNumber ? `Save as version ${baseNumber + 1}` : "Save the scheme"}
      saved="The scheme is saved."
      goTo={`/p/${slug}/grades`}
      cancel={
        <LinkButton href={`/p/${slug}/grades`} look="quiet">
          Leave without saving
        </LinkButton>
      }
      shape={(v) => ({ ...readTyped(v as TypedScheme), why: v.why })}
    >
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_360px]">
        <div className="grid min-w-0 gap-4">
          <SchemeOutline sources={sources} />
          <EndFields sources={sources} />
          {published && (
            <whole.TextField
              name="why"
              label="Why the scheme changes"
              hint="Grades are published: it stands beside the new version."
            />
          )}
        </div>
        <Sheet title="What this would do" className="lg:sticky lg:top-3">
          <EffectPanel slug={slug} />
        </Sheet>
      </div>
    </ActionForm>
  );
}
