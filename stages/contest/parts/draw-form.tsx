"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Send } from "@/ui/form/result";
import { drawRoundAction, drawRunOrderAction } from "../actions";
import { drawOrder } from "../schema";

const { TextField } = fieldsOf(drawOrder);

interface Of {
  readonly id: string;
  readonly version: number;
  /** Proposed; it is shown before anything is drawn. */
  readonly seed: string;
}

const Draw = ({ id, version, seed, action, submit }: Of & { action: Send<unknown>; submit: string }) => (
  <ActionForm
    inline
    schema={drawOrder}
    action={action}
    fixed={{ id, version }}
    defaults={{ seed }}
    submit={submit}
    look="plain"
  >
    <TextField name="seed" label="Seed" className="w-52" />
  </ActionForm>
);

/** Draws the order in which the entries run, or their seeds. */
export const DrawForm = ({ submit = "Draw the run order", ...of }: Of & { submit?: string }) => (
  <Draw {...of} action={drawRunOrderAction} submit={submit} />
);

/** Draws the next round of equal records. */
export const RoundForm = ({ round, ...of }: Of & { round: number }) => (
  <Draw {...of} action={drawRoundAction} submit={`Draw round ${round}`} />
);
