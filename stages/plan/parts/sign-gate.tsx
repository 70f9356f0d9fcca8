"use client";

import { ActButton } from "@/ui/form/act-button";
import { signGateAction } from "../actions";

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
