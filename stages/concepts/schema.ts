import * as yup from "yup";
import { claimWord, conceptMethod, decidedFate, severity } from "@/core/vocabulary/concepts";
import * as c from "@/platform/schema/fields";
import { ids, whole } from "@/platform/schema/fields";
import * as q from "@/platform/schema/quantities";

// Concepts
export const concept = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  title: c.text(120),
  idea: c.optionalText(4000),
  mass: q.quantity("kg"),
  cost: q.quantity("1"),
  sides: q.sides(),
  dimensions: c.optionalText(1000),
});

export const claim = yup.object({
  conceptId: c.id(),
  requirementId: c.id(),
  says: c.oneOf(claimWord, "").default(""),
  how: c.optionalText(600),
  estimate: c.optionalText(60),
});

export const sketch = yup.object({
  conceptId: c.id(),
  base64: yup.string().required("Choose a photo or a drawing.").max(34_000_000, "At most 25 MB."),
  caption: c.optionalText(200),
});

export const conceptFate = yup.object({
  id: c.id(),
  version: c.version(),
  fate: c.oneOf(decidedFate).required(),
  reason: c
    .optionalText(400)
    .test("why", "Say why: the reason stays on record.", (v, x) => x.parent.fate === "open" || !!v),
});

export const mergeConcepts = yup.object({
  projectId: c.id(),
  title: c.text(120),
  idea: c.optionalText(4000),
  parents: ids(6).min(2, "Choose at least two concepts."),
  reason: c.text(400),
});

const criterion = yup.object({
  key: c.text(40),
  name: c.text(80),
  weight: yup.number().moreThan(0, "A weight is above zero.").required(),
});

export const selection = yup.object({
  projectId: c.id(),
  title: c.text(120),
  school: c.oneOf(conceptMethod).required(),
  conceptIds: ids(40).min(2, "Choose at least two concepts."),
  criteria: yup
    .array(criterion)
    .max(15)
    .default([])
    .when("school", {
      is: (x: string) => x !== "client" && x !== "vote",
      then: (q) => q.min(1, "Name at least one criterion."),
    }),
  top: yup.number().min(1).max(100).default(5),
  keep: whole(1, 40).default(1),
  votes: whole(1, 20).default(1),
  datum: c.optionalId(),
  severity: c.oneOf(severity).default("raw"),
});

/** What a selection goes by, as it is kept. */
export const selectionDefinition = yup.object({
  criteria: yup.array(criterion).max(15).default([]),
  top: yup.number().min(1).max(100).required(),
  keep: whole(1, 40).required(),
  votes: whole(1, 20).required(),
  datum: yup.string().nullable().default(null),
  severity: c.oneOf(severity).required(),
  pairs: yup.mixed<Record<string, number>>((v): v is Record<string, number> => typeof v === "object").optional(),
  reweighed: yup
    .array(
      yup.object({
        before: yup.array(yup.number().required()).max(15).required(),
        sheets: whole(0, 10_000).required(),
        by: yup.string().required(),
        on: c.date(),
        reason: c.optionalText(300),
      }),
    )
    .optional(),
});

export const selectionWeights = yup.object({
  id: c.id(),
  version: c.version(),
  weights: yup.array(yup.number().moreThan(0, "A weight is above zero.").required()).max(15).required(),
  pairs: yup.mixed<Record<string, number>>().optional(),
  reason: c.optionalText(300),
});

export const selectionSheet = yup.object({
  selectionId: c.id(),
  marks: yup
    .mixed<Record<string, unknown>>(
      (v): v is Record<string, unknown> => typeof v === "object" && v !== null && JSON.stringify(v).length < 60_000,
    )
    .required(),
});

export const closeSelection = yup.object({
  id: c.id(),
  version: c.version(),
  going: ids(40),
  reasons: yup.mixed<Record<string, string>>().default({}),
});

export const selectionId = yup.object({ id: c.id() });

export const renameSelection = yup.object({ id: c.id(), version: c.version(), title: c.text(120) });
