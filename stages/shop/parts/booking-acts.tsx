"use client";

import { bookingOutcome } from "@/core/vocabulary/shop";
import { ActButton } from "@/ui/form/act-button";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import type { Option } from "@/ui/option";
import { toast } from "@/ui/toast";
import {
  endBookingAction,
  placeBookingAction,
  planQueueAction,
  startBookingAction,
  withdrawBookingAction,
} from "../actions";
import { endBooking, placeBooking } from "../schema";

const end = fieldsOf(endBooking);
const place = fieldsOf(placeBooking);

/** Begins a time at a machine. */
export const StartBooking = ({ id, version, look }: { id: string; version: number; look?: "main" }) => (
  <ActButton action={startBookingAction} input={{ id, version }} look={look}>
    Begin
  </ActButton>
);

/** Ends it, or corrects what came of it. */
export const EndBooking = ({
  id,
  version,
  used,
  outcome,
  seen,
  over,
}: {
  id: string;
  version: number;
  used: number;
  outcome: string;
  seen: string;
  /** It is over: this corrects it. */
  over: boolean;
}) => (
  <UnfoldForm
    label={over ? "correct" : "End"}
    buttonLook={over ? "quiet" : "plain"}
    schema={endBooking}
    action={endBookingAction}
    fixed={{ id, version }}
    defaults={{ used: String(used), outcome, seen }}
    submit="Save"
    className="grid min-w-64 gap-2"
  >
    <end.TextField name="used" label="Minutes used" inputMode="numeric" />
    <end.SelectField name="outcome" label="What came of it" options={bookingOutcome.options} />
    <end.TextField name="seen" label="What was seen" hint="What the next at this machine should know." />
  </UnfoldForm>
);

/** Gives a booking another time by hand. */
export const PlaceBooking = ({
  id,
  version,
  times,
  time,
  starts,
}: {
  id: string;
  version: number;
  times: readonly Option[];
  time: string;
  starts: number;
}) => (
  <UnfoldForm
    label={time ? "move" : "place"}
    schema={placeBooking}
    action={placeBookingAction}
    fixed={{ id, version }}
    defaults={{ time, starts: String(starts) }}
    submit="Save"
    className="grid min-w-64 gap-2"
  >
    <place.SelectField name="time" label="Session" options={[...times]} empty="none: it waits" />
    <place.TextField name="starts" label="Begins at minute" inputMode="numeric" />
  </UnfoldForm>
);

export const WithdrawBooking = ({ id, what }: { id: string; what: string }) => (
  <WithdrawButton action={withdrawBookingAction} id={id} name={what}>
    take out
  </WithdrawButton>
);

/** Gives all who wait their time. */
export const PlanQueue = ({ toolId, waiting }: { toolId: string; waiting: number }) => (
  <ActButton
    action={planQueueAction}
    input={{ toolId }}
    look="main"
    onDone={({ placed, late, without }) =>
      toast(
        `${placed} of ${placed + without} have a time.` +
          (late ? ` ${late} come after the day on which they are needed.` : "") +
          (without ? ` ${without} find no room before the project ends.` : ""),
      )
    }
  >
    {waiting === 1 ? "Give the one who waits a time" : `Give all ${waiting} a time`}
  </ActButton>
);
