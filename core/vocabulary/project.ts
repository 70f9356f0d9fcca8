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
