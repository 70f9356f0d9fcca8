"use client";

import { useState } from "react";
import type { ProjectUnits } from "@/core/quantity/systems";
import { buildStage } from "@/core/vocabulary/builds";
import { cx } from "@/ui/classes";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { buttonClass, LinkButton } from "@/ui/page";
import { saveBuildAction } from "../actions";
import { build, type buildTexts } from "../schema";

const { TextField, TextArea, SelectField, CheckField, ChoiceField, QuantityField } = fieldsOf(build);

export interface BuildDefaults extends Record<keyof typeof buildTexts, string> {
  stage: string;
  builtOn: string;
  predicted: string;
  mass: string;
  cost: string;
  sides: string;
  features: string;
  variables: string;
  parentIds: string[];
  makerId: string;
  fromEdition: string;
  dropped: string;
}

/** What it was made from: the team's own builds, and behind a line those of others, for a merge. */
function MadeFrom({ parents, others, chosen }: { parents: Option[]; others: Option[]; chosen: readonly string[] }) {
  const merged = others.some((o) => chosen.includes(o.value));
  const [more, setMore] = useState(merged);
  return (
    <div className="grid gap-1">
      <ChoiceField
        name="parentIds"
        label="Made from"
        options={more ? [...parents, ...others] : parents}
        hint="The build before; or several that were brought together. Nothing for a first one."
      />
      {!more && others.length > 0 && (
        <button type="button" className={cx(buttonClass("quiet"), "justify-self-start")} onClick={() => setMore(true)}>
          also from another team's build
        </button>
      )}
    </div>
  );
}

export function BuildForm({
  slug,
  teamId,
  id,
  version,
  defaults,
  parents,
  others,
  members,
  before,
  open,
  decided,
  predictedUnit,
  currency,
  units,
}: {
  slug: string;
  teamId: string;
  id?: string;
  version: number;
  defaults: BuildDefaults;
  /** Earlier builds of the team. */
  parents: Option[];
  /** Builds of other teams, for what is brought together. */
  others: Option[];
  members: Option[];
  /** Builds of the edition before. */
  before: Option[];
  /** Failures of the team's builds that no build answers yet. */
  open: Option[];
  /** What reviews decided and is still open. */
  decided: Option[];
  predictedUnit: string;
  currency: string;
  units: ProjectUnits;
}) {
  return (
    <ActionForm
      schema={build}
      action={saveBuildAction}
      fixed={{ teamId, id, version }}
      defaults={{ ...defaults, closes: [], carries: [], physical: false }}
      submit={id ? "Save" : "Record the build"}
      saved="The build is recorded."
      goTo={`/p/${slug}/builds/:id`}
      cancel={
        <LinkButton href={id ? `/p/${slug}/builds/${id}` : `/p/${slug}/builds?team=${teamId}`} look="quiet">
          Leave without saving
        </LinkButton>
      }
      className="grid max-w-[860px] gap-4"
    >
      <div className="grid gap-4 sm:grid-cols-3">
        <SelectField name="stage" label="Stage" options={buildStage.options} />
        <TextField name="builtOn" label="Built on" type="date" />
        <SelectField name="makerId" label="Made by" options={members} empty="the team together" />
      </div>
      {(parents.length > 0 || others.length > 0) && (
        <MadeFrom parents={parents} others={others} chosen={defaults.parentIds} />
      )}
      {before.length > 0 && (
        <div className="max-w-[420px]">
          <SelectField
            name="fromEdition"
            label="Made from a build of the edition before"
            options={before}
            empty="none of them"
          />
        </div>
      )}
      {open.length > 0 && (
        <ChoiceField
          name="closes"
          label="This build answers"
          options={open}
          hint="What failed before and is not answered by a build yet."
        />
      )}
      {decided.length > 0 && (
        <ChoiceField
          name="carries"
          label="This build carries out"
          options={decided}
          hint="What reviews decided and is still open. Ticked, it is closed by this build, with what changed."
        />
      )}
      <TextArea
        name="whatChanged"
        label="What changed"
        rows={2}
        hint="Against the generation before. One thing at a time tells most."
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <TextArea name="why" label="Why" rows={2} />
        <TextArea name="expected" label="What is expected of it" rows={2} />
      </div>
      <div className="grid gap-4 sm:grid-cols-4">
        <TextField
          name="predicted"
          label={`Predicted result${predictedUnit ? ` (${predictedUnit})` : ""}`}
          inputMode="decimal"
          hint="before the test"
        />
        <QuantityField name="mass" label="Mass" unit={units.mass} />
        <QuantityField name="cost" label={`Cost of parts${currency ? ` (${currency})` : ""}`} unit="1" />
        <TextField name="sides" label="Size" hint={units.side === "in" ? "18 × 12 × 14 in" : "580 × 380 × 390 mm"} />
      </div>
      <div className="grid gap-4 sm:grid-cols-2">
        <TextArea name="variables" label="Design variables" rows={3} hint="One a line: stroke = 0.25 m" />
        <div className="grid content-start gap-4">
          <TextField name="features" label="Features" hint="with commas between: ball valve, long lever" />
          <TextArea
            name="dropped"
            label="Features that it does without, and why"
            rows={2}
            hint="One a line: leather cup: leaks after an hour"
          />
          <TextArea name="learned" label="What it taught" rows={2} />
        </div>
      </div>
      <div className="grid gap-4 sm:grid-cols-2">
        <TextArea name="good" label="Seen, and good" rows={2} hint="What the next one should keep." />
        <TextArea
          name="notGood"
          label="Seen, and not good"
          rows={2}
          hint="What broke has a place of its own: What failed."
        />
      </div>
      {id && (
        <CheckField
          name="physical"
          label="The build itself was changed"
          hint={
            "Leave it off for a correction of the record. When it is on, what was tested before becomes stale. " +
            "A larger change is a new generation."
          }
        />
      )}
    </ActionForm>
  );
}
