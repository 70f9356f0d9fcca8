"use server";
import { action } from "@/platform/command/perform";
import { keepEvidence, recordFinding } from "./commands/findings";
import { keepHolding } from "./commands/keep";
import { changeRequirements } from "./commands/many";
import { amendNote, closeSource, editSource, openSource } from "./commands/notes";
import { draftQuestion, dropQuestion, editQuestion, mergeQuestions, orderQuestions } from "./commands/questions";
import { adoptStatement, askChange, decideChange, makeBaseline, ownRequirement } from "./commands/register";
import { restoreRequirement, retireRequirement, saveRequirement } from "./commands/requirements";
import {
  askClient,
  linkStatement,
  mergeStatements,
  saveStatement,
  setStatementAside,
  tellApart,
  unmergeStatement,
} from "./commands/statements";
import { importRequirements } from "./commands/table";
import { withdrawChange, withdrawFinding, withdrawNote, withdrawSource, withdrawStatement } from "./withdrawals";

export const saveRequirementAction = action(saveRequirement);

export const changeRequirementsAction = action(changeRequirements);

export const retireRequirementAction = action(retireRequirement);

export const restoreRequirementAction = action(restoreRequirement);

export const recordFindingAction = action(recordFinding);

export const keepEvidenceAction = action(keepEvidence);

export const draftQuestionAction = action(draftQuestion);

export const editQuestionAction = action(editQuestion);

export const mergeQuestionsAction = action(mergeQuestions);

export const orderQuestionsAction = action(orderQuestions);

export const dropQuestionAction = action(dropQuestion);

export const openSourceAction = action(openSource);

export const closeSourceAction = action(closeSource);

export const amendNoteAction = action(amendNote);

export const saveStatementAction = action(saveStatement);

export const mergeStatementsAction = action(mergeStatements);

export const unmergeStatementAction = action(unmergeStatement);

export const tellApartAction = action(tellApart);

export const setStatementAsideAction = action(setStatementAside);

export const linkStatementAction = action(linkStatement);

export const askClientAction = action(askClient);

export const makeBaselineAction = action(makeBaseline);

export const askChangeAction = action(askChange);

export const decideChangeAction = action(decideChange);

export const ownRequirementAction = action(ownRequirement);

export const importRequirementsAction = action(importRequirements);

export const adoptStatementAction = action(adoptStatement);

export const withdrawSourceAction = action(withdrawSource);

export const withdrawNoteAction = action(withdrawNote);

export const withdrawStatementAction = action(withdrawStatement);

export const withdrawChangeAction = action(withdrawChange);

export const withdrawFindingAction = action(withdrawFinding);

export const editSourceAction = action(editSource);

export const keepHoldingAction = action(keepHolding);
