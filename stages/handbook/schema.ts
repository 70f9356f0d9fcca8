import * as yup from "yup";
import { calculatorOf } from "@/core/handbook/calculators";
import { handbookTarget, trainerKind } from "@/core/vocabulary/handbook";
import { unitSystem } from "@/core/vocabulary/project";
import * as c from "@/platform/schema/fields";

/** What was typed into a calculator, by field. */
export const typedInputs = yup
  .mixed<Record<string, string>>(
    (v): v is Record<string, string> =>
      typeof v === "object" &&
      v !== null &&
      !Array.isArray(v) &&
      Object.keys(v).length <= 20 &&
      Object.values(v).every((x) => typeof x === "string" && x.length <= 6000),
  )
  .required();

const calculator = () =>
  yup
    .string()
    .required()
    .test("calculator", "The handbook has no such calculator.", (id) => calculatorOf(id) !== undefined);

export const attachUse = yup.object({
  /** Made where it is pressed: pressed twice it is one. */
  id: c.id(),
  kind: c.oneOf(handbookTarget).required(),
  targetId: c.id(),
  calculator: calculator(),
  units: c.oneOf(unitSystem).required(),
  inputs: typedInputs,
  note: c.optionalText(300),
});

export const changeUse = yup.object({
  id: c.id(),
  version: c.version(),
  units: c.oneOf(unitSystem).required(),
  inputs: typedInputs,
  note: c.optionalText(300),
});

export const answerExercise = yup.object({
  /** Made where it is pressed: pressed twice it is one. */
  id: c.id(),
  projectId: c.id(),
  kind: c.oneOf(trainerKind).required(),
  seed: c.text(40),
  /** The exercise as it was shown: it is made anew, and has to be the same. */
  seen: c.text(4000),
  given: c.text(60),
});
