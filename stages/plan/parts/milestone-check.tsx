"use client";

import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { shortDate } from "@/ui/date";
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
  const router = useRouter();
  const [note, setNote] = useState("");
  const [busy, setBusy] = useState(false);
  // Shown at once, and taken back if the record refuses it.
  const [on, setOn] = useState(!!doneOn);
  useEffect(() => setOn(!!doneOn), [doneOn]);
  const toggle = async () => {
    setBusy(true);
    setOn(!on);
    try {
      const r = await checkMilestoneAction({ milestoneId, teamId, personId, doneOn: on ? "" : today });
      setNote(r.ok ? "" : r.message);
      if (!r.ok) setOn(on);
      router.refresh();
    } catch {
      setOn(on);
      setNote("The network did not answer.");
    } finally {
      setBusy(false);
    }
  };
  if (readOnly) return <span>{doneOn ? `passed ${shortDate(doneOn)}` : "–"}</span>;
  return (
    <label className="inline-flex items-center gap-1.5 whitespace-nowrap">
      <input
        type="checkbox"
        className="accent-iron"
        checked={on}
        disabled={busy}
        onChange={toggle}
        aria-label={label}
      />
      <span className="text-sm text-soft">{doneOn ? shortDate(doneOn) : ""}</span>
      {note && (
        <span role="alert" className="text-sm text-iron">
          {note}
        </span>
      )}
    </label>
  );
}
