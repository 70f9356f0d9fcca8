"use server";
import { action } from "@/platform/command/perform";
import { saveProtocol } from "./commands/protocols";
import { correctRun, moveRun, recordRun, restoreRun, voidRun } from "./commands/runs";
import { checkSafety } from "./commands/safety";
import { addBlocks, chooseSeriesPart, openSeries } from "./commands/series";
import { withdrawProtocol, withdrawSafetyCheck, withdrawSeries } from "./withdrawals";

export const saveProtocolAction = action(saveProtocol);

export const recordRunAction = action(recordRun);

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
