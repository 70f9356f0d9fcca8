// Fields of forms that take a quantity with its unit; apart from the others, so that a page whose forms have none does
// not carry the arithmetic of quantities.
import * as yup from "yup";
import { parseQuantity } from "@/core/quantity/quantity";
import { readSides } from "./entered";

const readable = (unit: string) => (v: string | undefined, c: yup.TestContext) => {
  if (!v) return true;
  const parsed = parseQuantity(v, unit);
  return parsed.ok || c.createError({ message: parsed.message });
};

/** A quantity as typed, checked against a unit; empty is allowed. */
export const quantity = (unit: string) => yup.string().trim().default("").test("quantity", "", readable(unit));

export const sides = (unit = "mm") =>
  yup
    .string()
    .trim()
    .default("")
    .test("sides", `Write three sides, for example 600 × 400 × 400 ${unit}.`, (v) => !v || readSides(v, unit) !== null);
