import fc from "fast-check";
import { staleReasons } from "@/core/evidence/evidence";
import { type Limit, marginOf, nextCode, statusOf, vagueWordsIn } from "./requirement";

const decimal = (min: number, max: number) =>
  fc.integer({ min: min * 100, max: max * 100 }).map((n) => (n / 100).toString());

describe("requirements", () => {
  const limit = (comparator: Limit["comparator"], target: string, second: string | null = null): Limit => ({
    comparator,
    target,
    second,
    sides: null,
    unit: "1",
  });
  test("without uncertainty a measured requirement is never marginal, and its margin has the verdict's sign", () =>
    fc.assert(
      fc.property(decimal(0, 20), decimal(0, 20), fc.constantFrom("≤" as const, "≥" as const), (x, t, c) => {
        const { value } = statusOf(limit(c, t), { kind: "value", value: x, U: 0 }, []);
        expect(value).toBe(marginOf(limit(c, t), x)!.gte(0) ? "met" : "not met");
      }),
    ));
  test("a larger uncertainty can only make a verdict less certain", () =>
    fc.assert(
      fc.property(decimal(0, 20), decimal(0, 20), fc.double({ min: 0, max: 3, noNaN: true }), (x, t, U) => {
        const [sure, unsure] = [
          statusOf(limit("≥", t), { kind: "value", value: x, U }, []).value,
          statusOf(limit("≥", t), { kind: "value", value: x, U: U + 1 }, []).value,
        ];
        expect(unsure === sure || unsure === "marginal").toBe(true);
      }),
    ));
  test("stale beats every measured verdict, but not what does not apply", () => {
    for (const outcome of ["met", "not met"] as const)
      expect(statusOf(limit("yes", "0"), { kind: "finding", outcome, note: "" }, ["x"]).value).toBe("stale");
    expect(statusOf(limit("yes", "0"), { kind: "finding", outcome: "not applicable", note: "" }, ["x"]).value).toBe(
      "not applicable",
    );
  });
  test("evidence is fresh exactly when every version it leaned on is current", () =>
    fc.assert(
      fc.property(fc.nat(3), fc.nat(3), fc.nat(3), fc.nat(3), (a, b, c, d) =>
        expect(
          staleReasons({ requirement: a, build: b, protocol: null }, { requirement: c, build: d, protocol: 9 }).length,
        ).toBe(Number(a !== c) + Number(b !== d)),
      ),
    ));
  test("codes go on after the highest, and vague words are found only where no number stands", () => {
    expect(nextCode([])).toBe("R-01");
    expect(nextCode(["R-09", "R-100"])).toBe("R-101");
    expect(vagueWordsIn("Sturdy and easy to clean")).toEqual(["sturdy", "easy"]);
  });
});
