import * as yup from "yup";
import { reviewVerdict } from "@/core/vocabulary/grades";
import { packetPart, reviewKind, wishOutcome } from "@/core/vocabulary/reviews";
import * as c from "@/platform/schema/fields";
import { decimal } from "@/platform/schema/fields";

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
        individual: yup.boolean().optional(),
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
  kind: c.oneOf(reviewKind).default("design"),
  title: c.text(80),
  heldOn: c.date(),
  /** Left out: the one that the shelf has for this kind. */
  rubricId: c.optionalId(),
  takesPart: c.optionalText(200),
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
  /** Of members of the team, each alone; left out where they stay as they are. */
  persons: yup
    .array(yup.object({ criterion: yup.string().required(), person: c.id(), points: decimal() }))
    .max(200)
    .default(undefined)
    .optional(),
  /** Why it is corrected after the verdict. */
  correction: c.optionalText(300),
});

export const decide = yup.object({
  id: c.id(),
  version: c.version(),
  verdict: c.oneOf(reviewVerdict).required(),
  note: c.optionalText(2000),
});

export const action = yup.object({
  reviewId: c.id(),
  what: c.text(400),
  ownerId: c.optionalId(),
  dueOn: c.date(),
  changesDesign: yup.boolean().default(false),
});

/** What an action is closed by: words, and the build or run that shows it. */
export const closeAction = yup.object({
  id: c.id(),
  version: c.version(),
  evidence: c.text(400),
  buildId: c.optionalId(),
  runId: c.optionalId(),
});

export const actionPhoto = yup.object({ id: c.id(), base64: c.picture(), caption: c.optionalText(200) });

export const reopenAction = yup.object({ id: c.id(), version: c.version() });

export const editAction = yup.object({
  id: c.id(),
  version: c.version(),
  what: c.text(400),
  ownerId: c.optionalId(),
  dueOn: c.date(),
  changesDesign: yup.boolean().default(false),
});

export const askQuestion = yup.object({ reviewId: c.id(), raterName: c.optionalText(80), question: c.text(600) });

export const answerQuestion = yup.object({ id: c.id(), version: c.version(), answer: c.optionalText(2000) });

/** What a client found of each wish at a demonstration. */
export const demonstrate = yup.object({
  reviewId: c.id(),
  who: c.text(80),
  wishes: yup
    .array(
      yup.object({
        requirementId: c.id(),
        outcome: c.oneOf(wishOutcome).required(),
        word: c.optionalText(300),
      }),
    )
    .min(1, "Tick at least one wish.")
    .max(60)
    .required(),
});

export const editReview = yup.object({
  id: c.id(),
  version: c.version(),
  title: c.text(80),
  heldOn: c.date(),
  buildId: c.optionalId(),
  reason: c.optionalText(300),
});

export const reopenReview = yup.object({ id: c.id(), version: c.version(), reason: c.text(300) });

/** What a team shows in its packet, in its order. */
export const arrangePacket = yup.object({
  id: c.id(),
  /** What was shown before: somebody else of the team may have changed it meanwhile. */
  was: yup.array(yup.string().required()).max(packetPart.values.length).default([]),
  parts: yup
    .array(c.oneOf(packetPart).required())
    .min(1, "Show at least one part.")
    .max(packetPart.values.length)
    .required(),
  wasLeft: yup.array(yup.string().required()).max(400).default([]),
  /** What is left out of the parts, each as the part and what it is of. */
  left: yup.array(yup.string().max(200).required()).max(400).default([]),
});
