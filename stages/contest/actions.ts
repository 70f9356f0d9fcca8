"use server";
import { action } from "@/platform/command/perform";
import { inspectEntry, scoreAttempt, voidAttempt } from "./commands/attempts";
import { changeEntry, renameEvent } from "./commands/corrections";
import { confirmEvent, drawRunOrder, refreshEntries, reopenEvent, saveEvent } from "./commands/events";
import { recordMatch } from "./commands/match-results";
import { drawRound, saveMatchEvent, seedByEvent, seedByHand } from "./commands/matches";
import { saveOverall } from "./commands/overall";
import { withdrawEntry, withdrawEvent, withdrawMatch } from "./withdrawals";

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

export const saveMatchEventAction = action(saveMatchEvent);

export const seedByEventAction = action(seedByEvent);

export const seedByHandAction = action(seedByHand);

export const drawRoundAction = action(drawRound);

export const recordMatchAction = action(recordMatch);

export const withdrawMatchAction = action(withdrawMatch);

export const saveOverallAction = action(saveOverall);
