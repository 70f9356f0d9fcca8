"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as needs from "@/data/needs";

export async function saveRequirementAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof needs.saveRequirement.run>>>> {
  return perform(needs.saveRequirement, input, envelope);
}
export async function retireRequirementAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof needs.retireRequirement.run>>>> {
  return perform(needs.retireRequirement, input, envelope);
}
export async function restoreRequirementAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof needs.restoreRequirement.run>>>> {
  return perform(needs.restoreRequirement, input, envelope);
}
export async function recordFindingAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof needs.recordFinding.run>>>> {
  return perform(needs.recordFinding, input, envelope);
}
export async function keepEvidenceAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof needs.keepEvidence.run>>>> {
  return perform(needs.keepEvidence, input, envelope);
}
