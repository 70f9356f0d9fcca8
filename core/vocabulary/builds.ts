import { type Term, vocabulary, without } from "./vocabulary";

/** The generations of a design, cheap material before the dear one. */
export const buildStage = vocabulary({ "mock-up": "", "proof of concept": "", prototype: "", final: "" }, [
  "build.stage",
  "milestone.gate_stage",
]);
export type BuildStage = Term<typeof buildStage>;

/** How much a failure matters. */
export const failureSeverity = vocabulary(
  {
    blemish: "blemish: it still does its work",
    worse: "worse: it works, but less well or not for long",
    stop: "stop: it no longer works",
    danger: "danger: somebody could have been hurt",
  },
  ["failure.severity"],
);
export type FailureSeverity = Term<typeof failureSeverity>;

/** Whether a fault stayed away after a build answered it; in the order in which it is told. */
export const faultState = vocabulary({
  held: "and it held",
  "came back": "and it came back",
  untested: "not run yet",
  open: "no build answers it",
});
export type FaultState = Term<typeof faultState>;

/** What failures are likely put down to; a class adds its own. */
export const failureCause = vocabulary({
  joint: "",
  brace: "",
  buckling: "",
  slip: "",
  friction: "",
  alignment: "",
  adhesive: "",
  electrical: "",
  software: "",
  handling: "",
  material: "",
});

/** Where a part comes from. */
export const partSource = vocabulary(
  { bought: "", stock: "from the school's stock", donated: "", made: "made by the team" },
  ["part_line.source"],
);
export type PartSource = Term<typeof partSource>;

/** What donated parts cost. */
export const donatedMethod = vocabulary({
  fair: "at a fair price: every design is measured by the same prices",
  zero: "nothing: what is found or given is a gain of the design",
});
export type DonatedMethod = Term<typeof donatedMethod>;

/** What is seen to at a piece, in its order. */
export const pieceStep = vocabulary(
  {
    drawn: "drawn",
    checked: "checked against the drawing",
    trial: "cheap trial seen",
    released: "released",
    cut: "cut",
    fitted: "fitted",
  },
  ["piece_step.step"],
);
export type PieceStep = Term<typeof pieceStep>;

/** What a team ticks itself; a release is the instructor's. */
export const ownStep = without(pieceStep, "released");
