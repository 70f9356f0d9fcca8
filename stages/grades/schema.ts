import * as yup from "yup";
import { componentSource, markScale } from "@/core/vocabulary/grades";
import * as c from "@/platform/schema/fields";
import { decimal, optionalDecimal } from "@/platform/schema/fields";
import { rule } from "@/platform/schema/rule";

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
            kind: c.oneOf(componentSource).required(),
            review: yup.string().optional(),
            milestone: yup.string().optional(),
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

export const publish = yup.object({ projectId: c.id(), sectionId: c.optionalId(), whatChanged: c.optionalText(400) });
