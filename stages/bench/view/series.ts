import { formatNumber, fromSi } from "@/core/quantity/quantity";
import type { Measure } from "@/core/run/protocol";
import { unitAfter } from "@/core/run/reading";
import type { Taken } from "@/core/series/take";
import { crossingWay, takeRule } from "@/core/vocabulary/runs";

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
