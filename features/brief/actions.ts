"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as projects from "@/data/projects";

export async function saveBriefAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof projects.saveBrief.run>>>> {
  return perform(projects.saveBrief, input, envelope);
}
export async function acknowledgeBriefAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof projects.acknowledgeBrief.run>>>> {
  return perform(projects.acknowledgeBrief, input, envelope);
}
