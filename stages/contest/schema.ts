import * as yup from "yup";
import * as c from "@/platform/schema/fields";
import { optionalDecimal, rule } from "@/platform/schema/fields";

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
