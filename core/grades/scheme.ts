import Decimal from "decimal.js";
import type { PointsRule } from "../points/rule";
import { equation, joined } from "../working/equation";
import { type Computed, makeWorking, type Working } from "../working/working";
import { checkScale, type MarkScale } from "./mark";

/** Where a component's score comes from. */
export type ComponentSource =
  | { kind: "rubric" /** review title */; review: string }
  | {
      kind: "points";
      rule: PointsRule /** points that count as full marks */;
      full: string /** channel of a protocol, or an event's counted value */;
      measure: { protocol: string; channel: string } | { event: string };
    }
  | { kind: "milestone"; milestone: string }
  | { kind: "entered" /** percent where it is not said */; scale?: MarkScale };

export interface Component {
  readonly key: string;
  readonly name: string;
  /** Percent of the whole; the weights of a scheme make 100. */
  readonly weight: string;
  readonly source: ComponentSource;
}

export interface SchemeDefinition {
  readonly components: readonly Component[];
  /** Decimals of the published grade, rounded half up, once. */
  readonly decimals: number;
}

/** What is known of one component for one student. */
export type ComponentState =
  | { state: "scored" /** 0 to 1 */; share: string; working: Working }
  | { state: "not due" | "excused" | "missing"; note: string };

export interface Override {
  /** 0 to 1 */
  readonly share: string;
  readonly reason: string;
  readonly by: string;
}

export interface GradedComponent {
  readonly key: string;
  readonly name: string;
  readonly weight: string;
  readonly state: ComponentState["state"];
  readonly note: string;
  /** Percent of this component; null where it does not count. */
  readonly percent: string | null;
  /** Computed percent that an override stands beside. */
  readonly overridden: string | null;
  readonly working: Working;
}

export interface Grade {
  /** Rounded percent; null while nothing counts. */
  readonly grade: string | null;
  readonly components: readonly GradedComponent[];
}

/**
 * The scale on which a component's marks are typed: its own, or percent.
 * @example scaleOf({ key: "a", name: "Review", weight: "60", source: { kind: "entered" } }) // => { kind: "percent" }
 */
export function scaleOf(c: Component): MarkScale {
  return (c.source.kind === "entered" && c.source.scale) || { kind: "percent" };
}

/**
 * What is wrong with a scheme, in words; empty when it can be used.
 * @example
 * checkScheme({
 *   decimals: 1,
 *   components: [{ key: "a", name: "Review", weight: "60", source: { kind: "entered" } }],
 * })
 * // => ["The weights make 60, not 100."]
 */
export function checkScheme(s: SchemeDefinition): string[] {
  if (s.components.length === 0) return ["A scheme has at least one component."];
  const bad = s.components.filter((c) => !/^\d+(\.\d+)?$/.test(c.weight) || Number(c.weight) <= 0);
  if (bad.length) return bad.map((c) => `${c.name}: the weight must be a number above zero.`);
  const scales = s.components.flatMap((c) =>
    c.source.kind === "entered" && c.source.scale ? checkScale(c.source.scale).map((w) => `${c.name}: ${w}`) : [],
  );
  if (scales.length) return scales;
  const sum = s.components.reduce((t, c) => t.plus(c.weight), new Decimal(0));
  return sum.eq(100) ? [] : [`The weights make ${sum}, not 100.`];
}

/**
 * A student's grade: Σ weight × share over the weights that count, in percent, rounded half up once at the end.
 * Not due and excused components are left out with their weight; missing ones count zero.
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
  explained = true,
): Computed<Grade> {
  const components = scheme.components.map((c): GradedComponent & { share: Decimal | null } => {
    const state: ComponentState = states.get(c.key) ?? { state: "not due", note: "nothing is due yet" };
    const override = overrides.get(c.key);
    const computed =
      state.state === "scored" ? new Decimal(state.share) : state.state === "missing" ? new Decimal(0) : null;
    const share = override ? new Decimal(override.share) : computed;
    const percent = (d: Decimal) => d.times(100).toDecimalPlaces(2).toString();
    const base =
      state.state === "scored"
        ? state.working
        : makeWorking({
            title: c.name,
            result: state.state,
            rule: {
              "not due": "Nothing is due yet: it does not count.",
              excused: "Excused: it does not count.",
              missing: "Missing after its deadline: it counts zero.",
            }[state.state],
            warnings: [state.note],
          });
    const working = override
      ? makeWorking({
          ...base,
          title: c.name,
          result: percent(share!),
          unit: "%",
          warnings: [
            ...base.warnings,
            `Set by ${override.by} to ${percent(share!)} %: ${override.reason}. Computed: ` +
              `${computed ? `${percent(computed)} %` : state.state}.`,
          ],
        })
      : base;
    return {
      key: c.key,
      name: c.name,
      weight: c.weight,
      state: override ? "scored" : state.state,
      note: state.state === "scored" ? "" : state.note,
      percent: share ? percent(share) : null,
      overridden: override ? (computed ? percent(computed) : state.state) : null,
      working,
      share,
    };
  });
  const counting = components.filter((c) => c.share !== null);
  const weight = counting.reduce((s, c) => s.plus(c.weight), new Decimal(0));
  const out = components.map(({ share: _, ...c }) => c);
  const rule =
    "Each component's percent times its weight, over the weights that count; rounded half up to " +
    `${scheme.decimals} decimal${scheme.decimals === 1 ? "" : "s"} at the end.`;
  const left = components.filter((c) => c.share === null).map((c) => `${c.name} is ${c.state} and does not count.`);
  if (weight.isZero())
    return {
      value: { grade: null, components: out },
      working: makeWorking({ title: "Grade", result: "–", rule, warnings: left }),
    };
  const exact = counting
    .reduce((s, c) => s.plus(c.share!.times(c.weight)), new Decimal(0))
    .div(weight)
    .times(100);
  // A third is kept to fifteen digits: what that leaves over must not turn an exact half into a little less.
  const earned = (c: { share: Decimal | null; weight: string }) => c.share!.times(c.weight);
  const tidy = (d: Decimal, digits: number) =>
    d.toDecimalPlaces(10, Decimal.ROUND_HALF_UP).toDecimalPlaces(digits, Decimal.ROUND_HALF_UP).toFixed();
  const grade = exact
    .toDecimalPlaces(10, Decimal.ROUND_HALF_UP)
    .toDecimalPlaces(scheme.decimals, Decimal.ROUND_HALF_UP)
    .toString();
  if (!explained)
    return { value: { grade, components: out }, working: makeWorking({ title: "Grade", result: grade, rule }) };
  return {
    value: { grade, components: out },
    working: makeWorking({
      title: "Grade",
      result: grade,
      unit: "%",
      rule,
      warnings: left,
      steps: [
        ...counting.map(
          (c) => `${c.name}: ${equation([c.weight, " × ", { of: c.share!.times(100) }, " %"], tidy(earned(c), 4))}`,
        ),
        `sum: ${equation(
          ["(", ...joined(counting.map(earned), " + "), `) ÷ ${weight} × 100`],
          tidy(exact, 4),
          "%",
        )}, rounded ${grade} %`,
      ],
      inputs: counting.map((c) => ({
        label: c.name,
        value: c.percent!,
        unit: "%",
        note: `weight ${c.weight}${c.overridden !== null ? ", set by hand" : ""}`,
      })),
    }),
  };
}
