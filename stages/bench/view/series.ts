import { formatNumber, fromSi } from "@/core/quantity/quantity";
import type { Measure } from "@/core/run/protocol";
import { unitAfter } from "@/core/run/reading";
import { type Silence, silences } from "@/core/series/silence";
import type { Bucket, Taken } from "@/core/series/take";
import { crossingWay, type RunPlace, takeRule } from "@/core/vocabulary/runs";

/** The rule by which a reading is taken from a series, in words. */
export function ruleWords({ take }: Pick<Measure, "take">): string {
  if (!take) return "";
  const words = takeRule.labels[take.rule];
  if (take.rule === "mean") return `${words} of ${take.stretch} s`;
  if (take.rule === "crossing" || take.rule === "beyond")
    return (
      `${words}: ${take.level} ${take.unit}, ${crossingWay.labels[take.way ?? "up"]}` +
      `${take.stretch ? `, for ${take.stretch} s` : ""}`
    );
  return words;
}

/** In what the times of a series are best read. */
export const timeScale = (seconds: number): { readonly name: string; readonly seconds: number } =>
  seconds > 3 * 3600
    ? { name: "hours", seconds: 3600 }
    : seconds > 600
      ? { name: "minutes", seconds: 60 }
      : { name: "seconds", seconds: 1 };

/** What was taken, in the reading's unit. */
export const takenWords = (m: Measure, si: string | null): string =>
  si === null ? "nothing" : unitAfter(formatNumber(fromSi(si, m.unit)), m.unit);

/** Where the value was taken from, for the chart. */
export const takenPart = (value: Taken | null, words: string) => value && { from: value.from, to: value.to, words };

/** Where nothing came, in words; empty where that is nowhere. */
export const silentWords = (silent: readonly Silence[]): string =>
  silent.length === 0
    ? ""
    : `Nothing came ${silent
        .map((s) => `from ${formatNumber(s.from)} s to ${formatNumber(s.to)} s`)
        .join(", ")}: the curve is broken there.`;

/** A curve as it is drawn: broken where nothing came. */
export function brokenCurve(curve: readonly Bucket[]): { t: number; range: [number, number] | null }[] {
  const breaks = new Map(silences(curve.map((b) => b.t)).map((s) => [s.from, (s.from + s.to) / 2]));
  return curve.flatMap(({ t, low, high }) => {
    const middle = breaks.get(t);
    return [
      { t, range: [low, high] as [number, number] },
      ...(middle === undefined ? [] : [{ t: middle, range: null }]),
    ];
  });
}

/** What a series became, in words. */
export const becameWords = (s: { readonly attempt: number | null; readonly place: RunPlace | null }): string =>
  s.attempt === null ? "not an attempt yet" : `${s.place === "pilot" ? "pilot run" : "attempt"} ${s.attempt}`;
