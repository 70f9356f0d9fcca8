import * as yup from "yup";
import { judgeMethod, judgeTie } from "@/core/vocabulary/contest";
import * as c from "@/platform/schema/fields";
import { places, safety } from "./schema";

/** An event that judges mark on sheets. */
export const judgedEvent = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  criteria: yup
    .array(
      yup
        .object({
          key: c.optionalText(20),
          name: c.text(80),
          weight: c.decimal().test("share", "A weight is more than 0, at most 100.", (v) => {
            const n = Number(v);
            return n > 0 && n <= 100;
          }),
        })
        .required(),
    )
    .min(1, "Judges look at one thing at least.")
    .max(12, "At most 12 criteria.")
    .required(),
  most: yup
    .number()
    .typeError("A whole number.")
    .integer("A whole number.")
    .min(2, "At least 2.")
    .max(20, "At most 20.")
    .required(),
  method: c.oneOf(judgeMethod).required(),
  tie: c.oneOf(judgeTie).required(),
  full: c.optionalDecimal().test("least", "Nothing or more.", (v) => !v || Number(v) >= 0),
  placePoints: places(),
  ...safety,
});

/** The rules of a judged event as they are kept. */
export const judgedDefinition = yup.object({
  criteria: yup
    .array(yup.object({ key: c.text(20), name: c.text(80), weight: c.decimal() }).required())
    .min(1)
    .max(12)
    .required(),
  most: yup.number().integer().min(2).max(20).required(),
  method: c.oneOf(judgeMethod).required(),
  tie: c.oneOf(judgeTie).required(),
  full: yup.string().default(""),
  placePoints: yup.array(c.decimal().required()).max(64).default([]),
});

/** The marks of a sheet as they are kept, by criterion. */
export const sheetMarks = yup
  .mixed<Record<string, number>>()
  .required()
  .test(
    "marks",
    "Whole numbers by criterion.",
    (v) =>
      typeof v === "object" &&
      v !== null &&
      !Array.isArray(v) &&
      Object.values(v).every((n) => typeof n === "number" && Number.isInteger(n) && n >= 0 && n <= 20),
  );

/** A judge's sheet of an entry, or that the judge steps back from it. */
export const judgeSheet = yup.object({
  /** Made by the judge's device: a retry has the effect of one. */
  id: c.id(),
  entryId: c.id(),
  /** Which version of their own sheet the judge has seen; 0 for none. */
  after: yup.number().integer().min(0).required(),
  stepped: yup.boolean().default(false),
  marks: c.typedReadings(),
  note: c.optionalText(600).test("why", "Say why you step back, in a few words.", (v, x) => !x.parent.stepped || !!v),
});

/** A sheet that does not count, or counts again. */
export const asideSheet = yup.object({
  id: c.id(),
  version: c.version(),
  aside: yup.boolean().required(),
  reason: c.text(300),
});
