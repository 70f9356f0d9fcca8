import * as yup from "yup";
import { ruleKind, stepMethod } from "@/core/vocabulary/grades";
import { oneSided } from "@/core/vocabulary/needs";
import { better } from "@/core/vocabulary/runs";
import { decimal, oneOf, optionalDecimal, text } from "./fields";

/** A points rule as its form sends it; what a kind of rule needs besides is checked where the rule is read. */
export const rule = yup.object({
  kind: oneOf(ruleKind).required(),
  better: oneOf(better).optional(),
  bands: yup.array(yup.object({ at: decimal(), points: decimal() })).optional(),
  anchors: yup.array(yup.object({ at: decimal(), points: decimal() })).optional(),
  points: yup.mixed<string | string[]>().optional(),
  levels: yup
    .array(yup.object({ name: text(60), points: decimal() }))
    .max(20)
    .default(undefined)
    .optional(),
  none: optionalDecimal(),
  otherwise: optionalDecimal(),
  target: optionalDecimal(),
  perStep: optionalDecimal(),
  step: optionalDecimal(),
  beyond: optionalDecimal(),
  floor: optionalDecimal(),
  limit: optionalDecimal(),
  school: oneOf(stepMethod).optional(),
  comparator: oneOf(oneSided).optional(),
});
