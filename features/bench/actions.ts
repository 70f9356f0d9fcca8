"use server";
import { action } from "@/server/perform";
import * as bench from "@/data/bench";

export const saveProtocolAction = action(bench.saveProtocol);
export const recordRunAction = action(bench.recordRun);
export const correctRunAction = action(bench.correctRun);
export const voidRunAction = action(bench.voidRun);
export const restoreRunAction = action(bench.restoreRun);
