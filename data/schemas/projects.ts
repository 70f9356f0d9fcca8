import * as yup from "yup";
import * as c from "./common";

const fields = {
  title: c.text(120),
  purpose: c.optionalText(300),
  kind: yup.mixed<"client" | "contest" | "both">().oneOf(["client", "contest", "both"]).required(),
  client: c.optionalText(120),
  startsOn: c.date(),
  endsOn: c.date().test("after", "The last day is before the first day.", (v, x) => !v || v >= x.parent.startsOn),
  eventOn: c
    .optionalDate()
    .test(
      "within",
      "The event lies outside the project's dates.",
      (v, x) => !v || (v >= x.parent.startsOn && v <= x.parent.endsOn),
    ),
  currency: c.optionalText(8),
};
const days = () =>
  yup.array(yup.number().integer().min(1).max(7).required()).min(1, "Choose at least one weekday.").required();
const section = yup.object({
  name: c.text(60),
  pattern: yup.mixed<"weekdays" | "cycle">().oneOf(["weekdays", "cycle"]).default("weekdays"),
  days: yup
    .array(yup.number().integer().min(1).max(7).required())
    .default([])
    .when("pattern", { is: "weekdays", then: () => days() }),
  cycleLength: yup.number().integer().min(2).max(12).default(2),
  cycleDay: yup
    .number()
    .integer()
    .min(1)
    .max(12)
    .default(1)
    .test("in", "The day lies outside the cycle.", (v, x) => (v ?? 1) <= (x.parent.cycleLength ?? 12)),
});

export const newProject = yup.object({
  ...fields,
  sections: yup.array(section).min(1, "A project runs in at least one section.").max(12).required(),
  daysOff: c.optionalText(4000),
});
export const editProject = yup.object({ projectId: c.id(), version: c.version(), ...fields });
export const newSection = section.shape({ projectId: c.id() });
export const project = yup.object({ projectId: c.id() });
export const daysOff = yup.object({ projectId: c.id(), text: c.text(4000), sectionId: c.optionalId() });
export const dayOffId = yup.object({ id: c.id() });
export const milestone = yup.object({
  projectId: c.id(),
  title: c.text(120),
  dueOn: c.date(),
  scope: yup.mixed<"team" | "person">().oneOf(["team", "person"]).default("team"),
});
export const milestoneId = yup.object({ id: c.id() });
export const milestoneCheck = yup.object({
  milestoneId: c.id(),
  teamId: c.optionalId(),
  personId: c.optionalId(),
  doneOn: c.optionalDate(),
});
export const edition = yup.object({
  projectId: c.id(),
  title: c.text(120),
  startsOn: c.date(),
  endsOn: c.date(),
  eventOn: c.optionalDate(),
});

export const brief = yup.object({
  projectId: c.id(),
  baseNumber: yup.number().integer().required(),
  body: yup.string().trim().max(60_000).required("Write the brief."),
  whatChanged: c.optionalText(400),
});
export const briefRead = yup.object({ projectId: c.id(), briefVersionId: c.id() });
