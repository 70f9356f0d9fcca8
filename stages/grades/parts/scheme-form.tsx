"use client";

import { useFieldArray, useFormContext } from "react-hook-form";
import { componentSource, markScale } from "@/core/vocabulary/grades";
import { ActionForm } from "@/ui/form/action-form";
import { FieldGroup } from "@/ui/form/field";
import { fieldsFor, fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { buttonClass, LinkButton } from "@/ui/page";
import { RuleFields } from "@/ui/rule-fields";
import { emptyRule, readRule, type TypedRule } from "@/ui/rule-fields-read";
import { saveSchemeAction } from "../actions";
import { scheme } from "../schema";
import { readScale, type TypedScale, typedScale } from "../view/typed-scale";

export interface TypedComponent extends TypedScale {
  key: string;
  name: string;
  weight: string;
  kind: string;
  review: string;
  milestone: string;
  measure: string;
  full: string;
  rule: TypedRule;
}

const { SelectField } = fieldsOf(scheme);
const part = fieldsFor<TypedComponent>();

function Components({
  reviews,
  milestones,
  measures,
}: {
  reviews: Option[];
  milestones: Option[];
  measures: Option[];
}) {
  const { control, watch } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name: "components" });
  const sum = ((watch("components") as TypedComponent[]) ?? []).reduce((s, c) => s + (Number(c.weight) || 0), 0);
  return (
    <div className="grid gap-3">
      {fields.map((f, i) => {
        const kind = watch(`components.${i}.kind`) as string;
        const scale = watch(`components.${i}.scale`) as string;
        return (
          <FieldGroup key={f.id} name={`components.${i}`}>
            <div
              className={
                "grid items-start gap-3 border-t border-line pt-3 " + "sm:grid-cols-[1.3fr_80px_1.3fr_1.5fr_auto]"
              }
            >
              <part.TextField name="name" label="Component" />
              <part.TextField name="weight" label="Weight" inputMode="decimal" />
              <part.SelectField name="kind" label="Scored by" options={componentSource.options} />
              {kind === "rubric" && <part.SelectField name="review" label="Review" empty="choose" options={reviews} />}
              {kind === "milestone" && (
                <part.SelectField name="milestone" label="Milestone" empty="choose" options={milestones} />
              )}
              {kind === "points" && (
                <part.SelectField name="measure" label="Measured value" empty="choose" options={measures} />
              )}
              {kind === "entered" && <part.SelectField name="scale" label="Entered in" options={markScale.options} />}
              <button type="button" className={`${buttonClass("quiet")} mt-5`} onClick={() => remove(i)}>
                remove
              </button>
              {kind === "entered" && scale === "points" && (
                <part.TextField name="of" label="Points that are full marks" inputMode="decimal" />
              )}
              {kind === "entered" && scale === "letters" && (
                <part.TextArea name="letters" label="A letter and its percent in each line" rows={5} />
              )}
              {kind === "points" && (
                <div className="grid gap-3 sm:col-span-5 sm:grid-cols-3">
                  <Rule index={i} />
                  <part.TextField name="full" label="Points that are full marks" inputMode="decimal" />
                </div>
              )}
            </div>
          </FieldGroup>
        );
      })}
      <div className="flex items-center gap-4">
        <button
          type="button"
          className={buttonClass("quiet")}
          onClick={() =>
            append({
              key: "",
              name: "",
              weight: "",
              kind: "entered",
              review: "",
              milestone: "",
              measure: "",
              full: "100",
              rule: { ...emptyRule, kind: "line" },
              ...typedScale(),
            })
          }
        >
          add a component
        </button>
        <span className={sum === 100 ? "text-soft" : "text-ochre-deep"}>
          The weights make {sum}
          {sum !== 100 && ", they should make 100"}.
        </span>
      </div>
    </div>
  );
}

const Rule = (_: { index: number }) => <RuleFields name="rule" />;

export function SchemeForm({
  projectId,
  slug,
  baseNumber,
  defaults,
  reviews,
  milestones,
  measures,
}: {
  projectId: string;
  slug: string;
  baseNumber: number;
  defaults: { decimals: string; components: TypedComponent[] };
  reviews: Option[];
  milestones: Option[];
  measures: Option[];
}) {
  return (
    <ActionForm
      schema={scheme}
      action={saveSchemeAction}
      fixed={{ projectId, baseNumber }}
      defaults={defaults}
      submit={baseNumber ? `Save as version ${baseNumber + 1}` : "Save the scheme"}
      saved="The scheme is saved."
      goTo={`/p/${slug}/grades`}
      cancel={
        <LinkButton href={`/p/${slug}/grades`} look="quiet">
          Leave without saving
        </LinkButton>
      }
      shape={(v) => ({
        decimals: v.decimals,
        components: (v.components as TypedComponent[]).map((c, i) => ({
          key:
            c.key ||
            `k${i + 1}-${c.name
              .toLowerCase()
              .replace(/[^a-z0-9]+/g, "-")
              .slice(0, 30)}`,
          name: c.name,
          weight: c.weight,
          source:
            c.kind === "rubric"
              ? { kind: c.kind, review: c.review }
              : c.kind === "milestone"
                ? { kind: c.kind, milestone: c.milestone }
                : c.kind === "points"
                  ? { kind: c.kind, full: c.full, rule: readRule(c.rule) ?? undefined, measure: measureOf(c.measure) }
                  : { kind: "entered", scale: readScale(c) },
        })),
      })}
    >
      <Components reviews={reviews} milestones={milestones} measures={measures} />
      <SelectField
        name="decimals"
        label="Grades are rounded half up, once, to"
        className="w-64"
        options={[
          { value: "0", label: "whole percents" },
          { value: "1", label: "one decimal" },
          { value: "2", label: "two decimals" },
        ]}
      />
    </ActionForm>
  );
}

const measureOf = (text: string) =>
  text.startsWith("event:")
    ? { event: text.slice(6) }
    : { protocol: text.split(":")[1], channel: text.split(":").slice(2).join(":") };
