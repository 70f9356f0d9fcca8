import * as yup from "yup";
import { reviewVerdict } from "@/core/vocabulary/grades";
import { packetPart } from "@/core/vocabulary/reviews";
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
  verdict: c.oneOf(reviewVerdict).required(),
  note: c.optionalText(2000),
});

export const action = yup.object({ reviewId: c.id(), what: c.text(400), ownerId: c.optionalId(), dueOn: c.date() });

export const closeAction = yup.object({ id: c.id(), version: c.version(), evidence: c.text(400) });

export const reopenAction = yup.object({ id: c.id(), version: c.version() });

export const editAction = yup.object({
  id: c.id(),
  version: c.version(),
  what: c.text(400),
  ownerId: c.optionalId(),
  dueOn: c.date(),
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
});
