"use server";
import { action } from "@/server/perform";
import * as contest from "@/data/contest";

export const saveEventAction = action(contest.saveEvent);
export const refreshEntriesAction = action(contest.refreshEntries);
export const drawRunOrderAction = action(contest.drawRunOrder);
export const inspectEntryAction = action(contest.inspectEntry);
export const scoreAttemptAction = action(contest.scoreAttempt);
export const voidAttemptAction = action(contest.voidAttempt);
export const confirmEventAction = action(contest.confirmEvent);
export const reopenEventAction = action(contest.reopenEvent);
