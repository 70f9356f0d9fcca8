// Every calculator against values computed a second time, its limits, its dimensions, its working.
import { checkFormula } from "../formula/check";
import { evaluateFormula } from "../formula/evaluate";
import { sameDimension } from "../quantity/dimension";
import { parseUnit } from "../quantity/units";
import { unitSystem } from "../vocabulary/project";
import { reaches } from "../working/equation";
import { type Bound, type FormulaCalculator, unitIn } from "./calculator";
import { calculatorOf, calculators } from "./calculators";
import { compute, writtenOut } from "./compute";
import { firstValue } from "./read";
import { handbookCases } from "./worked-cases";

const formulas = calculators.flatMap((c) => (c.kind === "formulas" ? [c] : []));
const named = (id: string) => calculatorOf(id) as FormulaCalculator;
const done = (id: string, typed: Readonly<Record<string, string>>) => {
  const outcome = compute(named(id), typed);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.wrong));
  return outcome;
};

test.each(handbookCases)("%s of %j", (id, typed, wanted) => {
  const got = new Map(done(id, typed).results.map((r) => [r.symbol, r.value]));
  for (const [symbol, value] of Object.entries(wanted))
    expect([symbol, Math.abs(got.get(symbol)! - value) <= 1e-7 * Math.max(1e-6, Math.abs(value))]).toEqual([
      symbol,
      true,
    ]);
});

test("every calculator has three cases, and every result of it stands in them", () => {
  for (const c of formulas) {
    const cases = handbookCases.filter(([id]) => id === c.id);
    const told = c.steps.filter((s) => !s.between).map((s) => s.symbol);
    expect([c.id, cases.length, told.filter((s) => !cases.every(([, , r]) => s in r))]).toEqual([c.id, 3, []]);
  }
  expect(new Set(calculators.map((c) => c.id)).size).toBe(calculators.length);
});

/** What leaves the limits of a formula, and whether anything is computed then. */
const outside: [id: string, typed: Record<string, string>, of: string, refused: boolean][] = [
  ["mechanical-advantage", { s1: "2" }, "η", false],
  ["pistons", { F1: "40" }, "p", false],
  ["piston-pump", { Q1: "12" }, "η", false],
  ["wind-power", { P: "6" }, "Cp", false],
  ["reynolds", {}, "Re", false],
  ["reynolds", { v: "0.1" }, "Re", false],
  ["drop-impact", { h: "0.04" }, "s", true],
  ["strip-at-one-end", { F: "100" }, "δ", false],
  ["strip-between-supports", { F: "2000" }, "δ", false],
  ["beam-reactions", { a: "601" }, "a", true],
  ["buckling", { L: "50" }, "F", false],
  ["buckling", { t: "21" }, "t", true],
  ["strips", { l: "591" }, "p", true],
  ["rectangles", { w: "700" }, "n", true],
  ["bend", { l1: "1", l2: "1" }, "L", true],
  ["bend", { R: "1" }, "R", false],
  ["mass-saving", { o: "901" }, "o", true],
  ["mass-saving", { t2: "6", o: "0" }, "r", false],
  ["led-resistor", { U: "4" }, "D", true],
  ["led-resistor", { I: "31" }, "I", false],
  ["led-resistor", { U: "24" }, "P", false],
  ["battery", { I: "1601" }, "t", false],
  ["time-constant", { T1: "4" }, "τ", true],
  ["hold-time", { Tx: "2" }, "t", true],
  ["ice-time", { Ti: "33" }, "P", true],
  ["model-speed", { n: "51" }, "w", false],
  ["floating", { V: "200" }, "u", false],
  ["stack-up", { g: "0.4" }, "c", false],
];
const says = (c: FormulaCalculator, of: string) => (c.bounds ?? []).filter((b) => b.of === of).map((b) => b.says);

test.each(outside)("%s with %j says so of %s", (id, typed, of, refused) => {
  const outcome = compute(named(id), typed);
  const said = outcome.ok ? outcome.warnings : outcome.wrong.map((w) => w.message);
  expect(outcome.ok).toBe(!refused);
  expect(says(named(id), of).some((s) => said.includes(s))).toBe(true);
});

test("every limit is tried, and a calculator's first values lie within what refuses", () => {
  const key = (id: string, b: Pick<Bound, "of">) => `${id} ${b.of}`;
  const all = formulas.flatMap((c) => (c.bounds ?? []).map((b) => key(c.id, b)));
  expect(all.toSorted()).toEqual(outside.map(([id, , of]) => `${id} ${of}`).toSorted());
  for (const c of formulas) expect([c.id, compute(c, {}).ok]).toEqual([c.id, true]);
});

test("what an entry takes is said where something else was typed", () => {
  const wrong = (id: string, typed: Record<string, string>) => {
    const outcome = compute(named(id), typed);
    return outcome.ok ? [] : outcome.wrong.map((w) => `${w.symbol}: ${w.message}`);
  };
  expect(wrong("average-speed", { t: "0" })).toEqual(["t: This is more than 0."]);
  expect(wrong("average-speed", { d: "5 kg" })).toEqual([expect.stringContaining("this field takes a length")]);
  expect(wrong("gear-pair", { η: "101" })).toEqual(["η: This lies between 0.1000 % and 100.0 %."]);
  expect(wrong("strips", { B: "-1" })).toEqual(["B: This is at least 0 mm."]);
  expect(wrong("stack-up", { d: "" })).toEqual(["d: Write at least one value; several with semicolons between."]);
  expect(wrong("efficiencies", { η: "90; 120" })).toEqual(["η: Value 2: This lies between 0.1000 % and 100.0 %."]);
  expect(wrong("average-speed", { t: "4 ± 1 ± 1" })).toEqual([
    "t: One ± stands behind a value, for example 2.0 ± 0.1.",
  ]);
  expect(wrong("resistors", { R: Array(41).fill("1").join("; ") })).toEqual(["R: At most 40 values are taken."]);
});

test("± goes through: as the bench computes it, and a whole number that it could change is named", () => {
  expect(done("average-speed", {}).results[0]!.text).toBe("2.50 ± 0.13");
  const speed = done("average-speed", { d: "10 ± 0.2 m", t: "4 ± 0.4 s" });
  const bench = evaluateFormula("d / t", { d: { value: 10, u: 0.1 }, t: { value: 4, u: 0.2 } });
  expect(speed.results[0]!.u).toBeCloseTo(bench.u, 9);
  expect(speed.working.contributions!.map((c) => [c.label, c.share.toFixed(3)])).toEqual(
    bench.contributions.map((c) => [c.symbol, c.share.toFixed(3)]),
  );
  const hold = done("time-constant", {});
  const tau = evaluateFormula("t / log((a - c) / (b - c))", {
    t: { value: 3, u: 0 },
    a: { value: 5, u: 0.25 },
    b: { value: 9, u: 0.25 },
    c: { value: 32, u: 0 },
  });
  expect(hold.results[0]!.u / tau.u).toBeCloseTo(1, 3);
  expect(done("strips", { l: "147 ± 4" }).warnings.join()).toContain("pieces from a strip: 3 instead of 4");
  expect(done("strips", { l: "140 ± 0.5" }).warnings).toEqual([]);
});

/** A step as a formula of the bench, whose dimensions are checked. */
const asFormula = (line: string) =>
  line
    .replaceAll("×", "*")
    .replaceAll("÷", "/")
    .replaceAll("−", "-")
    .replaceAll("√", "sqrt")
    .replaceAll("π", "pi")
    .replace(/\|([^|]*)\|/g, "abs($1)")
    .replace(/\bln\(/g, "log(")
    // They take plain numbers and give plain numbers, as exp does.
    .replace(/\b(whole|up)\(/g, "exp(");

test("every formula fits in its dimensions, and every unit is one in both systems", () => {
  for (const c of formulas) {
    for (const { unit } of [...c.entries, ...c.steps])
      for (const system of unitSystem.values) {
        const there = parseUnit(unitIn(unit, system));
        expect([c.id, unit, there && sameDimension(there.dimension, parseUnit(unit)!.dimension)]).toEqual([
          c.id,
          unit,
          true,
        ]);
      }
    if (c.id === "inch-fraction") continue; // it holds the length of an inch
    const lists = Object.fromEntries(c.entries.filter((e) => e.list).map((e) => [e.symbol, 2]));
    const known = new Map(
      [...c.entries, ...c.steps].flatMap((x) =>
        (x.symbol in lists ? [`${x.symbol}_1`, `${x.symbol}_2`] : [x.symbol]).map(
          (s) => [s, parseUnit(x.unit)!.dimension] as const,
        ),
      ),
    );
    for (const s of c.steps)
      expect([
        c.id,
        s.symbol,
        checkFormula(asFormula(writtenOut(s.is, lists)), known, parseUnit(s.unit)!.dimension),
      ]).toEqual([c.id, s.symbol, expect.objectContaining({ ok: true })]);
  }
});

test.each(unitSystem.values)("every line of every working, redone, reaches its figure (%s)", (system) => {
  for (const c of formulas) {
    const first = Object.fromEntries(c.entries.map((e) => [e.symbol, firstValue(e, system)]));
    const outcome = compute(c, first, system);
    if (!outcome.ok) throw new Error(`${c.id} ${JSON.stringify(outcome.wrong)}`);
    for (const line of outcome.working.steps) {
      const [, left = "", right = ""] = /^(?:in [^:]+: )?(.*?) = ([−\d.e+-]+)/.exec(line) ?? [];
      if (/^[^:]+: [\p{L}\p{N}]+ = /u.test(line)) continue; // the formula itself
      expect([c.id, line, reaches(left, right)]).toEqual([c.id, line, true]);
    }
  }
});
