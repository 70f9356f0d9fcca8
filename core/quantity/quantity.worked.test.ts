import fc from "fast-check";
import { type Limit, statusOf } from "@/core/needs/requirement";
import { applyRule, type PointsRule } from "@/core/points/rule";
import { compareEnvelope } from "./envelope";
import { formatSi, fromSi, parseQuantity, toSi } from "./quantity";

const read = (text: string, unit: string) => {
  const parsed = parseQuantity(text, unit);
  if (!parsed.ok) throw new Error(parsed.message);
  return parsed.quantity.si;
};

describe("quantities", () => {
  test.each([
    ["4.2 L", "L", "0.0042"],
    ["3 ft 6 in", "m", "1.0668"],
    ["1:20.4", "s", "80.4"],
    ["1:02:03", "s", "3723"],
    ["5 lb", "kg", "2.26796185"],
    ["8.6", "kg", "8.6"],
    ["10 in", "mm", "0.254"],
    ["4,2 L", "L", "0.0042"],
    ["−3", "m", "-3"],
    ["18.4 °C", "°C", "291.55"],
    ["60 strokes/min", "strokes/min", "1"],
    [".5", "m", "0.5"],
  ])("%s in a field of %s", (text, unit, si) => expect(read(text, unit)).toBe(si));

  test("45° is read in radians", () => expect(Number(read("45°", "°"))).toBeCloseTo(Math.PI / 4, 12));

  test.each([
    ["5 L", "kg", "a volume"],
    ["five", "kg", "not a number"],
    ["1,200", "m", "two ways"],
    ["3 xyz", "m", "not a unit known"],
    ["", "m", "Write a number"],
    ["1:20", "m", "reads as a time"],
    ["6 in 3 ft", "m", "not a number"],
  ])("“%s” in a field of %s is refused", (text, unit, why) => {
    const r = parseQuantity(text, unit);
    expect(!r.ok && r.message).toContain(why);
  });

  test("a shown value reads back as the value", () =>
    fc.assert(
      fc.property(
        fc.integer({ min: -1_000_000, max: 1_000_000 }),
        fc.constantFrom("mm", "in", "kg", "lb", "L/min", "N", "°C", "%"),
        (n, unit) => {
          const si = toSi(n / 100, unit).toString();
          expect(fromSi(read(`${formatSi(si, unit, 2)} ${unit}`, unit), unit).toFixed(2)).toBe(
            fromSi(si, unit).toFixed(2),
          );
        },
      ),
    ));

  test("a limit in inches keeps its meaning: 254 mm is inside 10 in", () => {
    const limit: Limit = { comparator: "≤", target: read("10 in", "in"), second: null, sides: null, unit: "in" };
    expect(statusOf(limit, { kind: "value", value: read("254 mm", "mm"), U: 0 }, []).value).toBe("met");
    expect(statusOf(limit, { kind: "value", value: read("254.001 mm", "mm"), U: 0 }, []).value).toBe("not met");
  });

  test("a deviation of 0.09 m at 0.03 m a step is 3 steps", () => {
    const rule: PointsRule = {
      kind: "target",
      target: "2",
      points: "10",
      perStep: "1",
      step: "0.03",
      school: "complete",
      floor: "0",
    };
    expect(applyRule(rule, "2.09", "m").value).toBe("7");
  });

  test("an envelope compares sorted sides unless the orientation is fixed", () => {
    expect(compareEnvelope(["0.39", "0.4", "0.6"], ["0.6", "0.4", "0.4"]).every((s) => !s.margin.startsWith("-"))).toBe(
      true,
    );
    expect(
      compareEnvelope(["0.39", "0.4", "0.6"], ["0.6", "0.4", "0.4"], true).some((s) => s.margin.startsWith("-")),
    ).toBe(true);
  });
});
