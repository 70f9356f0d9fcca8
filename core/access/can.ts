import { type GuestRole, type StaffRole, staffRole } from "../vocabulary/project";
// How permission is decided: the one place. Which acts there are, and who may do them, each stage says in its acts.ts.

export type ProjectRole = StaffRole | "student";

/** Somebody at the door: a signed-in person with a place in projects, a guest with a link to one project, or nobody. */
export type Actor =
  | {
      kind: "person";
      id: string;
      name: string;
      instructor: boolean;
      admin: boolean;
      /** Heads the department. */
      head?: boolean;
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

export type Rule = {
  /**
   * Roles in the subject's project. `student` writes only where the subject is the student's own team or own person.
   */
  readonly project?: readonly ProjectRole[];
  readonly guests?: readonly GuestRole[];
  /** Any signed-in instructor. */
  readonly instructor?: true;
  /** Any signed-in person, on what is their own. */
  readonly self?: true;
  /** Who keeps the installation: the first instructor. */
  readonly admin?: true;
  /** Who heads the department, and who keeps the installation. */
  readonly head?: true;
  /** Students: `own` team or person only, or `class` for records that the whole class reads. */
  readonly student?: "own" | "class";
};

/** Roles that run a project. */
export const staff = staffRole.values;
/** Everybody with a place in the project. */
export const everyone: readonly ProjectRole[] = [...staff, "student"];

/** One thing that may be done, and by whom. */
export interface Act {
  /** As records and refusals name it: “build.edit”. */
  readonly name: string;
  readonly rule: Rule;
}

/**
 * The kind of thing that an act is about.
 * @example aboutOf(acts("build", { edit: {} }).edit) // => "build"
 */
export function aboutOf(act: Act): string {
  return act.name.slice(0, act.name.indexOf("."));
}

/**
 * The acts on one kind of thing: a stage lists them once, its commands and pages ask by them.
 * @example acts("build", { edit: { project: ["owner"] } }).edit.name // => "build.edit"
 */
export function acts<const T extends Readonly<Record<string, Rule>>>(
  about: string,
  rules: T,
): { readonly [K in keyof T]: Act } {
  return Object.fromEntries(
    Object.entries(rules).map(([verb, rule]) => [verb, { name: `${about}.${verb}`, rule }]),
  ) as { readonly [K in keyof T]: Act };
}

/**
 * Whether an actor may do an act to a subject. Everything that no rule allows is refused.
 * @example can({ kind: "nobody" }, acts("project", { read: { project: everyone } }).read, { project: "p" }) // => false
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
 *   acts("build", { edit: { project: everyone, student: "own" } }).edit,
 *   { project: "p", team: "b" },
 * )
 * // => false
 */
export function can(actor: Actor, act: Act, subject: Subject): boolean {
  const { rule } = act;
  if (actor.kind === "nobody") return false;
  if (actor.kind === "guest") return subject.project === actor.project && (rule.guests?.includes(actor.role) ?? false);
  if (rule.self) return subject.person === actor.id;
  if (rule.admin) return actor.admin;
  if (rule.head) return actor.admin || actor.head === true;
  if (rule.instructor) return actor.instructor;
  const place = subject.project === undefined ? undefined : actor.projects[subject.project];
  if (!place || !rule.project?.includes(place.role)) return false;
  if (place.role !== "student" || rule.student === "class") return true;
  if (subject.person !== undefined) return subject.person === actor.id;
  return subject.team != null && subject.team === place.team;
}
