"use client";

import { UnfoldReason } from "@/ui/form/reason-form";
import { useNewId } from "@/ui/new-id";
import { buttonClass } from "@/ui/page";
import { releaseBuildAction } from "../actions";

/** Ends the impound of a build, with the reason. */
export function ReleaseForm({ buildId, after, via }: { buildId: string; after: number; via?: "guest" }) {
  const [id, renew] = useNewId();
  return (
    <UnfoldReason
      button={{ className: buttonClass("plain"), says: "Release from the impound" }}
      action={releaseBuildAction}
      input={{ id, buildId, after }}
      name="reason"
      via={via}
      submit="Release"
      onDone={renew}
      label="What is changed or repaired"
      className="w-72"
    />
  );
}
