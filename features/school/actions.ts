"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as projects from "@/data/projects";

export async function createProjectAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof projects.createProject.run>>>> {
  return perform(projects.createProject, input, envelope);
}
