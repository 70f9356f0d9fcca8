import * as yup from "yup";
import { componentSource, markKind } from "@/core/vocabulary/grades";
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
  kind: c.oneOf(markKind, "none").required(),
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

export const publish = yup.object({ projectId: c.id(), sectionId: c.optionalId(), whatChanged: c.optionalText(400) });
