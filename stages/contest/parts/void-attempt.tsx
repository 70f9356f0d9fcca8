"use client";

import { UnfoldReason } from "@/ui/form/reason-form";
import { voidAttemptAction } from "../actions";

/** Sets an attempt aside, with the reason. */
export const VoidAttempt = ({
  id,
  version,
  via,
  label,
}: {
  id: string;
  version: number;
  via?: "guest";
  label: string;
}) => (
  <UnfoldReason
    button={{ className: "text-xs text-soft underline", says: "set aside", label: `Set aside ${label}` }}
    action={voidAttemptAction}
    input={{ id, version }}
    name="reason"
    via={via}
    submit="Set aside"
    label="Why"
    hideLabel
    placeholder="why"
    className="w-36"
  />
);
