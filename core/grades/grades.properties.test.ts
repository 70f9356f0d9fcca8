import fc from "fast-check";
import { checkRubric, combineSheets, type RubricDefinition, scoreSheet } from "@/core/sheet/sheet";
import { makeWorking } from "@/core/working/working";
import { gradeOf } from "./grade";
import type { ComponentState, SchemeDefinition } from "./scheme";

describe("sheets and grades", () => {
  const rubric: RubricDefinition = {
    criteria: ["a", "b"].map((key, i) => ({
      key,
      name: key,
      weight: String(i + 1),
      levels: [0, 1, 2, 3].map((p) => ({ points: String(p), descriptor: "" })),
    })),
  };
  test("a sheet's share lies between nothing and everything; an incomplete one has none and is left out", () => {
    fc.assert(
      fc.property(fc.nat(3), fc.nat(3), (a, b) => {
        const share = Number(
          scoreSheet(rubric, {
            rater: "r",
            marks: [
              { criterion: "a", points: String(a) },
              { criterion: "b", points: String(b) },
            ],
          }).value,
        );
        expect(share).toBeCloseTo((a / 3 + (2 * b) / 3) / 3, 12);
      }),
    );
    const combined = combineSheets(rubric, [
      { rater: "r", marks: [{ criterion: "a", points: "3" }] },
      {
        rater: "s",
        marks: [
          { criterion: "a", points: "3" },
          { criterion: "b", points: "0" },
        ],
      },
    ]);
    expect([Number(combined.value).toFixed(3), combined.working.warnings[0]]).toEqual([
      "0.333",
      expect.stringContaining("r's sheet is not complete"),
    ]);
    expect(
      checkRubric({ criteria: [{ key: "a", name: "A", weight: "0", levels: [{ points: "x", descriptor: "" }] }] }),
    ).toEqual([
      "A: give at least two levels.",
      "A: the weight must be above zero.",
      "A: points are numbers from 0 up.",
    ]);
  });
  test("a grade lies between its lowest and highest counting component", () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 1, maxLength: 6 }), (percents) => {
        const scheme: SchemeDefinition = {
          decimals: 3,
          components: percents.map((_, i) => ({
            key: String(i),
            name: String(i),
            weight: String(i + 1),
            source: { kind: "entered" },
          })),
        };
        const states = new Map<string, ComponentState>(
          percents.map((p, i) => [
            String(i),
            { state: "scored", share: String(p / 100), working: makeWorking({ title: "", result: "", rule: "" }) },
          ]),
        );
        const grade = Number(gradeOf(scheme, states, new Map()).value.grade);
        expect(grade >= Math.min(...percents) - 0.001 && grade <= Math.max(...percents) + 0.001).toBe(true);
      }),
    ));
});
