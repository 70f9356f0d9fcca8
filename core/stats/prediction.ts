import { settled } from "../quantity/number";
import { formatNumber } from "../quantity/quantity";
import { equation, joined } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";
import { mean, median } from "./describe";

/** What was expected of a build before its test, and what the test gave. */
export interface Foreseen {
  readonly name: string;
  readonly predicted: number;
  readonly measured: number;
}

export interface Foresight {
  readonly n: number;
  /** Predicted over measured, less one: above zero for hopes that were too high. Its mean. */
  readonly lean: number;
  /** Half of the predictions miss by less than this share of the measured value. */
  readonly typicalMiss: number;
  readonly sentence: string;
}

const percent = (share: number) => formatNumber(settled(100 * share), 0);

/**
 * How good predictions before the test were: the miss as a share of what was measured, its median size and its mean
 * with sign. What was measured as zero is left out; the value is null without a pair.
 * @example
 * foresight([
 *   { name: "G1", predicted: 6, measured: 5 },
 *   { name: "G2", predicted: 7, measured: 7 },
 * ]).value?.sentence
 * // => "Half of the 2 predictions miss by less than 10 %. They are 10 % too high on average."
 */
export function foresight(pairs: readonly Foreseen[]): Computed<Foresight | null> {
  const title = "Predictions before the test";
  const rule =
    "Each miss is what was predicted over what was measured, less one; shown are the median of their sizes " +
    "and their mean.";
  const used = pairs.filter((p) => p.measured !== 0);
  if (!used.length) {
    const warnings = ["No build has both a prediction and a measured value yet."];
    return { value: null, working: makeWorking({ title, result: "–", rule, warnings }) };
  }
  const misses = used.map((p) => p.predicted / p.measured - 1);
  const [lean, typicalMiss] = [mean(misses), median(misses.map(Math.abs))];
  const off = percent(Math.abs(lean));
  const way = off === "0" ? "right" : `${off} % too ${lean > 0 ? "high" : "low"}`;
  const sentence =
    used.length === 1
      ? `The one prediction is ${way}.`
      : `Half of the ${used.length} predictions miss by less than ${percent(typicalMiss)} %. ` +
        `They are ${way} on average.`;
  const shown = misses.map((m) => settled(100 * m));
  return {
    value: { n: used.length, lean, typicalMiss, sentence },
    working: makeWorking({
      title,
      result: percent(typicalMiss),
      unit: "%",
      rule,
      steps: [
        ...used.map(
          (p, i) =>
            `${p.name}: ${equation(
              [{ of: p.predicted }, " ÷ ", { of: p.measured }, " × 100 − 100"],
              formatNumber(shown[i]!, 1),
            )} %`,
        ),
        `mean: ${equation(["(", ...joined(shown, " + ", 1), `) ÷ ${used.length}`], percent(lean))} %`,
      ],
      inputs: used.flatMap((p) => [
        { label: `${p.name}, predicted`, value: formatNumber(p.predicted, 2) },
        { label: `${p.name}, measured`, value: formatNumber(p.measured, 2) },
      ]),
    }),
  };
}
