"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as contest from "@/data/contest";

export async function saveEventAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof contest.saveEvent.run>>>> {
  return perform(contest.saveEvent, input, envelope);
}
export async function refreshEntriesAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof contest.refreshEntries.run>>>> {
  return perform(contest.refreshEntries, input, envelope);
}
export async function drawRunOrderAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof contest.drawRunOrder.run>>>> {
  return perform(contest.drawRunOrder, input, envelope);
}
export async function inspectEntryAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof contest.inspectEntry.run>>>> {
  return perform(contest.inspectEntry, input, envelope);
}
export async function scoreAttemptAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof contest.scoreAttempt.run>>>> {
  return perform(contest.scoreAttempt, input, envelope);
}
export async function voidAttemptAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof contest.voidAttempt.run>>>> {
  return perform(contest.voidAttempt, input, envelope);
}
export async function confirmEventAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof contest.confirmEvent.run>>>> {
  return perform(contest.confirmEvent, input, envelope);
}
export async function reopenEventAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof contest.reopenEvent.run>>>> {
  return perform(contest.reopenEvent, input, envelope);
}
