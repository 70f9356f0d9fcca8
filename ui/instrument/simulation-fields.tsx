import type { InstrumentKind } from "@/core/vocabulary/instruments";
import { Fold } from "../fold";
import { simulationNote, simulationRows, type TypedSimulation } from "./simulation";

/** What a simulated instrument stands at, and its faults: a number each. */
export function SimulationFields({
  kind,
  values,
  onChange,
  disabled,
}: {
  kind: InstrumentKind;
  values: TypedSimulation;
  onChange: (values: TypedSimulation) => void;
  disabled: boolean;
}) {
  return (
    <Fold label="Its test, its noise and its faults" labelClass="text-soft">
      <div className="mt-2 grid max-w-[760px] grid-cols-2 gap-x-4 gap-y-2 text-sm sm:grid-cols-4">
        {simulationRows(kind).map((r) => {
          const typed = values[r.key] ?? "";
          const note = simulationNote(r, typed);
          return (
            <label key={r.key} className="grid content-start gap-0.5">
              <span className="text-soft">
                {r.label}
                {r.unit !== "1" && ` (${r.unit})`}
              </span>
              <input
                className="input w-full"
                inputMode="decimal"
                disabled={disabled}
                value={typed}
                aria-invalid={note !== null || undefined}
                onChange={(e) => onChange({ ...values, [r.key]: e.target.value })}
              />
              {note && <span className="text-xs text-iron">{note}</span>}
            </label>
          );
        })}
        <label className="grid content-start gap-0.5">
          <span className="text-soft">Seed</span>
          <input
            className="input w-full"
            maxLength={40}
            disabled={disabled}
            value={values.seed ?? ""}
            onChange={(e) => onChange({ ...values, seed: e.target.value })}
          />
        </label>
      </div>
    </Fold>
  );
}
