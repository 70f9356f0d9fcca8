"use server";
import { action } from "@/platform/command/perform";
import { saveSettings } from "@/platform/project/save-settings";
import { addExtraSession, renameSection, saveSectionPattern } from "./commands/calendar";
import { addDaysOffToProject, importDaysOff } from "./commands/days-off";
import { addGateItem, setGate, signGate, signGates, tickGate } from "./commands/gates";
import { checkMilestone, moveMilestone, saveMilestone, setMilestoneDate } from "./commands/milestones";
import { createSection, editProject } from "./commands/projects";
import { finishTask, saveTask } from "./commands/tasks";
import {
  removeDayOff,
  removeDaysOff,
  removeExtraSession,
  removeGateItem,
  removeMilestone,
  removeTask,
} from "./withdrawals";

export const editProjectAction = action(editProject);

export const createSectionAction = action(createSection);

export const addDaysOffToProjectAction = action(addDaysOffToProject);

export const removeDayOffAction = action(removeDayOff);

export const saveMilestoneAction = action(saveMilestone);

export const removeMilestoneAction = action(removeMilestone);

export const checkMilestoneAction = action(checkMilestone);

export const saveTaskAction = action(saveTask);

export const finishTaskAction = action(finishTask);

export const removeTaskAction = action(removeTask);

export const setMilestoneDateAction = action(setMilestoneDate);

export const saveSectionPatternAction = action(saveSectionPattern);

export const addExtraSessionAction = action(addExtraSession);

export const removeExtraSessionAction = action(removeExtraSession);

export const importDaysOffAction = action(importDaysOff);

export const setGateAction = action(setGate);

export const addGateItemAction = action(addGateItem);

export const removeGateItemAction = action(removeGateItem);

export const tickGateAction = action(tickGate);

export const signGateAction = action(signGate);

export const saveSettingsAction = action(saveSettings);

export const moveMilestoneAction = action(moveMilestone);

export const renameSectionAction = action(renameSection);

export const signGatesAction = action(signGates);

export const removeDaysOffAction = action(removeDaysOff);
