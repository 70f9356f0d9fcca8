import { type Term, vocabulary } from "./vocabulary";

/** How performance turns into points. */
export const ruleKind = vocabulary({
  line: "line: straight between anchors",
  bands: "bands: thresholds earn fixed points",
  target: "target: minus points by distance",
  ratio: "ratio to the best",
  pass: "pass: all or nothing",
  place: "place: points by placing",
  levels: "levels: a named level, or a rung of a ladder, earns fixed points",
});
export type RuleKind = Term<typeof ruleKind>;

/** How the steps of a penalty count. */
export const stepMethod = vocabulary({
  complete: "complete steps only: a step begun costs nothing",
  proportional: "proportional: every part of a step costs its share",
  started: "every started step: a step begun costs the whole step",
});
export type StepMethod = Term<typeof stepMethod>;

/** Where a component of a grade comes from. */
export const componentSource = vocabulary({ rubric: "", points: "", milestone: "", entered: "" });
export type ComponentSource = Term<typeof componentSource>;

/** In what a mark is entered. */
export const markScale = vocabulary({
  percent: "percent",
  points: "points of so many",
  letters: "letters by a table",
});
export type MarkScaleKind = Term<typeof markScale>;

/** What may be entered for a component. */
export const markKind = vocabulary({ mark: "", override: "", excused: "", missing: "" }, ["entered_mark.kind"]);
export type MarkKind = Term<typeof markKind>;

/** How a review ends. */
export const reviewVerdict = vocabulary({ "go on": "", "go on with fixes": "", "stop and rework": "" }, [
  "review.verdict",
]);
export type ReviewVerdict = Term<typeof reviewVerdict>;
