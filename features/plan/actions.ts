"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as projects from "@/data/projects";
import * as plan from "@/data/plan";
import * as gates from "@/data/gates";
import * as settings from "@/data/settings";

export async function editProjectAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof projects.editProject.run>>>> {
  return perform(projects.editProject, input, envelope);
}
export async function createSectionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof projects.createSection.run>>>> {
  return perform(projects.createSection, input, envelope);
}
export async function addDaysOffToProjectAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof projects.addDaysOffToProject.run>>>> {
  return perform(projects.addDaysOffToProject, input, envelope);
}
export async function removeDayOffAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof projects.removeDayOff.run>>>> {
  return perform(projects.removeDayOff, input, envelope);
}
export async function saveMilestoneAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof projects.saveMilestone.run>>>> {
  return perform(projects.saveMilestone, input, envelope);
}
export async function removeMilestoneAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof projects.removeMilestone.run>>>> {
  return perform(projects.removeMilestone, input, envelope);
}
export async function checkMilestoneAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof projects.checkMilestone.run>>>> {
  return perform(projects.checkMilestone, input, envelope);
}
export async function saveTaskAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof plan.saveTask.run>>>> {
  return perform(plan.saveTask, input, envelope);
}
export async function finishTaskAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof plan.finishTask.run>>>> {
  return perform(plan.finishTask, input, envelope);
}
export async function removeTaskAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof plan.removeTask.run>>>> {
  return perform(plan.removeTask, input, envelope);
}
export async function setMilestoneDateAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof plan.setMilestoneDate.run>>>> {
  return perform(plan.setMilestoneDate, input, envelope);
}
export async function saveSectionPatternAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof plan.saveSectionPattern.run>>>> {
  return perform(plan.saveSectionPattern, input, envelope);
}
export async function addExtraSessionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof plan.addExtraSession.run>>>> {
  return perform(plan.addExtraSession, input, envelope);
}
export async function removeExtraSessionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof plan.removeExtraSession.run>>>> {
  return perform(plan.removeExtraSession, input, envelope);
}
export async function importDaysOffAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof plan.importDaysOff.run>>>> {
  return perform(plan.importDaysOff, input, envelope);
}
export async function setGateAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof gates.setGate.run>>>> {
  return perform(gates.setGate, input, envelope);
}
export async function addGateItemAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof gates.addGateItem.run>>>> {
  return perform(gates.addGateItem, input, envelope);
}
export async function removeGateItemAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof gates.removeGateItem.run>>>> {
  return perform(gates.removeGateItem, input, envelope);
}
export async function tickGateAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof gates.tickGate.run>>>> {
  return perform(gates.tickGate, input, envelope);
}
export async function signGateAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof gates.signGate.run>>>> {
  return perform(gates.signGate, input, envelope);
}
export async function saveToolAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof gates.saveTool.run>>>> {
  return perform(gates.saveTool, input, envelope);
}
export async function signToolAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof gates.signTool.run>>>> {
  return perform(gates.signTool, input, envelope);
}
export async function saveSettingsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof settings.saveSettings.run>>>> {
  return perform(settings.saveSettings, input, envelope);
}
export async function moveMilestoneAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof plan.moveMilestone.run>>>> {
  return perform(plan.moveMilestone, input, envelope);
}
