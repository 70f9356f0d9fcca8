import { projectActs } from "@/platform/project/acts";
import "server-only";
import { notFound, redirect } from "next/navigation";
import { cache } from "react";
import { type Act, can, type Subject } from "@/core/access/can";
import { type Frame, frameOf } from "@/platform/project/frame";
import type { Person } from "@/platform/registry/stage";
import { currentPerson } from "@/platform/sign-in/cookies";
import { writeDatesAs } from "./dates";

/** The signed-in person of a page; others are sent to sign in. */
export async function requirePerson(): Promise<Person> {
  const actor = await currentPerson();
  if (actor.kind !== "person") redirect("/sign-in");
  return actor;
}

const load = cache(async (slug: string) => {
  const actor = await requirePerson();
  const frame = await frameOf(slug, actor);
  writeDatesAs(frame?.project.dates);
  return { actor, frame };
});

export interface ProjectPage {
  readonly actor: Person;
  readonly frame: Frame;
  readonly staff: boolean;
  /** The viewer's own team, for students. */
  readonly ownTeam: string | null;
  may(act: Act, subject?: Omit<Subject, "project">): boolean;
}

/** The project of a page by its address, with permission checked first; what may not be seen is not found. */
export async function projectPage(
  slug: string,
  act: Act = projectActs.read,
  subject: Omit<Subject, "project"> = {},
): Promise<ProjectPage> {
  const { actor, frame } = await load(slug);
  if (!frame || !can(actor, act, { project: frame.project.id, ...subject })) notFound();
  const place = actor.projects[frame.project.id];
  return {
    actor,
    frame,
    staff: place?.role !== "student",
    ownTeam: place?.team ?? null,
    may: (a, s = {}) => can(actor, a, { project: frame.project.id, ...s }),
  };
}

/** The section that a list is asked for, where it is one of the project's; nothing for all of them. */
export const sectionOf = (frame: Frame, asked: string | undefined) => frame.sections.find((s) => s.id === asked);
