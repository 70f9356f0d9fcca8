import * as yup from "yup";
import { appealOutcome, componentSource, gradedBuild, markScale, peerMethod, rounding } from "@/core/vocabulary/grades";
import * as c from "@/platform/schema/fields";
import { decimal, optionalDecimal } from "@/platform/schema/fields";
import { rule } from "@/platform/schema/rule";

const source = yup.object({
  kind: c.oneOf(componentSource).required(),
  review: yup.string().optional(),
  milestone: yup.string().optional(),
  every: yup.number().integer().optional(),
  full: optionalDecimal(),
  scale: yup
    .object({
      kind: c.oneOf(markScale).required(),
      of: optionalDecimal(),
      table: yup
        // What is wrong with a percent is said with its letter.
        .array(yup.object({ letter: c.text(8), percent: c.optionalText(8) }).required())
        .max(20)
        .optional(),
    })
    .default(undefined)
    .optional(),
  rule: rule.default(undefined).optional(),
  measure: yup
    .object({
      protocol: yup.string().optional(),
      channel: yup.string().optional(),
      build: c.oneOf(gradedBuild).optional(),
      event: yup.string().optional(),
      overall: yup.boolean().isTrue().optional(),
      recorded: yup.string().oneOf(["mass", "cost"]).optional(),
    })
    .default(undefined)
    .optional(),
});

/** What a scheme says, its parts as an outline: a group's parts follow it one deeper. */
export const definition = yup.object({
  decimals: yup.number().integer().min(0).max(3).required(),
  rounding: c.oneOf(rounding).optional(),
  most: optionalDecimal(),
  peers: yup.object({ round: yup.string().required(), low: decimal(), high: decimal() }).default(undefined).optional(),
  letters: yup
    .array(yup.object({ letter: c.text(8), from: c.optionalText(8) }).required())
    .max(20)
    .optional(),
  components: yup
    .array(
      yup.object({
        depth: yup.number().integer().min(0).max(3).default(0),
        key: yup.string().trim().required(),
        name: c.text(80),
        weight: decimal(),
        peer: yup.boolean().optional(),
        /** Of a group alone. */
        drop: yup.number().integer().optional(),
        late: yup
          .object({ perSession: decimal(), grace: yup.number().integer().required(), floor: decimal() })
          .default(undefined)
          .optional(),
        /** A group has none. */
        source: source.default(undefined).optional(),
      }),
    )
    .min(1, "A scheme has at least one component.")
    .max(60)
    .required(),
});

export const scheme = definition.shape({
  projectId: c.id(),
  baseNumber: yup.number().integer().required(),
  why: c.optionalText(400),
});

/** Marks as they are typed, each for a student's component and against the version that was seen. */
export const marks = yup.object({
  projectId: c.id(),
  marks: yup
    .array(
      yup
        .object({
          personId: c.id(),
          component: yup.string().required(),
          version: yup.number().integer().min(0).default(0),
          typed: c.optionalText(440),
        })
        .required(),
    )
    .min(1, "There is no mark to enter.")
    .max(4000, "Enter at most 4,000 marks at once.")
    .required(),
});

/** A list of marks as it comes from a spreadsheet. */
export const marksText = yup.object({
  text: yup.string().max(1_000_000, "This is larger than a class's marks.").required("Paste the list first."),
});

/** More class sessions for one student's component; none takes the extension back. */
export const extend = yup.object({
  projectId: c.id(),
  personId: c.id(),
  component: yup.string().required(),
  version: yup.number().integer().min(0).default(0),
  sessions: yup.number().integer().min(0).max(60).required(),
  reason: c.text(300),
});

export const openPeers = yup.object({
  projectId: c.id(),
  title: c.text(80),
  method: c.oneOf(peerMethod).required(),
});

export const setPeers = yup.object({ id: c.id(), version: c.version(), open: yup.boolean().required() });

/** What one student gives the others of the team. */
export const ratePeers = yup.object({
  roundId: c.id(),
  ratings: yup
    .array(
      yup
        .object({
          ratee: c.id(),
          value: yup.string().trim().required("Give everybody a number."),
          comment: c.optionalText(400),
        })
        .required(),
    )
    .min(1, "There is nobody to rate.")
    .max(20)
    .required(),
});

export const takeBackPublication = yup.object({ id: c.id(), version: c.version(), reason: c.text(300) });

export const fileAppeal = yup.object({
  id: c.id(),
  publicationId: c.id(),
  component: c.optionalText(80),
  words: c.text(1000),
});

export const answerAppeal = yup.object({
  id: c.id(),
  version: c.version(),
  outcome: c.oneOf(appealOutcome).required(),
  answer: c.text(1000),
});

export const publish = yup.object({ projectId: c.id(), sectionId: c.optionalId(), whatChanged: c.optionalText(400) });
