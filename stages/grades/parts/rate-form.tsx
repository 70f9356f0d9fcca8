"use client";

import { useFormContext } from "react-hook-form";
import type { PeerMethod } from "@/core/vocabulary/grades";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { ratePeersAction } from "../actions";
import { ratePeers } from "../schema";

const { TextField, SelectField } = fieldsOf(ratePeers);

export interface Teammate {
  readonly id: string;
  readonly name: string;
  readonly value: string;
  readonly comment: string;
}

const words = ["hardly took part", "less than agreed", "what was agreed", "more than agreed", "carried the team"];

function SharesLeft() {
  const { watch } = useFormContext<{ ratings: { value: string }[] }>();
  const sum = watch("ratings").reduce((s, r) => s + (Number(r.value) || 0), 0);
  return (
    <p className={sum === 100 ? "text-soft" : "text-ochre-deep"} aria-live="polite">
      {sum === 100
        ? "The shares make 100."
        : `The shares make ${sum}: ${sum < 100 ? `${100 - sum} left` : `${sum - 100} too many`}.`}
    </p>
  );
}

/** A student rates the others of the team; what is sent again takes the place of what was sent. */
export function RateForm({
  roundId,
  method,
  teammates,
}: {
  roundId: string;
  method: PeerMethod;
  teammates: readonly Teammate[];
}) {
  return (
    <ActionForm
      schema={ratePeers}
      action={ratePeersAction}
      fixed={{ roundId }}
      defaults={{ ratings: teammates.map((t) => ({ ratee: t.id, value: t.value, comment: t.comment })) }}
      submit={teammates.some((t) => t.value) ? "Hand in again" : "Hand in"}
      saved="Handed in. You can change it while the rating is open."
    >
      {teammates.map((t, i) => (
        <fieldset key={t.id} className="grid gap-2 border-t border-line pt-2.5 sm:grid-cols-[220px_minmax(0,1fr)]">
          <legend className="float-left font-[650]">{t.name}</legend>
          {method === "ratings" ? (
            <SelectField
              name={`ratings.${i}.value`}
              label="Took part"
              empty="choose"
              options={words.map((w, n) => ({ value: String(n + 1), label: `${n + 1}: ${w}` }))}
            />
          ) : (
            <TextField name={`ratings.${i}.value`} label="Share of 100" inputMode="numeric" />
          )}
          <TextField name={`ratings.${i}.comment`} label="A word to your instructor (optional)" />
        </fieldset>
      ))}
      {method === "shares" && <SharesLeft />}
    </ActionForm>
  );
}
