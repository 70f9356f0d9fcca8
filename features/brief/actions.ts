"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as projects from "@/data/projects";
import * as brief from "@/data/brief";

export async function saveBriefAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof projects.saveBrief.run>>>> {
  return perform(projects.saveBrief, input, envelope);
}
export async function acknowledgeBriefAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof projects.acknowledgeBrief.run>>>> {
  return perform(projects.acknowledgeBrief, input, envelope);
}
export async function linkBriefRuleAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof brief.linkBriefRule.run>>>> {
  return perform(brief.linkBriefRule, input, envelope);
}
export async function saveChallengeAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof brief.saveChallenge.run>>>> {
  return perform(brief.saveChallenge, input, envelope);
}
export async function recordChallengeAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof brief.recordChallenge.run>>>> {
  return perform(brief.recordChallenge, input, envelope);
}
export async function removeChallengeResultAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof brief.removeChallengeResult.run>>>> {
  return perform(brief.removeChallengeResult, input, envelope);
}
