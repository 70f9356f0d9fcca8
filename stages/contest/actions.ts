"use server";
import { action } from "@/platform/command/perform";
import { inspectEntry, scoreAttempt, voidAttempt } from "./commands/attempts";
import { changeEntry, renameEvent } from "./commands/corrections";
import { confirmEvent, drawRunOrder, refreshEntries, reopenEvent, saveEvent } from "./commands/events";
import { withdrawEntry, withdrawEvent } from "./withdrawals";

export const saveEventAction = action(saveEvent);

export const refreshEntriesAction = action(refreshEntries);

export const drawRunOrderAction = action(drawRunOrder);

export const inspectEntryAction = action(inspectEntry);

export const scoreAttemptAction = action(scoreAttempt);

export const voidAttemptAction = action(voidAttempt);

export const confirmEventAction = action(confirmEvent);

export const reopenEventAction = action(reopenEvent);

export const withdrawEventAction = action(withdrawEvent);

export const withdrawEntryAction = action(withdrawEntry);

export const changeEntryAction = action(changeEntry);

export const renameEventAction = action(renameEvent);
