"use client";

import { useEffect, useRef, useState } from "react";
import { gateMeasure } from "@/core/vocabulary/instruments";
import { LiveSource, simulatedSource } from "@/ui/instrument/source";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { Select } from "@/ui/select";
import { type GateRow, gateRows, gateRuleOf, type TypedGates, usualGates } from "../view/gates";
import { tookTime } from "./taken-times";
import { useGates } from "./use-gates";

/** The times that are shown; more are kept while the page stands. */
const shown = 20;

const numbers = [
  { key: "length", label: "Length, for a speed (m)" },
  { key: "dead", label: "Passages apart by (s)" },
  { key: "step", label: "Step of their clock (s)" },
] as const;

/** The times of the gates, the newest first. */
function Times({ rows }: { rows: readonly GateRow[] }) {
  const speeds = rows.some((r) => r.speed);
  return (
    <section aria-label="Times of the gates" tabIndex={0} className="max-h-80 overflow-auto">
      <table className="text-right tabular-nums">
        <thead className="text-sm text-soft">
          <tr>
            <th className="pr-5 text-right font-normal">#</th>
            <th className="pr-5 text-right font-normal">Time</th>
            {speeds && <th className="text-right font-normal">Mean speed</th>}
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, shown).map((r, i) => (
            <tr key={r.n} className={i === 0 ? "text-[22px] font-[650]" : undefined}>
              <td className="pr-5 text-soft">{r.n}</td>
              <td className="pr-5">{r.time}</td>
              {speeds && <td>{r.speed}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Light gates on this computer's cable, or simulated: what they time, with its ± and the speed over a length. */
export function LightGates() {
  const ready = useReady();
  const gates = useGates();
  const [source, setSource] = useState(simulatedSource("photogate"));
  const [typed, type] = useState<TypedGates>(usualGates);
  const [refused, refuse] = useState("");
  const read = gateRuleOf(typed, gates.gates);
  const rows = "why" in read ? [] : gateRows(read.rule, read.length, gates.edges);
  const [newest] = rows;
  const offered = useRef(0);
  const real = gates.listens === "cable";
  useEffect(() => {
    // What a simulated gate says is no result: no field takes it.
    if (real && newest && newest.n > offered.current) tookTime(newest.typed, "light gates");
    offered.current = newest?.n ?? 0;
  }, [newest, real]);
  const set = (key: keyof TypedGates) => (value: string) => {
    type({ ...typed, [key]: value });
    refuse("");
  };
  const named = [
    { key: "start", label: typed.measure === "between" ? "First gate" : "Gate" },
    ...(typed.measure === "between" ? [{ key: "stop", label: "Second gate" } as const] : []),
  ] as const;
  return (
    <section aria-label="Light gates" className="sheet grid gap-3 p-4">
      <h2>
        Light gates{" "}
        <span className="text-sm font-normal text-soft">
          an instrument that says 1 while its beam is broken, 0 while it is free
        </span>
      </h2>
      {!gates.listens && <LiveSource source={source} fitting={["photogate"]} onChange={setSource} disabled={!ready} />}
      <div className="flex flex-wrap items-end gap-3">
        <label className="grid gap-1 text-sm">
          <span>What is timed</span>
          <Select
            aria-label="What is timed"
            className="w-72 max-w-full"
            value={typed.measure}
            onChange={set("measure")}
            options={gateMeasure.options}
            disabled={!ready}
          />
        </label>
        {gates.gates.length > 1 &&
          "rule" in read &&
          named.map(({ key, label }) => (
            <label key={key} className="grid gap-1 text-sm">
              <span>{label}</span>
              <Select
                aria-label={label}
                className="w-36"
                value={read.rule[key]}
                onChange={set(key)}
                options={gates.gates.map((value) => ({ value, label: value }))}
              />
            </label>
          ))}
        {numbers.map(({ key, label }) => (
          <label key={key} className="grid gap-1 text-sm">
            <span>{label}</span>
            <input
              className="input w-28 text-right"
              inputMode="decimal"
              autoComplete="off"
              disabled={!ready || (key === "step" && gates.listens !== "")}
              value={typed[key]}
              onChange={(e) => set(key)(e.target.value)}
            />
          </label>
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <button
          type="button"
          className={`${buttonClass(gates.listens ? "plain" : "main")} min-h-11`}
          disabled={!ready}
          onClick={() => {
            if (gates.listens) return gates.end();
            if ("why" in read) return refuse(read.why);
            void gates.begin(source, read.step);
          }}
        >
          {gates.listens ? "Stop listening" : "Listen"}
        </button>
        <p role="status" className="text-sm text-iron">
          {refused || gates.note || ("why" in read ? read.why : "")}
        </p>
        {gates.left.count > 0 && (
          <p className="text-sm text-soft">
            {gates.left.count} lines left out: {gates.left.why}
          </p>
        )}
      </div>
      {gates.listens !== "" && rows.length === 0 && (
        <p className="text-soft">
          Listening. {gates.gates.length ? `Heard: ${gates.gates.join(", ")}.` : "Nothing was heard yet."}
        </p>
      )}
      {gates.listens === "simulated" && (
        <p className="text-sm text-ochre-deep">Simulated: these times are for trying out, and no event takes them.</p>
      )}
      {rows.length > 0 && <Times rows={rows} />}
    </section>
  );
}
