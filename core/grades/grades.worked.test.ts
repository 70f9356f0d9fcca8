import { makeWorking } from "@/core/working/working";
import { gradeOf } from "./grade";
import type { ComponentState, SchemeDefinition } from "./scheme";

describe("grades", () => {
  const scheme: SchemeDefinition = {
    decimals: 1,
    components: [
      { key: "r", name: "Review", weight: "50", source: { kind: "entered" } },
      { key: "p", name: "Performance", weight: "30", source: { kind: "entered" } },
      { key: "m", name: "Drawing", weight: "20", source: { kind: "entered" } },
    ],
  };
  const scored = (share: string) => ({
    state: "scored" as const,
    share,
    working: makeWorking({ title: "", result: "", rule: "" }),
  });
  test("not due is not zero, missing is", () => {
    const known = new Map([
      ["r", scored("0.8")],
      ["p", scored("0.9")],
    ]);
    expect(gradeOf(scheme, known, new Map()).value.grade).toBe("83.8");
    expect(
      gradeOf(scheme, new Map<string, ComponentState>([...known, ["m", { state: "missing", note: "" }]]), new Map())
        .value.grade,
    ).toBe("67");
    expect(
      gradeOf(scheme, new Map<string, ComponentState>([...known, ["m", { state: "excused", note: "" }]]), new Map())
        .value.grade,
    ).toBe("83.8");
  });
  test("an override stands beside the computed value", () => {
    const g = gradeOf(
      scheme,
      new Map([["r", scored("0.5")]]),
      new Map([["r", { share: "0.75", reason: "ill on the day", by: "M. Okonedo" }]]),
    );
    expect(g.value.components[0]).toMatchObject({ percent: "75", overridden: "50" });
    expect(g.value.grade).toBe("75");
  });
  test("rounding is half up, once", () =>
    expect(gradeOf({ ...scheme, decimals: 0 }, new Map([["r", scored("0.845")]]), new Map()).value.grade).toBe("85"));
});
