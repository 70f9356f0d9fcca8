import { settled } from "../quantity/number";
import { formatNumber } from "../quantity/quantity";
import { wilson } from "../stats/proportion";
import { equation, joined } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";

export interface StepRecord {
  readonly name: string;
  /** Trials that came as far as this step, and those that got past it. */
  readonly reached: number;
  readonly passed: number;
  /** Share of the trials that reached it; null where none did. */
  readonly share: number | null;
  /** Wilson's 95 % interval of that share. */
  readonly interval: readonly [number, number] | null;
}

export interface Sequence {
  readonly steps: readonly StepRecord[];
  /** Chance that a trial passes all steps: the product of their shares; null while a step was never reached. */
  readonly chain: number | null;
  /** Trials until the first success on average, 1/p; null without a chance or with none. */
  readonly trials: number | null;
  /** Place of the step whose repair gains the chain most; null where nothing fails. */
  readonly repair: number | null;
}

const percent = (share: number) => formatNumber(settled(100 * share), 0);

/**
 * A machine of steps that trigger one another: how reliable each step is, and what that makes of the chain. A trial
 * that passed `n` steps reached the step after them and stopped there. Counts outside 0 to the number of steps are an
 * error.
 * @param steps names of the steps in their order
 * @param passed steps that each trial passed without help
 * @example
 * sequenceOf(["ball", "ramp"], [2, 1, 2, 0]).value.steps.map((s) => [s.reached, s.passed])
 * // => [[4, 3], [3, 2]]
 * @example sequenceOf(["ball", "ramp"], [2, 1, 2, 0]).value.trials // => 2
 */
export function sequenceOf(steps: readonly string[], passed: readonly number[]): Computed<Sequence> {
  if (passed.some((n) => !Number.isInteger(n) || n < 0 || n > steps.length))
    throw new RangeError(`A trial passes 0 to ${steps.length} steps`);
  const records = steps.map((name, i): StepRecord => {
    const [reached, past] = [passed.filter((n) => n >= i).length, passed.filter((n) => n > i).length];
    const told = wilson(past, reached);
    return { name, reached, passed: past, share: told?.share ?? null, interval: told?.interval ?? null };
  });
  const shares = records.flatMap((r) => r.share ?? []);
  const chain = shares.length === steps.length && steps.length ? shares.reduce((p, s) => p * s, 1) : null;
  const weakest = records.reduce<number | null>((at, r, i) => {
    const least = at === null ? 1 : records[at]!.share!;
    return r.share !== null && r.share < least ? i : at;
  }, null);
  const trials = chain ? settled(1 / chain) : null;
  return {
    value: { steps: records, chain, trials, repair: weakest },
    working: makeWorking({
      title: "The chain of steps",
      result: chain === null ? "–" : percent(chain),
      unit: chain === null ? "" : "%",
      rule:
        "A step's share is how many of the trials that reached it got past it. The chain's is the product of all; " +
        "one over it is how many trials the first success takes on average.",
      steps: [
        ...records.map((r) =>
          r.share === null
            ? `${r.name}: never reached`
            : `${r.name}: ${equation([{ of: r.passed }, " ÷ ", { of: r.reached }], formatNumber(r.share, 3))}`,
        ),
        ...(chain === null ? [] : [`chain: ${equation([...joined(shares, " × ", 3), " × 100"], percent(chain))} %`]),
        ...(trials === null || chain === null
          ? []
          : [`trials: ${equation(["1 ÷ ", { of: chain, digits: 3 }], formatNumber(trials, 1))}`]),
      ],
      warnings:
        chain === null && passed.length
          ? ["No trial came as far as the last steps: of the chain nothing can be told."]
          : [],
    }),
  };
}
