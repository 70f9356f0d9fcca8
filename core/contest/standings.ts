import Decimal from "decimal.js";
import { drawOrder } from "../draw/draw";
import { type Attempt, type AttemptsPolicy, countAttempts } from "../points/attempts";
import { applyRule, type PointsRule } from "../points/rule";
import { decimalsFor, formatNumber } from "../quantity/quantity";
import { atResolution, rank } from "../ranking/rank";
import { levelName } from "../run/reading";
import { type CareMethod, type PlaceNumbering, type TieBreakKind, tieBreak } from "../vocabulary/contest";
import type { Better } from "../vocabulary/runs";
import { runState } from "../vocabulary/runs";
import { type Computed, makeWorking } from "../working/working";
import { type Charge, netValue, type PenaltyRule } from "./attempt";

/** Rules of an attempts event. Numbers are in the measure's unit. */
export interface EventDefinition {
  readonly channel: string;
  readonly unit: string;
  readonly better: Better;
  readonly policy: AttemptsPolicy;
  readonly ranking: PlaceNumbering;
  /** Instrument's resolution; null when recorded digits order (a school). */
  readonly resolution: string | null;
  readonly tieBreaks: readonly TieBreakKind[];
  readonly points: PointsRule | null;
  readonly seed: string;
  /** The names that the values stand for, by position, where a level is read. */
  readonly levels?: readonly string[];
  /** Exactly this much is best: what is ranked is the distance from it, and less is better. */
  readonly target?: string;
  readonly penalties?: readonly PenaltyRule[];
  /** Two people read each measured number, and this is taken. */
  readonly care?: CareMethod;
}

/** An attempt as it was scored. Its value is the measured one, of a foul where it left the course. */
export interface Tried extends Attempt {
  readonly charges?: readonly Charge[];
}

export interface EntryRecord {
  readonly id: string;
  readonly name: string;
  readonly attempts: readonly Tried[];
  /** SI mass of the build that entered. */
  readonly mass: string | null;
  /** When it passed inspection. */
  readonly inspectedAt: string | null;
  /** As which of those it was tied with it ended the run-off; null before it. */
  readonly runOff?: number | null;
  /** Left the contest, was turned away at inspection. */
  readonly out: boolean;
}

export interface Standing {
  readonly id: string;
  readonly name: string;
  readonly place: number | null;
  /** The first of the places that it fills with those it is tied with, and how many they are. */
  readonly first: number | null;
  readonly sharing: number;
  readonly shared: boolean;
  readonly counted: string | null;
  /** Counted value at the instrument's resolution, as shown. */
  readonly shown: string;
  readonly points: string | null;
  readonly decidedBy: string | null;
  readonly attempts: readonly { text: string; counts: boolean }[];
  readonly working: Computed<string | null>["working"];
}

/** A standing for where no working is opened. */
export type Placed = Omit<Standing, "working">;

/**
 * The standings of an attempts event: attempts to a counted value by school, values to places with resolution ties and
 * the tie-break chain, places or values to points.
 * @example
 * standings(
 *   {
 *     channel: "flow",
 *     unit: "L/min",
 *     better: "more",
 *     policy: { school: "best", n: 3, foul: "out" },
 *     ranking: "competition",
 *     resolution: "0.1",
 *     tieBreaks: ["second"],
 *     points: null,
 *     seed: "1",
 *   },
 *   [
 *     {
 *       id: "a",
 *       name: "Alder",
 *       attempts: [{ value: "8.9", state: "valid" }],
 *       mass: null,
 *       inspectedAt: null,
 *       out: false,
 *     },
 *   ],
 * )[0]?.place
 * // => 1
 */
export function standings(event: EventDefinition, entries: readonly EntryRecord[]): Standing[] {
  const digits = event.resolution === null ? undefined : decimalsFor(event.resolution);
  const show = (v: string) => (event.levels ? levelName(event.levels, Number(v)) : formatNumber(v, digits ?? 2));
  const unit = event.levels ? "" : event.unit;
  const lots = new Map(
    drawOrder(
      [...entries].sort((a, b) => (a.id < b.id ? -1 : 1)),
      event.seed,
    ).map((e, i) => [e.id, i + 1]),
  );
  // What is ranked of each attempt: what it was charged and how far it was from the target are in it.
  const net = new Map(
    entries.map((e) => [
      e.id,
      e.attempts.map((a) => {
        const n = a.value === null ? null : netValue(event, a.value, a.charges ?? []);
        return { measured: a.value, state: a.state, value: n?.value ?? null, step: n?.step ?? "" };
      }),
    ]),
  );
  const counted = new Map(
    entries.map((e) => [e.id, countAttempts(e.out ? [] : net.get(e.id)!, event.policy, event.better)]),
  );
  const breakValue = (e: EntryRecord, kind: TieBreakKind): string | null => {
    if (kind === "second") {
      // Attempts beyond n never count, and what the instrument cannot tell apart breaks no tie.
      const valid = net
        .get(e.id)!
        .filter((a) => a.state !== "void")
        .slice(0, event.policy.n)
        .flatMap((a) => (a.state === "valid" && a.value !== null ? [atResolution(a.value, event.resolution)] : []));
      return valid.sort((a, b) => (event.better === "more" ? b.cmp(a) : a.cmp(b)))[1]?.toString() ?? null;
    }
    if (kind === "lighter") return e.mass;
    if (kind === "earlier") return e.inspectedAt === null ? null : String(Date.parse(e.inspectedAt));
    if (kind === "runoff") return e.runOff ? String(e.runOff) : null;
    return String(lots.get(e.id));
  };
  const ranked = rank(
    entries.map((e) => ({
      id: e.id,
      value: counted.get(e.id)!.value,
      breaks: event.tieBreaks.map((k) => breakValue(e, k)),
    })),
    {
      better: event.better,
      school: event.ranking,
      resolution: event.resolution,
      tieBreaks: event.tieBreaks.map((k) => ({
        label: tieBreak.labels[k],
        better: k === "second" ? event.better : "less",
      })),
    },
  );
  const bestValue = [...counted.values()]
    .flatMap((c) => (c.value === null ? [] : [c.value]))
    .sort((a, b) => (event.better === "more" ? new Decimal(b).cmp(a) : new Decimal(a).cmp(b)))[0];
  return ranked.map((r) => {
    const entry = entries.find((e) => e.id === r.id)!;
    const c = counted.get(r.id)!;
    const points =
      event.points && c.value !== null
        ? applyRule(event.points, pointsValue(event, c.value, net.get(r.id)!), event.unit, {
            best: bestValue,
            place: r.first ?? undefined,
            sharing: r.sharing,
          })
        : null;
    let marked = false;
    const tries = net.get(r.id)!;
    const where = event.policy.foul === "where";
    const attempts = tries.map((a) => {
      const read = a.value === null ? "–" : a.step === "" ? show(a.value) : netText(event, a, show);
      const text =
        a.state === "valid" ? read : `${runState.labels[a.state]}${where && a.value !== null ? ` at ${read}` : ""}`;
      const valued = a.state === "valid" || (where && a.state !== "void");
      const counts = !marked && valued && a.value !== null && a.value === c.value;
      marked ||= counts;
      return { text, counts };
    });
    const tied = ranked
      .filter((o) => o.place === r.place && o.id !== r.id)
      .map((o) => entries.find((e) => e.id === o.id)!.name);
    return {
      id: r.id,
      name: entry.name,
      place: r.place,
      first: r.first,
      sharing: r.sharing,
      shared: r.shared,
      counted: c.value,
      shown: c.value === null ? "–" : show(c.value),
      points: points?.value ?? null,
      decidedBy: r.decidedBy,
      attempts,
      working: makeWorking({
        title: `${entry.name}: place ${r.place ?? "–"}`,
        result: c.value === null ? "–" : show(c.value),
        unit,
        rule:
          (event.levels
            ? `The ${event.better === "more" ? "later" : "earlier"} of ${event.levels.join(", ")} is better; ` +
              "equal levels are tied"
            : `${
                event.target === undefined
                  ? `${event.better === "more" ? "More" : "Less"} is better; `
                  : `What is closest to ${event.target} ${event.unit} is best; `
              }` +
              (event.resolution === null
                ? "the recorded digits decide"
                : `values that agree at ${event.resolution} ${event.unit} are tied`)) +
          `${event.tieBreaks.map((k) => `, then ${tieBreak.labels[k]}`).join("")}.`,
        steps: [
          event.levels && c.value !== null
            ? `${event.policy.school} of ${c.values.map(show).join(", ")} = ${show(c.value)}`
            : c.step,
          ...tries.flatMap((a, i) => (a.step ? [`attempt ${i + 1}: ${a.step}`] : [])),
          ...(points ? points.working.steps.map((s) => `points: ${s}`) : []),
          ...(r.decidedBy ? [`a tie was decided by: ${r.decidedBy}`] : []),
        ],
        inputs: entry.attempts.map((a, i) => ({
          label: `attempt ${i + 1}`,
          value: a.state === "valid" ? (a.value ?? "–") : a.state.replace("_", " "),
          unit: event.unit,
        })),
        warnings: tied.length && r.place !== null ? [`Shares its place with ${tied.join(", ")}.`] : [],
        basis: points ? [points.working.rule] : [],
      }),
    };
  });
}

/** An attempt whose ranked value is not the measured one, as it stands in a table. */
function netText(
  event: EventDefinition,
  a: { readonly measured: string | null; readonly value: string | null },
  show: (v: string) => string,
): string {
  const measured = new Decimal(a.measured!);
  if (event.target === undefined) return `${show(a.value!)} (${show(a.measured!)} measured)`;
  const off = measured.minus(event.target);
  const charged = !off.abs().eq(a.value!);
  const side = off.isZero() ? "exact" : `${off.isPositive() ? "+" : "−"}${show(off.abs().toString())}`;
  return `${show(a.measured!)} (${charged ? `${show(a.value!)} with penalties` : side})`;
}

/**
 * What a points rule is applied to. A target's own rule charges more beyond the target, so of a distance it takes the
 * side on which the attempt was that counts; a mean of distances has no side.
 */
function pointsValue(
  event: EventDefinition,
  counted: string,
  tries: readonly { readonly measured: string | null; readonly value: string | null }[],
): string {
  if (event.target === undefined || event.points?.kind !== "target") return counted;
  const one = tries.find((a) => a.value === counted);
  const above = one !== undefined && new Decimal(one.measured!).gt(event.target);
  return new Decimal(event.points.target).plus(above ? counted : new Decimal(counted).neg()).toString();
}
