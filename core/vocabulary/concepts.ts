import { type Term, vocabulary, without } from "./vocabulary";

/** What became of a concept. */
export const conceptFate = vocabulary({ open: "", "goes on": "", "set aside": "", merged: "" }, ["concept.fate"]);
export type ConceptFate = Term<typeof conceptFate>;
/** Fates that are given to one concept by itself. */
export const decidedFate = without(conceptFate, "merged");

/** What a concept says of a must. */
export const claimWord = vocabulary({ yes: "meets it", no: "does not", unsure: "not sure" }, ["concept_claim.says"]);
export type ClaimWord = Term<typeof claimWord>;

/** Who selects concepts. */
export const conceptMethod = vocabulary(
  {
    client: "the client picks, with reasons",
    panel: "a panel scores",
    vote: "the class votes",
    weighted: "weighted matrix",
    datum: "datum matrix: better, same or worse",
  },
  ["selection.school"],
);
export type ConceptMethod = Term<typeof conceptMethod>;

/** Better than the datum, the same, worse. */
export const datumMark = vocabulary({ "+": "", "0": "", "−": "" });
export type DatumMark = Term<typeof datumMark>;

/** How several raters are put together. */
export const severity = vocabulary({ raw: "mean of their scores", adjusted: "adjusted for severity" });
export type Severity = Term<typeof severity>;
