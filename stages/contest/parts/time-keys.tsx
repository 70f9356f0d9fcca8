"use client";

import { timeIn } from "../view/gates";
import { useTakenTimes } from "./taken-times";

/** The times that a watch or light gates of this browser just took, each a press that fills the field. */
export function TimeKeys({
  unit,
  disabled,
  onPick,
}: {
  unit: string;
  disabled: boolean;
  onPick: (text: string) => void;
}) {
  const times = useTakenTimes();
  if (!times.length) return null;
  return (
    <span className="mt-1 flex flex-wrap gap-1">
      {times.map((t) => (
        <button
          key={`${t.at} ${t.by}`}
          type="button"
          disabled={disabled}
          className="min-h-11 rounded-sm border border-line px-2.5 text-sm tabular-nums hover:border-ink"
          onClick={() => onPick(timeIn(t.seconds, unit))}
        >
          {t.seconds} s <span className="text-soft">{t.by}</span>
        </button>
      ))}
    </span>
  );
}
