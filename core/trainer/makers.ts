import Decimal from "decimal.js";
import { changedVariables } from "../builds/variables";
import { drawOrder, seededRandom } from "../draw/draw";
import { showUncertain } from "../formula/show";
import { gradeOf } from "../grades/grade";
import type { Component, ComponentState } from "../grades/scheme";
import { describeLimit, statusOf } from "../needs/requirement";
import { fromSi, toSi } from "../quantity/quantity";
import type { TrainerKind } from "../vocabulary/handbook";
import { makeWorking } from "../working/working";
import type { Exercise, TrainerFacts } from "./exercise";

type Maker = (facts: TrainerFacts, seed: string) => Exercise | null;

const pick = <T>(all: readonly T[], random: () => number): T => all[Math.floor(random() * all.length)]!;
const unitOf = (unit: string) => (unit === "1" ? "" : ` ${unit}`);
const choice = (options: readonly string[], right: string, seed: string) => {
  const mixed = drawOrder(options, `options ${seed}`);
  return { kind: "choice", options: mixed, right: mixed.indexOf(right) } as const;
};

const verdicts = ["It is met", "It is not met", "It cannot be told: the interval straddles the limit"] as const;

const limit: Maker = ({ limits }, seed) => {
  const random = seededRandom(`limit ${seed}`);
  const usable = limits.filter(
    ({ limit: l }) => (l.comparator === "≤" || l.comparator === "≥") && !l.levels && Number(l.target) > 0,
  );
  if (!usable.length) return null;
  const { code, statement, limit: l } = pick(usable, random);
  const target = fromSi(l.target!, l.unit).toNumber();
  const U = target * (0.01 + 0.03 * random());
  // As often inside, outside and in between.
  const away = pick([-1.3 - random(), 0.8 * (2 * random() - 1), 1.3 + random()], random);
  const shown = showUncertain(target + away * U, U / 2);
  const [value, plusMinus] = shown.split(" ± ") as [string, string];
  const seen = toSi(value, l.unit);
  const status = statusOf(
    l,
    {
      kind: "value",
      value: seen.toString(),
      U: toSi(value, l.unit)
        .minus(toSi(new Decimal(value).minus(plusMinus), l.unit))
        .toNumber(),
    },
    [],
  );
  const right = { met: verdicts[0], "not met": verdicts[1] }[status.value as "met"] ?? verdicts[2];
  return {
    kind: "limit",
    question: `What can be said of ${code}, “${statement}”?`,
    given: [`It asks for ${describeLimit(l)}.`, `A build measured ${shown}${unitOf(l.unit)}.`],
    answer: { kind: "choice", options: verdicts, right: verdicts.indexOf(right) },
    working: status.working,
  };
};

const changes = (before: Readonly<Record<string, string>>, after: Readonly<Record<string, string>>) =>
  changedVariables(before, after).map((k) => `${k} ${before[k] ?? "none"} → ${after[k] ?? "none"}`);

const pair: Maker = ({ pairs }, seed) => {
  const random = seededRandom(`pair ${seed}`);
  const count = (p: (typeof pairs)[number]) => changedVariables(p.before, p.after).length;
  const [mixed, clean] = [pairs.filter((p) => count(p) > 1), pairs.filter((p) => count(p) === 1)];
  if (!mixed.length || !clean.length) return null;
  const wrong = pick(mixed, random);
  const shown = drawOrder([wrong, ...drawOrder(clean, seed).slice(0, 2)], `pairs ${seed}`);
  const told = (p: (typeof pairs)[number]) => `${p.name}: ${changes(p.before, p.after).join("; ")}`;
  return {
    kind: "pair",
    question: "Which of these comparisons cannot say which change made the difference?",
    given: [],
    answer: { kind: "choice", options: shown.map(told), right: shown.indexOf(wrong) },
    working: makeWorking({
      title: "A confounded pair",
      result: wrong.name,
      rule: "With one variable changed a comparison is clean; with several, nobody knows which of them did it.",
      steps: shown.map((p) => `${p.name}: ${count(p)} changed`),
    }),
  };
};

const next: Maker = ({ variables }, seed) => {
  const [a, ...others] = drawOrder(variables, `next ${seed}`).filter(
    (v) => variables.filter((x) => x.team === v.team).length > 1,
  );
  const b = others.find((v) => v.team === a?.team);
  if (!a || !b) return null;
  const at = (x: string, y: string) => `${a.name} ${x}, ${b.name} ${y}`;
  const all = [at(a.one, b.one), at(a.other, b.one), at(a.one, b.other), at(a.other, b.other)];
  const mixed = drawOrder(all, `settings ${seed}`);
  const [right, ...run] = mixed as [string, string, string, string];
  return {
    kind: "next",
    question: `Which next run tells whether ${a.name} and ${b.name} act on each other?`,
    given: run.map((r) => `Run already: ${r}`),
    answer: choice(all, right, seed),
    working: makeWorking({
      title: "The next run",
      result: right,
      rule:
        "Whether two variables act on each other is seen only where both settings of one were run at both of the " +
        "other. What was run already tells the scatter, not this.",
      steps: all.map((x) => `${x}: ${x === right ? "missing" : "run"}`),
    }),
  };
};

const round: Maker = ({ measure }, seed) => {
  if (!measure) return null;
  const random = seededRandom(`round ${seed}`);
  const value = Number((measure.about * (0.7 + 0.6 * random())).toPrecision(7));
  const U = Number((value * pick([0.003, 0.02, 0.12], random) * (0.6 + random())).toPrecision(5));
  const right = showUncertain(value, U / 2);
  return {
    kind: "round",
    question: `Write this ${measure.name.toLowerCase()} with its ± as it is reported.`,
    given: [`Computed: ${value}${unitOf(measure.unit)}`, `Its expanded uncertainty: ${U}${unitOf(measure.unit)}`],
    answer: { kind: "rounded", right, unit: measure.unit },
    working: makeWorking({
      title: "Rounded to its ±",
      result: right,
      unit: measure.unit,
      rule: "The ± is rounded to two digits that count, and the value to the same place.",
      steps: [`± ${U} becomes ${right.split(" ± ")[1]}`, `${value} becomes ${right.split(" ± ")[0]}`],
      basis: ["JCGM 100 (GUM), 7.2.6"],
    }),
  };
};

const grade: Maker = ({ components }, seed) => {
  if (components.length < 2) return null;
  const random = seededRandom(`grade ${seed}`);
  const waits = random() < 0.5 ? Math.floor(random() * components.length) : -1;
  const parts = components.map(
    (c): Component => ({ key: c.key, name: c.name, weight: c.weight, source: { kind: "entered" } }),
  );
  const percents = parts.map(() => 50 + Math.floor(random() * 51));
  const none = makeWorking({ title: "", result: "", rule: "" });
  const states = new Map(
    parts.map((p, i): [string, ComponentState] => [
      p.key,
      i === waits
        ? { state: "not due", note: "not due" }
        : { state: "scored", share: String(percents[i]! / 100), working: none },
    ]),
  );
  const made = gradeOf({ components: parts, decimals: 1 }, states, new Map(), { peer: null, explained: true });
  return {
    kind: "grade",
    question: "What is this grade so far, in percent to one decimal?",
    given: parts.map((p, i) => `${p.name}, weight ${p.weight}: ${i === waits ? "not due yet" : `${percents[i]} %`}`),
    answer: { kind: "number", right: Number(made.value.grade).toFixed(1), unit: "%" },
    working: made.working,
  };
};

const fair: Maker = ({ variables, conditions }, seed) => {
  const random = seededRandom(`fair ${seed}`);
  const v = variables.length ? pick(variables, random) : null;
  const held = conditions.length ? pick(conditions, random) : null;
  if (!v || !held) return null;
  const plans = {
    right: `Three runs each, mixed: ${[v.one, v.other, v.other, v.one, v.one, v.other].join(", ")}; ${held} throughout`,
    drift: `Three runs with ${v.one} today, three with ${v.other} next week; ${held} throughout`,
    two: `Three runs each, mixed; with ${v.other} also another setting than ${held}`,
    one: `One run each; ${held} throughout`,
  };
  return {
    kind: "fair",
    question: `Which plan is a fair test of ${v.name}: ${v.one} against ${v.other}?`,
    given: [],
    answer: choice(Object.values(plans), plans.right, seed),
    working: makeWorking({
      title: "A fair test",
      result: plans.right,
      rule: "One thing is changed and the rest held; runs are repeated to see the scatter, and mixed against drift.",
      steps: [
        `${plans.drift}: what changed between the weeks changes with it`,
        `${plans.two}: two things are changed at once`,
        `${plans.one}: without a repeat nobody knows the scatter`,
      ],
    }),
  };
};

/**
 * What makes an exercise of each kind.
 * @example makers.round({ measure: null }, "1") // => null
 */
export const makers: Readonly<Record<TrainerKind, Maker>> = { limit, pair, next, round, grade, fair };
