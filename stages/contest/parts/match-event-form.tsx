"use client";

import { useFormContext } from "react-hook-form";
import { matchFormat, matchRule } from "@/core/vocabulary/contest";
import { better } from "@/core/vocabulary/runs";
import { fieldsOf } from "@/ui/form/fields-of";
import { methodFieldOf } from "@/ui/form/method-field-of";
import { saveMatchEventAction } from "../actions";
import { matchEvent } from "../schema";
import { type EventFormOf, EventFrame } from "./event-frame";
import { SafetyFields } from "./safety-fields";

const { TextField, SelectField, CheckField } = fieldsOf(matchEvent);
const MethodField = methodFieldOf(matchEvent);

/** What belongs to the way of playing and of deciding that is chosen. */
function More() {
  const { watch } = useFormContext();
  const [format, decides] = [watch("format") as string, watch("decides") as string];
  return (
    <div className="grid content-start gap-3">
      {format === "double" && (
        <CheckField
          name="secondFinal"
          label="A second final where who had not lost loses the first"
          hint="Then everybody but the winner has lost exactly twice."
        />
      )}
      {format === "single" && (
        <CheckField name="third" label="The losers of the semi-finals play for the third place" />
      )}
      {format === "records" && <TextField name="rounds" label="Rounds" inputMode="numeric" className="w-24" />}
      {(format === "robin" || format === "records") && (
        <div className="grid grid-cols-3 gap-3">
          <TextField name="win" label="A win earns" inputMode="decimal" />
          <TextField name="draw" label="A draw" inputMode="decimal" />
          <TextField name="loss" label="A loss" inputMode="decimal" />
        </div>
      )}
      {decides === "games" && (
        <TextField name="games" label="At most so many games" inputMode="numeric" className="w-40" />
      )}
      {decides === "measured" && (
        <div className="grid grid-cols-2 gap-3">
          <TextField name="measure" label="What is measured" placeholder="Time to fill" />
          <TextField name="unit" label="Unit" placeholder="s" />
          <SelectField name="better" label="Better is" options={better.options} />
          <TextField name="resolution" label="Read to" inputMode="decimal" placeholder="0.1" />
        </div>
      )}
    </div>
  );
}

/** The rules of an event in which two meet at a time. */
export const MatchEventForm = (of: EventFormOf) => (
  <EventFrame {...of} schema={matchEvent} action={saveMatchEventAction} page="/matches">
    <TextField name="name" label="Event" hint="for example Tank race" className="max-w-md" />
    <div className="grid items-start gap-5 md:grid-cols-2">
      <MethodField name="format" label="How it is played" options={matchFormat.options} />
      <div className="grid gap-4">
        <TextField
          name="placePoints"
          label="Points of the places, for the overall ranking"
          placeholder="40, 30, 20, 15"
          hint="Those who share places share their points. Leave it empty for none."
        />
        <MethodField name="decides" label="A match is won by" options={matchRule.options} />
        <More />
      </div>
    </div>
    <SafetyFields />
  </EventFrame>
);
