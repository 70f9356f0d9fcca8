import fc from "fast-check";
import { checkFormula } from "./check";
import { evaluateFormula } from "./evaluate";

describe("formulas", () => {
  const known = new Map([
    ["a", { L: 1 }],
    ["b", { L: 1 }],
    ["t", { T: 1 }],
  ]);
  test.each([
    ["a + b", true],
    ["a / t", true],
    ["sqrt(a * b)", true],
    ["a + t", false],
    ["a ^ b", false],
    ["sin(a)", false],
    ["min(a, t)", false],
    ["c", false],
    ["a;b", false],
    ["[a]", false],
    ["f(x)=x", false],
    ["a.b", false],
    ["import('x')", false],
    ["'a'", false],
  ])("%s is %s", (text, fine) => expect(checkFormula(text, known).ok).toBe(fine));
  test("an uncertainty never shrinks when an input's grows", () =>
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1, noNaN: true }), fc.double({ min: 1, max: 3, noNaN: true }), (u, k) => {
        const at = (x: number) =>
          evaluateFormula("a * b / t", { a: { value: 3, u: x }, b: { value: 2, u: 0.1 }, t: { value: 4, u: 0.1 } }).u;
        expect(at(u * k)).toBeGreaterThanOrEqual(at(u) - 1e-12);
      }),
    ));
  test("where an input bends the result at a kink, the slope is taken by differences", () => {
    const r = evaluateFormula("max(a, b)", { a: { value: 3, u: 0.1 }, b: { value: 2, u: 0.5 } });
    expect(r.u).toBeCloseTo(0.1, 6);
  });
});
