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
    ["5'-6\"", "m", "1.6764"],
    ["5' 6\"", "m", "1.6764"],
    ["-0 ft 6 in", "m", "-0.1524"],
    ["-3 ft 6 in", "m", "-1.0668"],
    ["-5 °C", "°C", "268.15"],
    ["0,123 kg", "kg", "0.123"],
    ["1 500 cm", "m", "15"],
    ["1'500 mm", "mm", "1.5"],
    ["12,345.6", "kg", "12345.6"],
    ["12.345,6", "kg", "12345.6"],
    ["1,500,000", "mm", "1500"],
    ["60 rpm", "rad/s", "6.28318530717958648"],
    ["60 rpm", "rpm", "1"],
    ["360°", "turns", "1"],
    ["1 turn", "°", "6.28318530717958648"],
    ["9.81 m/s^2", "m/s²", "9.81"],
    ["2 s^-1", "Hz", "2"],
    ["$35", "1", "35"],
    ["−$2.50", "money", "-2.5"],
    ["12 3/8 in", "mm", "0.314325"],
    ["12-3/8 in", "mm", "0.314325"],
    ["3/8", "in", "0.009525"],
    ["½ in", "mm", "0.0127"],
    ["12½ in", "mm", "0.3175"],
    ["2 qt", "L", "0.001892705892"],
    ["8 fl oz", "L", "0.0002365882365"],
    ["5 ft-lb", "N·m", "6.779089741657002"],
    ["5 in-lbf", "N·m", "0.5649241451380835"],
    ["3 oz-in", "N·m", "0.0211846554426781313"],
    ["60 mph", "m/s", "26.8224"],
    ["1 hp", "W", "745.69987158227022"],
    ["5 gal/min", "L/min", "0.000315450982"],
    ["5 gpm", "L/min", "0.000315450982"],
    ["20 psi", "Pa", "137895.14586336"],
  ])("%s in a field of %s", (text, unit, si) => expect(read(text, unit)).toBe(si));

  test.each([
    ["12 3/8 in", "in", 0.0254 / 8],
    ["12.50 in", "in", 0.000254],
    ["3 ft 6 in", "m", 0.0254],
    ["1:20", "s", 1],
    ["1:20.45", "s", 0.01],
    ["1e3 m", "m", 1000],
  ])("%s is read to its last digit or part", (text, unit, step) => {
    const r = parseQuantity(text, unit);
    expect(r.ok && Number(r.quantity.resolution)).toBeCloseTo(step, 12);
  });

  test("45° is read in radians", () => expect(Number(read("45°", "°"))).toBeCloseTo(Math.PI / 4, 12));

  test.each([
    ["5 L", "kg", "a volume"],
    ["five", "kg", "cannot be read"],
    ["1,200", "m", "two ways"],
    ["3 xyz", "m", "not a unit known"],
    ["", "m", "Write a number"],
    ["1:20", "m", "reads as a time"],
    ["6 in 3 ft", "m", "cannot be read"],
    ["5 °C 3 °F", "°C", "cannot be read"],
    ["3 ft 6", "m", "the last number has no unit"],
    ["1:20.5:30", "s", "is not a time"],
    ["1:70", "s", "both go to 59"],
    ["5 /", "m", "cannot be read"],
    ["1/0", "m", "cannot be read"],
    ["5 m-3 cm", "m", "cannot be read"],
    ["1 50 cm", "m", "cannot be read"],
    ["9e400", "kg", "larger than anything"],
    ["1e-400 m", "m", "smaller than anything"],
    ["1".repeat(61), "m", "at most 60"],
    ["4.2 1", "L", "Write it like 4.2 L."],
    ["x4", "1", "Write it like 4.2."],
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
