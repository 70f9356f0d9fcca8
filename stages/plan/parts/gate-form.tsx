"use client";

import { buildStage } from "@/core/vocabulary/builds";
import { ActButton } from "@/ui/form/act-button";
import { setGateAction } from "../actions";

export function GateForm({ milestoneId, stage }: { milestoneId: string; stage: string }) {
  return (
    <span className="flex flex-wrap gap-2">
      {stage ? (
        <ActButton
          action={setGateAction}
          input={{ milestoneId, stage: "" }}
          look="quiet"
          confirm="It becomes a plain milestone; its checklist is kept."
        >
          no gate
        </ActButton>
      ) : (
        buildStage.values.map((s) => (
          <ActButton key={s} action={setGateAction} input={{ milestoneId, stage: s }}>
            {s}
          </ActButton>
        ))
      )}
    </span>
  );
}
