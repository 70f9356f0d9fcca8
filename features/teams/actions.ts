"use server";
import { action } from "@/server/perform";
import * as teams from "@/data/teams";
import * as forming from "@/data/forming";
import * as settings from "@/data/settings";
import type { TeamProblem } from "@/core/teams/problem";
import { teamSetup } from "@/data/schemas/front";
import { allowed } from "@/server/route";

export const createTeamAction = action(teams.createTeam);
export const renameTeamAction = action(teams.renameTeam);
export const retireTeamAction = action(teams.retireTeam);
export const moveStudentAction = action(teams.moveStudent);
export const drawTeamsAction = action(teams.drawTeams);
export const saveTraitsAction = action(forming.saveTraits);
export const saveWishesAction = action(forming.saveWishes);
export const addConstraintAction = action(forming.addConstraint);
export const removeConstraintAction = action(forming.removeConstraint);
export const joinTeamAction = action(forming.joinTeam);
export const setTeamConceptAction = action(forming.setTeamConcept);
export const formByIdeaAction = action(forming.formByIdea);
export const saveTeamPlanAction = action(forming.saveTeamPlan);
export const adoptTeamPlanAction = action(forming.adoptTeamPlan);
export const undoTeamPlanAction = action(forming.undoTeamPlan);
export const drawSelectionOrderAction = action(forming.drawSelectionOrder);
export const savePartAction = action(forming.savePart);
export const removePartAction = action(forming.removePart);
export const saveSettingsAction = action(settings.saveSettings);

/** The team problem under a setup, for the worker in the instructor's browser; null for anybody else. */
export async function problemAction(projectId: string, setup: forming.Setup): Promise<TeamProblem | null> {
  return (await allowed("team.edit", projectId))
    ? forming.problemOf(projectId, (await teamSetup.validate(setup, { stripUnknown: true })) as forming.Setup)
    : null;
}
