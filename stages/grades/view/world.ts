import type { PeerFactor } from "@/core/grades/peers";
import type { ComponentState } from "@/core/grades/scheme";
import type { ClassSession } from "@/core/sessions/sessions";
import { sessionsHeld } from "@/core/sessions/sessions";
import type { Working } from "@/core/working/working";
import type { eventsOf } from "@/stages/contest/queries/events";
import type { ProjectFacts } from "@/stages/needs/queries/facts";
import type { ProjectState } from "@/stages/needs/queries/state";
import type { Student } from "@/stages/people/queries/students";
import type { Milestone } from "@/stages/plan/queries/milestones";
import type { reviewsOf } from "@/stages/reviews/queries/reviews";

/** More class sessions for one student's component. */
export interface Extension {
  readonly sessions: number;
  readonly reason: string;
  readonly version: number;
}

/** What grades are computed from. */
export interface World {
  /** What is kept, of the whole project. */
  readonly state: ProjectState;
  /** The facts of the builds in question, where whole workings are wanted. */
  readonly facts: ProjectFacts | null;
  readonly reviews: Awaited<ReturnType<typeof reviewsOf>>;
  readonly milestones: readonly Milestone[];
  readonly events: Awaited<ReturnType<typeof eventsOf>>;
  /** Place in the contest, by team; nothing where the scheme does not ask. */
  readonly overall: ReadonlyMap<string, { place: number; sharing: number; working: Working }>;
  /** Class sessions by section. */
  readonly calendars: ReadonlyMap<string, readonly ClassSession[]>;
  /** Days with a notebook entry, by student. */
  readonly notebooks: ReadonlyMap<string, readonly string[]>;
  /** More class sessions, by student and component. */
  readonly extensions: ReadonlyMap<string, Extension>;
  /** Peer factors by rating and student. */
  readonly peers: ReadonlyMap<string, ReadonlyMap<string, PeerFactor>>;
  /** In what unit a mass is graded, and what a currency is called. */
  readonly units: { readonly mass: string; readonly cost: string };
  readonly today: string;
}

/** Under what an extension is found. */
export const extensionKey = (personId: string, component: string): string => `${personId} ${component}`;

/** The students of each team, by its id; who is in none is left out. */
export function byTeam(students: readonly Student[]): Map<string, Student[]> {
  const teams = new Map<string, Student[]>();
  for (const s of students) if (s.teamId) teams.set(s.teamId, [...(teams.get(s.teamId) ?? []), s]);
  return teams;
}

/** The review of this name of a student's team. */
export const reviewOf = (w: Pick<World, "reviews">, title: string, student: Pick<Student, "teamId">) =>
  w.reviews.find((r) => r.title === title && r.teamId === student.teamId);

/** A component that does not count yet, and why. */
export const waiting = (note: string): ComponentState => ({ state: "not due", note });

/** How many class sessions of a calendar lie after one date, up to another; none where it is not later. */
export const sessionsBetween = (sessions: readonly ClassSession[], from: string, to: string): number =>
  Math.max(0, sessionsHeld(sessions, to) - sessionsHeld(sessions, from));

/** The date of the class session so many after a date; the last one where the calendar ends before. */
export function sessionsAfter(sessions: readonly ClassSession[], date: string, more: number): string {
  if (!more || !sessions.length) return date;
  const at = Math.min(sessions.length - 1, sessionsHeld(sessions, date) - 1 + more);
  return sessions[at]!.date > date ? sessions[at]!.date : date;
}
