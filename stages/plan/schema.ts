import * as yup from "yup";
import { buildStage } from "@/core/vocabulary/builds";
import { gateItemKind, milestoneScope, patternKind, projectKind } from "@/core/vocabulary/project";
import * as c from "@/platform/schema/fields";
import { ids, whole } from "@/platform/schema/fields";

// Plan
export const sectionPattern = yup.object({
  projectId: c.id(),
  sectionId: c.id(),
  version: c.version(),
  pattern: c.oneOf(patternKind).required(),
  days: yup.array(whole(1, 7).required()).default([]),
  double: yup.array(whole(1, 12).required()).default([]),
  cycleLength: whole(2, 12).default(2),
  meets: yup.array(whole(1, 12).required()).default([]),
  cycleStart: c.optionalDate(),
  startsOn: c.optionalDate(),
  endsOn: c.optionalDate(),
  eventOn: c.optionalDate(),
});

/** A meeting pattern as it is kept. */
export const meetingPattern = yup.object({
  kind: c.oneOf(patternKind).required(),
  days: yup.array(whole(1, 7).required()).when("kind", { is: "weekdays", then: (q) => q.required() }),
  double: yup.array(whole(1, 12).required()).optional(),
  length: whole(2, 12).when("kind", { is: "cycle", then: (q) => q.required() }),
  meets: yup.array(whole(1, 12).required()).when("kind", { is: "cycle", then: (q) => q.required() }),
  startsOn: c.optionalDate().when("kind", { is: "cycle", then: (q) => q.required() }),
});

export const extraSession = yup.object({
  projectId: c.id(),
  sectionId: c.optionalId(),
  onDate: c.date(),
  reason: c.optionalText(200),
});

export const icsDaysOff = yup.object({
  projectId: c.id(),
  text: yup.string().max(3_000_000).required("Choose a calendar file."),
  sectionId: c.optionalId(),
  commit: yup.boolean().default(false),
});

export const milestoneDate = yup.object({ milestoneId: c.id(), sectionId: c.id(), dueOn: c.optionalDate() });

export const moveMilestone = yup.object({ id: c.id(), version: c.version(), dueOn: c.date() });

export const task = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  title: c.text(120),
  length: whole(1, 200).required(),
  notBefore: c.optionalDate(),
  deadline: c.optionalDate(),
  milestoneId: c.optionalId(),
  after: ids(40),
});

export const taskDone = yup.object({ id: c.id(), doneOn: c.optionalDate() });

// Gates, tools and notebook
export const gate = yup.object({
  milestoneId: c.id(),
  stage: c.oneOf(buildStage, "").default(""),
});

export const gateItem = yup.object({
  milestoneId: c.id(),
  kind: c.oneOf(gateItemKind).required(),
  label: c
    .optionalText(80)
    .test("label", "Say what is asked.", (v, x) => x.parent.kind === "tool" || x.parent.kind === "coverage" || !!v),
  needs: whole(0, 100).default(0),
  toolId: c.optionalId().test("tool", "Choose the tool.", (v, x) => x.parent.kind !== "tool" || !!v),
});

export const gateTick = yup.object({
  itemId: c.id(),
  teamId: c.optionalId(),
  personId: c.optionalId(),
  on: yup.boolean().required(),
});

export const daysOffIds = yup.object({ projectId: c.id(), ids: ids(200).min(1) });

export const gatesSign = yup.object({ milestoneId: c.id(), teamIds: ids(200).min(1) });

export const gateSign = yup.object({ milestoneId: c.id(), teamId: c.id(), on: yup.boolean().required() });

const fields = {
  title: c.text(120),
  purpose: c.optionalText(300),
  kind: c.oneOf(projectKind).required(),
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
  pattern: c.oneOf(patternKind).default("weekdays"),
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

export const milestone = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  title: c.text(120),
  dueOn: c.date(),
  scope: c.oneOf(milestoneScope).default("team"),
  /** It lies outside the project's dates on purpose. */
  meant: yup.boolean().default(false),
});

export const milestoneCheck = yup.object({
  milestoneId: c.id(),
  teamId: c.optionalId(),
  personId: c.optionalId(),
  doneOn: c.optionalDate(),
});

export const renameSection = yup.object({
  projectId: c.id(),
  sectionId: c.id(),
  version: c.version(),
  name: c.text(60),
});
