/** One thing that went into a computed figure: its value as shown, and who entered it when. */
export interface WorkingInput {
  readonly label: string;
  readonly value: string;
  readonly unit?: string;
  readonly by?: string;
  readonly at?: string;
  readonly note?: string;
}

/** How a value came about, as data: every computed figure opens into one of these. */
export interface Working {
  readonly title: string;
  readonly result: string;
  readonly unit?: string;
  /** Expanded uncertainty (k = 2) in the same unit, as shown. */
  readonly plusMinus?: string;
  /** The rule in words. */
  readonly rule: string;
  /** The arithmetic with numbers put in, a line each. */
  readonly steps: readonly string[];
  readonly inputs: readonly WorkingInput[];
  /** What the uncertainty comes from; shares of the variance add up to one. */
  readonly contributions?: readonly { label: string; share: number; note: string }[];
  readonly warnings: readonly string[];
  /** What it stands on: protocol version, rule version, school. */
  readonly basis?: readonly string[];
}

/** A computed value and its working. */
export interface Computed<T> {
  readonly value: T;
  readonly working: Working;
}

/**
 * A working with its empty lists filled in.
 * @example makeWorking({ title: "Mean", result: "2", rule: "Sum over count." }).steps // => []
 */
export function makeWorking(w: Pick<Working, "title" | "result" | "rule"> & Partial<Working>): Working {
  return { steps: [], inputs: [], warnings: [], ...w };
}
