"use client";

import { ActButton } from "@/ui/form/act-button";
import { removeChallengeResultAction } from "../actions";

export function PrintButton() {
  return (
    <button
      type="button"
      onClick={() => window.print()}
      className="text-soft underline decoration-line underline-offset-3 hover:text-ink"
    >
      Print
    </button>
  );
}

export const RemoveResult = ({ id }: { id: string }) => (
  <ActButton action={removeChallengeResultAction} input={{ id }} look="quiet" confirm="The result goes.">
    remove
  </ActButton>
);
