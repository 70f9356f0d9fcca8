import Decimal from "decimal.js";
import { formatNumber, fromSi } from "../quantity/quantity";
import { type PieceStep, pieceStep } from "../vocabulary/builds";
import { equation, type Part } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";

/** A piece as far as it is. */
export interface Making {
  readonly oneChance: boolean;
  readonly material: string;
  /** Who saw to which step, by what tells people apart. */
  readonly steps: Readonly<Partial<Record<PieceStep, string>>>;
}

/**
 * What is missing before a piece may be cut, in words; empty when nothing is. A piece that can be cut once only needs a
 * second pair of eyes on its dimensions, its sheet chosen, a cheap trial seen, and a release.
 * @example missingBeforeCut({ oneChance: false, material: "", steps: {} }) // => []
 * @example
 * missingBeforeCut({ oneChance: true, material: "3 mm acrylic", steps: { drawn: "a", checked: "a", trial: "a" } })
 * // => ["Somebody else than who drew it checks its dimensions against the drawing.", "It is not released yet."]
 */
export function missingBeforeCut({ oneChance, material, steps }: Making): string[] {
  if (!oneChance) return [];
  return [
    ...(steps.drawn ? [] : ["It is not drawn yet."]),
    ...(steps.checked && steps.checked !== steps.drawn
      ? []
      : ["Somebody else than who drew it checks its dimensions against the drawing."]),
    ...(material.trim() ? [] : ["Its sheet or stock is not chosen yet."]),
    ...(steps.trial ? [] : ["No trial in cheap material was seen yet."]),
    ...(steps.released ? [] : ["It is not released yet."]),
  ];
}

/**
 * Why a step cannot be ticked, in words; empty when it can. The piece is as it would be with the tick.
 * @example
 * refusedStep("fitted", { oneChance: false, material: "", steps: { drawn: "a" } })
 * // => ["It is not cut yet."]
 */
export function refusedStep(step: PieceStep, piece: Making): string[] {
  switch (step) {
    case "drawn":
    case "trial":
      return [];
    case "checked":
      if (!piece.steps.drawn) return ["It is not drawn yet."];
      return piece.oneChance && piece.steps.checked === piece.steps.drawn
        ? ["Who drew it does not check it: let somebody else hold it against the drawing."]
        : [];
    case "released":
      return missingBeforeCut({ ...piece, oneChance: true, steps: { ...piece.steps, released: "now" } });
    case "cut":
      return missingBeforeCut(piece);
    case "fitted":
      return piece.steps.cut ? [] : ["It is not cut yet."];
  }
}

/**
 * Why a tick cannot be taken back, in words; empty when it can: what was cut on the strength of it stays as it was.
 * @example
 * keptStep("cut", { oneChance: true, material: "", steps: { cut: "a", fitted: "a" } })
 * // => ["It is fitted already: take that back first."]
 */
export function keptStep(step: PieceStep, { oneChance, steps }: Making): string[] {
  const before = pieceStep.values.indexOf(step) < pieceStep.values.indexOf("cut");
  if (oneChance && before && steps.cut) return ["It is cut already: what was seen to before stays on record."];
  return step === "cut" && steps.fitted ? ["It is fitted already: take that back first."] : [];
}

/** A piece of a chain; lengths in metres as decimal texts. */
export interface ChainPiece {
  readonly name: string;
  readonly nominal: string;
  readonly tolerance: string | null;
  readonly measured: string | null;
}

export interface StackUp {
  /** Of the whole chain, in metres: what it should be, and what it is; unmeasured pieces are as they should be. */
  readonly nominal: string;
  readonly length: string;
  readonly deviation: string;
  /** All tolerances in the same direction, and as they usually add up (root of the sum of squares). */
  readonly worst: string;
  readonly likely: string;
  /** What to add to which piece (negative: take off) so that the chain comes inside what is likely. */
  readonly corrections: readonly { readonly name: string; readonly by: string }[];
  readonly unmeasured: readonly string[];
}

/**
 * How the deviations of pieces that stand end to end add up, and which piece to correct by how much: the one that is
 * furthest off in the chain's direction first, by no more than its own deviation, until the chain is right.
 * @param unit what the working shows it in
 * @example
 * stackUp(
 *   [
 *     { name: "Left", nominal: "0.1", tolerance: "0.0003", measured: "0.1005" },
 *     { name: "Right", nominal: "0.1", tolerance: "0.0004", measured: "0.1003" },
 *   ],
 *   "mm",
 * ).value.corrections
 * // => [{ name: "Left", by: "-0.0005" }, { name: "Right", by: "-0.0003" }]
 */
export function stackUp(pieces: readonly ChainPiece[], unit: string): Computed<StackUp> {
  const sum = (of: (p: ChainPiece) => Decimal.Value) => pieces.reduce((s, p) => s.plus(of(p)), new Decimal(0));
  const off = (p: ChainPiece) => new Decimal(p.measured ?? p.nominal).minus(p.nominal);
  const nominal = sum((p) => p.nominal);
  const deviation = sum(off);
  const worst = sum((p) => p.tolerance ?? 0);
  const likely = sum((p) => new Decimal(p.tolerance ?? 0).pow(2)).sqrt();
  const unmeasured = pieces.filter((p) => p.measured === null).map((p) => p.name);

  const corrections: { name: string; by: string }[] = [];
  if (deviation.abs().gt(likely)) {
    let left = deviation;
    const guilty = pieces
      .filter((p) => off(p).times(deviation).gt(0))
      .sort((a, b) => off(b).abs().comparedTo(off(a).abs()));
    for (const p of guilty) {
      if (left.isZero()) break;
      const by = off(p).abs().gt(left.abs()) ? left : off(p);
      corrections.push({ name: p.name, by: by.neg().toString() });
      left = left.minus(by);
    }
  }
  const shown = (si: Decimal.Value, digits = 2) => formatNumber(fromSi(new Decimal(si).toString(), unit), digits);
  const result = shown(deviation);
  const parts = pieces
    .filter((p) => p.measured !== null)
    .flatMap((p, i): Part[] => [i ? " + " : "", { of: fromSi(off(p).toString(), unit), digits: 2 }]);
  return {
    value: {
      nominal: nominal.toString(),
      length: nominal.plus(deviation).toString(),
      deviation: deviation.toString(),
      worst: worst.toString(),
      likely: likely.toString(),
      corrections,
      unmeasured,
    },
    working: makeWorking({
      title: "How the deviations add up",
      result,
      unit,
      rule:
        "Each piece's measured length less what it should be, summed along the chain; it is right while the sum is " +
        "within the root of the sum of the squared tolerances.",
      steps: parts.length ? [equation(parts, result)] : [],
      inputs: pieces.map((p) => ({
        label: p.name,
        value: p.measured === null ? "not measured" : shown(p.measured),
        unit: p.measured === null ? undefined : unit,
        note: `should be ${shown(p.nominal)}${p.tolerance === null ? "" : ` ± ${shown(p.tolerance)}`}`,
      })),
      warnings: unmeasured.length ? [`Not measured, so taken as they should be: ${unmeasured.join(", ")}.`] : [],
    }),
  };
}
