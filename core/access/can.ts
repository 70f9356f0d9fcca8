// Who may do what: the one place. Nothing else in the application decides about permission.

export type ProjectRole = "owner" | "co" | "student";
export type GuestRole = "client" | "reviewer" | "judge" | "scorer" | "board";

/** Somebody at the door: a signed-in person with a place in projects, a guest with a link to one project, or nobody. */
export type Actor =
  | {
      kind: "person";
      id: string;
      name: string;
      instructor: boolean;
      admin: boolean;
      projects: Readonly<Record<string, Membership>>;
    }
  | { kind: "guest"; id: string; name: string; role: GuestRole; project: string }
  | { kind: "nobody" };

export interface Membership {
  readonly role: ProjectRole;
  readonly team: string | null;
}

/** What is acted on: a project and, where it belongs to one, a team or a person. */
export interface Subject {
  readonly project?: string;
  readonly team?: string | null;
  readonly person?: string;
}

type Rule = {
  /**
   * Roles in the subject's project. `student` writes only where the subject is the student's own team or own person.
   */
  readonly project?: readonly ProjectRole[];
  readonly guests?: readonly GuestRole[];
  /** Any signed-in instructor. */
  readonly instructor?: true;
  /** Who keeps the installation: the first instructor. */
  readonly admin?: true;
  /** Students: `own` team or person only, or `class` for records that the whole class reads. */
  readonly student?: "own" | "class";
};

const staff = ["owner", "co"] as const;
const everyone = ["owner", "co", "student"] as const;

const rules = {
  "school.keep": { admin: true },
  "project.create": { instructor: true },
  "project.import": { instructor: true },
  "project.read": { project: everyone, student: "class" },
  "project.edit": { project: staff },
  "project.finish": { project: ["owner"] },
  "project.export": { project: staff },
  "project.audit": { project: staff },
  "staff.manage": { project: ["owner"] },
  "people.read": { project: staff },
  "people.edit": { project: staff },
  "guest.manage": { project: staff },
  "plan.edit": { project: staff },
  "brief.edit": { project: staff },
  "brief.read": { project: everyone, student: "class", guests: ["client", "reviewer", "judge"] },
  "brief.acknowledge": { project: ["student"], student: "class" },
  "needs.edit": { project: staff },
  "needs.read": { project: everyone, student: "class", guests: ["reviewer"] },
  "question.draft": { project: everyone, student: "class" },
  "question.answer": { guests: ["client"] },
  "note.write": { project: everyone, student: "class" },
  "note.amend": { project: everyone, student: "own" },
  "statement.edit": { project: everyone, student: "class" },
  "change.ask": { project: everyone, student: "class" },
  "finding.record": { project: staff },
  "evidence.keep": { project: staff },
  "concept.edit": { project: everyone, student: "own" },
  "concept.decide": { project: staff },
  "concept.rate": { project: everyone, student: "class", guests: ["client", "reviewer"] },
  "team.edit": { project: staff },
  "team.join": { project: ["student"], student: "own" },
  "wish.write": { project: ["student"], student: "own" },
  "part.edit": { project: everyone, student: "own" },
  "gate.sign": { project: staff },
  "gate.handIn": { project: everyone, student: "own" },
  "tool.sign": { project: staff },
  "notebook.write": { project: ["student"], student: "own" },
  "notebook.read": { project: everyone, student: "own" },
  "build.edit": { project: everyone, student: "own" },
  "protocol.edit": { project: staff },
  "run.record": { project: everyone, student: "own" },
  "run.void": { project: staff },
  "review.plan": { project: staff },
  "review.read": { project: everyone, student: "class", guests: ["reviewer"] },
  "review.mark": { project: staff, guests: ["reviewer"] },
  "review.decide": { project: staff },
  "action.close": { project: everyone, student: "own" },
  "milestone.check": { project: staff },
  "grade.edit": { project: staff },
  "grade.readAll": { project: staff },
  "grade.readOwn": { project: everyone, student: "own" },
  "contest.edit": { project: staff },
  "contest.score": { project: staff, guests: ["judge", "scorer"] },
  "contest.read": { project: everyone, student: "class", guests: ["judge", "scorer", "board"] },
  "file.read": { project: everyone, student: "class", guests: ["client", "reviewer", "judge"] },
} as const satisfies Record<string, Rule>;

export type Act = keyof typeof rules;

/**
 * Whether an actor may do an act to a subject. Everything that no rule allows is refused.
 * @example can({ kind: "nobody" }, "project.read", { project: "p" }) // => false
 * @example
 * can(
 *   {
 *     kind: "person",
 *     id: "1",
 *     name: "",
 *     instructor: false,
 *     admin: false,
 *     projects: { p: { role: "student", team: "a" } },
 *   },
 *   "build.edit",
 *   { project: "p", team: "b" },
 * )
 * // => false
 */
export function can(actor: Actor, act: Act, subject: Subject): boolean {
  const rule: Rule = rules[act];
  if (actor.kind === "nobody") return false;
  if (actor.kind === "guest") return subject.project === actor.project && (rule.guests?.includes(actor.role) ?? false);
  if (rule.admin) return actor.admin;
  if (rule.instructor) return actor.instructor;
  const place = subject.project === undefined ? undefined : actor.projects[subject.project];
  if (!place || !rule.project?.includes(place.role)) return false;
  if (place.role !== "student" || rule.student === "class") return true;
  if (subject.person !== undefined) return subject.person === actor.id;
  return subject.team != null && subject.team === place.team;
}
