import { type Term, vocabulary, without } from "./vocabulary";

/** How much a requirement matters. */
export const priority = vocabulary({ must: "", should: "", could: "" }, ["requirement_version.priority"]);
export type Priority = Term<typeof priority>;

export const requirementKind = vocabulary(
  { constraint: "constraint: a limit that must hold", criterion: "criterion: something to do well" },
  ["requirement_version.kind"],
);
export type RequirementKind = Term<typeof requirementKind>;

/** How a limit compares. */
export const comparator = vocabulary(
  {
    "≤": "≤ at most",
    "≥": "≥ at least",
    "=": "= exactly",
    "±": "± within a tolerance",
    between: "between two values",
    fits: "fits in an envelope",
    yes: "yes or no",
  },
  ["requirement_version.comparator"],
);
export type Comparator = Term<typeof comparator>;

/** Comparators of one number with one or two others. */
export const numeric = without(comparator, "fits", "yes");
/** Comparators that take a second number. */
export const twoNumbers = without(numeric, "≤", "≥", "=");
/** The two one-sided comparators. */
export const oneSided = without(comparator, "=", "±", "between", "fits", "yes");
export type OneSided = Term<typeof oneSided>;

/** How a requirement is verified. */
export const verificationMethod = vocabulary(
  {
    test: "test, under a protocol",
    inspection: "inspection: looked at or weighed",
    demonstration: "demonstration: shown working",
    analysis: "analysis: calculated",
  },
  ["requirement_version.method"],
);
export type VerificationMethod = Term<typeof verificationMethod>;

/** Where a need was heard or seen. */
export const sourceKind = vocabulary(
  { interview: "Interview", observation: "Observation", product: "Existing product", answer: "Client's answer" },
  ["source.kind"],
);
export type SourceKind = Term<typeof sourceKind>;
/** Sources that the class opens itself. */
export const openedSource = without(sourceKind, "answer");

/** What became of a change request. */
export const changeState = vocabulary({ open: "", accepted: "", declined: "" }, ["change_request.state"]);
export type ChangeState = Term<typeof changeState>;
/** How a change request is decided. */
export const changeDecision = without(changeState, "open");

/** What somebody found by looking or trying. */
export const findingOutcome = vocabulary({ met: "", partly: "partly met", "not met": "", "not applicable": "" }, [
  "evidence.finding",
]);
/** What an inspection of a build can say: partly met is for who asked to say. */
export const seenOutcome = without(findingOutcome, "partly");
export type FindingOutcome = Term<typeof findingOutcome>;

/** How a requirement stands for a build. */
export const verdict = vocabulary(
  { met: "", "not met": "", marginal: "", untested: "", stale: "", "not applicable": "" },
  ["verdict.value"],
);
export type Verdict = Term<typeof verdict>;

/** What a verdict leans on. */
export const evidenceKind = vocabulary({ run: "", build: "", finding: "" }, ["evidence.kind"]);
export type EvidenceKind = Term<typeof evidenceKind>;

/** What can be done to several requirements of the register at once. */
export const registerChange = vocabulary({ priority: "set the priority", owner: "give to", retire: "retire" });
export type RegisterChange = Term<typeof registerChange>;
