import Decimal from "decimal.js";
import type { RuleKind, StepMethod } from "../vocabulary/grades";
import type { OneSided } from "../vocabulary/needs";
import type { Better } from "../vocabulary/runs";
import { equation } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";

/** What each kind of rule takes. Numbers are exact decimal texts in the rule's unit. */
interface Takes {
  bands: { better: Better; bands: readonly { at: string; points: string }[]; otherwise: string };
  line: { anchors: readonly { at: string; points: string }[] };
  target: {
    target: string;
    points: string;
    perStep: string;
    step: string;
    school: StepMethod;
    beyond?: string;
    floor: string;
  };
  ratio: { points: string; better: Better };
  pass: { points: string; comparator: OneSided; limit: string };
  place: { points: readonly string[] };
  /** A named level, or the highest rung of a ladder that is counted from 1; `none` is what is earned below it. */
  levels: { levels: readonly { name: string; points: string }[]; none?: string };
}

/** How performance turns into points. */
export type PointsRule = { [K in RuleKind]: { kind: K } & Takes[K] }[RuleKind];

export interface RuleContext {
  /** The best value of all, for the ratio rule. */
  readonly best?: string;
  /** For the place rule: the first place that is filled (1 is the best), and how many fill places from there on. */
  readonly place?: number;
  readonly sharing?: number;
}

const show = (d: Decimal) => d.toSignificantDigits(8).toString().replace("-", "−");

/**
 * The rule in words, for people.
 * @example
 * describeRule({ kind: "pass", points: "10", comparator: "≤", limit: "5" }, "kg")
 * // => "10 points when the value is ≤ 5 kg, else none."
 */
export function describeRule(rule: PointsRule, unit: string): string {
  switch (rule.kind) {
    case "bands":
      return [
        ...rule.bands.map((b) => `${rule.better === "more" ? "at least" : "at most"} ${b.at} ${unit}: ${b.points}`),
        `otherwise ${rule.otherwise}.`,
      ].join("; ");
    case "line":
      return `Straight between ${rule.anchors.map((a) => `${a.at} ${unit} (${a.points})`).join(", ")}, flat beyond.`;
    case "target":
      return (
        `${rule.points} points at ${rule.target} ${unit}, minus ${rule.perStep} for ` +
        `${{ complete: "each complete", proportional: "each (in proportion)", started: "each started" }[rule.school]}` +
        ` ${rule.step} ${unit} off${rule.beyond ? `, minus ${rule.beyond} more when above the target` : ""}, ` +
        `not below ${rule.floor}.`
      );
    case "ratio":
      return rule.better === "more" ? `${rule.points} × value ÷ best value.` : `${rule.points} × best value ÷ value.`;
    case "pass":
      return `${rule.points} points when the value is ${rule.comparator} ${rule.limit} ${unit}, else none.`;
    case "levels":
      return `${[
        ...rule.levels.map((l) => `${l.name}: ${l.points}`),
        ...(rule.none === undefined ? [] : [`below the first: ${rule.none}`]),
      ].join("; ")}.`;
    case "place":
      return `By placing: ${rule.points.map((p, i) => `${i + 1}: ${p}`).join(", ")}; shared places share.`;
  }
}

/** What a rule is applied to, as far as a rule has to know. */
export interface Scored {
  readonly name: string;
  /** The names that its values stand for. */
  readonly levels?: readonly string[];
}

/** A rule as it comes from a form: what its kind does not need may be missing. */
type Typed = { readonly [K in RuleKind]: { kind: K } & Partial<Takes[K]> }[RuleKind];

const same = (a: readonly string[], b: readonly string[]) =>
  a.length === b.length && a.every((x, i) => x.trim().toLowerCase() === b[i]!.trim().toLowerCase());

/**
 * What is wrong with a points rule, in words; empty when it can be applied. A reading by named levels has no distance
 * and no ratio: only its levels, or a placing, turn it into points.
 * @example checkRule({ kind: "line", anchors: [{ at: "4", points: "0" }] }) // => ["a line takes two anchors or more."]
 * @example
 * checkRule(
 *   { kind: "levels", levels: [{ name: "intact", points: "100" }, { name: "broken", points: "0" }] },
 *   { name: "Damage", levels: ["intact", "cracked", "broken"] },
 * )
 * // => ["name the levels of Damage in their order: intact, cracked, broken."]
 */
export function checkRule(rule: Typed, scored?: Scored): string[] {
  const names = scored?.levels;
  if (names && rule.kind !== "levels" && rule.kind !== "place")
    return [`${scored.name} is read by levels: choose the rule by levels, or by placing.`];
  switch (rule.kind) {
    case "line": {
      const anchors = rule.anchors ?? [];
      if (anchors.length < 2) return ["a line takes two anchors or more."];
      return new Set(anchors.map((a) => Number(a.at))).size < anchors.length
        ? ["two anchors stand at the same value."]
        : [];
    }
    case "bands":
      return rule.bands?.length ? [] : ["give at least one band."];
    case "target":
      return rule.target && rule.points && rule.perStep && Number(rule.step) > 0 && rule.floor !== undefined
        ? []
        : ["a target rule takes the target, points, points a step, a step above zero and a floor."];
    case "levels": {
      const own = (rule.levels ?? []).map((l) => l.name);
      if (!own.length) return ["give each level its points, one a line, like carries its load: 80."];
      if (names)
        return same(own, names) && rule.none === undefined
          ? []
          : [`name the levels of ${scored.name} in their order: ${names.join(", ")}.`];
      return rule.none === undefined
        ? ["a ladder is counted in rungs: say what is earned below the first, for example 0."]
        : [];
    }
    case "ratio":
      return rule.points ? [] : ["say how many points the best gets."];
    case "pass":
      return rule.points && rule.limit ? [] : ["a pass takes its points and its limit."];
    case "place":
      return rule.points?.length ? [] : ["give the points by place, the first place first."];
  }
}

/**
 * Points for a value by a rule, exact. A missing value gives no points and says so. Errors: a ratio without a best
 * value, a place rule without a place.
 * @example
 * applyRule(
 *   {
 *     kind: "line",
 *     anchors: [
 *       { at: "4", points: "0" },
 *       { at: "6", points: "60" },
 *       { at: "8", points: "85" },
 *       { at: "9", points: "100" },
 *     ],
 *   },
 *   "7.1",
 *   "L/min",
 * ).value
 * // => "73.75"
 */
export function applyRule(
  rule: PointsRule,
  value: string | null,
  unit: string,
  context: RuleContext = {},
): Computed<string | null> {
  const words = describeRule(rule, unit);
  const done = (points: Decimal, steps: string[], warnings: string[] = []): Computed<string | null> => ({
    value: points.toSignificantDigits(15).toString(),
    working: makeWorking({
      title: "Points",
      result: show(points),
      unit: "points",
      rule: words,
      steps,
      warnings,
      inputs: value === null ? [] : [{ label: "value", value, unit }],
    }),
  });
  if (rule.kind === "place") {
    if (context.place === undefined)
      return {
        value: null,
        working: makeWorking({ title: "Points", result: "–", rule: words, warnings: ["No placing yet."] }),
      };
    const sharing = context.sharing ?? 1;
    const shared = Array.from({ length: sharing }, (_, i) => new Decimal(rule.points[context.place! - 1 + i] ?? 0));
    const sum = shared.reduce((a, b) => a.plus(b), new Decimal(0));
    return done(sum.div(sharing), [
      sharing > 1
        ? `(${shared.join(" + ")}) ÷ ${sharing} = ${show(sum.div(sharing))}`
        : `place ${context.place}: ${show(sum)}`,
    ]);
  }
  if (value === null)
    return {
      value: null,
      working: makeWorking({
        title: "Points",
        result: "–",
        unit: "points",
        rule: words,
        warnings: ["There is no value yet."],
      }),
    };
  const x = new Decimal(value);
  switch (rule.kind) {
    case "bands": {
      const sorted = [...rule.bands].sort((a, b) =>
        rule.better === "more" ? new Decimal(b.at).cmp(a.at) : new Decimal(a.at).cmp(b.at),
      );
      const hit = sorted.find((b) => (rule.better === "more" ? x.gte(b.at) : x.lte(b.at)));
      return hit
        ? done(new Decimal(hit.points), [`${value} ${rule.better === "more" ? "≥" : "≤"} ${hit.at}: ${hit.points}`])
        : done(new Decimal(rule.otherwise), [`${value} reaches no band: ${rule.otherwise}`]);
    }
    case "line": {
      const a = [...rule.anchors].sort((p, q) => new Decimal(p.at).cmp(q.at));
      const [low, high] = [a[0]!, a.at(-1)!];
      if (x.lte(low.at)) return done(new Decimal(low.points), [`${value} is at or below ${low.at}: ${low.points}`]);
      if (x.gte(high.at))
        return done(new Decimal(high.points), [`${value} is at or beyond ${high.at}: ${high.points}`]);
      const i = a.findIndex((p) => x.lt(p.at));
      const [p, q] = [a[i - 1]!, a[i]!];
      const points = new Decimal(p.points).plus(
        x.minus(p.at).times(new Decimal(q.points).minus(p.points)).div(new Decimal(q.at).minus(p.at)),
      );
      return done(points, [
        `${p.points} + (${value} − ${p.at}) ÷ (${q.at} − ${p.at}) × (${q.points} − ${p.points}) = ${show(points)}`,
      ]);
    }
    case "target": {
      const deviation = x.minus(rule.target).abs();
      const raw = deviation.div(rule.step);
      const count = rule.school === "complete" ? raw.floor() : rule.school === "started" ? raw.ceil() : raw;
      const beyond = rule.beyond && x.gt(rule.target) ? new Decimal(rule.beyond) : new Decimal(0);
      const points = new Decimal(rule.points).minus(count.times(rule.perStep)).minus(beyond);
      const floored = Decimal.max(points, rule.floor);
      const steps = [
        `steps off: ${equation([`|${value} − ${rule.target}| ÷ ${rule.step}`], show(raw))}, ` +
          `${{ complete: "complete steps", proportional: "in proportion", started: "started steps" }[rule.school]}` +
          `: ${show(count)}`,
        (beyond.isZero() ? "" : `${beyond} more for being above the target: `) +
          equation(
            [rule.points, " − ", { of: count }, ` × ${rule.perStep}${beyond.isZero() ? "" : ` − ${beyond}`}`],
            show(points),
          ),
      ];
      if (!floored.eq(points)) steps.push(`not below ${rule.floor}: ${show(floored)}`);
      return done(floored, steps);
    }
    case "ratio": {
      if (context.best === undefined) throw new Error("The ratio rule needs the best value");
      const [top, below] = rule.better === "more" ? [x, new Decimal(context.best)] : [new Decimal(context.best), x];
      if (below.isZero()) return done(new Decimal(0), [], ["Divided by zero: no points."]);
      const points = new Decimal(rule.points).times(top).div(below);
      return done(points, [`${rule.points} × ${top} ÷ ${below} = ${show(points)}`]);
    }
    case "levels": {
      const rung = x.floor().toNumber() - (rule.none === undefined ? 0 : 1);
      if (rung < 0) return done(new Decimal(rule.none ?? 0), [`below the first rung: ${rule.none ?? 0}`]);
      const at = Math.min(rung, rule.levels.length - 1);
      const { name, points } = rule.levels[at]!;
      const counted = rule.none === undefined ? "" : `rung ${at + 1} of ${rule.levels.length}, `;
      return done(new Decimal(points), [`${counted}${name}: ${points}`]);
    }
    case "pass": {
      const ok = rule.comparator === "≤" ? x.lte(rule.limit) : x.gte(rule.limit);
      return done(new Decimal(ok ? rule.points : 0), [
        `${value} ${rule.comparator} ${rule.limit}: ${ok ? "yes" : "no"}`,
      ]);
    }
  }
}

/**
 * What places earn by a list of points: those who share places share the sum of theirs.
 * @param first the first of the places that are filled, from 1
 * @param sharing how many fill them
 * @example pointsOfPlaces(["10", "8", "6"], 2, 2) // => "7"
 */
export const pointsOfPlaces = (points: readonly string[], first: number, sharing: number): string | null =>
  applyRule({ kind: "place", points, floor: "0", school: "complete" } as PointsRule, "0", "", {
    place: first,
    sharing,
  }).value;
