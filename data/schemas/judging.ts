// Schemas of reviews, grades and the contest.
import * as yup from "yup";
import * as c from "./common";

const decimal = () =>
  yup
    .string()
    .trim()
    .required()
    .matches(/^-?\d+(\.\d+)?$/, "Write a number, for example 7.5.");
const optionalDecimal = () =>
  yup
    .string()
    .trim()
    .transform((v) => v || undefined)
    .optional()
    .matches(/^-?\d+(\.\d+)?$/, "Write a number, for example 7.5.");

export const rubric = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  criteria: yup
    .array(
      yup.object({
        key: yup.string().trim().required(),
        name: c.text(80),
        weight: decimal(),
        levels: yup
          .array(yup.object({ points: decimal(), descriptor: c.optionalText(300) }))
          .min(2, "Give at least two levels.")
          .max(8)
          .required(),
      }),
    )
    .min(1, "A rubric has at least one criterion.")
    .max(12)
    .required(),
});
export const planReviews = yup.object({
  projectId: c.id(),
  title: c.text(80),
  heldOn: c.date(),
  rubricId: c.id(),
  teamIds: yup.array(c.id()).min(1, "Choose at least one team.").max(60).required(),
});
export const sheet = yup.object({
  reviewId: c.id(),
  version: yup.number().integer().default(0),
  raterName: c.text(80),
  comment: c.optionalText(3000),
  marks: yup
    .array(yup.object({ criterion: yup.string().required(), points: decimal(), comment: c.optionalText(600) }))
    .max(12)
    .required(),
});
export const decide = yup.object({
  id: c.id(),
  version: c.version(),
  verdict: yup
    .mixed<"go on" | "go on with fixes" | "stop and rework">()
    .oneOf(["go on", "go on with fixes", "stop and rework"])
    .required(),
  note: c.optionalText(2000),
});
export const action = yup.object({ reviewId: c.id(), what: c.text(400), ownerId: c.optionalId(), dueOn: c.date() });
export const closeAction = yup.object({ id: c.id(), version: c.version(), evidence: c.text(400) });
export const reopenAction = yup.object({ id: c.id(), version: c.version() });

const rule = yup.object({
  kind: yup
    .mixed<"bands" | "line" | "target" | "ratio" | "pass" | "place">()
    .oneOf(["bands", "line", "target", "ratio", "pass", "place"])
    .required(),
  better: yup.mixed<"more" | "less">().oneOf(["more", "less"]).optional(),
  bands: yup.array(yup.object({ at: decimal(), points: decimal() })).optional(),
  anchors: yup.array(yup.object({ at: decimal(), points: decimal() })).optional(),
  points: yup.mixed<string | string[]>().optional(),
  otherwise: optionalDecimal(),
  target: optionalDecimal(),
  perStep: optionalDecimal(),
  step: optionalDecimal(),
  beyond: optionalDecimal(),
  floor: optionalDecimal(),
  limit: optionalDecimal(),
  school: yup
    .mixed<"complete" | "proportional" | "started">()
    .oneOf(["complete", "proportional", "started"])
    .optional(),
  comparator: yup.mixed<"≤" | "≥">().oneOf(["≤", "≥"]).optional(),
});
export const scheme = yup.object({
  projectId: c.id(),
  baseNumber: yup.number().integer().required(),
  decimals: yup.number().integer().min(0).max(3).required(),
  components: yup
    .array(
      yup.object({
        key: yup.string().trim().required(),
        name: c.text(80),
        weight: decimal(),
        source: yup
          .object({
            kind: yup
              .mixed<"rubric" | "points" | "milestone" | "entered">()
              .oneOf(["rubric", "points", "milestone", "entered"])
              .required(),
            review: yup.string().optional(),
            milestone: yup.string().optional(),
            full: optionalDecimal(),
            rule: rule.default(undefined).optional(),
            measure: yup
              .object({
                protocol: yup.string().optional(),
                channel: yup.string().optional(),
                event: yup.string().optional(),
              })
              .default(undefined)
              .optional(),
          })
          .required(),
      }),
    )
    .min(1, "A scheme has at least one component.")
    .max(20)
    .required(),
});
export const mark = yup.object({
  projectId: c.id(),
  personId: c.id(),
  component: yup.string().required(),
  version: yup.number().integer().default(0),
  kind: yup
    .mixed<"mark" | "override" | "excused" | "missing" | "none">()
    .oneOf(["mark", "override", "excused", "missing", "none"])
    .required(),
  percent: optionalDecimal().test(
    "needed",
    "Give the percent, 0 to 120.",
    (v, x) => !["mark", "override"].includes(x.parent.kind) || (v !== undefined && Number(v) >= 0 && Number(v) <= 120),
  ),
  reason: c
    .optionalText(400)
    .test(
      "why",
      "Say why, so that the student can read it.",
      (v, x) => !["override", "excused", "missing"].includes(x.parent.kind) || !!v,
    ),
});
export const publish = yup.object({ projectId: c.id(), whatChanged: c.optionalText(400) });

export const event = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  protocolId: c.id(),
  channel: yup.string().required("Choose what is measured."),
  better: yup.mixed<"more" | "less">().oneOf(["more", "less"]).required(),
  school: yup
    .mixed<"best" | "mean" | "median" | "last" | "first" | "sum" | "best-k">()
    .oneOf(["best", "mean", "median", "last", "first", "sum", "best-k"])
    .required(),
  n: yup.number().integer().min(1).max(20).required(),
  k: yup.number().integer().min(1).max(20).default(2),
  foul: yup.mixed<"out" | "zero" | "worst">().oneOf(["out", "zero", "worst"]).required(),
  ranking: yup.mixed<"competition" | "dense" | "shared">().oneOf(["competition", "dense", "shared"]).required(),
  ties: yup.mixed<"resolution" | "digits">().oneOf(["resolution", "digits"]).required(),
  resolution: optionalDecimal().test(
    "needed",
    "Give the instrument's resolution, for example 0.1.",
    (v, x) => x.parent.ties !== "resolution" || Number(v) > 0,
  ),
  tieBreaks: yup
    .array(
      yup.mixed<"second" | "lighter" | "earlier" | "lot">().oneOf(["second", "lighter", "earlier", "lot"]).required(),
    )
    .max(4)
    .default([]),
  points: rule.nullable().default(null),
  seed: c.text(40),
});
export const eventId = yup.object({ id: c.id() });
export const eventVersion = yup.object({ id: c.id(), version: c.version() });
export const drawOrder = yup.object({ id: c.id(), version: c.version(), seed: c.text(40) });
export const inspection = yup.object({
  entryId: c.id(),
  version: c.version(),
  outcome: yup.mixed<"waiting" | "passed" | "turned away">().oneOf(["waiting", "passed", "turned away"]).required(),
  note: c
    .optionalText(400)
    .test("why", "Say why it was turned away.", (v, x) => x.parent.outcome !== "turned away" || !!v),
});
export const attempt = yup.object({
  id: c.id(),
  entryId: c.id(),
  state: yup.mixed<"valid" | "foul" | "no_finish">().oneOf(["valid", "foul", "no_finish"]).required(),
  reason: c.optionalText(300),
  readings: c.typedReadings(),
});
export const voidAttempt = yup.object({ id: c.id(), version: c.version(), reason: c.text(300) });
