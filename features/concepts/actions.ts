"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as teams from "@/data/teams";

export async function saveConceptAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof teams.saveConcept.run>>>> {
  return perform(teams.saveConcept, input, envelope);
}
export async function decideConceptAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof teams.decideConcept.run>>>> {
  return perform(teams.decideConcept, input, envelope);
}
