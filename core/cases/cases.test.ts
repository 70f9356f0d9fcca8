// The worked cases: every expression of ours gives what R gave for its line.
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { flipsOf } from "../concepts/fragility";
import { pairwiseWeights, weightedTotals } from "../concepts/matrix";
import { adjustForSeverity, concordance } from "../concepts/raters";
import { teamSizes } from "../draw/draw";
import { evaluateFormula, type FormulaInput } from "../formula/evaluate";
import { expandUncertainty } from "../formula/show";
import { gradeOf } from "../grades/grade";
import type { SchemeDefinition } from "../grades/scheme";
import { marginOf, statusOf } from "../needs/requirement";
import { countAttempts } from "../points/attempts";
import { applyRule, type PointsRule, type RuleContext } from "../points/rule";
import { compareEnvelope } from "../quantity/envelope";
import { fromSi, parseQuantity } from "../quantity/quantity";
import { rank } from "../ranking/rank";
import { addDays, daysBetween } from "../sessions/date";
import { scheduleTasks } from "../sessions/network";
import { classSessions } from "../sessions/sessions";
import { scoreSheet } from "../sheet/sheet";
import { compareMeans, powerOf, runsPerSide, shownBy } from "../stats/compare";
import { describe as describeValues, mean, median, outliers, variance } from "../stats/describe";
import { insideT, normalTail, twoSidedT, upperF } from "../stats/distributions";
import { wilson } from "../stats/proportion";
import { rankSum } from "../stats/ranks";
import { holm } from "../stats/several";
import { twoWay } from "../stats/two-way";
import type { PlaceNumbering } from "../vocabulary/contest";
import type { OneSided } from "../vocabulary/needs";
import type { AttemptMethod } from "../vocabulary/runs";
import { makeWorking } from "../working/working";

const named = (numbers: readonly number[]) => numbers.map((weight, i) => ({ key: `c${i}`, name: `C${i}`, weight }));

/** What the cases call, beside the core itself: each is one call of it, on plain numbers. */
const scope: Record<string, unknown> = {
  adjustForSeverity,
  concordance,
  pairwiseWeights,
  teamSizes,
  evaluateFormula,
  expandUncertainty,
  marginOf,
  compareEnvelope,
  fromSi,
  addDays,
  daysBetween,
  runsPerSide,
  powerOf,
  shownBy,
  insideT,
  twoSidedT,
  upperF,
  wilson,
  normalTail,
  rankSum,
  holm,
  mean,
  median,
  outliers,
  variance,
  describe: describeValues,
  si(text: string, unit: string) {
    const read = parseQuantity(text, unit);
    return read.ok ? Number(read.quantity.si) : read.message;
  },
  shared(first: string, second: string, inputs: Record<string, FormulaInput>) {
    return evaluateFormula(second, { ...inputs, A: evaluateFormula(first, inputs) });
  },
  two: (a: number[], b: number[]) => compareMeans({ name: "A", values: a }, { name: "B", values: b }).value,
  /** F and p of an effect of two crossed factors; a letter a value names its levels. */
  crossed(rows: string, columns: string, values: number[], effect: "row" | "column" | "interaction") {
    const found = twoWay(values.map((v, i) => ({ row: rows[i]!, column: columns[i]!, values: [v] })))![effect]!;
    return [found.F, found.p];
  },
  verdict: (comparator: OneSided, target: string, value: string, U: number) =>
    statusOf({ comparator, target, second: null, sides: null, unit: "1" }, { kind: "value", value, U }, []).value,
  points: (rule: PointsRule, value: string, context?: RuleContext) =>
    Number(applyRule(rule, value, "m", context).value),
  attempts: (school: AttemptMethod, values: number[]) =>
    Number(
      countAttempts(
        values.map((v) => ({ value: String(v), state: "valid" as const })),
        { school, n: values.length, k: 2, foul: "out" },
        "more",
      ).value,
    ),
  places(school: PlaceNumbering, values: number[], resolution: string) {
    const rows = values.map((v, i) => ({ id: String(i), value: String(v), breaks: [] }));
    const ranked = rank(rows, { better: "more", school, resolution, tieBreaks: [] });
    return rows.map((r) => ranked.find((x) => x.id === r.id)!.place);
  },
  weighted: (weights: number[], scores: number[]) =>
    weightedTotals(named(weights), [{ key: "x", name: "X" }], {
      x: Object.fromEntries(scores.map((s, i) => [`c${i}`, s])),
    })[0]!.total.value,
  flips: (weights: number[], scores: number[][], which: number) =>
    flipsOf({ criteria: named(weights), options: scores.map((_, i) => ({ key: `o${i}`, name: `O${i}` })), scores })[
      which
    ]!.at,
  grade(weights: number[], shares: number[], decimals: number) {
    const components = weights.map((w, i) => ({ key: `k${i}`, name: `K${i}`, weight: String(w) }));
    const states = components.map(
      (c, i) =>
        [
          c.key,
          {
            state: "scored" as const,
            share: String(shares[i]),
            working: makeWorking({ title: "", result: "", rule: "" }),
          },
        ] as const,
    );
    const scheme = { decimals, components } as unknown as SchemeDefinition;
    return Number(gradeOf(scheme, new Map(states), new Map()).value.grade);
  },
  sheetShare(rows: { weight: string; top: number; given: number }[]) {
    const criteria = rows.map((r, i) => ({
      key: `c${i}`,
      name: `C${i}`,
      weight: r.weight,
      levels: [0, r.given, r.top].map((points) => ({ points: String(points), descriptor: "" })),
    }));
    const marks = rows.map((r, i) => ({ criterion: `c${i}`, points: String(r.given) }));
    return Number(scoreSheet({ criteria }, { rater: "R", marks }).value);
  },
  spread: (sizes: readonly number[]) => Math.max(...sizes) - Math.min(...sizes),
  sessionsIn: (days: number[], from: string, to: string, off: string[]) =>
    classSessions({ pattern: { kind: "weekdays", days }, from, to, daysOff: new Set(off) }).length,
  finish(tasks: Record<string, { length: number; after: string[] }>) {
    const list = Object.entries(tasks).map(([id, t]) => ({ id, name: id, ...t }));
    const network = scheduleTasks(list, 30);
    if (!network.ok) throw new Error("circle");
    return Math.max(...network.tasks.map((t) => t.earlyEnd));
  },
};
const evaluate = (expression: string) =>
  new Function(...Object.keys(scope), `return (${expression});`)(...Object.values(scope));

const text = readFileSync(join(__dirname, "cases.txt"), "utf8");
const cases = [...text.matchAll(/^ours (.*)\nR {4}(.*)\n= {4}(.*)$/gm)].map(
  ([, ours, , wanted]) => [ours!, wanted!] as const,
);

const listOf = (x: unknown): unknown[] => (Array.isArray(x) ? x : [x]);

/** Whether two values agree to nine of their digits, or to what the quantiles of t are known to. */
const agrees = (x: unknown, y: unknown) =>
  typeof x === "number" && typeof y === "number" ? Math.abs(x - y) <= 1e-8 * Math.max(Math.abs(y), 1e-6) : x === y;

test("there are more than 120 of them, each whole", () => {
  expect(cases.length).toBeGreaterThanOrEqual(120);
  expect(cases.length).toBe(text.split("\nours ").length - 1);
});

test.each(cases)("%s", (ours, wanted) => {
  const [got, kept] = [listOf(evaluate(ours)), listOf(JSON.parse(wanted || "[]"))];
  expect([ours, got.length === kept.length && got.every((x, i) => agrees(x, kept[i])) ? kept : got]).toEqual([
    ours,
    kept,
  ]);
});
