import Decimal from "decimal.js";
import { formatNumber, fromSi } from "../quantity/quantity";
import { equation } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";

/** Where a mass or a cost stands against its limit; SI decimal texts. */
export interface Budget {
  readonly newest: string;
  /** What is left up to the limit; negative where it is over. */
  readonly left: string;
  /** The same as a share of the limit. */
  readonly contingency: number;
  /** How many more generations there will be at the pace so far, and what they come to with steps of the mean size. */
  readonly more: number;
  readonly forecast: string;
  /** What has to be saved so that the forecast keeps the limit; zero where it does. */
  readonly saving: string;
}

/**
 * A budget by generations: what is left, what it comes to by the event at the pace and with the mean step so far, and
 * what has to be saved. A forecast is no promise: it says what goes on as it went. Null without a generation.
 * @param values of the generations that can be compared, oldest first, SI decimal texts
 * @param limit the most that is allowed, SI, above zero
 * @param held class sessions since the first of them
 * @param ahead class sessions up to the event
 * @param unit what the working shows it in
 * @example
 * budgetOf({ values: ["3.6", "4.1", "4.4"], limit: "5", held: 10, ahead: 5, unit: "kg" }).value
 * // => { newest: "4.4", left: "0.6", contingency: 0.12, more: 1, forecast: "4.8", saving: "0" }
 */
export function budgetOf({
  values,
  limit,
  held,
  ahead,
  unit,
}: {
  readonly values: readonly string[];
  readonly limit: string;
  readonly held: number;
  readonly ahead: number;
  readonly unit: string;
}): Computed<Budget> | null {
  const newest = values.at(-1);
  if (newest === undefined) return null;
  const steps = values.length - 1;
  const step = steps ? new Decimal(newest).minus(values[0]!).div(steps) : new Decimal(0);
  // A design that grew lighter on the whole is not counted on to go on so.
  const grows = Decimal.max(step, 0);
  const more = held > 0 ? Math.round((steps / held) * ahead) : 0;
  const forecast = new Decimal(newest).plus(grows.times(more));
  const left = new Decimal(limit).minus(newest);
  const saving = Decimal.max(0, forecast.minus(limit));
  const shown = (si: Decimal.Value) => formatNumber(fromSi(new Decimal(si).toString(), unit), 2);
  const result = shown(forecast);
  return {
    value: {
      newest,
      left: left.toString(),
      contingency: left.div(limit).toNumber(),
      more,
      forecast: forecast.toString(),
      saving: saving.toString(),
    },
    working: makeWorking({
      title: "Forecast to the event",
      result,
      unit: unit === "1" ? "" : unit,
      rule:
        "The newest value, and a step of the mean size for each generation that there will be at the pace so far: " +
        "generations after the first over the sessions since it, times the sessions left, rounded.",
      steps: [
        `generations still to come: ${steps} ÷ ${held} × ${ahead}, rounded: ${more}`,
        equation(
          [{ of: fromSi(newest, unit), digits: 3 }, ` + ${more} × `, { of: fromSi(grows.toString(), unit), digits: 3 }],
          result,
        ),
      ],
      inputs: values.map((v, i) => ({ label: `generation ${i + 1} of those compared`, value: shown(v), unit })),
      warnings: steps < 1 ? ["One generation has no pace yet: the forecast is its own value."] : [],
    }),
  };
}

/**
 * What a saving asks of the parts, the heaviest first: which share of each would have to go, where it can be had from
 * one part alone.
 * @example
 * savingFrom([{ name: "Frame", adds: "2" }, { name: "Lever", adds: "0.4" }], "0.5")
 * // => [{ name: "Frame", share: 0.25 }]
 */
export function savingFrom(
  parts: readonly { readonly name: string; readonly adds: string }[],
  saving: string,
): { name: string; share: number }[] {
  if (!(Number(saving) > 0)) return [];
  return parts
    .filter((p) => new Decimal(p.adds).gte(saving))
    .map((p) => ({ name: p.name, share: new Decimal(saving).div(p.adds).toNumber() }))
    .sort((a, b) => a.share - b.share);
}
