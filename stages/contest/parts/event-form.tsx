"use client";

import { useFormContext } from "react-hook-form";
import { careMethod, placeNumbering, tieBreak, tieRule } from "@/core/vocabulary/contest";
import { attemptMethod, better, foulMethod } from "@/core/vocabulary/runs";
import { fieldsOf } from "@/ui/form/fields-of";
import { methodFieldOf } from "@/ui/form/method-field-of";
import type { Option } from "@/ui/option";
import { RuleFields } from "@/ui/rule-fields";
import { readRule, type TypedRule } from "@/ui/rule-fields-read";
import { saveEventAction } from "../actions";
import { event } from "../schema";
import { type EventFormOf, EventFrame } from "./event-frame";
import { SafetyFields } from "./safety-fields";

const { TextArea, TextField, SelectField, ChoiceField } = fieldsOf(event);
const MethodField = methodFieldOf(event);

function Rules({ channels }: { channels: Record<string, Option[]> }) {
  const { watch } = useFormContext();
  return (
    <>
      <SelectField
        name="channel"
        label="What is measured"
        empty="choose"
        options={channels[watch("protocolId") as string] ?? []}
      />
      <SelectField name="better" label="Better is" options={better.options} />
      <MethodField
        name="school"
        label="Which attempt counts"
        options={attemptMethod.options}
        className="sm:row-span-3"
      />
      <TextField name="n" label="Attempts" type="number" />
      {watch("school") === "best-k" && <TextField name="k" label="k" type="number" />}
      <MethodField name="foul" label="A foul or no finish" options={foulMethod.options} />
      <MethodField name="ties" label="Values closer than the instrument's resolution" options={tieRule.options} />
      {watch("ties") === "resolution" && (
        <TextField name="resolution" label="Resolution" inputMode="decimal" hint="in the measure's unit" />
      )}
      <MethodField name="ranking" label="Places after a tie" options={placeNumbering.options} />
      <TextField
        name="target"
        label="To be met exactly"
        inputMode="decimal"
        hint="in the measure's unit, for example 2.000; the distance from it is ranked. Empty: no target"
      />
      <MethodField
        name="care"
        label="Careful measuring: two people read"
        options={[{ value: "", label: "one reading" }, ...careMethod.options]}
      />
    </>
  );
}

export function EventForm({
  protocols,
  channels,
  ...of
}: EventFormOf & {
  defaults: { rule: TypedRule };
  protocols: Option[];
  channels: Record<string, Option[]>;
}) {
  return (
    <EventFrame
      {...of}
      schema={event}
      action={saveEventAction}
      page=""
      className="grid max-w-[900px] gap-4"
      shape={(v) => ({ ...v, points: readRule(v.rule as TypedRule) })}
    >
      <div className="grid items-start gap-4 sm:grid-cols-2">
        <TextField name="name" label="Event" hint="for example Timed lift" />
        <SelectField name="protocolId" label="Measured under" options={protocols} />
        <Rules channels={channels} />
      </div>
      <ChoiceField
        ordered
        name="tieBreaks"
        label="Ties are broken by, in the order in which you choose"
        options={tieBreak.options}
        hint="An unbroken tie is shared."
      />
      <fieldset className="grid items-start gap-4 border-t border-line pt-3 sm:grid-cols-3">
        <legend className="pr-2 text-sm text-soft">Points</legend>
        <RuleFields name="rule" none="no points: places only" />
      </fieldset>
      <TextArea
        name="penalties"
        label="Penalties, one a line: what, a colon, and how much each time in the measure's unit"
        rows={3}
        hint="for example Line crossed: 0.5. It makes the value worse, whichever way is better."
      />
      <SafetyFields />
      <TextField name="seed" label="Seed for lots" className="w-40" hint="shown before anything is drawn" />
    </EventFrame>
  );
}
