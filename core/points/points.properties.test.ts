import Decimal from "decimal.js";
import fc from "fast-check";
import { type AttemptMethod, attemptMethod } from "../vocabulary/runs";
import { type Attempt, countAttempts } from "./attempts";
import { applyRule, type PointsRule } from "./rule";

const decimal = (min: number, max: number) =>
  fc.integer({ min: min * 100, max: max * 100 }).map((n) => (n / 100).toString());

describe("points", () => {
  const rules: [string, PointsRule, 1 | -1][] = [
    [
      "line",
      {
        kind: "line",
        anchors: [
          { at: "2", points: "0" },
          { at: "6", points: "70" },
          { at: "9", points: "100" },
        ],
      },
      1,
    ],
    [
      "bands",
      {
        kind: "bands",
        better: "more",
        bands: [
          { at: "4", points: "50" },
          { at: "8", points: "90" },
        ],
        otherwise: "10",
      },
      1,
    ],
    [
      "bands, less",
      {
        kind: "bands",
        better: "less",
        bands: [
          { at: "4", points: "90" },
          { at: "8", points: "50" },
        ],
        otherwise: "10",
      },
      -1,
    ],
    ["ratio", { kind: "ratio", points: "100", better: "more" }, 1],
  ];
  test.each(rules)("%s never rewards the worse value", (_, rule, sign) =>
    fc.assert(
      fc.property(decimal(1, 12), decimal(1, 12), (a, b) => {
        const [pa, pb] = [a, b].map((x) => new Decimal(applyRule(rule, x, "u", { best: "12" }).value!));
        if (new Decimal(a).gt(b)) expect(pa!.minus(pb!).times(sign).gte(0)).toBe(true);
      }),
    ),
  );
  test("complete steps cost at most what proportional ones cost, started ones at least", () =>
    fc.assert(
      fc.property(decimal(0, 4), (x) => {
        const by = (school: "complete" | "proportional" | "started") =>
          new Decimal(
            applyRule(
              { kind: "target", target: "2", points: "100", perStep: "1", step: "0.03", school, floor: "0" },
              x,
              "L",
            ).value!,
          );
        expect(by("complete").gte(by("proportional")) && by("proportional").gte(by("started"))).toBe(true);
      }),
    ));
  const attempts = fc.array(
    fc.record({
      value: decimal(0, 20),
      state: fc.constantFrom("valid" as const, "foul" as const, "no_finish" as const, "void" as const),
    }),
    { maxLength: 6 },
  );
  test("every school's value lies between the worst and the best counted, the sum aside", () =>
    fc.assert(
      fc.property(
        attempts,
        fc.constantFrom(...(Object.keys(attemptMethod.labels) as AttemptMethod[]).filter((s) => s !== "sum")),
        (list, school) => {
          const r = countAttempts(list as Attempt[], { school, n: 6, k: 2, foul: "out" }, "more");
          const valid = list.filter((a) => a.state === "valid").map((a) => Number(a.value));
          if (!valid.length || (school === "first" && list.find((a) => a.state !== "void")?.state !== "valid"))
            return expect(r.value).toBeNull();
          expect(Number(r.value)).toBeGreaterThanOrEqual(Math.min(...valid) - 1e-9);
          expect(Number(r.value)).toBeLessThanOrEqual(Math.max(...valid) + 1e-9);
        },
      ),
    ));
  test("a void attempt changes nothing", () =>
    fc.assert(
      fc.property(attempts, (list) => {
        const policy = { school: "mean" as const, n: 20, foul: "zero" as const };
        expect(countAttempts([...list, { value: "99", state: "void" }] as Attempt[], policy, "more")).toEqual(
          countAttempts(list as Attempt[], policy, "more"),
        );
      }),
    ));
});
