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
export const componentSource = vocabulary({
  rubric: "a review's rubric",
  individual: "own part of a review's rubric",
  points: "points by a rule",
  coverage: "share of musts met",
  milestone: "a milestone passed",
  notebook: "notebook entries",
  entered: "an entered mark",
});
export type ComponentSource = Term<typeof componentSource>;

/** Which build of a team a measured value is of. */
export const gradedBuild = vocabulary({ newest: "newest tested build", best: "best build" });
export type GradedBuild = Term<typeof gradedBuild>;

/** How the end of a grade is rounded, once. */
export const rounding = vocabulary({
  "half up": "half up: 62.5 is 63",
  "half even": "halves to the even neighbour: 62.5 is 62, 63.5 is 64",
  down: "down: 62.9 is 62",
  up: "up: 62.1 is 63",
});
export type Rounding = Term<typeof rounding>;

/** How students rate their team. */
export const peerMethod = vocabulary(
  {
    ratings:
      "ratings from 1 to 5: everybody rates everybody else; the factor is the mean received over the team's mean",
    shares: "shares of 100: everybody divides 100 among the others; the factor is the mean share over an equal one",
  },
  ["peer_round.method"],
);
export type PeerMethod = Term<typeof peerMethod>;

/** By what a student is known in a list of marks. */
export const markIdentifier = vocabulary({ name: "name", email: "e-mail", login: "sign-in name or number" });
export type MarkIdentifier = Term<typeof markIdentifier>;

/** How numbers are written in a list for a spreadsheet. */
export const decimalSign = vocabulary({ point: "8.5, commas between cells", comma: "8,5, semicolons between cells" });
export type DecimalSign = Term<typeof decimalSign>;

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

/** What became of a grade that a student asked to look at again. */
export const appealOutcome = vocabulary(
  { stands: "the grade stands", changed: "the grade is changed in the next version" },
  ["appeal.outcome"],
);
export type AppealOutcome = Term<typeof appealOutcome>;

/** How a review ends. */
export const reviewVerdict = vocabulary({ "go on": "", "go on with fixes": "", "stop and rework": "" }, [
  "review.verdict",
]);
export type ReviewVerdict = Term<typeof reviewVerdict>;
