"use client";

import { useEffect, useState } from "react";
import { type InstrumentKind, instrumentKind } from "@/core/vocabulary/instruments";
import { Select } from "../select";
import { hasSerial } from "./serial";
import { type TypedSimulation, typedSimulation } from "./simulation";
import { SimulationFields } from "./simulation-fields";

const speeds = ["9600", "19200", "57600", "115200", "230400"].map((value) => ({ value, label: `${value} baud` }));

/** What an instrument is chosen as at first: a simulated one, as it ships. */
export const simulatedSource = (from: InstrumentKind): Source => ({
  from,
  baud: "115200",
  typed: typedSimulation(from),
});

/** What was wrong in the form of a simulated instrument. */
export const unusableSimulation = "A number under “Its test, its noise and its faults” cannot be used.";

/** Where samples come from: an instrument on a cable, or a simulated one. */
export interface Source {
  readonly from: InstrumentKind | "cable";
  readonly baud: string;
  readonly typed: TypedSimulation;
}

/** Chooses the instrument, and what a simulated one stands at. */
export function LiveSource({
  source,
  fitting,
  onChange,
  disabled,
}: {
  source: Source;
  /** The simulated instruments that send what the protocol takes. */
  fitting: readonly InstrumentKind[];
  onChange: (source: Source) => void;
  disabled: boolean;
}) {
  const [cable, setCable] = useState(false);
  useEffect(() => setCable(hasSerial()), []);
  const options = [
    ...(cable ? [{ value: "cable", label: "an instrument on this computer's cable" }] : []),
    ...fitting.map((value) => ({ value, label: `simulated: ${instrumentKind.labels[value]}` })),
  ];
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-end gap-3">
        <label className="grid gap-1">
          <span className="text-[12.5px] font-[600]">Instrument</span>
          <Select
            aria-label="Instrument"
            className="w-88 max-w-full"
            value={source.from}
            onChange={(v) => {
              const from = v as Source["from"];
              onChange({ ...source, from, typed: from === "cable" ? {} : typedSimulation(from) });
            }}
            options={options}
            disabled={disabled}
          />
        </label>
        {source.from === "cable" && (
          <label className="grid gap-1">
            <span className="text-[12.5px] font-[600]">Speed of its cable</span>
            <Select
              aria-label="Speed of its cable"
              className="w-40"
              value={source.baud}
              onChange={(baud) => onChange({ ...source, baud })}
              options={speeds}
              disabled={disabled}
            />
          </label>
        )}
      </div>
      {source.from !== "cable" && (
        <>
          <p className="max-w-[760px] text-sm text-soft">
            A simulated instrument tries out a protocol, or teaches it: what it sends is marked as simulated wherever it
            is shown.{!cable && " This browser has no interface to a cable, so no real one can be chosen here."}
          </p>
          <SimulationFields
            kind={source.from}
            values={source.typed}
            onChange={(typed) => onChange({ ...source, typed })}
            disabled={disabled}
          />
        </>
      )}
    </div>
  );
}
