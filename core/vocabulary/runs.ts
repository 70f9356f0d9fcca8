import { type Term, vocabulary, without } from "./vocabulary";

/** Which way a measured quantity is good. */
export const better = vocabulary({ more: "more is better", less: "less is better" }, ["challenge.better"]);
export type Better = Term<typeof better>;

/** Which attempt counts. */
export const attemptMethod = vocabulary({
  best: "best of n: one good attempt shows what the design can do",
  mean: "mean of n: every attempt matters, so the design must be steady",
  median: "median of n: one bad attempt is forgiven",
  last: "last: the state at the end counts",
  first: "first and only: no second chance, as in use",
  sum: "sum: the total of all attempts",
  "best-k": "best k of n: the mean of the k best attempts",
});
export type AttemptMethod = Term<typeof attemptMethod>;

/** What a foul or a no-finish does. */
export const foulMethod = vocabulary({
  out: "left out: a foul says nothing of the design",
  zero: "counts as zero: a foul is a failed attempt",
  worst: "counts as the worst: as bad as the worst valid attempt",
  where: "measured where it left the course: what it reached until then counts",
});
export type FoulMethod = Term<typeof foulMethod>;

/** The same on a bench, which has no course. */
export const benchFoulMethod = without(foulMethod, "where");

/** What a run came to. */
export const runState = vocabulary({ valid: "", foul: "", no_finish: "no finish", void: "set aside" }, ["run.state"]);
export type RunState = Term<typeof runState>;

/** What may be said of a run when it is entered. */
export const enteredState = without(runState, "void");
export type EnteredState = Term<typeof enteredState>;

/** What a reading is. */
export const readingKind = vocabulary({
  number: "a number with its unit",
  count: "a count: whole numbers",
  "yes-no": "yes or no",
  level: "a level: one of some names in their order",
});
export type ReadingKind = Term<typeof readingKind>;

/** What is taken from a series of samples. */
export const takeRule = vocabulary({
  peak: "the highest sample",
  low: "the lowest sample",
  mean: "the mean of the steadiest stretch",
  crossing: "the time at which a level is crossed",
  beyond: "the time spent beyond a level",
  integral: "the area under the curve",
});
export type TakeRule = Term<typeof takeRule>;

/** Which way a level is crossed. */
export const crossingWay = vocabulary({ up: "from below", down: "from above" });
export type CrossingWay = Term<typeof crossingWay>;

/** Where a run was made. */
export const runPlace = vocabulary({ bench: "", contest: "", pilot: "" }, ["run.place"]);
export type RunPlace = Term<typeof runPlace>;

export const readingRole = vocabulary({ measure: "", condition: "" }, ["reading.role"]);
export type ReadingRole = Term<typeof readingRole>;
