import { instruments, type Simulation, usualSimulation } from "@/core/instrument/simulated";
import { sameDimension } from "@/core/quantity/dimension";
import { parseUnit } from "@/core/quantity/units";
import type { Measure } from "@/core/run/protocol";
import { type InstrumentKind, instrumentKind } from "@/core/vocabulary/instruments";

/** A simulated instrument as it is typed: its test's settings and its faults, each as a text. */
export type TypedSimulation = Readonly<Record<string, string>>;

interface Row {
  readonly key: string;
  readonly label: string;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
}

const faults: readonly Row[] = [
  { key: "rate", label: "Samples a second", unit: "1", min: 0.1, max: 1000 },
  { key: "noise", label: "Noise, times the usual", unit: "1", min: 0, max: 100 },
  { key: "coarse", label: "Resolution, times the usual", unit: "1", min: 1, max: 1000 },
  { key: "drift", label: "Drift, steps a minute", unit: "1", min: -1000, max: 1000 },
  { key: "dropouts", label: "Lost samples", unit: "%", min: 0, max: 90 },
];

/** The fields of a simulated instrument: what it stands at, and its faults. */
export const simulationRows = (kind: InstrumentKind): readonly Row[] => [
  ...instruments[kind].settings.map((s) => ({ ...s, label: s.name })),
  ...faults,
];

/** How a simulated instrument starts in its form. */
export function typedSimulation(kind: InstrumentKind): TypedSimulation {
  const s = usualSimulation(kind, "1");
  const faulty = { rate: s.rate, noise: s.noise, coarse: s.coarse, drift: s.drift, dropouts: 100 * s.dropouts };
  return {
    ...Object.fromEntries(Object.entries({ ...s.settings, ...faulty }).map(([key, value]) => [key, String(value)])),
    seed: s.seed,
  };
}

/** What is wrong with a typed number of a simulated instrument, in words; null where it can be used. */
export function simulationNote(row: Row, typed: string): string | null {
  const text = typed.trim().replace(",", ".");
  if (!/^[+-]?(\d+(\.\d*)?|\.\d+)$/.test(text)) return `Write a number, from ${row.min} to ${row.max}`;
  return Number(text) < row.min || Number(text) > row.max ? `From ${row.min} to ${row.max}` : null;
}

/** The simulated instrument that was typed; null while a field of it cannot be used. */
export function simulationOf(kind: InstrumentKind, typed: TypedSimulation): Simulation | null {
  const rows = simulationRows(kind);
  if (rows.some((r) => simulationNote(r, typed[r.key] ?? ""))) return null;
  const at = (key: string) => Number(typed[key]!.replace(",", "."));
  return {
    kind,
    rate: at("rate"),
    noise: at("noise"),
    coarse: at("coarse"),
    drift: at("drift"),
    dropouts: at("dropouts") / 100,
    settings: Object.fromEntries(instruments[kind].settings.map((s) => [s.key, at(s.key)])),
    seed: typed.seed!.trim() || "1",
  };
}

/** The simulated instruments that send what a protocol takes: the first that serves all of its readings comes first. */
export function fittingInstruments(measures: readonly Pick<Measure, "take">[]): InstrumentKind[] {
  const wanted = measures.flatMap((m) => (m.take && parseUnit(m.take.unit)?.dimension) || []);
  const served = (kind: InstrumentKind) =>
    wanted.filter((d) => instruments[kind].channels.some((c) => sameDimension(parseUnit(c.unit)!.dimension, d))).length;
  return instrumentKind.values.filter((k) => served(k) > 0).sort((a, b) => served(b) - served(a));
}
