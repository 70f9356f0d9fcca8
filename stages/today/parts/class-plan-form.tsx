"use client";

import { useFormContext, useWatch } from "react-hook-form";
import { readAgenda } from "@/core/log/agenda";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { planClassAction } from "../actions";
import { classPlan } from "../schema";
import { AgendaStrip } from "./agenda-strip";

const { TextArea } = fieldsOf(classPlan);

/** The course as it is typed, in minutes. */
function Shown({ minutes }: { minutes: number }) {
  const { control } = useFormContext();
  const typed = useWatch({ control, name: "agenda" }) as string | undefined;
  return <AgendaStrip agenda={readAgenda(typed ?? "", minutes)} minutes={minutes} />;
}

export interface ClassOn {
  readonly projectId: string;
  readonly sectionId: string;
  readonly onDate: string;
}

/** What a class is for, and its course in minutes, drawn while it is written. */
export const ClassPlanForm = ({
  on,
  version,
  purpose,
  agenda,
  proposed,
  minutes,
}: {
  on: ClassOn;
  version: number;
  purpose: string;
  agenda: string;
  /** By the plan. */
  proposed: string;
  minutes: number;
}) => (
  <ActionForm
    schema={classPlan}
    action={planClassAction}
    fixed={{ ...on, version }}
    defaults={{ purpose: purpose || proposed, agenda }}
    submit="Keep for this class"
    saved="Kept."
  >
    <TextArea
      name="purpose"
      rows={2}
      label="What this class is for"
      hint={purpose || !proposed ? undefined : "By the plan; say it in your own words where you like."}
    />
    <TextArea
      name="agenda"
      label="Its course"
      rows={4}
      hint={`A part a line, minutes first: “10 Safety”. Parts without minutes share what is left of ${minutes}.`}
    />
    <Shown minutes={minutes} />
  </ActionForm>
);
