"use server";
import { action } from "@/platform/command/perform";
import {
  acknowledgeBrief,
  linkBriefRule,
  recordChallenge,
  removeChallengeResult,
  saveBrief,
  saveChallenge,
} from "./commands";

export const saveBriefAction = action(saveBrief);

export const acknowledgeBriefAction = action(acknowledgeBrief);

export const linkBriefRuleAction = action(linkBriefRule);

export const saveChallengeAction = action(saveChallenge);

export const recordChallengeAction = action(recordChallenge);

export const removeChallengeResultAction = action(removeChallengeResult);
