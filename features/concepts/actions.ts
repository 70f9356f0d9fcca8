"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as concepts from "@/data/concepts";
import * as selection from "@/data/selection";
import * as settings from "@/data/settings";

export async function saveConceptAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof concepts.saveConcept.run>>>> {
  return perform(concepts.saveConcept, input, envelope);
}
export async function decideConceptAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof concepts.decideConcept.run>>>> {
  return perform(concepts.decideConcept, input, envelope);
}
export async function claimMustAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof concepts.claimMust.run>>>> {
  return perform(concepts.claimMust, input, envelope);
}
export async function addSketchAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof concepts.addSketch.run>>>> {
  return perform(concepts.addSketch, input, envelope);
}
export async function removeSketchAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof concepts.removeSketch.run>>>> {
  return perform(concepts.removeSketch, input, envelope);
}
export async function mergeConceptsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof concepts.mergeConcepts.run>>>> {
  return perform(concepts.mergeConcepts, input, envelope);
}
export async function openSelectionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof selection.openSelection.run>>>> {
  return perform(selection.openSelection, input, envelope);
}
export async function weighSelectionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof selection.weighSelection.run>>>> {
  return perform(selection.weighSelection, input, envelope);
}
export async function rateConceptsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof selection.rateConcepts.run>>>> {
  return perform(selection.rateConcepts, input, envelope);
}
export async function closeSelectionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof selection.closeSelection.run>>>> {
  return perform(selection.closeSelection, input, envelope);
}
export async function reopenSelectionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof selection.reopenSelection.run>>>> {
  return perform(selection.reopenSelection, input, envelope);
}
export async function saveSettingsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof settings.saveSettings.run>>>> {
  return perform(settings.saveSettings, input, envelope);
}
