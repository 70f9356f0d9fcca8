"use server";
import { action } from "@/platform/command/perform";
import { answerAppeal, fileAppeal } from "./commands/appeals";
import { extendDeadline } from "./commands/extensions";
import { enterMarks } from "./commands/marks";
import { openPeerRound, ratePeers, setPeerRound, withdrawPeerRound } from "./commands/peers";
import { publishGrades, takeBackPublication } from "./commands/publish";
import { saveScheme } from "./commands/scheme";

export const saveSchemeAction = action(saveScheme);

export const enterMarksAction = action(enterMarks);

export const extendDeadlineAction = action(extendDeadline);

export const openPeerRoundAction = action(openPeerRound);

export const setPeerRoundAction = action(setPeerRound);

export const ratePeersAction = action(ratePeers);

export const withdrawPeerRoundAction = action(withdrawPeerRound);

export const publishGradesAction = action(publishGrades);

export const takeBackPublicationAction = action(takeBackPublication);

export const fileAppealAction = action(fileAppeal);

export const answerAppealAction = action(answerAppeal);
