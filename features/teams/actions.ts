"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as teams from "@/data/teams";
import * as forming from "@/data/forming";
import * as settings from "@/data/settings";
import type { TeamProblem } from "@/core/teams/problem";
import { teamSetup } from "@/data/schemas/front";
import { allowed } from "@/server/route";

export async function createTeamAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof teams.createTeam.run>>>> {
  return perform(teams.createTeam, input, envelope);
}
export async function renameTeamAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof teams.renameTeam.run>>>> {
  return perform(teams.renameTeam, input, envelope);
}
export async function retireTeamAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof teams.retireTeam.run>>>> {
  return perform(teams.retireTeam, input, envelope);
}
export async function moveStudentAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof teams.moveStudent.run>>>> {
  return perform(teams.moveStudent, input, envelope);
}
export async function drawTeamsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof teams.drawTeams.run>>>> {
  return perform(teams.drawTeams, input, envelope);
}
export async function saveTraitsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.saveTraits.run>>>> {
  return perform(forming.saveTraits, input, envelope);
}
export async function saveWishesAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.saveWishes.run>>>> {
  return perform(forming.saveWishes, input, envelope);
}
export async function addConstraintAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.addConstraint.run>>>> {
  return perform(forming.addConstraint, input, envelope);
}
export async function removeConstraintAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.removeConstraint.run>>>> {
  return perform(forming.removeConstraint, input, envelope);
}
export async function joinTeamAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.joinTeam.run>>>> {
  return perform(forming.joinTeam, input, envelope);
}
export async function setTeamConceptAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.setTeamConcept.run>>>> {
  return perform(forming.setTeamConcept, input, envelope);
}
export async function formByIdeaAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.formByIdea.run>>>> {
  return perform(forming.formByIdea, input, envelope);
}
export async function saveTeamPlanAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.saveTeamPlan.run>>>> {
  return perform(forming.saveTeamPlan, input, envelope);
}
export async function adoptTeamPlanAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.adoptTeamPlan.run>>>> {
  return perform(forming.adoptTeamPlan, input, envelope);
}
export async function undoTeamPlanAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.undoTeamPlan.run>>>> {
  return perform(forming.undoTeamPlan, input, envelope);
}
export async function drawSelectionOrderAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.drawSelectionOrder.run>>>> {
  return perform(forming.drawSelectionOrder, input, envelope);
}
export async function savePartAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.savePart.run>>>> {
  return perform(forming.savePart, input, envelope);
}
export async function removePartAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof forming.removePart.run>>>> {
  return perform(forming.removePart, input, envelope);
}
export async function saveSettingsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof settings.saveSettings.run>>>> {
  return perform(settings.saveSettings, input, envelope);
}

/** The team problem under a setup, for the worker in the instructor's browser; null for anybody else. */
export async function problemAction(projectId: string, setup: forming.Setup): Promise<TeamProblem | null> {
  return (await allowed("team.edit", projectId))
    ? forming.problemOf(projectId, (await teamSetup.validate(setup, { stripUnknown: true })) as forming.Setup)
    : null;
}
