import Decimal from "decimal.js";
import { adjustForSeverity, connected, type Rating, raterAgreement } from "../concepts/raters";
import { pointsOfPlaces } from "../points/rule";
import { formatNumber } from "../quantity/quantity";
import { rank } from "../ranking/rank";
import { type JudgeMethod, type JudgeTie, judgeMethod } from "../vocabulary/contest";
import { equation, joined } from "../working/equation";
import { makeWorking, type Working } from "../working/working";

/** What judges look at, and how much it counts. */
export interface JudgedCriterion {
  readonly key: string;
  readonly name: string;
  /** Positive decimal text. */
  readonly weight: string;
}

/** Rules of an event that judges mark on sheets. */
export interface JudgedRules {
  readonly criteria: readonly JudgedCriterion[];
  /** The best mark of each criterion; the worst is 0. */
  readonly most: number;
  readonly method: JudgeMethod;
  readonly tie: JudgeTie;
  /** What full marks from every judge earn overall; empty where places earn, or nothing does. */
  readonly full: string;
  /** What the places earn, the first first. */
  readonly placePoints: readonly string[];
}

/** What one judge gave one entry: a mark for each criterion. */
export interface JudgeSheet {
  readonly entry: string;
  readonly judge: string;
  readonly marks: Readonly<Record<string, number>>;
}

export interface JudgedStanding {
  readonly id: string;
  readonly name: string;
  readonly place: number | null;
  readonly first: number | null;
  readonly sharing: number;
  readonly shared: boolean;
  /** What is ranked, of 100, exact text; null where nothing was marked, or where it cannot be compared. */
  readonly counted: string | null;
  readonly shown: string;
  /** The plain mean of all sheets, and what the average judge would have given, of 100. */
  readonly raw: string | null;
  readonly adjusted: string | null;
  readonly sheets: number;
  readonly points: string | null;
  readonly decidedBy: string | null;
  readonly working: Working;
}

/** How far judges agree, and what in their sheets needs a look. */
export interface Agreement {
  /** Kendall's W over those who marked every entry; null for fewer than two of them, or where nothing differs. */
  readonly w: number | null;
  /** How many judges W is of. */
  readonly judges: number;
  /** How much each judge marks above (+) or below (−) the average judge, of 100. */
  readonly severity: readonly { readonly judge: string; readonly sheets: number; readonly by: number }[];
  /** Sheets further than two standard deviations from what the others let expect. */
  readonly odd: readonly { readonly judge: string; readonly entry: string; readonly by: number }[];
  /** Entries that sheets connect; with more than one group, adjusted marks of different groups cannot be compared. */
  readonly groups: readonly (readonly string[])[];
}

const weightsOf = (rules: Pick<JudgedRules, "criteria">) =>
  rules.criteria.reduce((sum, c) => sum.plus(c.weight), new Decimal(0));

/**
 * A sheet as one figure of 100: each mark times its weight, over what full marks would give.
 * @returns exact decimal text, 0 to 100
 * @example
 * sheetMark(
 *   {
 *     criteria: [
 *       { key: "use", name: "Use", weight: "3" },
 *       { key: "work", name: "Workmanship", weight: "1" },
 *     ],
 *     most: 5,
 *   },
 *   { use: 4, work: 3 },
 * ) // => "75"
 */
export const sheetMark = (
  rules: Pick<JudgedRules, "criteria" | "most">,
  marks: Readonly<Record<string, number>>,
): string =>
  rules.criteria
    .reduce((sum, c) => sum.plus(new Decimal(c.weight).times(marks[c.key] ?? 0)), new Decimal(0))
    .times(100)
    .div(weightsOf(rules).times(rules.most))
    .toDecimalPlaces(12)
    .toString();

/**
 * The mean without the highest and the lowest, of three or more; of fewer the plain mean.
 * @returns which are left out, by position, and the mean, unrounded
 * @example trimmedMean(["60", "80", "100", "70"]) // => { without: [2, 0], mean: "75" }
 * @example trimmedMean(["60", "80"]) // => { without: [], mean: "70" }
 */
export function trimmedMean(values: readonly string[]): { without: number[]; mean: string } {
  const sorted = values.map((v, i) => [new Decimal(v), i] as const).sort(([a], [b]) => a.cmp(b));
  const without = values.length < 3 ? [] : [sorted.at(-1)![1], sorted[0]![1]];
  const kept = values.filter((_, i) => !without.includes(i));
  return {
    without,
    mean: Decimal.sum(...kept)
      .div(kept.length)
      .toDecimalPlaces(12)
      .toString(),
  };
}

const two = (x: Decimal.Value) => formatNumber(new Decimal(x).toDecimalPlaces(10).toFixed(), 2);

const ratingsOf = (rules: JudgedRules, sheets: readonly JudgeSheet[]): Rating[] =>
  sheets.map((s) => ({ option: s.entry, rater: s.judge, score: Number(sheetMark(rules, s.marks)) }));

/**
 * How far the judges agree, how severe each is, and which sheets stand out.
 * @example
 * agreement(
 *   {
 *     criteria: [{ key: "use", name: "Use", weight: "1" }],
 *     most: 5,
 *     method: "mean",
 *     tie: "shared",
 *     full: "",
 *     placePoints: [],
 *   },
 *   [
 *     { entry: "a", judge: "J1", marks: { use: 5 } },
 *     { entry: "b", judge: "J1", marks: { use: 3 } },
 *     { entry: "a", judge: "J2", marks: { use: 4 } },
 *     { entry: "b", judge: "J2", marks: { use: 2 } },
 *   ],
 * ).severity.map((s) => [s.judge, s.by])
 * // => [["J1", 10], ["J2", -10]]
 */
export function agreement(rules: JudgedRules, sheets: readonly JudgeSheet[]): Agreement {
  const { model, w, whole } = raterAgreement(ratingsOf(rules, sheets));
  const rounded = (x: number) => Math.round(x * 1e9) / 1e9;
  return {
    w,
    judges: whole,
    severity: model.raters.map((r) => ({ judge: r.rater, sheets: r.n, by: rounded(r.severity ?? 0) })),
    odd: model.odd.map((o) => ({ judge: o.rater, entry: o.option, by: rounded(o.residual) })),
    groups: model.groups,
  };
}

/**
 * Whether all entries are connected once every judge has marked every entry that they do not step back from, and the
 * groups that are not.
 * @param judges those who mark
 * @param stepped pairs that are not marked
 * @example groupsWhenMarked(["a", "b"], ["J1", "J2"], [{ entry: "b", judge: "J1" }, { entry: "a", judge: "J2" }])
 * // => [["a"], ["b"]]
 */
export const groupsWhenMarked = (
  entries: readonly string[],
  judges: readonly string[],
  stepped: readonly { readonly entry: string; readonly judge: string }[],
): string[][] =>
  connected(
    entries.flatMap((option) =>
      judges
        .filter((rater) => !stepped.some((s) => s.entry === option && s.judge === rater))
        .map((rater) => ({ option, rater })),
    ),
  ).map((g) => g.options);

/** What an entry earns by its mark or by its place. */
function pointsOf(rules: JudgedRules, counted: string, first: number, sharing: number): string | null {
  if (rules.placePoints.length) return pointsOfPlaces(rules.placePoints, first, sharing);
  return rules.full ? new Decimal(rules.full).times(counted).div(100).toDecimalPlaces(9).toString() : null;
}

/**
 * The standings of a judged event: sheets to a mark of 100 by the method that was chosen beforehand, marks to places.
 * Marks are ranked to two decimals; where they agree, they are tied, or the heaviest criterion decides.
 * @param sheets of entries that are out nothing counts
 * @example
 * judgedStandings(
 *   {
 *     criteria: [{ key: "use", name: "Use", weight: "1" }],
 *     most: 5,
 *     method: "mean",
 *     tie: "shared",
 *     full: "40",
 *     placePoints: [],
 *   },
 *   [{ id: "a", name: "Alder", out: false }, { id: "g", name: "Gully", out: false }],
 *   [{ entry: "a", judge: "J1", marks: { use: 3 } }, { entry: "g", judge: "J1", marks: { use: 4 } }],
 * ).map((s) => [s.name, s.place, s.shown, s.points])
 * // => [["Gully", 1, "80.00", "32"], ["Alder", 2, "60.00", "24"]]
 */
export function judgedStandings(
  rules: JudgedRules,
  entries: readonly { readonly id: string; readonly name: string; readonly out: boolean }[],
  sheets: readonly JudgeSheet[],
): JudgedStanding[] {
  const judged = sheets.filter((s) => entries.some((e) => e.id === s.entry && !e.out));
  const model = adjustForSeverity(ratingsOf(rules, judged));
  const split = model.groups.length > 1;
  const heaviest = rules.criteria.reduce((a, b) => (new Decimal(b.weight).gt(a.weight) ? b : a));
  const own = (id: string) => judged.filter((s) => s.entry === id);
  const of = new Map(
    entries.map((e) => {
      const marks = own(e.id).map((s) => sheetMark(rules, s.marks));
      const model1 = model.options.find((o) => o.option === e.id);
      const raw = marks.length
        ? Decimal.sum(...marks)
            .div(marks.length)
            .toDecimalPlaces(12)
            .toString()
        : null;
      const adjusted = model1 && !split ? new Decimal(model1.adjusted.value!).toDecimalPlaces(9).toString() : null;
      const trimmed = marks.length ? trimmedMean(marks) : null;
      const counted = { mean: raw, trimmed: trimmed?.mean ?? null, adjusted }[rules.method];
      const best = own(e.id).map((s) => s.marks[heaviest.key] ?? 0);
      return [e.id, { marks, raw, adjusted, trimmed, counted, heaviest: mean(best) }] as const;
    }),
  );
  const ranked = rank(
    entries.map((e) => ({ id: e.id, value: of.get(e.id)!.counted, breaks: [of.get(e.id)!.heaviest] })),
    {
      better: "more",
      school: "competition",
      resolution: "0.01",
      tieBreaks: rules.tie === "heaviest" ? [{ label: heaviest.name, better: "more" }] : [],
    },
  );
  return ranked.map((r) => {
    const { name } = entries.find((e) => e.id === r.id)!;
    const at = of.get(r.id)!;
    const shown = at.counted === null ? "–" : two(at.counted);
    return {
      ...r,
      name,
      counted: at.counted,
      shown,
      raw: at.raw,
      adjusted: at.adjusted,
      sheets: at.marks.length,
      points: at.counted === null ? null : pointsOf(rules, at.counted, r.first!, r.sharing),
      working: makeWorking({
        title: `${name}: judged`,
        result: shown,
        rule: `Each mark times its weight, of 100; ${judgeMethod.labels[rules.method].split(":")[0]!}.`,
        steps: [...own(r.id).map((s) => sheetLine(rules, s)), ...lastLines(rules, at, shown, own(r.id), model)],
        inputs: own(r.id).map((s) => ({
          label: s.judge,
          value: rules.criteria.map((c) => `${c.name} ${s.marks[c.key] ?? 0}`).join(", "),
        })),
        warnings: [
          ...(r.shared ? ["Shares its place: the marks agree to two decimals."] : []),
          ...(rules.method === "adjusted" && split
            ? ["No judge connects all teams: adjusted marks cannot be compared, and nobody has a place yet."]
            : []),
          ...(rules.method === "trimmed" && at.marks.length > 0 && at.marks.length < 3
            ? ["Fewer than three sheets: none is left out."]
            : []),
        ],
      }),
    };
  });
}

const mean = (values: readonly number[]): string | null =>
  values.length
    ? Decimal.sum(...values)
        .div(values.length)
        .toDecimalPlaces(9)
        .toString()
    : null;

/** A sheet's arithmetic in a line. */
function sheetLine(rules: JudgedRules, s: JudgeSheet): string {
  const terms = rules.criteria.flatMap((c, i) => [
    ...(i ? [" + "] : []),
    { of: c.weight, digits: 0 },
    " × ",
    { of: s.marks[c.key] ?? 0, digits: 0 },
  ]);
  const over = [") × 100 ÷ (", { of: weightsOf(rules), digits: 0 }, " × ", { of: rules.most, digits: 0 }, ")"];
  return `${s.judge}: ${equation(["(", ...terms, ...over], two(sheetMark(rules, s.marks)))}`;
}

interface Marked {
  readonly marks: readonly string[];
  readonly raw: string | null;
  readonly trimmed: ReturnType<typeof trimmedMean> | null;
}

/** How the sheets become one mark, by the method. */
function lastLines(
  { method }: JudgedRules,
  at: Marked,
  shown: string,
  sheets: readonly JudgeSheet[],
  model: ReturnType<typeof adjustForSeverity>,
): string[] {
  if (at.raw === null) return [];
  const over = (values: readonly string[], to: string) =>
    equation(["(", ...joined(values, " + "), ") ÷ ", { of: values.length, digits: 0 }], to);
  if (method === "mean") return [over(at.marks, shown)];
  if (method === "trimmed") {
    const { without } = at.trimmed!;
    return [
      ...without.map((i) => `Left out: ${two(at.marks[i]!)}, of ${sheets[i]!.judge}`),
      over(
        at.marks.filter((_, i) => !without.includes(i)),
        shown,
      ),
    ];
  }
  if (model.groups.length > 1) return [];
  const fair = sheets.map((s, i) => {
    const by = model.raters.find((r) => r.rater === s.judge)!.severity!;
    return { judge: s.judge, mark: at.marks[i]!, by, value: new Decimal(at.marks[i]!).minus(by) };
  });
  return [
    ...fair.map(
      (f) => `${f.judge}, as the average judge: ${equation([{ of: f.mark }, " − ", { of: f.by }], two(f.value))}`,
    ),
    over(
      fair.map((f) => f.value.toDecimalPlaces(12).toFixed()),
      shown,
    ),
  ];
}
