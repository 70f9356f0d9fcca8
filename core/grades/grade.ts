import Decimal from "decimal.js";
import type { Rounding } from "../vocabulary/grades";
import { equation, joined } from "../working/equation";
import { type Computed, makeWorking, type Working } from "../working/working";
import { afterLate } from "./late";
import { capped } from "./peers";
import {
  type Component,
  type ComponentState,
  type Group,
  isGroup,
  type Override,
  type SchemeDefinition,
  type SchemeNode,
} from "./scheme";

/** A part of the scheme as it came out for one student. */
export interface GradedPart {
  readonly key: string;
  readonly name: string;
  readonly weight: string;
  /** How deep in groups it lies; 0 at the top. */
  readonly depth: number;
  readonly group: boolean;
  readonly state: ComponentState["state"];
  readonly note: string;
  /** Percent of this part; null where it does not count. */
  readonly percent: string | null;
  /** The same as a share, not rounded. */
  readonly share: string | null;
  /** Computed percent that an override stands beside. */
  readonly overridden: string | null;
  /** It is one of the lowest of its group and is left out. */
  readonly dropped: boolean;
  readonly working: Working;
}

export interface Grade {
  /** Rounded percent; null while nothing counts. */
  readonly grade: string | null;
  /** Before rounding, to ten decimals. */
  readonly exact: string | null;
  readonly letter: string | null;
  /** The components, without groups. */
  readonly components: readonly GradedPart[];
  /** Groups and components, each group before its parts. */
  readonly parts: readonly GradedPart[];
}

/** A student's peer factor before caps, and how it came about. */
export interface Peer {
  readonly factor: string | null;
  readonly working: Working;
}

const modes: Readonly<Record<Rounding, Decimal.Rounding>> = {
  "half up": Decimal.ROUND_HALF_UP,
  "half even": Decimal.ROUND_HALF_EVEN,
  down: Decimal.ROUND_DOWN,
  up: Decimal.ROUND_UP,
};
const roundingWords: Readonly<Record<Rounding, string>> = {
  "half up": "rounded half up",
  "half even": "rounded, halves to the even neighbour,",
  down: "rounded down",
  up: "rounded up",
};

const half = (d: Decimal, digits: number) => d.toDecimalPlaces(digits, Decimal.ROUND_HALF_UP);
/** A third is kept to some digits: what that leaves over must not turn an exact half into a little less. */
const tidy = (d: Decimal) => half(d, 10);
/** A number in a line of arithmetic, to four decimals. */
const exactly = (d: Decimal) => half(tidy(d), 4).toFixed();
const percentOf = (d: Decimal) => half(d.times(100), 2).toString();

/**
 * A percent rounded at its end by a scheme's rule.
 * @example roundGrade("62.5", { decimals: 0 }) // => "63"
 * @example roundGrade("62.5", { decimals: 0, rounding: "half even" }) // => "62"
 */
export const roundGrade = (percent: string, s: Pick<SchemeDefinition, "decimals" | "rounding">): string =>
  tidy(new Decimal(percent))
    .toDecimalPlaces(s.decimals, modes[s.rounding ?? "half up"])
    .toString();

/**
 * The letter for a rounded percent; null where the scheme has none, or none reaches so far down.
 * @example letterOf("89.9", [{ letter: "A", from: "90" }, { letter: "B", from: "80" }]) // => "B"
 */
export const letterOf = (percent: string, letters: SchemeDefinition["letters"] = []): string | null =>
  letters.find((l) => Number(percent) >= Number(l.from))?.letter ?? null;

interface Context {
  readonly scheme: SchemeDefinition;
  readonly states: ReadonlyMap<string, ComponentState>;
  readonly overrides: ReadonlyMap<string, Override>;
  readonly peer: Peer | null;
  readonly explained: boolean;
}

interface Valued {
  readonly name: string;
  readonly weight: string;
  readonly share: Decimal | null;
  /** The part itself first, then what lies in it. */
  readonly parts: readonly GradedPart[];
}

const stateRule: Readonly<Record<Exclude<ComponentState["state"], "scored">, string>> = {
  "not due": "Nothing is due yet: it does not count.",
  excused: "Excused: it does not count.",
  missing: "Missing after its deadline: it counts zero.",
};

/** A share times the student's capped factor, with the line that says so; as it is where there is no factor. */
function timesFactor(
  share: Decimal,
  { scheme, peer }: Context,
): { share: Decimal; steps: string[]; warnings: string[] } {
  if (!peer?.factor || !scheme.peers)
    return { share, steps: [], warnings: [peer?.working.warnings[0] ?? "There is no peer rating yet: factor 1."] };
  const factor = capped(peer.factor, scheme.peers);
  const after = share.times(factor);
  const is = new Decimal(factor);
  const caps = is.eq(peer.factor) ? "" : ` (${half(new Decimal(peer.factor), 3)} capped to ${half(is, 3)})`;
  const line = equation([{ of: share.times(100) }, " × ", { of: is, digits: 3 }], percentOf(after), "%");
  return { share: after, steps: [...peer.working.steps, `times the peer factor${caps}: ${line}`], warnings: [] };
}

function valueComponent(c: Component, depth: number, context: Context): Valued {
  const { states, overrides, explained } = context;
  const state: ComponentState = states.get(c.key) ?? { state: "not due", note: "nothing is due yet" };
  const override = overrides.get(c.key);
  const steps: string[] = [];
  const warnings: string[] = [];
  let computed =
    state.state === "scored" ? new Decimal(state.share) : state.state === "missing" ? new Decimal(0) : null;
  if (state.state === "scored" && state.late && c.late) {
    const after = afterLate(state.share, state.late, c.late);
    computed = new Decimal(after.share);
    steps.push(after.step);
  }
  if (computed && c.peer) {
    const times = timesFactor(computed, context);
    computed = times.share;
    steps.push(...times.steps);
    warnings.push(...times.warnings);
  }
  const share = override ? new Decimal(override.share) : computed;
  const result = share ? percentOf(share) : state.state;
  const told = computed ? `${percentOf(computed)} %` : state.state;
  const base =
    state.state === "scored"
      ? state.working
      : makeWorking({ title: c.name, result, rule: stateRule[state.state], warnings: [state.note] });
  const set = override && `Set by ${override.by} to ${percentOf(share!)} %: ${override.reason}. Computed: ${told}.`;
  const working =
    explained && (override || steps.length || warnings.length)
      ? makeWorking({
          ...base,
          title: c.name,
          result,
          unit: share ? "%" : undefined,
          steps: [...base.steps, ...steps],
          warnings: [...base.warnings, ...warnings, ...(set ? [set] : [])],
        })
      : base;
  return {
    name: c.name,
    weight: c.weight,
    share,
    parts: [
      {
        key: c.key,
        name: c.name,
        weight: c.weight,
        depth,
        group: false,
        state: override ? "scored" : state.state,
        note: state.state === "scored" ? "" : state.note,
        percent: share && percentOf(share),
        share: share && share.toString(),
        overridden: override ? (computed ? percentOf(computed) : state.state) : null,
        dropped: false,
        working,
      },
    ],
  };
}

/** The lowest of those that count, so many: of equal ones the first; one always stays. */
function lowest(counting: readonly Valued[], drop: number): ReadonlySet<Valued> {
  const sorted = [...counting].sort((a, b) => a.share!.comparedTo(b.share!));
  return new Set(sorted.slice(0, Math.max(0, Math.min(drop, counting.length - 1))));
}

interface Weighed {
  readonly share: Decimal | null;
  readonly steps: string[];
  readonly warnings: string[];
  readonly counting: readonly Valued[];
  readonly dropped: ReadonlySet<Valued>;
}

/** The mean of what counts, by weight: what is not due or excused is left out with its weight. */
function weigh(parts: readonly Valued[], drop: number, explained: boolean): Weighed {
  const known = parts.filter((p) => p.share !== null);
  const dropped = lowest(known, drop);
  const counting = known.filter((p) => !dropped.has(p));
  const warnings = [
    ...parts
      .filter((p) => p.share === null)
      .map((p) => `${p.name} is ${p.parts[0]!.group ? "empty" : p.parts[0]!.state} and does not count.`),
    ...[...dropped].map((p) => `${p.name} is among the lowest and is left out.`),
  ];
  if (!counting.length) return { share: null, steps: [], warnings, counting, dropped };
  const weight = counting.reduce((s, p) => s.plus(p.weight), new Decimal(0));
  const earned = (p: Valued) => p.share!.times(p.weight);
  const share = counting.reduce((s, p) => s.plus(earned(p)), new Decimal(0)).div(weight);
  if (!explained) return { share, steps: [], warnings, counting, dropped };
  const steps = counting.map(
    (p) => `${p.name}: ${equation([p.weight, " × ", { of: p.share!.times(100) }, " %"], exactly(earned(p)))}`,
  );
  const sum = equation(
    ["(", ...joined(counting.map(earned), " + "), `) ÷ ${weight} × 100`],
    exactly(share.times(100)),
    "%",
  );
  return { share, steps: [...steps, `sum: ${sum}`], warnings, counting, dropped };
}

/** The parts of something that was left out, marked as such. */
const leftOut = (p: Valued): GradedPart[] => p.parts.map((x) => ({ ...x, dropped: true }));

function valueGroup(g: Group, depth: number, context: Context): Valued {
  const inner = g.parts.map((p) => valuePart(p, depth + 1, context));
  const { share: mean, steps, warnings, dropped } = weigh(inner, g.drop ?? 0, context.explained);
  const times = mean && g.peer ? timesFactor(mean, context) : null;
  const share = times?.share ?? mean;
  const drops = g.drop ? `, without the ${g.drop === 1 ? "lowest" : `${g.drop} lowest`}` : "";
  return {
    name: g.name,
    weight: g.weight,
    share,
    parts: [
      {
        key: g.key,
        name: g.name,
        weight: g.weight,
        depth,
        group: true,
        state: share ? "scored" : "not due",
        note: share ? "" : "nothing in it counts yet",
        percent: share && percentOf(share),
        share: share && share.toString(),
        overridden: null,
        dropped: false,
        working: makeWorking({
          title: g.name,
          result: share ? percentOf(share) : "–",
          unit: share ? "%" : undefined,
          rule: `Each part's percent times its weight, over the weights that count${drops}.`,
          steps: [...steps, ...(times?.steps ?? [])],
          warnings: [...warnings, ...(times?.warnings ?? [])],
        }),
      },
      ...inner.flatMap((p) => (dropped.has(p) ? leftOut(p) : p.parts)),
    ],
  };
}

const valuePart = (p: SchemeNode, depth: number, context: Context): Valued =>
  isGroup(p) ? valueGroup(p, depth, context) : valueComponent(p, depth, context);

/**
 * A student's grade: Σ weight × share over the weights that count, group by group, in percent, rounded once at the end.
 * Not due and excused components are left out with their weight; missing ones count zero; late rules come before an
 * override, the peer factor after the late rule, and lowest parts of a group are left out where it says so.
 * @param peer the student's factor before caps; null where nobody rated
 * @param explained without it, the grade comes without the arithmetic that leads to it: a whole class is shown at once,
 *   and each working is made when it is opened
 * @example
 * gradeOf(
 *   { decimals: 1, components: [{ key: "a", name: "Notebook", weight: "100", source: { kind: "entered" } }] },
 *   new Map([["a", { state: "missing", note: "deadline 2 March" }]]),
 *   new Map(),
 * ).value.grade
 * // => "0"
 */
export function gradeOf(
  scheme: SchemeDefinition,
  states: ReadonlyMap<string, ComponentState>,
  overrides: ReadonlyMap<string, Override>,
  { peer = null, explained = true }: { peer?: Peer | null; explained?: boolean } = {},
): Computed<Grade> {
  const top = scheme.components.map((p) => valuePart(p, 0, { scheme, states, overrides, peer, explained }));
  const parts = top.flatMap((p) => p.parts);
  const components = parts.filter((p) => !p.group);
  const { share, steps, warnings, counting } = weigh(top, 0, explained);
  const decimals = `${scheme.decimals} decimal${scheme.decimals === 1 ? "" : "s"}`;
  const rule =
    `Each component's percent times its weight, over the weights that count; ` +
    `${roundingWords[scheme.rounding ?? "half up"]} to ${decimals} at the end.`;
  if (!share)
    return {
      value: { grade: null, exact: null, letter: null, components, parts },
      working: makeWorking({ title: "Grade", result: "–", rule, warnings }),
    };
  const full = tidy(share.times(100));
  const exact = scheme.most === undefined ? full : Decimal.min(full, scheme.most);
  const grade = roundGrade(exact.toString(), scheme);
  const letter = letterOf(grade, scheme.letters);
  const value: Grade = { grade, exact: exact.toString(), letter, components, parts };
  if (!explained) return { value, working: makeWorking({ title: "Grade", result: grade, rule }) };
  const end = steps.at(-1)!;
  const most = exact.lt(full) ? `, at most ${scheme.most} %` : "";
  return {
    value,
    working: makeWorking({
      title: "Grade",
      result: grade,
      unit: "%",
      rule,
      warnings,
      steps: [
        ...steps.slice(0, -1),
        `${end}${most}, rounded ${grade} %`,
        ...(letter ? [`${grade} % is ${letter}`] : []),
      ],
      inputs: counting.map((p) => ({
        label: p.name,
        value: percentOf(p.share!),
        unit: "%",
        note: `weight ${p.weight}${p.parts[0]!.overridden !== null ? ", set by hand" : ""}`,
      })),
    }),
  };
}
