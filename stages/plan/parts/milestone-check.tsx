"use client";

import { useEffect, useState } from "react";
import { Checkbox } from "@/ui/checkbox";
import { useDates } from "@/ui/dates";
import { useSend } from "@/ui/form/send";
import { checkMilestoneAction } from "../actions";

/** A check for one team or student: pressed on, it is dated today and signed; pressed again, taken back. */
export function MilestoneCheck({
  milestoneId,
  teamId,
  personId,
  doneOn,
  today,
  label,
  readOnly,
}: {
  milestoneId: string;
  teamId?: string;
  personId?: string;
  doneOn: string | null;
  today: string;
  label: string;
  readOnly?: boolean;
}) {
  const { shortDate } = useDates();
  const { send, busy, note } = useSend(checkMilestoneAction);
  // Shown at once, and taken back if the record refuses it.
  const [on, setOn] = useState(!!doneOn);
  useEffect(() => setOn(!!doneOn), [doneOn]);
  const toggle = async () => {
    setOn(!on);
    const r = await send({ milestoneId, teamId, personId, doneOn: on ? "" : today });
    if (!r?.ok) setOn(on);
  };
  if (readOnly) return <span>{doneOn ? `passed ${shortDate(doneOn)}` : "–"}</span>;
  return (
    <label className="inline-flex items-center gap-1.5 whitespace-nowrap">
      <Checkbox checked={on} disabled={busy} onChange={toggle} aria-label={label} />
      <span className="text-sm text-soft">{doneOn ? shortDate(doneOn) : ""}</span>
      {note && (
        <span role="alert" className="text-sm text-iron">
          {note}
        </span>
      )}
    </label>
  );
}
