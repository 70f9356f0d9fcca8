import type { Variables } from "../builds/variables";
import type { SchemeNode } from "../grades/scheme";
import type { Limit } from "../needs/requirement";
import type { TrainerKind } from "../vocabulary/handbook";
import { trainerKind } from "../vocabulary/handbook";
import { redo } from "../working/redo";
import type { Working } from "../working/working";
import { makers } from "./makers";

/** A design variable of a team, with two of its values. */
export interface Varied {
  readonly team: string;
  readonly name: string;
  readonly one: string;
  readonly other: string;
}

/** What exercises are made from: the class's own limits, builds, quantities and scheme. */
export interface TrainerFacts {
  readonly limits: readonly { readonly code: string; readonly statement: string; readonly limit: Limit }[];
  /** Builds with the one that each was made from. */
  readonly pairs: readonly { readonly name: string; readonly before: Variables; readonly after: Variables }[];
  /** A team's design variables with two values that its builds had. */
  readonly variables: readonly Varied[];
  /** What the class measures. */
  readonly measure: { readonly name: string; readonly unit: string; readonly about: number } | null;
  /** What the protocol holds, in words. */
  readonly conditions: readonly string[];
  readonly components: readonly SchemeNode[];
}

/** How an exercise is answered. */
export type AnswerForm =
  | { readonly kind: "choice"; readonly options: readonly string[]; readonly right: number }
  /** Right within half of the last digit that is asked for. */
  | { readonly kind: "number"; readonly right: string; readonly unit: string }
  /** A value and its ±, digit by digit. */
  | { readonly kind: "rounded"; readonly right: string; readonly unit: string };

export interface Exercise {
  readonly kind: TrainerKind;
  readonly question: string;
  /** What is known, a line each. */
  readonly given: readonly string[];
  readonly answer: AnswerForm;
  /** How one gets there. */
  readonly working: Working;
}

/**
 * An exercise of a kind, the same for the same facts and seed; null where the class's record has nothing to make it
 * from.
 * @example
 * exerciseOf("limit", { limits: [], pairs: [], variables: [], measure: null, conditions: [], components: [] }, "1")
 * // => null
 */
export const exerciseOf = (kind: TrainerKind, facts: TrainerFacts, seed: string): Exercise | null =>
  makers[kind](facts, seed);

/**
 * The kinds that a class's record has something for.
 * @example
 * kindsFor({ limits: [], pairs: [], variables: [], measure: null, conditions: [], components: [] })
 * // => []
 */
export const kindsFor = (facts: TrainerFacts): TrainerKind[] =>
  trainerKind.values.filter((k) => exerciseOf(k, facts, "any") !== null);

const plain = (text: string) => text.trim().replaceAll(",", ".").replaceAll("\u2212", "-").replace(/\s+/g, " ");

/**
 * Whether an answer is right; null where it is none that could be.
 * @example isRight({ kind: "number", right: "83.3", unit: "%" }, "83,34") // => true
 * @example isRight({ kind: "rounded", right: "8.62 ± 0.09", unit: "L" }, "8.6 ± 0.09") // => false
 * @example isRight({ kind: "choice", options: ["a", "b"], right: 1 }, "2") // => null
 */
export function isRight(answer: AnswerForm, given: string): boolean | null {
  const text = plain(given);
  if (answer.kind === "choice") {
    const at = /^\d+$/.test(text) ? Number(text) : Number.NaN;
    return at in answer.options ? at === answer.right : null;
  }
  const bare = text.endsWith(answer.unit) ? text.slice(0, text.length - answer.unit.length).trim() : text;
  if (answer.kind === "number") {
    if (!/^-?\d+(\.\d+)?$/.test(bare)) return null;
    const digits = answer.right.split(".")[1]?.length ?? 0;
    return Math.abs(Number(bare) - Number(plain(answer.right))) <= 0.5 * 10 ** -digits + 1e-9;
  }
  const parts = bare.split(/\s*(?:±|\+\/-)\s*/);
  if (parts.length !== 2 || parts.some((p) => redo(p.replace(/^-/, "")) === null)) return null;
  return parts.join(" ± ") === plain(answer.right);
}
