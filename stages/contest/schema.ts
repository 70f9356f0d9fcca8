import * as yup from "yup";
import { noZero } from "@/core/run/protocol";
import { inspectionState, placeNumbering, tieBreak, tieRule } from "@/core/vocabulary/contest";
import { attemptMethod, better, enteredState, foulMethod } from "@/core/vocabulary/runs";
import * as c from "@/platform/schema/fields";
import { optionalDecimal } from "@/platform/schema/fields";
import { rule } from "@/platform/schema/rule";

export const event = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  protocolId: c.id(),
  channel: yup.string().required("Choose what is measured."),
  better: c.oneOf(better).required(),
  school: c.oneOf(attemptMethod).required(),
  n: yup.number().integer().min(1).max(20).required(),
  k: yup.number().integer().min(1).max(20).default(2),
  foul: c
    .oneOf(foulMethod)
    .required()
    .test("zero", noZero, (v, x) => v !== "zero" || x.parent.better !== "less"),
  ranking: c.oneOf(placeNumbering).required(),
  ties: c.oneOf(tieRule).required(),
  resolution: optionalDecimal().test(
    "needed",
    "Give the instrument's resolution, for example 0.1.",
    (v, x) => x.parent.ties !== "resolution" || Number(v) > 0,
  ),
  tieBreaks: yup.array(c.oneOf(tieBreak).required()).max(4).default([]),
  points: rule.nullable().default(null),
  seed: c.text(40),
});

/** An event's rules as they are kept. */
export const eventDefinition = event.pick(["channel", "better", "ranking", "tieBreaks", "points"]).shape({
  unit: c.optionalText(20),
  policy: event
    .pick(["school", "n", "foul"])
    .shape({ k: yup.number().integer().min(1).max(20).optional() })
    .required(),
  resolution: optionalDecimal().nullable(),
  seed: yup.string().max(40).default(""),
});

export const eventId = yup.object({ id: c.id() });

export const eventVersion = yup.object({ id: c.id(), version: c.version() });

export const drawOrder = yup.object({ id: c.id(), version: c.version(), seed: c.text(40) });

export const inspection = yup.object({
  entryId: c.id(),
  version: c.version(),
  outcome: c.oneOf(inspectionState).required(),
  note: c
    .optionalText(400)
    .test("why", "Say why it was turned away.", (v, x) => x.parent.outcome !== "turned away" || !!v),
});

export const attempt = yup.object({
  id: c.id(),
  entryId: c.id(),
  state: c.oneOf(enteredState).required(),
  reason: c.optionalText(300),
  readings: c.typedReadings(),
  /** It was asked about a reading outside its range, and it is right. */
  sure: yup.boolean().default(false),
});

export const voidAttempt = yup.object({ id: c.id(), version: c.version(), reason: c.text(300) });

export const renameEvent = yup.object({ id: c.id(), version: c.version(), name: c.text(80) });

export const changeEntry = yup.object({ id: c.id(), version: c.version(), buildId: c.id(), reason: c.text(300) });
