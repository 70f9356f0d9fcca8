"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as bench from "@/data/bench";

export async function saveProtocolAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof bench.saveProtocol.run>>>> {
  return perform(bench.saveProtocol, input, envelope);
}
export async function recordRunAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof bench.recordRun.run>>>> {
  return perform(bench.recordRun, input, envelope);
}
export async function correctRunAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof bench.correctRun.run>>>> {
  return perform(bench.correctRun, input, envelope);
}
export async function voidRunAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof bench.voidRun.run>>>> {
  return perform(bench.voidRun, input, envelope);
}
export async function restoreRunAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof bench.restoreRun.run>>>> {
  return perform(bench.restoreRun, input, envelope);
}
