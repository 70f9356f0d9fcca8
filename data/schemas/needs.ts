import * as yup from "yup";
import { parseUnit } from "@/core/quantity/units";
import * as c from "./common";

const limits = ["≤", "≥", "=", "±", "between"] as const;
const needsValue = (comparator: unknown) => (limits as readonly unknown[]).includes(comparator);
const inUnit = () =>
  yup
    .string()
    .trim()
    .default("")
    .test("quantity", "", (v, x) =>
      !v || !parseUnit(x.parent.unit ?? "")
        ? true
        : c.quantity(x.parent.unit).isValidSync(v) || x.createError({ message: quantityMessage(v, x.parent.unit) }),
    );
function quantityMessage(v: string, unit: string): string {
  try {
    c.quantity(unit).validateSync(v);
    return "";
  } catch (e) {
    return (e as Error).message;
  }
}

export const requirement = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  statement: c.text(400),
  kind: yup.mixed<"constraint" | "criterion">().oneOf(["constraint", "criterion"]).required(),
  priority: yup.mixed<"must" | "should" | "could">().oneOf(["must", "should", "could"]).required(),
  measure: c.optionalText(200),
  comparator: yup
    .mixed<"" | "≤" | "≥" | "=" | "±" | "between" | "fits" | "yes">()
    .oneOf(["", "≤", "≥", "=", "±", "between", "fits", "yes"])
    .default(""),
  unit: c
    .optionalText(30)
    .test(
      "unit",
      "This unit is not known here. Write for example kg, mm, L/min, N, s, %.",
      (v, x) => !needsValue(x.parent.comparator) || parseUnit(v ?? "") !== null,
    ),
  target: inUnit().test(
    "needed",
    "Give the number, for example 5.0 kg.",
    (v, x) => !needsValue(x.parent.comparator) || !!v,
  ),
  second: inUnit().test(
    "needed",
    "Give the second number: the tolerance, or the upper limit.",
    (v, x) => !["±", "between"].includes(x.parent.comparator) || !!v,
  ),
  sides: c
    .sides()
    .test(
      "needed",
      "Give three sides, for example 600 × 400 × 400 mm.",
      (v, x) => x.parent.comparator !== "fits" || !!v,
    ),
  method: yup
    .mixed<"" | "test" | "inspection" | "demonstration" | "analysis">()
    .oneOf(["", "test", "inspection", "demonstration", "analysis"])
    .default(""),
  source: c.optionalText(600),
  reason: c.optionalText(400),
});
export const retire = yup.object({ id: c.id(), version: c.version(), reason: c.text(400) });
export const restore = yup.object({ id: c.id() });
export const finding = yup.object({
  requirementId: c.id(),
  buildId: c.id(),
  outcome: yup.mixed<"met" | "not met" | "not applicable">().oneOf(["met", "not met", "not applicable"]).required(),
  note: c.optionalText(400),
});
export const keep = yup.object({ requirementId: c.id(), buildId: c.id(), reason: c.text(400) });
