import { type Term, vocabulary } from "./vocabulary";

/** The generations of a design, cheap material before the dear one. */
export const buildStage = vocabulary({ "mock-up": "", "proof of concept": "", prototype: "", final: "" }, [
  "build.stage",
  "milestone.gate_stage",
]);
export type BuildStage = Term<typeof buildStage>;
