"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as projects from "@/data/projects";

export async function editProjectAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof projects.editProject.run>>>> {
  return perform(projects.editProject, input, envelope);
}
export async function createSectionAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof projects.createSection.run>>>> {
  return perform(projects.createSection, input, envelope);
}
export async function addDaysOffToProjectAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof projects.addDaysOffToProject.run>>>> {
  return perform(projects.addDaysOffToProject, input, envelope);
}
export async function removeDayOffAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof projects.removeDayOff.run>>>> {
  return perform(projects.removeDayOff, input, envelope);
}
export async function saveMilestoneAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof projects.saveMilestone.run>>>> {
  return perform(projects.saveMilestone, input, envelope);
}
export async function removeMilestoneAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof projects.removeMilestone.run>>>> {
  return perform(projects.removeMilestone, input, envelope);
}
export async function checkMilestoneAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof projects.checkMilestone.run>>>> {
  return perform(projects.checkMilestone, input, envelope);
}
