"use server";
import { action } from "@/platform/command/perform";
import { correctRun, recordRun, restoreRun, saveProtocol, voidRun } from "./commands";

export const saveProtocolAction = action(saveProtocol);

export const recordRunAction = action(recordRun);

export const correctRunAction = action(correctRun);

export const voidRunAction = action(voidRun);

export const restoreRunAction = action(restoreRun);
