import { parseQuantity } from "@/core/quantity/quantity";
import { type Condition, outsideTolerance } from "@/core/run/protocol";

/** What is odd about a condition as it was typed: it cannot be read, or it leaves the tolerance. */
export function conditionNote(c: Condition, typed: string): { bad: boolean; text: string } | null {
  if (!typed.trim()) return null;
  const parsed = parseQuantity(typed, c.unit);
  if (!parsed.ok) return { bad: true, text: parsed.message };
  return outsideTolerance(c, parsed.quantity.si)
    ? { bad: false, text: "outside the tolerance: the run will not be comparable" }
    : null;
}

/** Conditions as they were measured: they go with every attempt that follows, until they are changed. */
export function ConditionFields({
  conditions,
  values,
  onChange,
  disabled,
}: {
  conditions: readonly Condition[];
  values: Readonly<Record<string, string>>;
  onChange: (values: Record<string, string>) => void;
  disabled?: boolean;
}) {
  return (
    <>
      {conditions.map((c) => {
        const typed = values[c.key] ?? "";
        const note = conditionNote(c, typed);
        return (
          <label key={c.key} className="grid gap-0.5">
            <span className="text-soft">{c.name}</span>
            <span className="flex items-center gap-1">
              <input
                className="input min-h-7 w-20 py-0.5"
                placeholder={c.target}
                disabled={disabled}
                value={typed}
                aria-invalid={note?.bad || undefined}
                onChange={(e) => onChange({ ...values, [c.key]: e.target.value })}
              />
              {c.unit !== "1" && <span className="text-soft">{c.unit}</span>}
            </span>
            {note && <span className={note.bad ? "text-xs text-iron" : "text-xs text-ochre-deep"}>{note.text}</span>}
          </label>
        );
      })}
      {conditions.length > 0 && (
        <span className="max-w-56 text-xs text-soft">
          Conditions as measured; empty means as the protocol sets them. They stay for the next attempts.
        </span>
      )}
    </>
  );
}
