import { type Term, vocabulary } from "./vocabulary";

/** What a project ends with. */
export const projectKind = vocabulary(
  { client: "for a client", contest: "for a contest", both: "for a client, with a contest" },
  ["project.kind"],
);
export type ProjectKind = Term<typeof projectKind>;

/** How a section meets. */
export const patternKind = vocabulary({
  weekdays: "on weekdays",
  cycle: "in a cycle of school days (alternating: a cycle of 2)",
});
export type PatternKind = Term<typeof patternKind>;

/** Who runs a project. */
export const staffRole = vocabulary({ owner: "", co: "co-instructor" }, ["staff.role"]);
export type StaffRole = Term<typeof staffRole>;

/** Whom a link lets in. */
export const guestRole = vocabulary(
  {
    client: "client: brief and requirements",
    reviewer: "reviewer: review sheets",
    judge: "judge: inspection and scores",
    scorer: "scorer: scores",
    board: "board: the contest on a second screen",
  },
  ["guest_link.role"],
);
export type GuestRole = Term<typeof guestRole>;

/** Who passes a milestone. */
export const milestoneScope = vocabulary({ team: "each team", person: "each student" }, ["milestone.scope"]);
export type MilestoneScope = Term<typeof milestoneScope>;

/** How strictly a gate holds. */
export const gateStrictness = vocabulary({
  warn: "warn, with the list of what is missing",
  block: "block until signed",
  none: "none: tinkering first",
});
export type GateStrictness = Term<typeof gateStrictness>;

/** What a line of a gate asks for. */
export const gateItemKind = vocabulary(
  { each: "from every member", team: "from the team", tool: "tool sign-off", coverage: "musts answered" },
  ["gate_item.kind"],
);
export type GateItemKind = Term<typeof gateItemKind>;

/** The units in which a project shows and takes what is not named otherwise. */
export const unitSystem = vocabulary({ metric: "metric: kg, mm", us: "US customary: lb, in" }, ["handbook_use.units"]);
export type UnitSystem = Term<typeof unitSystem>;

/** How a project writes its dates. */
export const dateStyle = vocabulary({
  day: "day first: Tue 2 March",
  month: "month first: Tue, March 2",
  year: "year first: 2027-03-02",
});
export type DateStyle = Term<typeof dateStyle>;

/** What the next edition of a project may carry over. */
export const editionPart = vocabulary({
  brief: "the brief",
  requirements: "the requirements",
  protocols: "the protocols",
  rubrics: "the rubrics",
  tools: "the tools",
  questions: "the questions to the client",
  plan: "milestones, gates and tasks, as many weeks later",
  events: "the contest's events and rules",
  scheme: "the grading scheme",
});
export type EditionPart = Term<typeof editionPart>;

/** What became of something from one edition to the next. */
export const editionChange = vocabulary({ changed: "", new: "", gone: "left out" });
export type EditionChangeKind = Term<typeof editionChange>;

/** What a text of the record stands in, where it is searched by its words. */
export const passageKind = vocabulary(
  {
    notebook: "notebook",
    statement: "need",
    requirement: "requirement",
    question: "question to the client",
    build: "build",
    failure: "failure",
    review: "review",
    action: "action",
  },
  ["passage.kind"],
);
export type PassageKind = Term<typeof passageKind>;

/** Kinds of project that come with a template. */
export const templateKind = vocabulary({
  client: "a product for a client",
  vehicle: "a vehicle that stops at a distance",
  structure: "a structure under load",
  energy: "a device that makes electricity",
  drop: "protection from a drop",
  steps: "a machine of steps",
  ring: "an autonomous machine in a ring",
  model: "a scale model of many parts",
});
export type TemplateKind = Term<typeof templateKind>;
