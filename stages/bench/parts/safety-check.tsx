"use client";

import { useState } from "react";
import { useSend } from "@/ui/form/send";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { TickList } from "@/ui/tick-list";
import { checkSafetyAction, withdrawSafetyCheckAction } from "../actions";

/** What has to be so before the first run of the day, ticked one by one: until then no attempt can be entered. */
export function SafetyCheck({
  projectId,
  protocolId,
  teamId,
  who,
  cautions,
}: {
  projectId: string;
  protocolId: string;
  /** Left out, it is ticked for all teams. */
  teamId?: string;
  who: string;
  cautions: readonly string[];
}) {
  const ready = useReady();
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const { send, busy, note } = useSend(checkSafetyAction);
  const left = cautions.filter((c) => !ticked.includes(c)).length;
  return (
    <section
      aria-label="Safety check"
      className="mb-3 grid max-w-[720px] gap-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2.5"
    >
      <h2 className="text-[14px]">Before the first run of today: {who}</h2>
      <TickList items={cautions} ticked={ticked} disabled={!ready} onChange={setTicked} />
      <div className="flex flex-wrap items-center gap-3">
        <button
          type="button"
          disabled={!ready || busy || left > 0}
          className={buttonClass("main")}
          onClick={() => send({ projectId, protocolId, teamId, cautions })}
        >
          {busy ? "Saving…" : "All of it is so: begin"}
        </button>
        <p role="status" className={note ? "text-sm text-iron" : "text-sm text-soft"}>
          {note ||
            (left > 0
              ? `${left} to tick. If one is not so, stop and ask the instructor; the school's rules come first.`
              : "")}
        </p>
      </div>
    </section>
  );
}

/** That the check of today is ticked, by whom, with the way back for the instructor. */
export function SafetyChecked({ id, words, staff }: { id: string; words: string; staff: boolean }) {
  return (
    <p className="mb-2 flex flex-wrap items-baseline gap-x-3 text-sm text-soft">
      {words}
      {staff && (
        <WithdrawButton action={withdrawSafetyCheckAction} id={id} says="No attempt is taken until it is ticked again.">
          take back
        </WithdrawButton>
      )}
    </p>
  );
}
