import type { GateMeasure } from "../vocabulary/instruments";
import type { LineSample } from "./line";

/** A light gate's change: its beam is broken or free again, in seconds, by at most so much earlier or later. */
export interface GateEdge {
  readonly gate: string;
  readonly broken: boolean;
  readonly t: number;
  readonly within: number;
  /** How often the instrument's clock had begun anew. */
  readonly clock: number;
}

/** What is timed: which gate starts it and which stops it, and what of a passage is no passage of its own. */
export interface GateRule {
  readonly measure: GateMeasure;
  readonly start: string;
  /** The second gate; the others take `start` alone. */
  readonly stop: string;
  /** A break so soon after the one before, in seconds, is the same passage: a wheel behind a nose, a waving string. */
  readonly dead: number;
}

/** One time that the gates took, in seconds, with its standard uncertainty. */
export interface GateTime {
  readonly seconds: number;
  readonly u: number;
  /** The instrument's clock when it ended. */
  readonly at: number;
}

/** A clock that goes back by more than this began anew. */
const restart = 1;
/** Free and broken, in between the gate has said nothing. */
const half = 0.5;

/**
 * Finds where light gates change. A gate that sends every sample changed somewhere between two of them: in the middle,
 * by at most half their distance; lost samples make that wider. A gate that sends its changes only (each sample differs
 * from the one before) changed when it says so, by at most half a step of its clock. How the beam stood at the first
 * sample is no change. A clock that goes back by more than a second began anew.
 * @param step the step of the instrument's clock in seconds, for gates that send changes only
 * @returns what a sample brings: a change, or null
 * @example
 * [[0, 0], [0.5, 0], [0.51, 1]].map(
 *   ((edge) => ([t, value]) => edge({ t, channel: "gate", value, unit: "1" }))(gateEdges(0.001)),
 * )[2]
 * // => { gate: "gate", broken: true, clock: 0, t: 0.505, within: 0.005 }
 */
export function gateEdges(step: number): (sample: LineSample) => GateEdge | null {
  const last = new Map<string, { t: number; broken: boolean; sampled: boolean }>();
  let restarts = 0;
  return ({ t, channel: gate, value }) => {
    const before = last.get(gate);
    const broken = value > half;
    if (before && t <= before.t) {
      if (before.t - t <= restart) return null;
      last.clear();
      restarts++;
    }
    const sampled = !!before && (before.sampled || broken === before.broken);
    last.set(gate, { t, broken, sampled });
    if (!before || t <= before.t || broken === before.broken) return null;
    const change = { gate, broken, clock: restarts };
    if (!sampled) return { ...change, t, within: step / 2 };
    const middle = Number(((before.t + t) / 2).toFixed(9));
    return { ...change, t: middle, within: Number(((t - before.t) / 2).toFixed(9)) };
  };
}

/** One passage: when the beam was broken first, and when it was free at last. */
interface Passage {
  readonly broke: GateEdge;
  readonly free: GateEdge | null;
}

/** Seconds from one change to another, to the nanosecond. */
const apart = (from: GateEdge, to: GateEdge): number => Number((to.t - from.t).toFixed(9));

/** The passages through one gate. */
function passages(edges: readonly GateEdge[], gate: string, dead: number): Passage[] {
  const out: Passage[] = [];
  for (const e of edges) {
    if (e.gate !== gate) continue;
    const open = out.at(-1);
    const same = open?.broke.clock === e.clock;
    if (!e.broken) {
      if (same) out[out.length - 1] = { ...open!, free: e };
    } else if (!same || apart(open!.broke, e) >= dead) out.push({ broke: e, free: null });
  }
  return out;
}

/** From one change to another: each lies anywhere within its bounds with the same chance (rectangular distribution). */
function between(from: GateEdge, to: GateEdge): GateTime[] {
  const seconds = apart(from, to);
  return seconds > 0 && from.clock === to.clock
    ? [{ seconds, u: Math.hypot(from.within, to.within) / Math.sqrt(3), at: to.t }]
    : [];
}

/**
 * The times that gates took, in their order. `between`: from breaking the first gate to breaking the second, each start
 * used once, and a second start before the stop takes the place of the first; `blocked`: while the beam was broken;
 * `laps`: from one break of the gate to its next.
 *
 * The uncertainty is that of two rectangular distributions, u = √((a² + b²) ÷ 3) with half-widths a and b (JCGM
 * 100:2008, 4.3.7); what the gates' clock is off is not in it.
 * @example
 * gateTimes({ measure: "between", start: "a", stop: "b", dead: 0 }, [
 *   { gate: "a", broken: true, clock: 0, t: 1, within: 0.003 },
 *   { gate: "b", broken: true, clock: 0, t: 3.5, within: 0.004 }])
 * // => [{ seconds: 2.5, u: 0.005 / Math.sqrt(3), at: 3.5 }]
 */
export function gateTimes({ measure, start, stop, dead }: GateRule, edges: readonly GateEdge[]): GateTime[] {
  const first = passages(edges, start, dead);
  if (measure === "blocked") return first.flatMap(({ broke, free }) => (free ? between(broke, free) : []));
  if (measure === "laps") return first.flatMap((p, i) => (i ? between(first[i - 1]!.broke, p.broke) : []));
  const ends = passages(edges, stop, dead);
  return ends.flatMap(({ broke }, i) => {
    const before = (a: GateEdge, b: GateEdge) => a.clock === b.clock && a.t <= b.t;
    const from = first.findLast((p) => before(p.broke, broke));
    const used = i > 0 && from && before(from.broke, ends[i - 1]!.broke);
    return from && !used ? between(from.broke, broke) : [];
  });
}

/**
 * The mean speed over a length, in m/s, with its standard uncertainty: v = s ÷ t, (u(v) ÷ v)² = (u(s) ÷ s)² +
 * (u(t) ÷ t)² (JCGM 100:2008, 5.1.6).
 * @param length the flag's, or the distance of the gates, in metres, above zero
 * @param within by how much the length may be off either way, in metres
 * @example gateSpeed(2, 0, { seconds: 0.5, u: 0.01, at: 1 }) // => { speed: 4, u: 0.08 }
 */
export function gateSpeed(length: number, within: number, time: GateTime): { speed: number; u: number } {
  const speed = length / time.seconds;
  return { speed, u: speed * Math.hypot(within / Math.sqrt(3) / length, time.u / time.seconds) };
}
