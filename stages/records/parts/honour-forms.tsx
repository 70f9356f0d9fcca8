"use client";

import { ActButton } from "@/ui/form/act-button";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { useNewId } from "@/ui/new-id";
import type { Option } from "@/ui/option";
import { toast } from "@/ui/toast";
import { giveHonoursAction, saveHonourAction, withdrawHonourAction } from "../actions";
import { honour } from "../schema-kept";

const { TextField, SelectField } = fieldsOf(honour);

/** Writes down what the contest's record gives. */
export const GiveHonours = ({ projectId }: { projectId: string }) => (
  <ActButton
    action={giveHonoursAction}
    input={{ projectId }}
    onDone={({ given }) => toast(given === 1 ? "One award is given." : `${given} awards are given.`)}
  >
    Give the contest's awards
  </ActButton>
);

const Fields = ({ teams }: { teams: readonly Option[] }) => (
  <>
    <SelectField name="teamId" label="Team" options={[...teams]} />
    <TextField name="title" label="Award" />
    <TextField name="says" label="By what" hint="What was measured, or the reason in a few words." />
    <TextField name="engraved" label="On the trophy" />
    <TextField name="givenOn" label="Given on" type="date" />
  </>
);

/** An award of the class's own. */
export function NewHonour({ projectId, teams, today }: { projectId: string; teams: readonly Option[]; today: string }) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      key={id}
      label="An award of our own"
      buttonLook="plain"
      schema={honour}
      action={saveHonourAction}
      fixed={{ id, projectId }}
      defaults={{ teamId: teams[0]?.value ?? "", title: "", says: "", engraved: "", givenOn: today }}
      submit="Give it"
      className="grid max-w-md gap-2"
      onDone={renew}
    >
      <Fields teams={teams} />
    </UnfoldForm>
  );
}

/** Corrects an award, or takes it out. */
export const EditHonour = ({
  honour: h,
  teams,
}: {
  honour: {
    readonly id: string;
    readonly projectId: string;
    readonly version: number;
    readonly teamId: string;
    readonly title: string;
    readonly says: string;
    readonly engraved: string;
    readonly givenOn: string;
  };
  teams: readonly Option[];
}) => (
  <UnfoldForm
    label={
      <>
        correct<span className="sr-only"> {h.title}</span>
      </>
    }
    beside={
      <WithdrawButton action={withdrawHonourAction} id={h.id} name={h.title}>
        take out
      </WithdrawButton>
    }
    schema={honour}
    action={saveHonourAction}
    fixed={{ id: h.id, projectId: h.projectId, version: h.version }}
    defaults={{ teamId: h.teamId, title: h.title, says: h.says, engraved: h.engraved, givenOn: h.givenOn }}
    submit="Save"
    className="grid max-w-md gap-2"
  >
    <Fields teams={teams} />
  </UnfoldForm>
);
