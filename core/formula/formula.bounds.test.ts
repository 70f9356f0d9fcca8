// What may stand in a formula and what may not: it is typed by people and evaluated for every run.
import { checkFormula, evaluateFormula } from "./formula";

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

test("names in a refusal are those that are declared", () => expect(check("Q / n")).toBe("“Q” is not one of V, W, n."));
