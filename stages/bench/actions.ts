"use server";
import { action } from "@/platform/command/perform";
import { allowed } from "@/platform/pages/route";
import { protocolActs } from "./acts";
import { saveProtocol } from "./commands/protocols";
import { addRunPhoto, noteRun } from "./commands/run-notes";
import { correctRun, moveRun, restoreRun, voidRun } from "./commands/runs";
import { checkSafety } from "./commands/safety";
import { addBlocks, chooseSeriesPart, openSeries } from "./commands/series";
import { type Tried, tryProtocol } from "./view/try";
import { removeRunPhoto, withdrawProtocol, withdrawSafetyCheck, withdrawSeries } from "./withdrawals";

export const saveProtocolAction = action(saveProtocol);

export const correctRunAction = action(correctRun);

export const voidRunAction = action(voidRun);

export const restoreRunAction = action(restoreRun);

export const withdrawProtocolAction = action(withdrawProtocol);

export const moveRunAction = action(moveRun);

export const checkSafetyAction = action(checkSafety);

export const withdrawSafetyCheckAction = action(withdrawSafetyCheck);

export const openSeriesAction = action(openSeries);

export const addBlocksAction = action(addBlocks);

export const chooseSeriesPartAction = action(chooseSeriesPart);

export const withdrawSeriesAction = action(withdrawSeries);

export const noteRunAction = action(noteRun);

export const addRunPhotoAction = action(addRunPhoto);

export const removeRunPhotoAction = action(removeRunPhoto);

/** What example readings come to under a protocol that is being written; null for whoever may not write one. */
export async function tryProtocolAction(
  projectId: string,
  definition: unknown,
  readings: Record<string, string>,
): Promise<Tried | null> {
  return (await allowed(protocolActs.edit, projectId)) ? tryProtocol(definition, readings) : null;
}
