import Decimal from "decimal.js";
import { formatNumber, fromSi } from "../quantity/quantity";
import type { DonatedMethod, PartSource } from "../vocabulary/builds";
import { equation, type Part } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";

/** A line of a parts list; mass of one piece in kg and price of one, decimal texts, null where not known. */
export interface PartLine {
  readonly name: string;
  readonly count: number;
  readonly mass: string | null;
  readonly cost: string | null;
  readonly source: PartSource;
}

export interface RollUp {
  /** Of the lines that have one, SI decimal text; null where no line has. */
  readonly total: string | null;
  /** Lines without one: the total is at least so much. */
  readonly unknown: readonly string[];
  /** What each line adds, the largest first, with its share of the total. */
  readonly largest: readonly { readonly name: string; readonly adds: string; readonly share: number }[];
}

/**
 * What a parts list comes to in mass or in cost: count × one piece, summed exactly. Donated parts cost their price or
 * nothing, as the project has chosen. `unit` is what the working shows it in.
 * @example
 * rollUp(
 *   [
 *     { name: "pipe", count: 2, mass: "0.45", cost: "4.5", source: "bought" },
 *     { name: "lever", count: 1, mass: "0.3", cost: "2", source: "donated" },
 *   ],
 *   "cost",
 *   "1",
 *   "zero",
 * ).value.total
 * // => "9"
 */
export function rollUp(
  lines: readonly PartLine[],
  of: "mass" | "cost",
  unit: string,
  donated: DonatedMethod = "fair",
): Computed<RollUp> {
  const free = (l: PartLine) => of === "cost" && l.source === "donated" && donated === "zero";
  const one = (l: PartLine) => (free(l) ? "0" : l[of]);
  const known = lines.flatMap((l) => {
    const v = one(l);
    return v === null ? [] : [{ name: l.name, line: l, one: v, adds: new Decimal(v).times(l.count) }];
  });
  const total = known.reduce((s, k) => s.plus(k.adds), new Decimal(0));
  const unknown = lines.filter((l) => one(l) === null).map((l) => l.name);
  const shown = (v: Decimal.Value, digits = 3) => formatNumber(fromSi(String(v), unit), digits);
  const result = shown(total, 2);
  const sum = known.flatMap((k, i): Part[] => [
    i ? ` + ${k.line.count} × ` : `${k.line.count} × `,
    { of: fromSi(k.one, unit), digits: 2 },
  ]);
  return {
    value: {
      total: known.length ? total.toString() : null,
      unknown,
      largest: known
        .map((k) => ({ name: k.name, adds: k.adds.toString(), share: total.gt(0) ? k.adds.div(total).toNumber() : 0 }))
        .sort((a, b) => b.share - a.share),
    },
    working: makeWorking({
      title: of === "mass" ? "Mass of the parts" : "Cost of the parts",
      result: known.length ? result : "–",
      unit: unit === "1" ? "" : unit,
      rule:
        "Count times one piece, summed over the parts list." +
        (of === "cost" ? ` Donated parts cost ${donated === "zero" ? "nothing" : "their fair price"}.` : ""),
      steps: known.length ? [equation(sum, result)] : [],
      inputs: known.map((k) => ({
        label: `${k.line.count} × ${k.name}`,
        value: shown(k.one),
        unit: unit === "1" ? "" : unit,
        note: free(k.line) ? "donated: counts as nothing" : k.line.source,
      })),
      warnings: unknown.length ? [`Not known, so left out: ${unknown.join(", ")}.`] : [],
    }),
  };
}

/**
 * The parts list against the weighed whole, in words; null where one of them is not known.
 * @param listed mass of the parts list in kg
 * @param weighed mass of the whole in kg
 * @example againstWhole("4.1", "4.6", true)
 * // => "the list is 11 % below the weighed whole: something is missing in it"
 * @example againstWhole("4.6", "4.6", true) // => "the list agrees with the weighed whole"
 */
export function againstWhole(listed: string | null, weighed: string | null, complete: boolean): string | null {
  if (listed === null || weighed === null || Number(weighed) === 0) return null;
  const share = new Decimal(listed).div(weighed).minus(1).toNumber();
  const percent = formatNumber(Math.abs(100 * share), 0);
  return Math.abs(share) < 0.02
    ? "the list agrees with the weighed whole"
    : share < 0
      ? `the list is ${percent} % below the weighed whole: ` +
        (complete ? "something is missing in it" : "the parts without a mass, or something missing")
      : `the list is ${percent} % above the weighed whole: a part is counted or weighed too high`;
}
