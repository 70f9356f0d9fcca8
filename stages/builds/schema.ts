import * as yup from "yup";
import { buildStage } from "@/core/vocabulary/builds";
import * as c from "@/platform/schema/fields";

export const build = yup.object({
  teamId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  stage: c.oneOf(buildStage).required(),
  builtOn: c.date(),
  whatChanged: c.text(2000),
  why: c.optionalText(2000),
  expected: c.optionalText(1000),
  predicted: c.optionalText(60),
  mass: c.quantity("kg"),
  cost: c.quantity("1"),
  sides: c.sides(),
  learned: c.optionalText(2000),
  features: c.optionalText(1000),
  variables: c
    .optionalText(2000)
    .test("variables", "Write one a line, like: stroke = 0.25 m", (v) =>
      (v ?? "").split("\n").every((l) => !l.trim() || /^[^=]+=.+$/.test(l)),
    ),
  parentId: c.optionalId(),
  physical: yup.boolean().default(false),
});

export const photo = yup.object({
  buildId: c.id(),
  caption: c.optionalText(200),
  base64: yup
    .string()
    .max(40_000_000, "The photo is larger than 28 MB. Send a smaller one.")
    .required("Choose a photo."),
});
