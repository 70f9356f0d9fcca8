// Every line of arithmetic that a working shows, redone from the numbers in it, reaches the figure that it shows to its
// last digit; redone by another reader than the one that wrote the line.
import { all, type BigNumber, create } from "mathjs";
import { datumTotals, weightedTotals } from "../concepts/matrix";
import { adjustForSeverity } from "../concepts/raters";
import { seededRandom } from "../draw/draw";
import { gradeOf } from "../grades/grade";
import { peerFactors } from "../grades/peers";
import { type ComponentState, leavesOf, type SchemeDefinition } from "../grades/scheme";
import { statusOf } from "../needs/requirement";
import { countAttempts } from "../points/attempts";
import { applyRule, type PointsRule } from "../points/rule";
import { assessRun } from "../run/assess";
import type { ProtocolDefinition } from "../run/protocol";
import { summariseRuns } from "../run/summary";
import { combineSheets, scoreSheet } from "../sheet/sheet";
import { compareMeans } from "../stats/compare";
import { crossFactors } from "../stats/crossed";
import { foresight } from "../stats/prediction";
import { compareSeveral } from "../stats/several";
import { attemptMethod } from "../vocabulary/runs";
import type { Working } from "./working";
import { makeWorking } from "./working";

const math = create(all!, { number: "BigNumber", precision: 64 });
const big = (text: string) => math.bignumber(math.evaluate(text) as never);

const formal = (text: string) =>
  text
    .replaceAll("−", "-")
    .replaceAll("×", "*")
    .replaceAll("÷", "/")
    .replaceAll("√", "sqrt")
    .replace(/([\d.]+) %/g, "($1/100)")
    .replace(/\|([^|]*)\|/g, "abs($1)");

/** What is wrong with a line of a working; null where it is right, "none" where it claims no arithmetic. */
function wrong(line: string): string | null {
  const at = line.lastIndexOf(" = ");
  if (at < 0) return "none";
  const left = line.slice(line.lastIndexOf(": ", at) < 0 ? 0 : line.lastIndexOf(": ", at) + 2, at);
  const result = /^[−\d][\d.e+-]*/.exec(line.slice(at + 3))?.[0];
  // A formula with its letters.
  if (!result) return "none";
  const digits = result.split(".")[1]?.length ?? 0;
  const rounded = (x: BigNumber) => x.toDecimalPlaces(digits + 10, 4).toDecimalPlaces(digits, 4);
  const listed = /^(best|first|last|median) of (.*)$/.exec(left);
  if (listed) return listed[2]!.split(", ").some((x) => rounded(big(x)).equals(big(result))) ? null : line;
  const [value, shown] = [big(formal(left)), big(formal(result))];
  // In SI it is shown to five significant digits.
  if (line.startsWith("in SI")) return Number(value.toPrecision(5)) === Number(shown) ? null : `${line} (${value})`;
  return rounded(value).equals(shown) ? null : `${line} (${value})`;
}

const random = seededRandom("workings");
const below = (n: number) => Math.floor(random() * n);
const pick = <T>(list: readonly T[]): T => list[below(list.length)]!;
const decimal = (most: number, digits = below(4)) => (random() * most).toFixed(digits);
const many = <T>(least: number, most: number, make: (i: number) => T) =>
  Array.from({ length: least + below(most - least + 1) }, (_, i) => make(i));

const rubric = () => ({
  criteria: many(1, 5, (i) => ({
    key: `c${i}`,
    name: `Criterion ${i}`,
    weight: decimal(50, below(3)).replace(/^0(\.0*)?$/, "1"),
    levels: [0, 1 + below(3), 4 + below(9)].map((points) => ({ points: String(points), descriptor: "" })),
  })),
});
const sheetOf = (r: ReturnType<typeof rubric>, rater: string) => ({
  rater,
  marks: r.criteria.map((c) => ({ criterion: c.key, points: pick(c.levels).points })),
});

const rules: (() => PointsRule)[] = [
  () => ({ kind: "ratio", points: decimal(200, 1), better: pick(["more", "less"] as const) }),
  () => ({
    kind: "line",
    anchors: [1, 3, 7].map((at) => ({ at: (at + Number(decimal(1, 2))).toFixed(2), points: decimal(100, 1) })),
  }),
  () => ({
    kind: "target",
    target: decimal(10, 3),
    points: "100",
    perStep: decimal(3, 1),
    step: `0.0${1 + below(9)}`,
    school: pick(["complete", "proportional", "started"] as const),
    beyond: pick([undefined, "5"]),
    floor: "0",
  }),
  () => ({ kind: "place", points: ["10", "8", "6", "5", "4.5", "3"] }),
];

const protocol: ProtocolDefinition = {
  conditions: [],
  measures: [
    { key: "V", name: "Water", unit: "L", resolution: "0.05" },
    { key: "t", name: "Time", unit: "s", resolution: "0.1" },
    { key: "x", name: "Sag", unit: "mm", resolution: "0.01" },
  ],
  constants: [],
  derived: [
    { key: "Q", name: "Flow", unit: "L/min", decimals: 2, expression: "V / t", rule: "volume over time" },
    { key: "r", name: "Ratio", unit: "%", decimals: 1, expression: "V / (V + 0.01)", rule: "share" },
    { key: "d", name: "Drop", unit: "mm", decimals: 2, expression: "-x^2 / (x - 3)", rule: "made up" },
  ],
  primary: "Q",
  better: "more",
  policy: { school: "mean", n: 3, foul: "out" },
  safety: [],
} as unknown as ProtocolDefinition;

const oneRun = (i: number) =>
  assessRun(protocol, {
    id: String(i),
    attempt: i + 1,
    state: "valid",
    reason: null,
    readings: {
      V: (Number(decimal(9, 2)) / 1000 + 0.001).toFixed(6),
      t: (1 + Number(decimal(90, 1))).toFixed(1),
      x: (Number(decimal(2, 2)) / 1000).toFixed(5),
    },
    conditions: {},
  });

/** Makers of workings, by kind; each draws anew at every call. */
const kinds: Record<string, () => Working[]> = {
  sheet: () => {
    const r = rubric();
    return [scoreSheet(r, sheetOf(r, "R")).working];
  },
  review: () => {
    const r = rubric();
    return [
      combineSheets(
        r,
        many(1, 4, (i) => sheetOf(r, `R${i}`)),
      ).working,
    ];
  },
  points: () => [
    applyRule(pick(rules)(), decimal(10, 3).replace(/^0\.?0*$/, "1"), "m", {
      best: decimal(10, 2).replace(/^0\.?0*$/, "9"),
      place: 1 + below(5),
      sharing: 1 + below(3),
    }).working,
  ],
  attempts: () => {
    const school = pick(attemptMethod.values);
    const list = many(1, 6, () => ({ value: decimal(20, 3), state: "valid" as const }));
    const { step } = countAttempts(list, { school, n: 6, k: 2, foul: "out" }, pick(["more", "less"] as const));
    return [makeWorking({ title: "", result: "", rule: "", steps: [step] })];
  },
  grade: () => {
    const keys = many(1, 5, (i) => `k${i}`);
    const scheme = {
      decimals: below(3),
      components: keys.map((key) => ({
        key,
        name: key,
        weight: decimal(60, below(2)).replace(/^0(\.0)?$/, "7"),
        source: { kind: "entered" },
      })),
    } as unknown as SchemeDefinition;
    const share = () => pick([String(below(101) / 100), "0.33333333333333333333", random().toFixed(15)]);
    const states = new Map<string, ComponentState>(
      keys.map((k) => [
        k,
        { state: "scored", share: share(), working: makeWorking({ title: k, result: "", rule: "" }) },
      ]),
    );
    return [gradeOf(scheme, states, new Map()).working];
  },
  gradeTree: () => {
    const leaf = (key: string) => ({
      key,
      name: key,
      weight: pick(["1", "2", "0.5", "3"]),
      source: { kind: "entered" },
      ...(below(2) && { late: { perSession: pick(["10", "2.5"]), grace: below(2), floor: pick(["0", "50"]) } }),
    });
    const group = (key: string, weight: string) => ({
      key,
      name: key,
      weight,
      peer: below(2) === 0,
      drop: below(2),
      parts: many(2, 4, (i) => leaf(`${key}${i}`)),
    });
    const scheme = {
      decimals: below(3),
      most: "100",
      peers: { round: "r", low: "0.85", high: "1.10" },
      components: [group("a", "60"), group("b", "40")],
    } as unknown as SchemeDefinition;
    const states = new Map<string, ComponentState>(
      leavesOf(scheme.components).map((c) => [
        c.key,
        {
          state: "scored",
          share: pick([String(below(101) / 100), "0.33333333333333333333", random().toFixed(15)]),
          late: below(4),
          working: makeWorking({ title: c.name, result: "", rule: "" }),
        },
      ]),
    );
    const members = many(3, 5, (i) => ({ id: `m${i}`, name: `m${i}` }));
    const ratings = members.flatMap((a) =>
      members.flatMap((b) => (a === b ? [] : [{ rater: a.id, ratee: b.id, value: String(1 + below(5)) }])),
    );
    const [peer] = peerFactors(pick(["ratings", "shares"] as const), members, ratings);
    const grade = gradeOf(scheme, states, new Map(), { peer });
    return [grade.working, peer!.working, ...grade.value.parts.map((p) => p.working)];
  },
  matrix: () => {
    const criteria = many(1, 5, (i) => ({ key: `c${i}`, name: `C${i}`, weight: Number(decimal(9, 2)) + 0.01 }));
    const options = [{ key: "a", name: "A" }];
    const scores = { a: Object.fromEntries(criteria.map((c) => [c.key, Number(decimal(10, 1))])) };
    return weightedTotals(criteria, options, scores).map((x) => x.total.working);
  },
  datum: () => {
    const criteria = many(1, 5, (i) => ({ key: `c${i}`, name: `C${i}`, weight: 1 }));
    const marks = { a: Object.fromEntries(criteria.map((c) => [c.key, pick(["+", "0", "−"] as const)])) };
    return datumTotals(criteria, [{ key: "a", name: "A" }], marks, "d").map((x) => x.working);
  },
  raters: () => {
    const ratings = ["A", "B", "C"].flatMap((option) =>
      ["J1", "J2", "J3"].map((rater) => ({ option, rater, score: Number(decimal(10, 2)) })),
    );
    return adjustForSeverity(ratings).options.flatMap((o) => [o.raw.working, o.adjusted.working]);
  },
  comparison: () => {
    const scale = 10 ** -below(5);
    const group = (name: string) => ({ name, values: many(2, 6, () => Number((random() * 9).toFixed(2)) * scale) });
    return [compareMeans(group("A"), group("B"), { unit: "m", resolution: pick([0, scale / 100]) }).working];
  },
  several: () => {
    const scale = 10 ** -below(4);
    const group = (_: number, i = below(1000)) => ({
      name: `g${i}`,
      values: many(2, 5, () => Number((random() * 9).toFixed(2)) * scale),
    });
    return compareSeveral(many(3, 4, group), { unit: "m", resolution: scale / 100 }).map((x) => x.comparison.working);
  },
  crossing: () => {
    const values = () => many(1, 3, () => Number((5 + random() * 4).toFixed(2)));
    const cells = ["a", "b"].flatMap((row) => ["s", "m", "l"].map((column) => ({ row, column, values: values() })));
    return [crossFactors(cells, ["valve", "stroke"], { unit: "L/min", resolution: 0.01 }).working];
  },
  foresight: () => [
    foresight(
      many(1, 5, (i) => ({ name: `G${i}`, predicted: Number(decimal(9, 1)), measured: Number(decimal(9, 2)) + 0.01 })),
    ).working,
  ],
  run: () => Object.values(oneRun(0).values).map((v) => v.working),
  build: () => [
    summariseRuns(
      { ...protocol, policy: { ...protocol.policy, school: pick(attemptMethod.values), k: 2 } } as never,
      many(1, 5, oneRun),
      "Q",
    ).working,
  ],
  sides: () => [
    statusOf(
      { comparator: "fits", target: null, second: null, sides: ["0.4572", "0.3048", "0.3556"], unit: "in" },
      { kind: "sides", sides: many(3, 3, () => (0.1 + Number(decimal(1, 4))).toFixed(4)) },
      [],
    ).working,
  ],
};

describe.each(Object.keys(kinds))("%s", (kind) => {
  test("each line, redone, reaches what it shows", () => {
    let lines = 0;
    for (let i = 0; i < 60; i++)
      for (const w of kinds[kind]!())
        for (const step of w.steps) {
          const said = wrong(step);
          if (said === "none") continue;
          lines++;
          expect([kind, said]).toEqual([kind, null]);
        }
    expect(lines).toBeGreaterThan(30);
  });
});

test("the reader finds what is wrong", () => {
  expect(wrong("N: 33 × 66.67 % = 2200")).not.toBeNull();
  expect(wrong("0.124 × 8.333 = 1.029")).not.toBeNull();
  expect(wrong("x: -3^2 = 9")).not.toBeNull();
  expect(wrong("best of 8.1, 8.2 = 8.3")).not.toBeNull();
  expect(wrong("(8.6 + 8.9) ÷ 2 = 8.75")).toBeNull();
});
