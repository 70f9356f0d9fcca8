import Decimal from "decimal.js";
import { type Dimension, dimensionless, multiplyDimensions, raiseDimension } from "./dimension";

/** A unit as it is written, with its exact factor (and for temperatures its offset) to SI. */
export interface Unit {
  readonly text: string;
  readonly dimension: Dimension;
  /** SI value of one unit, an exact decimal. */
  readonly factor: Decimal;
  /** SI value of the unit's zero; not zero for °C and °F only. */
  readonly offset: Decimal;
  /** How often a full turn is counted in it (rpm: 1), and how often an angle is measured in it (rad/s: 1). */
  readonly turns: number;
  readonly radians: number;
}

/** A full turn in radians. */
export const fullTurn = new Decimal("6.2831853071795864769252867665590057683943387987502");

type Row = [symbols: string, factor: string, dimension: Dimension, offset?: string];

const length: Dimension = { L: 1 };
const time: Dimension = { T: 1 };
const mass: Dimension = { M: 1 };
const force: Dimension = { M: 1, L: 1, T: -2 };
const energy: Dimension = { M: 1, L: 2, T: -2 };
const power: Dimension = { M: 1, L: 2, T: -3 };
const pressure: Dimension = { M: 1, L: -1, T: -2 };
const volume: Dimension = { L: 3 };
const none = dimensionless;

// Exact definitions: international yard and pound (1959), litre (1964), degree Fahrenheit in kelvin. The pound-force
// uses g = 9.80665.
const rows: Row[] = [
  ["m metre meter metres meters", "1", length],
  ["km", "1000", length],
  ["mph", "0.44704", { L: 1, T: -1 }],
  ["gpm", "0.0000630901964", { L: 3, T: -1 }],
  ["cm", "0.01", length],
  ["mm", "0.001", length],
  ["µm um μm", "0.000001", length],
  ['in inch inches ″ "', "0.0254", length],
  ["ft foot feet ′ '", "0.3048", length],
  ["yd yard yards", "0.9144", length],
  ["mi mile miles", "1609.344", length],
  ["kg", "1", mass],
  ["g gram grams", "0.001", mass],
  ["mg", "0.000001", mass],
  ["t tonne", "1000", mass],
  ["lb lbs pound pounds", "0.45359237", mass],
  ["oz", "0.028349523125", mass],
  ["s sec second seconds", "1", time],
  ["ms", "0.001", time],
  ["min minute minutes", "60", time],
  ["h hr hour hours", "3600", time],
  ["d day days", "86400", time],
  ["K", "1", { K: 1 }],
  ["°C degC C", "1", { K: 1 }, "273.15"],
  ["°F degF", "0.55555555555555555555555555555556", { K: 1 }, "255.37222222222222222222222222222"],
  ["A", "1", { I: 1 }],
  ["mA", "0.001", { I: 1 }],
  ["Ah", "3600", { I: 1, T: 1 }],
  ["mAh", "3.6", { I: 1, T: 1 }],
  ["V", "1", { M: 1, L: 2, T: -3, I: -1 }],
  ["mV", "0.001", { M: 1, L: 2, T: -3, I: -1 }],
  ["Ω ohm", "1", { M: 1, L: 2, T: -3, I: -2 }],
  ["kΩ kohm", "1000", { M: 1, L: 2, T: -3, I: -2 }],
  ["F farad", "1", { M: -1, L: -2, T: 4, I: 2 }],
  ["mF", "0.001", { M: -1, L: -2, T: 4, I: 2 }],
  ["µF uF μF", "0.000001", { M: -1, L: -2, T: 4, I: 2 }],
  ["L l litre litres liter liters", "0.001", volume],
  ["mL ml", "0.000001", volume],
  ["cL", "0.00001", volume],
  ["gal gallon gallons", "0.003785411784", volume],
  ["qt quart quarts", "0.000946352946", volume],
  ["floz", "0.0000295735295625", volume],
  ["N", "1", force],
  ["kN", "1000", force],
  ["lbf", "4.4482216152605", force],
  ["Pa", "1", pressure],
  ["kPa", "1000", pressure],
  ["MPa", "1000000", pressure],
  ["bar", "100000", pressure],
  ["psi", "6894.757293168", pressure],
  ["J", "1", energy],
  ["kJ", "1000", energy],
  ["Wh", "3600", energy],
  ["kWh", "3600000", energy],
  ["W", "1", power],
  ["mW", "0.001", power],
  ["kW", "1000", power],
  ["hp", "745.69987158227022", power],
  ["ft-lb ft-lbf lb-ft lbf-ft", "1.3558179483314004", energy],
  ["in-lb in-lbf lb-in lbf-in", "0.1129848290276167", energy],
  ["oz-in in-oz ozf-in", "0.00706155181422604375", energy],
  ["Hz", "1", { T: -1 }],
  ["rpm", "0.016666666666666666666666666666667", { T: -1 }],
  ["rad", "1", none],
  ["° deg", "0.017453292519943295769236907684886", none],
  ["% percent", "0.01", none],
  ["1", "1", none],
  ["strokes stroke", "1", none],
  ["turns turn rev", "1", none],
  ["pieces piece pcs", "1", none],
  ["points point pt", "1", none],
  ["dB", "1", { dB: 1 }],
  ["money", "1", { money: 1 }],
];

const turning = new Set(["turns", "turn", "rev", "rpm"]);
const angular = new Set(["rad", "°", "deg"]);

const table = new Map<string, Unit>();
for (const [symbols, factor, dimension, offset] of rows)
  for (const text of symbols.split(" "))
    table.set(text, {
      text,
      dimension,
      factor: new Decimal(factor),
      offset: new Decimal(offset ?? 0),
      turns: turning.has(text) ? 1 : 0,
      radians: angular.has(text) ? 1 : 0,
    });

const exponents: Record<string, number> = { "²": 2, "³": 3 };

/**
 * The unit that a text names, products and quotients included; null when a part is unknown.
 * Parts are joined by `·`, `*` or a space and divided by `/`; powers are written ², ³, ^2 or ^-1.
 * @example parseUnit("L/min")?.factor.toString() // => "0.000016666666666666666667"
 * @example parseUnit("furlong") // => null
 */
export function parseUnit(text: string): Unit | null {
  const whole = text.trim().replace(/\bfl\.?\s*oz\b\.?/i, "floz");
  if (whole === "") return table.get("1")!;
  const simple = table.get(whole);
  if (simple) return simple;
  let factor = new Decimal(1);
  let dimension: Dimension = {};
  let sign = 1;
  let [turns, radians] = [0, 0];
  const parts = whole.split(/\s*([·*/])\s*|\s+/).filter((p) => p !== undefined && p !== "");
  if (parts.length === 0) return null;
  for (const part of parts) {
    if (part === "·" || part === "*") continue;
    if (part === "/") {
      sign = -1;
      continue;
    }
    const [, name, sup, caret] = /^(.*?)(?:([²³])|\^(-?\d+))?$/.exec(part) ?? [];
    const unit = table.get(name ?? "");
    if (!unit || !unit.offset.isZero()) return null;
    const power = sign * (sup ? exponents[sup]! : caret ? Number(caret) : 1);
    factor = factor.times(unit.factor.pow(power));
    dimension = multiplyDimensions(dimension, raiseDimension(unit.dimension, power));
    turns += unit.turns * power;
    radians += unit.radians * power;
  }
  return { text: whole, dimension, factor: factor.toSignificantDigits(20), offset: new Decimal(0), turns, radians };
}

/**
 * Units of the same dimension, for suggesting what would be right.
 * @example unitsLike({ M: 1 }).slice(0, 3) // => ["kg", "g", "mg"]
 */
export function unitsLike(dimension: Dimension): string[] {
  const wanted = JSON.stringify(multiplyDimensions(dimension, {}));
  return rows
    .filter(([, , d]) => JSON.stringify(multiplyDimensions(d, {})) === wanted)
    .map(([symbols]) => symbols.split(" ")[0]!);
}
