import { expandUncertainty, showUncertain } from "@/core/formula/show";
import { type GateEdge, type GateRule, gateSpeed, gateTimes } from "@/core/instrument/gates";
import { sameDimension } from "@/core/quantity/dimension";
import { formatNumber, parseQuantity } from "@/core/quantity/quantity";
import { parseUnit } from "@/core/quantity/units";
import { gateMeasure } from "@/core/vocabulary/instruments";

/** What is timed, as it is typed. */
export interface TypedGates {
  readonly measure: string;
  /** Empty: the first gate that is heard, and the second. */
  readonly start: string;
  readonly stop: string;
  readonly dead: string;
  /** The step of the gates' clock, in seconds. */
  readonly step: string;
  /** The flag's length or the gates' distance; empty where no speed is wanted. */
  readonly length: string;
}

/** How the form starts. */
export const usualGates: TypedGates = {
  measure: "between",
  start: "",
  stop: "",
  dead: "0.2",
  step: "0.001",
  length: "",
};

/** A time that gates took, as it is shown. */
export interface GateRow {
  readonly n: number;
  readonly time: string;
  readonly speed: string;
  /** What the field of an event takes: seconds, with as many decimals as the gates can tell. */
  readonly typed: string;
}

const decimalsAtMost = 6;

/** A typed number of seconds or metres, of which `least` and more can be used; a message where it cannot. */
function typedIn(unit: string, typed: string, least: number, name: string): number | { why: string } {
  const read = parseQuantity(typed, unit);
  if (!read.ok) return { why: `${name}: ${read.message}` };
  const value = Number(read.quantity.si);
  return value >= least ? value : { why: `${name}: write ${formatNumber(least)} ${unit} or more.` };
}

/** The rule that was typed, of the gates that were heard, or what cannot be used of it. */
export function gateRuleOf(
  typed: TypedGates,
  gates: readonly string[],
): { rule: GateRule; step: number; length: number | null } | { why: string } {
  const dead = typedIn("s", typed.dead, 0, "Passages apart by");
  if (typeof dead !== "number") return dead;
  const step = typedIn("s", typed.step, 1e-9, "Step of their clock");
  if (typeof step !== "number") return step;
  const length = typed.length.trim() ? typedIn("m", typed.length, 1e-6, "Length") : null;
  if (length !== null && typeof length !== "number") return length;
  const start = typed.start || gates[0] || "";
  const stop = typed.stop || gates.find((g) => g !== start) || "";
  const measure = gateMeasure.values.find((m) => m === typed.measure)!;
  return { rule: { measure, start, stop, dead }, step, length };
}

/** The times that the gates took, the newest first, with ± at k = 2, and the mean speed where a length is known. */
export function gateRows(rule: GateRule, length: number | null, edges: readonly GateEdge[]): GateRow[] {
  return gateTimes(rule, edges)
    .map((time, i) => {
      const speed = length && gateSpeed(length, 0, time);
      const digits = Math.min(decimalsAtMost, Math.max(0, expandUncertainty(time.u).digits));
      return {
        n: i + 1,
        time: `${showUncertain(time.seconds, time.u)} s`,
        speed: speed ? `${showUncertain(speed.speed, speed.u)} m/s` : "",
        typed: time.seconds.toFixed(digits),
      };
    })
    .reverse();
}

/** Whether a reading is a time, which a watch or light gates can fill in. */
export const isTime = (unit: string): boolean => sameDimension(parseUnit(unit)?.dimension ?? {}, { T: 1 });

/** Seconds as a field of a time takes them: as they were read, with their unit where the field's is another. */
export const timeIn = (seconds: string, unit: string): string => (unit === "s" ? seconds : `${seconds} s`);
