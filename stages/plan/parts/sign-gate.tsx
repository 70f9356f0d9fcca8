"use client";

import { ActButton } from "@/ui/form/act-button";
import { signGateAction, signGatesAction } from "../actions";

export const SignGate = ({
  milestoneId,
  teamId,
  signed,
  missing,
}: {
  milestoneId: string;
  teamId: string;
  signed: boolean;
  missing: number;
}) =>
  signed ? (
    <ActButton
      action={signGateAction}
      input={{ milestoneId, teamId, on: false }}
      look="quiet"
      confirm="The signature goes."
    >
      take back
    </ActButton>
  ) : (
    <ActButton
      action={signGateAction}
      input={{ milestoneId, teamId, on: true }}
      look={missing ? "plain" : "main"}
      confirm={
        missing
          ? `${missing} ${missing === 1 ? "line is" : "lines are"} not there yet; this is written beside your ` +
            "signature."
          : undefined
      }
    >
      Sign
    </ActButton>
  );

/** Signs for all teams that have everything, and for all that are left. */
export const SignGates = ({
  milestoneId,
  open,
}: {
  milestoneId: string;
  open: readonly { id: string; name: string; missing: number }[];
}) => {
  const ready = open.filter((t) => t.missing === 0);
  const rest = open.filter((t) => t.missing > 0);
  return (
    <span className="no-print flex flex-wrap items-center gap-3">
      {ready.length > 1 && (
        <ActButton action={signGatesAction} input={{ milestoneId, teamIds: ready.map((t) => t.id) }} look="main">
          Sign for the {String(ready.length)} teams that have everything
        </ActButton>
      )}
      {open.length > 1 && rest.length > 0 && (
        <ActButton
          action={signGatesAction}
          input={{ milestoneId, teamIds: open.map((t) => t.id) }}
          confirm={
            `${rest.map((t) => t.name).join(", ")} ${rest.length === 1 ? "lacks" : "lack"} something; ` +
            "what is missing is written beside your signature."
          }
        >
          Sign for all {String(open.length)}
        </ActButton>
      )}
    </span>
  );
};
