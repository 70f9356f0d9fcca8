"use client";

import dynamic from "next/dynamic";
import { type ComponentProps, useState } from "react";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { buttonClass } from "@/ui/page";
import { withdrawMatchAction } from "../actions";
import type Correct from "./match-correct";

const CorrectMatch = dynamic(() => import("./match-correct"), { ssr: false });

/** What can be done with a match that is on record: correct it, or take it out. */
export function PlayedTools({
  id,
  name,
  staff,
  ...of
}: Omit<ComponentProps<typeof Correct>, "onDone"> & { id: string; name: string; staff: boolean }) {
  const [open, setOpen] = useState(false);
  if (open) return <CorrectMatch {...of} onDone={() => setOpen(false)} />;
  return (
    <span className="no-print inline-flex flex-wrap gap-x-2.5">
      <button
        type="button"
        className={buttonClass("quiet")}
        aria-label={`Correct ${name}`}
        onClick={() => setOpen(true)}
      >
        correct
      </button>
      {staff && (
        <WithdrawButton
          action={withdrawMatchAction}
          id={id}
          name={name}
          says="This result leaves the record; what was recorded of the match before it counts again."
        >
          take out
        </WithdrawButton>
      )}
    </span>
  );
}
