import * as yup from "yup";
import { parseUnit } from "@/core/quantity/units";
import {
  changeDecision,
  comparator,
  findingOutcome,
  numeric,
  openedSource,
  priority,
  registerChange,
  requirementKind,
  twoNumbers,
  verificationMethod,
} from "@/core/vocabulary/needs";
import * as c from "@/platform/schema/fields";
import { ids } from "@/platform/schema/fields";
import * as q from "@/platform/schema/quantities";

// Needs
export const question = yup.object({ projectId: c.id(), text: c.text(400) });

export const editQuestion = yup.object({
  id: c.id(),
  version: c.version(),
  text: c.text(400),
  askerId: c.optionalId(),
  forClient: yup.boolean().default(false),
});

export const mergeQuestions = yup.object({ projectId: c.id(), into: c.id(), from: ids().min(1) });

export const orderQuestions = yup.object({ projectId: c.id(), ids: ids(200).min(1) });

export const dropQuestion = yup.object({ id: c.id(), dropped: yup.boolean().default(true) });

export const openQuestion = yup.object({ statementId: c.id(), text: c.text(400) });

export const answer = yup.object({ questionId: c.id(), text: c.text(4000) });

export const source = yup.object({
  projectId: c.id(),
  kind: c.oneOf(openedSource).required(),
  title: c.text(160),
  who: c.optionalText(160),
  heldOn: c.date(),
});

export const sourceState = yup.object({ id: c.id(), closed: yup.boolean().required() });

export const note = yup.object({
  id: c.id(),
  sourceId: c.id(),
  questionId: c.optionalId(),
  text: c.text(4000),
  writtenAt: yup.string().optional(),
});

export const amendNote = yup.object({ id: c.id(), version: c.version(), text: c.text(4000) });

export const statement = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  text: c.text(400),
  noteIds: ids(40),
});

export const mergeStatements = yup.object({ projectId: c.id(), into: c.id(), from: ids().min(1) });

export const tellApart = yup.object({ projectId: c.id(), a: c.id(), b: c.id() });

/** A statement is no need, for a reason; or it is taken up again. */
export const setAside = yup.object({
  id: c.id(),
  aside: yup.boolean().required(),
  reason: c.optionalText(400).when("aside", { is: true, then: (s) => s.required() }),
});

export const linkStatement = yup.object({ id: c.id(), requirementId: c.optionalId() });

export const requirementOwner = yup.object({ id: c.id(), ownerId: c.optionalId() });

export const baseline = yup.object({ projectId: c.id(), note: c.optionalText(400) });

export const changeRequest = yup.object({
  projectId: c.id(),
  requirementId: c.optionalId(),
  what: c.text(600),
  reason: c.text(600),
});

export const decideChange = yup.object({
  id: c.id(),
  version: c.version(),
  state: c.oneOf(changeDecision).required(),
  decision: c.text(600),
});

export const requirementsCsv = yup.object({
  projectId: c.id(),
  text: yup.string().trim().max(2_000_000).required("Paste the table, or choose a file."),
  commit: yup.boolean().default(false),
});

const limits = numeric.values as readonly string[];

const needsValue = (comparator: unknown) => (limits as readonly unknown[]).includes(comparator);

const inUnit = () =>
  yup
    .string()
    .trim()
    .default("")
    .test("quantity", "", (v, x) =>
      !v || !parseUnit(x.parent.unit ?? "")
        ? true
        : q.quantity(x.parent.unit).isValidSync(v) || x.createError({ message: quantityMessage(v, x.parent.unit) }),
    );

function quantityMessage(v: string, unit: string): string {
  try {
    q.quantity(unit).validateSync(v);
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
  kind: c.oneOf(requirementKind).required(),
  priority: c.oneOf(priority).required(),
  measure: c.optionalText(200),
  comparator: c.oneOf(comparator, "").default(""),
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
    (v, x) => !(twoNumbers.values as readonly string[]).includes(x.parent.comparator) || !!v,
  ),
  sides: q
    .sides()
    .test(
      "needed",
      "Give three sides, for example 600 × 400 × 400 mm.",
      (v, x) => x.parent.comparator !== "fits" || !!v,
    ),
  method: c.oneOf(verificationMethod, "").default(""),
  source: c.optionalText(600),
  reason: c.optionalText(400),
});

export const retire = yup.object({ id: c.id(), version: c.version(), reason: c.text(400) });

export const changeRequirements = yup.object({
  projectId: c.id(),
  ids: ids(200).min(1, "Choose at least one requirement."),
  change: c.oneOf(registerChange).required(),
  priority: c.oneOf(priority).default("should"),
  ownerId: c.optionalId(),
  reason: c
    .optionalText(400)
    .test("why", "Say why they no longer hold.", (v, x) => x.parent.change !== "retire" || !!v),
});

export const restore = yup.object({ id: c.id() });

export const finding = yup.object({
  requirementId: c.id(),
  buildId: c.id(),
  /** What was found; where a number was measured, the number decides. */
  outcome: c.oneOf(findingOutcome).when("value", {
    is: (v: string) => !v,
    then: (o) => o.required(),
  }),
  /** What was measured, as typed, for a requirement with a number. */
  value: c.optionalText(60),
  note: c.optionalText(400),
});

export const keep = yup.object({ requirementId: c.id(), buildId: c.id(), reason: c.text(400) });

export const keepHolding = yup.object({ requirementId: c.id(), reason: c.text(400) });

export const editSource = yup.object({
  id: c.id(),
  version: c.version(),
  title: c.text(120),
  who: c.optionalText(120),
  heldOn: c.date(),
});
