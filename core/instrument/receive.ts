import Decimal from "decimal.js";
import { nameDimension, sameDimension } from "../quantity/dimension";
import { fromSi, toSi } from "../quantity/quantity";
import { parseUnit } from "../quantity/units";
import { readLine } from "./line";

/** A reading that is to be taken from an instrument. */
export interface Wanted {
  readonly key: string;
  /** The unit that its series is kept in. */
  readonly unit: string;
  /** The instrument's channel; left out, the first that comes in a unit of the same kind. */
  readonly channel?: string;
}

/** A sample on its way into a series: the reading, seconds since the capture began, and the value in its unit. */
export interface Received {
  readonly key: string;
  readonly t: number;
  readonly v: number;
}

/** Where a capture stands, so that it can go on after the page was loaded again. */
export interface Standing {
  /** What is added to the instrument's clock; null before its first sample. */
  readonly offset: number | null;
  /** The last time of each reading's series. */
  readonly last: Readonly<Record<string, number>>;
}

export interface Receiver {
  /** What a line brings; `wall` is the time since the capture began on this computer's clock, in seconds. */
  take(line: string, wall: number): Received[];
  standing(): Standing;
  /** What was left out: how many lines, and the last reason. */
  left(): { count: number; why: string };
  /** How often the instrument's clock began anew. */
  restarts(): number;
  /** Channels that no reading takes. */
  unused(): readonly string[];
}

/** A clock that goes back by more than this began anew; by less, two lines changed places. */
const restart = 1;

/** Values of one unit in another, as doubles. */
function converter(from: string, to: string): (value: number) => number {
  if (from === to) return (value) => value;
  const at = (x: number) => fromSi(toSi(x, from), to);
  const offset = at(0);
  const factor = at(1).minus(offset);
  return (value) => new Decimal(value).times(factor).plus(offset).toNumber();
}

/**
 * Sorts an instrument's lines into the series that a protocol asks for: each reading takes one channel, in its own
 * unit, with rising times from the capture's first sample. Where the instrument's clock begins anew, this computer's
 * clock says how much time went by.
 * @example
 * receiver([{ key: "F", unit: "N" }]).take("100,load,0.5,kN", 0)
 * // => [{ key: "F", t: 0, v: 500 }]
 */
export function receiver(wanted: readonly Wanted[], start: Standing = { offset: null, last: {} }): Receiver {
  let { offset } = start;
  const last: Record<string, number> = { ...start.last };
  let newest = Number.NEGATIVE_INFINITY;
  for (const t of Object.values(last)) newest = Math.max(newest, t);
  const bound = new Map<string, { key: string; convert: (v: number) => number }[]>();
  const unused = new Set<string>();
  let [leftOut, why, restarts] = [0, "", 0];
  const leave = (reason: string): Received[] => {
    leftOut++;
    why = reason;
    return [];
  };

  /** Which readings take a channel in a unit; found out once. */
  function takers(channel: string, unit: string) {
    const name = `${channel} ${unit}`;
    const known = bound.get(name);
    if (known) return known;
    const dimension = parseUnit(unit)?.dimension;
    const others = [...bound].flatMap(([n, list]) => (n === name ? [] : list.map((x) => x.key)));
    const mine = wanted.flatMap((w) => {
      const named = w.channel ? w.channel.toLowerCase() === channel.toLowerCase() : !others.includes(w.key);
      const fits = dimension && sameDimension(dimension, parseUnit(w.unit)?.dimension ?? {});
      return named && fits ? [{ key: w.key, convert: converter(unit, w.unit) }] : [];
    });
    bound.set(name, mine);
    return mine;
  }

  return {
    take(line, wall) {
      const read = readLine(line);
      if (read.kind === "note") return [];
      if (read.kind === "bad") return leave(read.why);
      const { t, channel, value, unit } = read.sample;
      const mine = takers(channel, unit);
      if (!mine.length) {
        const dimension = parseUnit(unit)?.dimension;
        if (!dimension) return leave(`${channel} comes in “${unit.slice(0, 20)}”, which is not a known unit`);
        const meant = wanted.find((w) => w.channel?.toLowerCase() === channel.toLowerCase());
        if (meant)
          return leave(`${channel} comes in ${unit}, ${nameDimension(dimension)}, and is taken in ${meant.unit}`);
        unused.add(channel);
        return [];
      }
      offset ??= -t;
      // Told by the channel's own times: an instrument may send one channel's second after another's.
      const back = t + offset + restart;
      if (mine.every(({ key }) => back < (last[key] ?? Number.NEGATIVE_INFINITY))) {
        offset = Math.max(wall, newest) - t + 1e-3;
        restarts++;
      }
      const at = Number((t + offset).toFixed(9));
      const out = mine.flatMap(({ key, convert }) =>
        at > (last[key] ?? Number.NEGATIVE_INFINITY) ? [{ key, t: at, v: convert(value) }] : [],
      );
      if (!out.length) return leave(`${channel}: ${t} s does not come after the sample before it`);
      for (const s of out) last[s.key] = at;
      newest = Math.max(newest, at);
      return out;
    },
    standing: () => ({ offset, last: { ...last } }),
    left: () => ({ count: leftOut, why }),
    restarts: () => restarts,
    unused: () => [...unused],
  };
}
