"use server";
import { action } from "@/platform/command/perform";
import { saveSettings } from "@/platform/project/save-settings";
import { addSketch, claimMust, decideConcept, mergeConcepts, saveConcept } from "./commands/concepts";
import { closeSelection, openSelection, renameSelection, reopenSelection, weighSelection } from "./commands/selection";
import { removeSketch, withdrawConcept, withdrawSelection } from "./withdrawals";

export const saveConceptAction = action(saveConcept);

export const decideConceptAction = action(decideConcept);

export const claimMustAction = action(claimMust);

export const addSketchAction = action(addSketch);

export const removeSketchAction = action(removeSketch);

export const mergeConceptsAction = action(mergeConcepts);

export const openSelectionAction = action(openSelection);

export const weighSelectionAction = action(weighSelection);

export const closeSelectionAction = action(closeSelection);

export const reopenSelectionAction = action(reopenSelection);

export const saveSettingsAction = action(saveSettings);

export const withdrawConceptAction = action(withdrawConcept);

export const withdrawSelectionAction = action(withdrawSelection);

export const renameSelectionAction = action(renameSelection);
