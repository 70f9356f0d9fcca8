"use server";
import type { TeamProblem } from "@/core/teams/problem";
import { action } from "@/platform/command/perform";
import { allowed } from "@/platform/pages/route";
import { saveSettings } from "@/platform/project/save-settings";
import { teamActs } from "./acts";
import { drawSelectionOrder, formByIdea, foundTeam, joinTeam, setTeamConcept } from "./commands/choosing";
import { addConstraint, adoptTeamPlan, saveTeamPlan, saveTraits, saveWishes, undoTeamPlan } from "./commands/forming";
import { savePart } from "./commands/parts";
import { createTeam, drawTeams, moveStudent, renameTeam, restoreTeam, retireTeam } from "./commands/teams";
import { problemOf, type Setup } from "./queries/forming";
import { teamSetup } from "./schema";
import { removeConstraint, removePart, withdrawTeamPlan } from "./withdrawals";

export const createTeamAction = action(createTeam);

export const renameTeamAction = action(renameTeam);

export const retireTeamAction = action(retireTeam);

export const moveStudentAction = action(moveStudent);

export const drawTeamsAction = action(drawTeams);

export const saveTraitsAction = action(saveTraits);

export const saveWishesAction = action(saveWishes);

export const addConstraintAction = action(addConstraint);

export const removeConstraintAction = action(removeConstraint);

export const foundTeamAction = action(foundTeam);

export const joinTeamAction = action(joinTeam);

export const setTeamConceptAction = action(setTeamConcept);

export const formByIdeaAction = action(formByIdea);

export const saveTeamPlanAction = action(saveTeamPlan);

export const adoptTeamPlanAction = action(adoptTeamPlan);

export const undoTeamPlanAction = action(undoTeamPlan);

export const drawSelectionOrderAction = action(drawSelectionOrder);

export const savePartAction = action(savePart);

export const removePartAction = action(removePart);

export const saveSettingsAction = action(saveSettings);

/** The team problem under a setup, for the worker in the instructor's browser; null for anybody else. */
export async function problemAction(projectId: string, setup: Setup): Promise<TeamProblem | null> {
  return (await allowed(teamActs.edit, projectId))
    ? problemOf(projectId, (await teamSetup.validate(setup, { stripUnknown: true })) as Setup)
    : null;
}

export const withdrawTeamPlanAction = action(withdrawTeamPlan);

export const restoreTeamAction = action(restoreTeam);
