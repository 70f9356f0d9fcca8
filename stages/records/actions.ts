"use server";
import { action } from "@/platform/command/perform";
import { archiveProject, deleteProject } from "./commands/archive";
import { lendArtefact, returnArtefact, saveArtefact, scrapArtefact } from "./commands/artefacts";
import { createEdition, finishProject, reopenProject } from "./commands/editions";
import { moveGuideStep, saveGuide, saveGuideStep } from "./commands/guides";
import { giveHonours, saveHonour } from "./commands/honours";
import { bringBack, purgeWithdrawn } from "./commands/withdrawn";
import { withdrawArtefact, withdrawGuide, withdrawGuideStep, withdrawHonour, withdrawLoan } from "./withdrawals";

export const finishProjectAction = action(finishProject);

export const reopenProjectAction = action(reopenProject);

export const createEditionAction = action(createEdition);

export const bringBackAction = action(bringBack);

export const purgeWithdrawnAction = action(purgeWithdrawn);

export const archiveProjectAction = action(archiveProject);

export const deleteProjectAction = action(deleteProject);

export const saveArtefactAction = action(saveArtefact);

export const lendArtefactAction = action(lendArtefact);

export const returnArtefactAction = action(returnArtefact);

export const scrapArtefactAction = action(scrapArtefact);

export const saveGuideAction = action(saveGuide);

export const saveGuideStepAction = action(saveGuideStep);

export const moveGuideStepAction = action(moveGuideStep);

export const withdrawArtefactAction = action(withdrawArtefact);

export const withdrawLoanAction = action(withdrawLoan);

export const withdrawGuideAction = action(withdrawGuide);

export const withdrawGuideStepAction = action(withdrawGuideStep);

export const giveHonoursAction = action(giveHonours);

export const saveHonourAction = action(saveHonour);

export const withdrawHonourAction = action(withdrawHonour);
