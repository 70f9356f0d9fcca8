"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as projects from "@/data/projects";

export async function finishProjectAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof projects.finishProject.run>>>> {
  return perform(projects.finishProject, input, envelope);
}
export async function reopenProjectAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof projects.reopenProject.run>>>> {
  return perform(projects.reopenProject, input, envelope);
}
export async function createEditionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof projects.createEdition.run>>>> {
  return perform(projects.createEdition, input, envelope);
}
