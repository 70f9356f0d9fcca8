import type { Limit } from "../needs/requirement";
import { verdict } from "../vocabulary/needs";
import { inspectionMargin, passes } from "./inspection";

const limit = (more: Partial<Limit>): Limit => ({
  comparator: "≤",
  target: "5",
  second: null,
  sides: null,
  unit: "kg",
  ...more,
});
const value = (si: string) => ({ kind: "value" as const, value: si, U: 0 });

test.each([
  [limit({}), value("5"), "0"],
  [limit({}), value("5.2"), "-0.2"],
  [limit({ comparator: "≥" }), value("5.2"), "0.2"],
  [limit({ comparator: "between", second: "7" }), value("6.5"), "0.5"],
  [limit({ comparator: "yes", target: null }), { kind: "finding" as const, outcome: "met" as const, note: "" }, null],
])("%o with %o has the margin %s", (l, seen, wanted) => {
  expect(inspectionMargin(l, seen)).toBe(wanted);
});

test("of an envelope the side with the least room counts, whichever way the build is laid", () => {
  const box = limit({ comparator: "fits", target: null, sides: ["0.6", "0.4", "0.4"], unit: "mm" });
  const margin = (...sides: string[]) => inspectionMargin(box, { kind: "sides", sides });
  expect([margin("0.3", "0.55", "0.38"), margin("0.38", "0.3", "0.55")]).toEqual(["0.02", "0.02"]);
});

test("a must that is not kept or not looked at holds a build up, whatever else does not", () => {
  const held = (must: boolean) =>
    verdict.values.map((v) => {
      const { over, missing } = passes([{ label: "mass", must, verdict: v }]);
      return [v, over.length ? "over" : missing.length ? "missing" : "passes"];
    });
  expect(Object.fromEntries(held(true))).toMatchObject({
    met: "passes",
    "not applicable": "passes",
    "not met": "over",
    marginal: "over",
    untested: "missing",
    stale: "missing",
  });
  expect(held(false).every(([, is]) => is === "passes")).toBe(true);
});
