"use server";
import { action } from "@/server/perform";
import * as projects from "@/data/projects";
import * as brief from "@/data/brief";

export const saveBriefAction = action(projects.saveBrief);
export const acknowledgeBriefAction = action(projects.acknowledgeBrief);
export const linkBriefRuleAction = action(brief.linkBriefRule);
export const saveChallengeAction = action(brief.saveChallenge);
export const recordChallengeAction = action(brief.recordChallenge);
export const removeChallengeResultAction = action(brief.removeChallengeResult);
