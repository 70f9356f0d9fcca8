"use server";
import { action } from "@/platform/command/perform";
import { settleAttempt, voidAttempt } from "./commands/attempts";
import { revealAward, saveBoard, showOnBoard } from "./commands/boards";
import { callInHall, endCall } from "./commands/calls";
import { copyEvents, tickRules } from "./commands/copied";
import { changeEntry, renameEvent } from "./commands/corrections";
import { confirmEvent, drawRunOrder, refreshEntries, reopenEvent, saveEvent } from "./commands/events";
import { releaseBuild, saveAllowedPart } from "./commands/inspections";
import { asideSheet, saveJudgedEvent } from "./commands/judged";
import { recordMatch } from "./commands/match-results";
import { drawRound, saveMatchEvent, seedByEvent, seedByHand } from "./commands/matches";
import { saveAwards, saveOverall } from "./commands/overall";
import { saveProgramme } from "./commands/programme";
import { simulateResults, startRehearsal, wipeRehearsal } from "./commands/rehearsal";
import { recordRunOff } from "./commands/run-off";
import { checkEvent, haltEvent, liftHalt } from "./commands/safety";
import { closeVote, openVote } from "./commands/vote";
import {
  withdrawAllowedPart,
  withdrawBallot,
  withdrawBoard,
  withdrawEntry,
  withdrawEvent,
  withdrawInspection,
  withdrawMatch,
} from "./withdrawals";

export const saveEventAction = action(saveEvent);

export const refreshEntriesAction = action(refreshEntries);

export const drawRunOrderAction = action(drawRunOrder);

export const releaseBuildAction = action(releaseBuild);

export const saveAllowedPartAction = action(saveAllowedPart);

export const saveProgrammeAction = action(saveProgramme);

export const settleAttemptAction = action(settleAttempt);

export const voidAttemptAction = action(voidAttempt);

export const confirmEventAction = action(confirmEvent);

export const reopenEventAction = action(reopenEvent);

export const withdrawEventAction = action(withdrawEvent);

export const withdrawEntryAction = action(withdrawEntry);

export const changeEntryAction = action(changeEntry);

export const renameEventAction = action(renameEvent);

export const saveMatchEventAction = action(saveMatchEvent);

export const saveJudgedEventAction = action(saveJudgedEvent);

export const asideSheetAction = action(asideSheet);

export const recordRunOffAction = action(recordRunOff);

export const saveAwardsAction = action(saveAwards);

export const openVoteAction = action(openVote);

export const closeVoteAction = action(closeVote);

export const withdrawBallotAction = action(withdrawBallot);

export const copyEventsAction = action(copyEvents);

export const tickRulesAction = action(tickRules);

export const startRehearsalAction = action(startRehearsal);

export const simulateResultsAction = action(simulateResults);

export const wipeRehearsalAction = action(wipeRehearsal);

export const callInHallAction = action(callInHall);

export const endCallAction = action(endCall);

export const seedByEventAction = action(seedByEvent);

export const seedByHandAction = action(seedByHand);

export const drawRoundAction = action(drawRound);

export const recordMatchAction = action(recordMatch);

export const saveBoardAction = action(saveBoard);

export const showOnBoardAction = action(showOnBoard);

export const revealAwardAction = action(revealAward);

export const withdrawBoardAction = action(withdrawBoard);

export const checkEventAction = action(checkEvent);

export const haltEventAction = action(haltEvent);

export const liftHaltAction = action(liftHalt);

export const withdrawMatchAction = action(withdrawMatch);

export const saveOverallAction = action(saveOverall);

export const withdrawInspectionAction = action(withdrawInspection);

export const withdrawAllowedPartAction = action(withdrawAllowedPart);
