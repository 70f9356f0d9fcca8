import Decimal from "decimal.js";
import fc from "fast-check";
import { multiplyDimensions, raiseDimension, sameDimension } from "./dimension";
import { compareEnvelope } from "./envelope";
import { fromSi, parseQuantity, toSi } from "./quantity";
import { parseUnit } from "./units";

const decimal = (min: number, max: number) =>
  fc.integer({ min: min * 100, max: max * 100 }).map((n) => (n / 100).toString());

describe("quantities", () => {
  const units = [
    "mm",
    "in",
    "ft",
    "kg",
    "lb",
    "g",
    "L",
    "mL",
    "L/min",
    "N",
    "kPa",
    "°C",
    "°F",
    "%",
    "strokes/min",
    "m/s",
  ];
  test("to SI and back is the same number", () =>
    fc.assert(
      fc.property(decimal(-500, 500), fc.constantFrom(...units), (v, u) =>
        expect(fromSi(toSi(v, u), u).toDecimalPlaces(8).toString()).toBe(new Decimal(v).toString()),
      ),
    ));
  test("a bare number takes the field's unit", () =>
    fc.assert(
      fc.property(decimal(0, 500), fc.constantFrom(...units), (v, u) => {
        const [bare, written] = [parseQuantity(v, u), parseQuantity(`${v} ${u}`, u)];
        expect(bare.ok && written.ok && bare.quantity.si === written.quantity.si).toBe(true);
      }),
    ));
  test("feet and inches add up", () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 0, max: 11 }), (ft, inch) => {
        const r = parseQuantity(`${ft} ft ${inch} in`, "m");
        expect(r.ok && new Decimal(r.quantity.si).eq(new Decimal(ft * 12 + inch).times("0.0254"))).toBe(true);
      }),
    ));
  test("whatever is typed is understood or refused with words, never thrown", () =>
    fc.assert(
      fc.property(fc.string(), fc.constantFrom(...units), (text, u) => {
        const r = parseQuantity(text, u);
        expect(r.ok ? Number.isFinite(Number(r.quantity.si)) : r.message.length > 10).toBe(true);
      }),
    ));
  test("a product of units has the product of their dimensions", () =>
    fc.assert(
      fc.property(fc.constantFrom("m", "kg", "s", "N", "L"), fc.constantFrom("m", "s", "min", "kg"), (a, b) => {
        const whole = parseUnit(`${a}/${b}`)!;
        expect(
          sameDimension(
            whole.dimension,
            multiplyDimensions(parseUnit(a)!.dimension, raiseDimension(parseUnit(b)!.dimension, -1)),
          ),
        ).toBe(true);
      }),
    ));
  test("turning a body over changes nothing unless the orientation is fixed", () =>
    fc.assert(
      fc.property(fc.shuffledSubarray(["0.6", "0.39", "0.2"], { minLength: 3 }), (sides) => {
        expect(compareEnvelope(sides, ["0.6", "0.4", "0.4"])).toEqual(
          compareEnvelope(["0.2", "0.39", "0.6"], ["0.6", "0.4", "0.4"]),
        );
      }),
    ));
});
