import * as yup from "yup";
import { parseUnit } from "@/core/quantity/units";
import { better } from "@/core/vocabulary/runs";
import * as c from "@/platform/schema/fields";

// Brief
/** A rule's requirement; `none` says that it is no requirement, and empty that the likely one is taken again. */
export const briefRule = yup.object({
  projectId: c.id(),
  key: c.text(400),
  requirementId: c.optionalId(),
  none: yup.boolean().default(false),
});

export const adoptRule = yup.object({ projectId: c.id(), key: c.text(400), text: c.text(600) });

export const challenge = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  title: c.text(120),
  task: c.optionalText(2000),
  heldOn: c.date(),
  measure: c.text(60),
  unit: c
    .optionalText(20)
    .test(
      "unit",
      "This unit is not known here. Write for example m, g, s, or leave it empty for a count.",
      (v) => !v || parseUnit(v) !== null,
    ),
  resolution: c
    .optionalText(20)
    .test("number", "Write how finely it is read, for example 0.01.", (v) => !v || Number(v) > 0),
  better: c.oneOf(better).default("more"),
});

export const challengeResult = yup.object({
  id: c.id(),
  challengeId: c.id(),
  who: c.text(120),
  value: yup.string().trim().required(),
});

export const brief = yup.object({
  projectId: c.id(),
  baseNumber: yup.number().integer().required(),
  body: yup.string().trim().max(60_000).required("Write the brief."),
  whatChanged: c.optionalText(400),
});

export const briefRead = yup.object({ projectId: c.id(), briefVersionId: c.id() });
