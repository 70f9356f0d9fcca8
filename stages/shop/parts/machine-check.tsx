"use client";

import { useState } from "react";
import { useSend } from "@/ui/form/send";
import { useNewId } from "@/ui/new-id";
import { buttonClass } from "@/ui/page";
import { TickList } from "@/ui/tick-list";
import { checkMachineAction } from "../actions";

/** What is looked at before a machine runs today, line by line. */
export function MachineCheck({
  toolId,
  lines,
  machine,
}: {
  toolId: string;
  lines: readonly string[];
  machine: string;
}) {
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const [id, renew] = useNewId();
  const { send, busy, note } = useSend(checkMachineAction);
  const check = async () => {
    const result = await send({ id, toolId, lines: [...ticked] });
    if (!result?.ok) return;
    setTicked([]);
    renew();
  };
  return (
    <div className="grid gap-1">
      <TickList items={lines} ticked={ticked} disabled={busy} onChange={setTicked} />
      <div className="mt-1 flex flex-wrap items-center gap-3">
        <button
          type="button"
          className={buttonClass("plain")}
          disabled={busy || ticked.length < lines.length}
          onClick={() => void check()}
        >
          {machine} was looked at
        </button>
        {ticked.length < lines.length && (
          <span className="text-sm text-soft">
            {lines.length - ticked.length} open. Something is wrong? Leave it off, and tell your instructor.
          </span>
        )}
      </div>
      {note && (
        <p role="alert" className="text-sm text-iron">
          {note}
        </p>
      )}
    </div>
  );
}
