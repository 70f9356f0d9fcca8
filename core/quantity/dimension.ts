/** Exponents of the base dimensions; a missing one is zero. `money` and `dB` are kept apart from the physical ones. */
export type Dimension = Readonly<Partial<Record<"L" | "M" | "T" | "K" | "I" | "dB" | "money", number>>>;

export const dimensionless: Dimension = {};

const order = ["L", "M", "T", "K", "I", "dB", "money"] as const;

/**
 * The product of two dimensions, zero exponents left out, in a fixed order.
 * @example multiplyDimensions({ L: 1 }, { L: 2, T: -1 }) // => { L: 3, T: -1 }
 */
export function multiplyDimensions(a: Dimension, b: Dimension): Dimension {
  const out: Partial<Record<(typeof order)[number], number>> = {};
  for (const key of order) {
    const sum = (a[key] ?? 0) + (b[key] ?? 0);
    if (Math.abs(sum) > 1e-12) out[key] = sum;
  }
  return out;
}

/**
 * A dimension raised to a power.
 * @example raiseDimension({ L: 1, T: -1 }, 2) // => { L: 2, T: -2 }
 */
export function raiseDimension(a: Dimension, power: number): Dimension {
  const out: Partial<Record<(typeof order)[number], number>> = {};
  for (const key of order) if (a[key] && power !== 0) out[key] = a[key] * power;
  return out;
}

/**
 * Whether two dimensions are the same.
 * @example sameDimension({ L: 1 }, { L: 1, T: 0 }) // => true
 */
export function sameDimension(a: Dimension, b: Dimension): boolean {
  return order.every((key) => Math.abs((a[key] ?? 0) - (b[key] ?? 0)) < 1e-9);
}

const names: [string, Dimension][] = [
  ["a plain number", {}],
  ["a length", { L: 1 }],
  ["an area", { L: 2 }],
  ["a volume", { L: 3 }],
  ["a mass", { M: 1 }],
  ["a time", { T: 1 }],
  ["a temperature", { K: 1 }],
  ["a speed", { L: 1, T: -1 }],
  ["an acceleration", { L: 1, T: -2 }],
  ["a force", { M: 1, L: 1, T: -2 }],
  ["an energy", { M: 1, L: 2, T: -2 }],
  ["a power", { M: 1, L: 2, T: -3 }],
  ["a pressure", { M: 1, L: -1, T: -2 }],
  ["a flow", { L: 3, T: -1 }],
  ["a density", { M: 1, L: -3 }],
  ["a rate", { T: -1 }],
  ["a current", { I: 1 }],
  ["a sound level", { dB: 1 }],
  ["an amount of money", { money: 1 }],
];

/**
 * A dimension in words, for messages.
 * @example nameDimension({ L: 3, T: -1 }) // => "a flow"
 * @example nameDimension({ L: 4 }) // => "L^4"
 */
export function nameDimension(a: Dimension): string {
  const known = names.find(([, d]) => sameDimension(a, d));
  return known
    ? known[0]
    : order
        .filter((k) => a[k])
        .map((k) => `${k}^${a[k]}`)
        .join("·");
}
