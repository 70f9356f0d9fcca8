"use server";
import { action } from "@/platform/command/perform";
import { acknowledgeBrief, adoptRule, linkBriefRule, recordChallenge, saveBrief, saveChallenge } from "./commands";
import { removeChallengeResult, withdrawChallenge } from "./withdrawals";

export const saveBriefAction = action(saveBrief);

export const acknowledgeBriefAction = action(acknowledgeBrief);

export const linkBriefRuleAction = action(linkBriefRule);

export const saveChallengeAction = action(saveChallenge);

export const recordChallengeAction = action(recordChallenge);

export const removeChallengeResultAction = action(removeChallengeResult);

export const withdrawChallengeAction = action(withdrawChallenge);

export const adoptRuleAction = action(adoptRule);
