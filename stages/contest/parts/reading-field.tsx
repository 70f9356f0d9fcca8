import { levelsOf } from "@/core/run/reading";
import { LevelKeys } from "@/ui/level-keys";
import type { FieldReading } from "../view/field";
import { isTime } from "../view/gates";
import { TimeKeys } from "./time-keys";

/** One reading beside the field: a number with its unit, or the keys of its levels. */
export function ReadingField({
  reading,
  label,
  value,
  disabled,
  busy,
  large,
  onEnter,
}: {
  reading: FieldReading;
  label: string;
  value: string;
  disabled: boolean;
  /** It is being saved: nothing is changed now. */
  busy: boolean;
  large?: boolean;
  onEnter: (text: string) => void;
}) {
  const levels = levelsOf(reading);
  return (
    <div>
      <label className="grid gap-0.5 text-sm">
        <span>{label}</span>
        <span className="flex items-center gap-1">
          <input
            disabled={disabled}
            readOnly={busy}
            className={`input text-right ${large ? "min-h-13 w-40 text-[22px]" : "w-24"}`}
            inputMode={levels ? "text" : "decimal"}
            autoComplete="off"
            value={value}
            onChange={(e) => onEnter(e.target.value)}
          />
          {reading.unit !== "1" && <span className="text-soft">{reading.unit}</span>}
        </span>
      </label>
      {isTime(reading.unit) && <TimeKeys unit={reading.unit} disabled={disabled || busy} onPick={onEnter} />}
      {levels && (
        <LevelKeys levels={levels} chosen={value} disabled={disabled || busy} large={large} onPick={onEnter} />
      )}
    </div>
  );
}
