"use client";

import { useFieldArray, useFormContext, useWatch } from "react-hook-form";
import { useDates } from "@/ui/dates";
import { Fold } from "@/ui/fold";
import { ActionForm } from "@/ui/form/action-form";
import { FieldGroup } from "@/ui/form/field";
import { fieldsFor } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { saveSlotsAction } from "../actions";
import { type SlotDefinition, saveSlots } from "../schema-slots";
import { type SlotTeam, sentSlots, type TypedSlots, typedSlots } from "../view/slots";
import { SlotPlanner } from "./slot-planner";

const { TextField, CheckField } = fieldsFor<TypedSlots>();
const hoursFields = fieldsFor<{ hours: string[] }>();
const dayFields = fieldsFor<TypedSlots["days"][number]>();

function Days() {
  const { control } = useFormContext<TypedSlots>();
  const { fields, append, remove } = useFieldArray({ control, name: "days" });
  return (
    <fieldset className="grid content-start gap-2">
      <legend className="mb-1 font-[650]">Days</legend>
      {fields.map((f, i) => (
        <FieldGroup key={f.id} name={`days.${i}`}>
          <div className="grid items-start gap-3 sm:grid-cols-[150px_1fr_auto]">
            <dayFields.TextField name="day" label={`Day ${i + 1}`} hideLabel type="date" />
            <dayFields.TextField
              name="hours"
              label={`Hours of day ${i + 1}`}
              hideLabel
              placeholder="8:30-10:00, 11-12"
            />
            <button
              type="button"
              className={buttonClass("quiet")}
              disabled={fields.length < 2}
              onClick={() => remove(i)}
            >
              remove
            </button>
          </div>
        </FieldGroup>
      ))}
      <button
        type="button"
        className={`${buttonClass("quiet")} justify-self-start`}
        onClick={() => append({ day: "", hours: "" })}
      >
        add a day
      </button>
    </fieldset>
  );
}

/** The heads of the columns of hours: the days as they are typed. */
function DayHeads() {
  const days = useWatch<TypedSlots, "days">({ name: "days" });
  const { shortDate } = useDates();
  return days.map((d, i) => <th key={i}>{d.day ? shortDate(d.day) : `day ${i + 1}`}</th>);
}

function HoursCells({ of, who }: { of: `${"reviewers" | "teams"}.${number}`; who: string }) {
  const days = useWatch<TypedSlots, "days">({ name: "days" });
  const { shortDate } = useDates();
  return days.map((d, i) => (
    <td key={i}>
      <FieldGroup name={of}>
        <hoursFields.TextField
          name={`hours.${i}`}
          label={`Hours of ${who}, ${d.day ? shortDate(d.day) : `day ${i + 1}`}`}
          hideLabel
          placeholder="all"
        />
      </FieldGroup>
    </td>
  ));
}

function Reviewers() {
  const { control } = useFormContext<TypedSlots>();
  const { fields, append, remove } = useFieldArray({ control, name: "reviewers" });
  return (
    <fieldset className="min-w-0">
      <legend className="mb-1 font-[650]">Reviewers, and when they can come</legend>
      <div className="overflow-x-auto" role="region" tabIndex={0} aria-label="Reviewers and their hours">
        <table className="table">
          <thead>
            <tr>
              <th>Reviewer</th>
              <DayHeads />
              <th>
                <span className="sr-only">Remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {fields.map((f, i) => (
              <tr key={f.id}>
                <td>
                  <TextField name={`reviewers.${i}.name`} label={`Reviewer ${i + 1}`} hideLabel />
                </td>
                <HoursCells of={`reviewers.${i}`} who={`reviewer ${i + 1}`} />
                <td>
                  <button
                    type="button"
                    className={buttonClass("quiet")}
                    aria-label={`Remove reviewer ${i + 1}`}
                    disabled={fields.length < 2}
                    onClick={() => remove(i)}
                  >
                    remove
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <button
        type="button"
        className={`${buttonClass("quiet")} mt-1.5`}
        onClick={() => append({ name: "", hours: [] })}
      >
        add a reviewer
      </button>
    </fieldset>
  );
}

/** Everybody's hours, how long a review takes, and the plan that a worker finds for them. */
export function SlotForm({
  projectId,
  title,
  version,
  definition,
  teams,
}: {
  projectId: string;
  title: string;
  version: number;
  definition: SlotDefinition;
  teams: readonly SlotTeam[];
}) {
  return (
    <ActionForm
      schema={saveSlots}
      action={saveSlotsAction}
      fixed={{ projectId, title, version }}
      defaults={typedSlots(definition, teams)}
      shape={(v) => sentSlots(v as TypedSlots)}
      submit="Keep this plan"
      saved="Kept."
      className="grid gap-5"
    >
      <div className="grid items-start gap-3 sm:grid-cols-5">
        <TextField name="minutes" label="Minutes a review" inputMode="numeric" />
        <TextField name="change" label="Minutes between" inputMode="numeric" />
        <TextField name="rooms" label="Rooms" hint="with commas" />
        <TextField name="least" label="Reviewers a team, at least" inputMode="numeric" />
        <TextField name="most" label="and at most" inputMode="numeric" />
      </div>
      <p className="text-sm text-soft">
        Hours are written like 8:30-10:00, several with commas; nothing for the whole day, - for not at all.
      </p>
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,5fr)_minmax(0,8fr)]">
        <Days />
        <Reviewers />
      </div>
      <div className="grid gap-2">
        <CheckField name="inClass" label="Teams come only in class sessions of their section" />
        <Fold label="Teams that cannot come to everything">
          <div className="overflow-x-auto" role="region" tabIndex={0} aria-label="Teams and their hours">
            <table className="table">
              <thead>
                <tr>
                  <th>Team</th>
                  <DayHeads />
                </tr>
              </thead>
              <tbody>
                {teams.map((t, i) => (
                  <tr key={t.reviewId}>
                    <td>{t.team}</td>
                    <HoursCells of={`teams.${i}`} who={t.team} />
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </Fold>
      </div>
      <SlotPlanner teams={teams} />
    </ActionForm>
  );
}
