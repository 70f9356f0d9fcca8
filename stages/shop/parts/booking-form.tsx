"use client";

import { useFormContext, useWatch } from "react-hook-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { useNewId } from "@/ui/new-id";
import type { Option } from "@/ui/option";
import { toast } from "@/ui/toast";
import { askBookingAction, editBookingAction } from "../actions";
import { booking, editBooking } from "../schema";

const { TextField, SelectField, CheckField } = fieldsOf(booking);

/** Who and what a team can be booked with. */
export interface BookingTeam {
  readonly id: string;
  readonly name: string;
  /** Members with how their training stands, in words. */
  readonly members: readonly Option[];
  /** Pieces that are not cut yet. */
  readonly pieces: readonly Option[];
}

function Fields({ teams, team }: { teams: readonly BookingTeam[]; team?: string }) {
  const { control } = useFormContext();
  const chosen = useWatch({ control, name: "teamId" }) as string | undefined;
  const of = teams.find((t) => t.id === (team ?? (chosen || teams[0]?.id)));
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-3">
        {!team && (
          <SelectField name="teamId" label="Team" options={teams.map((t) => ({ value: t.id, label: t.name }))} />
        )}
        <TextField name="what" label="What for" placeholder="Side panels" />
        <TextField name="material" label="Material" placeholder="3 mm birch plywood" />
      </div>
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField name="minutes" label="Minutes" inputMode="numeric" hint="With setting up and clearing away." />
        <TextField name="needBy" label="Needed by" type="date" />
        <SelectField
          name="operatorId"
          label="At the machine"
          options={[...(of?.members ?? [])]}
          empty="named later"
          hint="Somebody who is trained for it."
        />
      </div>
      {of && of.pieces.length > 0 && (
        <SelectField name="pieceId" label="Piece" options={[...of.pieces]} empty="none of the list" />
      )}
      <CheckField
        name="once"
        label="It can be cut once only"
        hint="There is no more of the material: it begins after a release, by a second pair of eyes."
      />
    </>
  );
}

/** Asks for time at a machine. */
export function AskBooking({
  toolId,
  machine,
  teams,
  own,
  needBy,
}: {
  toolId: string;
  machine: string;
  teams: readonly BookingTeam[];
  /** The reader's own team, for students. */
  own?: string;
  needBy: string;
}) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      key={id}
      label={`Ask for ${machine}`}
      buttonLook="plain"
      schema={booking}
      action={askBookingAction}
      fixed={{ id, toolId, ...(own ? { teamId: own } : {}) }}
      defaults={{
        ...(own ? {} : { teamId: teams[0]?.id ?? "" }),
        what: "",
        material: "",
        minutes: "20",
        needBy,
        operatorId: "",
        pieceId: "",
        once: false,
      }}
      submit="Ask"
      className="grid max-w-[760px] gap-3"
      onDone={() => {
        toast("It waits in the queue.");
        renew();
      }}
    >
      <Fields teams={teams} team={own} />
    </UnfoldForm>
  );
}

/** Corrects what was asked for. */
export const EditBooking = ({
  id,
  version,
  team,
  defaults,
}: {
  id: string;
  version: number;
  team: BookingTeam;
  defaults: Record<string, string | boolean>;
}) => (
  <UnfoldForm
    label="correct"
    schema={editBooking}
    action={editBookingAction}
    fixed={{ id, version }}
    defaults={defaults}
    submit="Save"
    className="grid min-w-72 gap-3"
  >
    <Fields teams={[team]} team={team.id} />
  </UnfoldForm>
);
