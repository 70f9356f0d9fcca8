// What may stand in a formula and what may not: it is typed by people and evaluated for every run.
import { checkFormula } from "./check";
import { evaluateFormula, type FormulaInput } from "./evaluate";

const known = new Map([
  ["V", { L: 3 }],
  ["W", { L: 3 }],
  ["n", {}],
]);
const check = (expression: string) => {
  const c = checkFormula(expression, known);
  return c.ok ? "ok" : c.message;
};

test.each(["toString(n)", "valueOf(n)", "constructor(n)", "hasOwnProperty(n)", "__proto__(n)"])(
  "%s is no function of a formula",
  (expression) => expect(check(expression)).toMatch(/cannot stand in a formula/),
);

test.each([
  "[1, 2]",
  "V[1]",
  "n.length",
  '"text"',
  "n = 2",
  "f(x) = x",
  "n ? 1 : 2",
  "n == 1",
  "5!",
  "{a: 1}",
  "1:3",
  "true",
])("%s is refused", (expression) => expect(check(expression)).not.toBe("ok"));

test("a function takes as many quantities as it can use", () => {
  expect([check("sqrt()"), check("max()"), check("sqrt(n, n)"), check("abs(V, W)")]).toEqual([
    "sqrt takes one quantity, not 0.",
    "max takes 1 to 12 quantities, not 0.",
    "sqrt takes one quantity, not 2.",
    "abs takes one quantity, not 2.",
  ]);
  expect([check("max(V, W)"), check("min(V)"), check("sqrt(n)"), check("abs(V)")]).toEqual(["ok", "ok", "ok", "ok"]);
});

test("quantities that differ in kind are not compared, added or put where a plain number belongs", () => {
  expect(check("max(V, n)")).toMatch(/max cannot compare/);
  expect(check("sin(V)")).toMatch(/sin takes a plain number/);
  expect(check("V - n")).toMatch(/cannot be subtracted/);
  expect(check("V ^ n")).toMatch(/plain number only/);
  expect([check("V ^ 2"), check("n ^ n"), check("-V + W"), check("2 * pi * n")]).toEqual(["ok", "ok", "ok", "ok"]);
});

test("a formula has its bounds, in characters and in parts", () => {
  const sum = (parts: number) => Array(parts).fill("n").join("+");
  expect(check(sum(100))).toBe("ok");
  expect(check(sum(101))).toMatch(/too many parts/);
  expect(check("n".padEnd(400))).toBe("ok");
  expect(check("n".padEnd(401))).toBe("A formula has at most 400 characters; this one has 401.");
});

test("a broken formula that is on record already is not a number, and breaks nothing", () => {
  const inputs = { n: { value: 2, u: 0.1 } };
  for (const expression of ["toString(n)", "n +", "zz * n", "sqrt()"])
    expect([expression, evaluateFormula(expression, inputs).value]).toEqual([expression, Number.NaN]);
});

test("powers may be negative and fractions, never of a quantity that has a dimension", () => {
  expect([check("n ^ -1"), check("V ^ (1 / 3)"), check("V ^ -2"), check("V ^ (n)")]).toEqual([
    "ok",
    "ok",
    "ok",
    "a volume can be raised to a plain number only.",
  ]);
  const c = checkFormula("V ^ (1 / 3)", known, { L: 1 });
  expect([c.ok, evaluateFormula("V ^ (1 / 3)", { V: { value: 8, u: 0 } }).value]).toEqual([true, 2]);
});

test("a negative number stands in brackets, so that signs bind in the step as in the formula", () => {
  const at = (expression: string) => evaluateFormula(expression, { x: { value: -3, u: 0 }, y: { value: 3, u: 0 } });
  expect([at("x ^ 2").value, at("x ^ 2").substituted]).toEqual([9, "(-3) ^ 2"]);
  expect([at("-y ^ 2").value, at("-y ^ 2").substituted]).toEqual([-9, "-3 ^ 2"]);
});

/** What a chain of formulas comes to: each may use what stands before it. */
const chain = (inputs: Record<string, FormulaInput>, ...formulas: [string, string][]) => {
  const scope = { ...inputs };
  for (const [key, expression] of formulas) scope[key] = evaluateFormula(expression, scope);
  return scope;
};

describe("what a computed value shares with another is counted once", () => {
  const xy = { x: { value: 5, u: 0.5 }, y: { value: 3, u: 0.1 } };
  test.each([
    [
      "A = x·y, B = A/x has the u of y",
      xy,
      [
        ["A", "x * y"],
        ["B", "A / x"],
      ],
      0.1,
    ],
    [
      "x − x is exact",
      xy,
      [
        ["A", "x * 2"],
        ["B", "A - 2 * x"],
      ],
      0,
    ],
    [
      "x/t − y/t",
      { x: { value: 5, u: 0.01 }, y: { value: 4.9, u: 0.01 }, t: { value: 2, u: 0.1 } },
      [
        ["a", "x / t"],
        ["b", "y / t"],
        ["B", "a - b"],
      ],
      // (x − y)/t: √(2·(0.01/2)² + (0.1/4·0.1)²)
      Math.sqrt(2 * 0.005 ** 2 + 0.0025 ** 2),
    ],
    [
      "Q·V with Q = V/t is V²/t",
      { V: { value: 2, u: 0.01 }, t: { value: 4, u: 0.1 } },
      [
        ["Q", "V / t"],
        ["B", "Q * V"],
      ],
      Math.sqrt(((2 * 2 * 0.01) / 4) ** 2 + ((4 / 16) * 0.1) ** 2),
    ],
  ] as [string, Record<string, FormulaInput>, [string, string][], number][])("%s", (_, inputs, formulas, u) =>
    expect(chain(inputs, ...formulas).B!.u).toBeCloseTo(u, 9),
  );
  test("shares are those of the readings, and come to one", () => {
    const b = chain(xy, ["A", "x * y"], ["B", "A * x"]).B as ReturnType<typeof evaluateFormula>;
    expect(b.contributions.map((c) => c.symbol)).toEqual(["x", "y"]);
    expect(b.contributions.reduce((s, c) => s + c.share, 0)).toBeCloseTo(1, 12);
  });
});

describe("where the slope says nothing, the ± comes from a simulation", () => {
  const near = { x: { value: 2, u: 0.1 }, y: { value: 2, u: 0.1 } };
  test("a difference without its sign, of equal readings", () => {
    const r = evaluateFormula("abs(x - y)", near);
    // |N(0, √2·0.1)|: 95 % lie below 1.96·0.1414, half of which is taken.
    expect([r.simulated, r.value]).toEqual([true, 0]);
    expect(r.u).toBeCloseTo((1.96 * Math.SQRT2 * 0.1) / 2, 2);
    expect(evaluateFormula("abs(x - y)", near).u).toBe(r.u);
  });
  test("what is computed from it is simulated too", () => {
    const r = chain(near, ["d", "abs(x - y)"], ["B", "2 * d"]).B!;
    expect([r.simulated, r.u / evaluateFormula("abs(x - y)", near).u]).toEqual([true, expect.closeTo(2, 9)]);
  });
  test.each(["x ^ 2", "cos(x)", "sqrt(abs(x))", "1 / x", "max(x, 0)"])("%s at zero", (expression) => {
    const r = evaluateFormula(expression, { x: { value: expression === "1 / x" ? 0.001 : 0, u: 0.1 } });
    expect([r.simulated, r.u > 0]).toEqual([true, true]);
  });
  test.each(["2 * x", "x ^ 2", "1 / x", "sqrt(x)", "exp(x)", "abs(x)"])("%s far from zero is not", (expression) =>
    expect(evaluateFormula(expression, { x: { value: 4, u: 0.1 } }).simulated).toBe(false),
  );
});

test("names in a refusal are those that are declared", () => expect(check("Q / n")).toBe("“Q” is not one of V, W, n."));
