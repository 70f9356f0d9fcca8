"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as needs from "@/data/needs";
import * as interviews from "@/data/interviews";
import * as register from "@/data/register";

export async function saveRequirementAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof needs.saveRequirement.run>>>> {
  return perform(needs.saveRequirement, input, envelope);
}
export async function retireRequirementAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof needs.retireRequirement.run>>>> {
  return perform(needs.retireRequirement, input, envelope);
}
export async function restoreRequirementAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof needs.restoreRequirement.run>>>> {
  return perform(needs.restoreRequirement, input, envelope);
}
export async function recordFindingAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof needs.recordFinding.run>>>> {
  return perform(needs.recordFinding, input, envelope);
}
export async function keepEvidenceAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof needs.keepEvidence.run>>>> {
  return perform(needs.keepEvidence, input, envelope);
}
export async function draftQuestionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.draftQuestion.run>>>> {
  return perform(interviews.draftQuestion, input, envelope);
}
export async function editQuestionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.editQuestion.run>>>> {
  return perform(interviews.editQuestion, input, envelope);
}
export async function mergeQuestionsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.mergeQuestions.run>>>> {
  return perform(interviews.mergeQuestions, input, envelope);
}
export async function orderQuestionsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.orderQuestions.run>>>> {
  return perform(interviews.orderQuestions, input, envelope);
}
export async function dropQuestionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.dropQuestion.run>>>> {
  return perform(interviews.dropQuestion, input, envelope);
}
export async function openSourceAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.openSource.run>>>> {
  return perform(interviews.openSource, input, envelope);
}
export async function closeSourceAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.closeSource.run>>>> {
  return perform(interviews.closeSource, input, envelope);
}
export async function writeNoteAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.writeNote.run>>>> {
  return perform(interviews.writeNote, input, envelope);
}
export async function amendNoteAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.amendNote.run>>>> {
  return perform(interviews.amendNote, input, envelope);
}
export async function saveStatementAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.saveStatement.run>>>> {
  return perform(interviews.saveStatement, input, envelope);
}
export async function mergeStatementsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.mergeStatements.run>>>> {
  return perform(interviews.mergeStatements, input, envelope);
}
export async function unmergeStatementAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.unmergeStatement.run>>>> {
  return perform(interviews.unmergeStatement, input, envelope);
}
export async function tellApartAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.tellApart.run>>>> {
  return perform(interviews.tellApart, input, envelope);
}
export async function setStatementAsideAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.setStatementAside.run>>>> {
  return perform(interviews.setStatementAside, input, envelope);
}
export async function linkStatementAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.linkStatement.run>>>> {
  return perform(interviews.linkStatement, input, envelope);
}
export async function askClientAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.askClient.run>>>> {
  return perform(interviews.askClient, input, envelope);
}
export async function makeBaselineAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof register.makeBaseline.run>>>> {
  return perform(register.makeBaseline, input, envelope);
}
export async function askChangeAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof register.askChange.run>>>> {
  return perform(register.askChange, input, envelope);
}
export async function decideChangeAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof register.decideChange.run>>>> {
  return perform(register.decideChange, input, envelope);
}
export async function ownRequirementAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof register.ownRequirement.run>>>> {
  return perform(register.ownRequirement, input, envelope);
}
export async function importRequirementsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof register.importRequirements.run>>>> {
  return perform(register.importRequirements, input, envelope);
}
export async function adoptStatementAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof register.adoptStatement.run>>>> {
  return perform(register.adoptStatement, input, envelope);
}
