import { type FaultState, faultState } from "../vocabulary/builds";
import { sameBy } from "./features";

/** Something that failed on a build, and the later build that answers it. */
export interface Fault {
  readonly id: string;
  readonly mode: string;
  /** Empty where nobody named one; then it is known by its mode. */
  readonly cause: string;
  readonly team: string;
  readonly edition: string;
  /** Number of its build. */
  readonly build: number;
  /** Number of the build that answers it; null where none does. */
  readonly answeredBy: number | null;
  /** Whether the build that answers it, or a later one of the team, was run. */
  readonly ranSince: boolean;
}

/** A cause over the years, with what was done about it. */
export interface CureLine<F extends Fault = Fault> {
  readonly cause: string;
  readonly times: number;
  readonly builds: number;
  readonly editions: number;
  readonly held: number;
  readonly cameBack: number;
  /** Cured ones first, then what came back, what was not tried, and what is open. */
  readonly faults: readonly { readonly fault: F; readonly held: FaultState }[];
}

const causeOf = (f: Fault) => f.cause.trim() || f.mode.trim();
const keyOf = (f: Fault) => sameBy(causeOf(f));
const { values: order } = faultState;

/**
 * Causes of failures over the years, those seen most often first, each with what its team did and whether it stayed
 * away: it came back where the team recorded the same cause on the build that answers it or a later one; it held where
 * it did not and such a build was run.
 * @example
 * cureLines([
 *   { id: "a", mode: "jams", cause: "friction", team: "T", edition: "E", build: 1, answeredBy: 2, ranSince: true },
 *   { id: "b", mode: "drags", cause: "friction", team: "U", edition: "E", build: 1, answeredBy: 2, ranSince: true },
 *   { id: "c", mode: "drags", cause: "friction", team: "U", edition: "E", build: 3, answeredBy: null, ranSince: true },
 * ]).map((l) => `${l.cause}: ${l.times} times, ${l.held} held, ${l.cameBack} came back`)
 * // => ["friction: 3 times, 1 held, 1 came back"]
 */
export function cureLines<F extends Fault>(faults: readonly F[]): CureLine<F>[] {
  const groups = new Map<string, F[]>();
  for (const f of faults) groups.set(keyOf(f), [...(groups.get(keyOf(f)) ?? []), f]);
  const placed = (f: Fault) => `${f.edition} ${f.team}`;
  return [...groups.values()]
    .map((mine): CureLine<F> => {
      const heldOf = (f: F): FaultState => {
        const by = f.answeredBy;
        if (by === null) return "open";
        if (mine.some((x) => placed(x) === placed(f) && x.build >= by)) return "came back";
        return f.ranSince ? "held" : "untested";
      };
      const told = mine.map((fault) => ({ fault, held: heldOf(fault) }));
      return {
        cause: causeOf(mine[0]!),
        times: mine.length,
        builds: new Set(mine.map((f) => `${placed(f)} ${f.build}`)).size,
        editions: new Set(mine.map((f) => f.edition)).size,
        held: told.filter((t) => t.held === "held").length,
        cameBack: told.filter((t) => t.held === "came back").length,
        faults: told.sort((a, b) => order.indexOf(a.held) - order.indexOf(b.held)),
      };
    })
    .sort((a, b) => b.times - a.times || a.cause.localeCompare(b.cause));
}
