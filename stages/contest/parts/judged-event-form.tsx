"use client";

import { useFieldArray, useFormContext } from "react-hook-form";
import { judgeMethod, judgeTie } from "@/core/vocabulary/contest";
import { FieldGroup } from "@/ui/form/field";
import { fieldsFor, fieldsOf } from "@/ui/form/fields-of";
import { methodFieldOf } from "@/ui/form/method-field-of";
import { buttonClass } from "@/ui/page";
import { saveJudgedEventAction } from "../actions";
import { judgedEvent } from "../schema-judged";
import { type EventFormOf, EventFrame } from "./event-frame";
import { SafetyFields } from "./safety-fields";

const { TextField } = fieldsOf(judgedEvent);
const MethodField = methodFieldOf(judgedEvent);
type TypedCriterion = { key: string; name: string; weight: string };
const criterion = fieldsFor<TypedCriterion>();

/** What judges look at, with what share of the whole each has while it is typed. */
function Criteria() {
  const { control, watch } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name: "criteria" });
  const typed = watch("criteria") as TypedCriterion[];
  const whole = typed.reduce((sum, c) => sum + (Number(c.weight) || 0), 0);
  return (
    <div className="grid gap-2">
      {fields.map((f, i) => {
        const share = whole > 0 ? (100 * (Number(typed[i]?.weight) || 0)) / whole : 0;
        return (
          <FieldGroup key={f.id} name={`criteria.${i}`}>
            <div className="grid items-end gap-3 sm:grid-cols-[1fr_80px_90px_auto]">
              <criterion.TextField name="name" label="What judges look at" hideLabel={i > 0} />
              <criterion.TextField name="weight" label="Weight" hideLabel={i > 0} inputMode="decimal" />
              <span className="pb-2 text-sm text-soft">{share ? `${share.toFixed(0)} % of it` : ""}</span>
              <button
                type="button"
                aria-label={`Remove ${typed[i]?.name || `criterion ${i + 1}`}`}
                className={`${buttonClass("quiet")} mb-1`}
                onClick={() => remove(i)}
              >
                remove
              </button>
            </div>
          </FieldGroup>
        );
      })}
      <button
        type="button"
        className={`${buttonClass("quiet")} justify-self-start`}
        onClick={() => append({ key: "", name: "", weight: "1" })}
      >
        add a criterion
      </button>
    </div>
  );
}

/** The rules of an event that judges mark on sheets. */
export const JudgedEventForm = (of: EventFormOf) => (
  <EventFrame {...of} schema={judgedEvent} action={saveJudgedEventAction} page="/judged">
    <div className="grid items-start gap-5 md:grid-cols-2">
      <div className="grid gap-4">
        <TextField name="name" label="Event" hint="for example Design and build" />
        <Criteria />
        <TextField
          name="most"
          label="Marks from 0 to"
          inputMode="numeric"
          className="w-32"
          hint="Few steps are used more alike than many: 5 is a good number."
        />
      </div>
      <div className="grid gap-4">
        <MethodField name="method" label="From the sheets to one mark" options={judgeMethod.options} />
        <MethodField name="tie" label="Where marks agree to two decimals" options={judgeTie.options} />
        <TextField
          name="full"
          label="Full marks earn, for the overall ranking"
          inputMode="decimal"
          className="w-60"
          hint="60 of 100 earn 60 % of it. Leave it empty where places earn."
        />
        <TextField
          name="placePoints"
          label="Or points of the places"
          placeholder="40, 30, 20, 15"
          hint="Those who share places share their points."
        />
      </div>
    </div>
    <SafetyFields />
  </EventFrame>
);
