"use client";

import { matchOutcome } from "@/core/vocabulary/contest";
import { without } from "@/core/vocabulary/vocabulary";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { recordMatchAction } from "../actions";
import { matchResult } from "../schema";
import type { Playable } from "../view/lives";

const { TextField, SelectField } = fieldsOf(matchResult);
const odd = without(matchOutcome, "won", "drawn");

/** A match that was not played out: a walkover, a disqualification, nobody there. */
export const OddEnd = ({ eventId, match, via }: { eventId: string; match: Playable; via?: "guest" }) => (
  <UnfoldForm
    label="not played out"
    schema={matchResult}
    action={recordMatchAction}
    via={via}
    fixed={{ eventId, slot: match.slot, a: match.a, b: match.b }}
    defaults={{ outcome: "walkover", winner: "a", reason: "" }}
    shape={(v) => ({ ...v, id: crypto.randomUUID(), winner: v.outcome === "neither" ? null : v.winner })}
    submit="Record it"
    inline
    className="mt-1 flex flex-wrap items-end gap-2"
  >
    <SelectField name="outcome" label="How" options={odd.options} className="w-72" />
    <SelectField
      name="winner"
      label="Goes on"
      options={match.teams.map((team, i) => ({ value: i === 0 ? "a" : "b", label: team }))}
      className="w-36"
    />
    <TextField name="reason" label="Why" className="w-48" />
  </UnfoldForm>
);
