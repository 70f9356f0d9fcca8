"use server";
import { action } from "@/server/perform";
import * as concepts from "@/data/concepts";
import * as selection from "@/data/selection";
import * as settings from "@/data/settings";

export const saveConceptAction = action(concepts.saveConcept);
export const decideConceptAction = action(concepts.decideConcept);
export const claimMustAction = action(concepts.claimMust);
export const addSketchAction = action(concepts.addSketch);
export const removeSketchAction = action(concepts.removeSketch);
export const mergeConceptsAction = action(concepts.mergeConcepts);
export const openSelectionAction = action(selection.openSelection);
export const weighSelectionAction = action(selection.weighSelection);
export const rateConceptsAction = action(selection.rateConcepts);
export const closeSelectionAction = action(selection.closeSelection);
export const reopenSelectionAction = action(selection.reopenSelection);
export const saveSettingsAction = action(settings.saveSettings);
